import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { chooseLook, expect, test } from './fixtures';
import { goTo, openings } from './openings';

test('no accessibility violation in any view and drawer (axe); in the other looks, by turns, none of contrast', async ({
  app,
  emptyApp,
  page,
}) => {
  // Some forty openings, each looked through in several seconds.
  test.setTimeout(600_000);
  const found: string[] = [];
  for (const [i, opening] of openings.entries()) {
    await goTo(page, opening, opening.empty ? emptyApp : app);
    // What is built is the same in every look; what a look changes are the colours, and those are few: by turns is enough.
    for (const look of ['paper', i % 2 === 0 ? 'dusk' : 'sunlight']) {
      await wear(page, look);
      // The pages have no frames, and only violations are asked for: in a third of the time.
      const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
      const { violations } = await (look === 'paper' ? axe : axe.withRules(['color-contrast'])).analyze();
      found.push(
        ...violations.map(
          ({ id, nodes }) =>
            `${opening.name}, ${look}: ${id}: ${nodes.map(({ target }) => target).join(', ')}`,
        ),
      );
    }
  }
  expect(found).toEqual([]);
});

/** Puts a look on without closing what is open; that choosing one does so is held below. */
async function wear(page: Page, look: string): Promise<void> {
  await page.evaluate((name) => {
    document.documentElement.dataset.look = name;
    document.documentElement.dataset.mantineColorScheme = name === 'dusk' ? 'dark' : 'light';
  }, look);
  // Colours change over a moment.
  await page.waitForTimeout(250);
}

test('the look is kept, and the charts take its colours', async ({ app, page }) => {
  await page.goto(app.url);
  const chart = page.locator('.chart_chart canvas').first();
  await expect(chart).toBeVisible();
  const onPaper = await chart.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  await chooseLook(page, 'dusk');
  await expect
    .poll(() =>
      page
        .locator('.chart_chart canvas')
        .first()
        .evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL()),
    )
    .not.toBe(onPaper);
  await page.reload();
  const html = page.locator('html');
  await expect(html).toHaveAttribute('data-look', 'dusk');
  await expect(html).toHaveAttribute('data-mantine-color-scheme', 'dark');
  await expect(page.getByRole('button', { name: 'Look: dusk' })).toBeVisible();
});
