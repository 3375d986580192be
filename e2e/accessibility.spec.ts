import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

interface Opening {
  readonly name: string;
  readonly path: string;
  readonly open?: (page: Page) => Promise<void>;
}

const openings: readonly Opening[] = [
  { name: 'minutes', path: '/minutes' },
  { name: 'conditions', path: '/minutes', open: (page) => page.keyboard.press('c') },
  {
    name: 'the box',
    path: '/minutes',
    open: (page) => page.getByRole('button', { name: 'On the box' }).click(),
  },
  { name: 'test flights', path: '/test-flights' },
  { name: 'recording a test', path: '/test-flights', open: (page) => page.keyboard.press('t') },
  { name: 'method', path: '/method' },
  { name: 'swap plan', path: '/swap-plan' },
  { name: 'a shot', path: '/swap-plan', open: (page) => page.locator('.shot-open').first().click() },
];

/** Every opening on paper; the views and a drawer in the other looks, which change colours only. */
const seen = [
  ...openings.map((opening) => ({ ...opening, look: 'paper' })),
  ...['dusk', 'sunlight'].flatMap((look) =>
    openings
      .filter(({ name }) => ['minutes', 'recording a test', 'method', 'swap plan'].includes(name))
      .map((opening) => ({ ...opening, look })),
  ),
];

for (const { name, path, open, look } of seen) {
  test(`no accessibility violation in ${name} on ${look} (axe), and nothing wider than the screen`, async ({
    app,
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(`${app.url}${path}`);
    await page.getByRole('combobox', { name: 'Look' }).selectOption(look);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('reckoning …')).toHaveCount(0);
    await open?.(page);
    await page.waitForTimeout(300);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(
      violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target).join(', ')}`),
    ).toEqual([]);
    const widths = await page.evaluate(() => [document.documentElement.scrollWidth, window.innerWidth]);
    expect(widths[0]).toBeLessThanOrEqual(widths[1] as number);
  });
}

test('the look is kept, and the charts take its colours', async ({ app, page }) => {
  await page.goto(app.url);
  const chart = page.locator('.chart canvas').first();
  await expect(chart).toBeVisible();
  const onPaper = await chart.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  await page.getByRole('combobox', { name: 'Look' }).selectOption('dusk');
  await expect
    .poll(() =>
      page
        .locator('.chart canvas')
        .first()
        .evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL()),
    )
    .not.toBe(onPaper);
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-look', 'dusk');
  await expect(page.getByRole('combobox', { name: 'Look' })).toHaveValue('dusk');
});
