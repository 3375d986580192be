import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

const views: readonly {
  readonly name: string;
  readonly path: string;
  readonly key?: string;
  readonly phone?: boolean;
  readonly prepare?: (page: Page) => Promise<void>;
}[] = [
  { name: 'minutes', path: '/minutes' },
  { name: 'minutes-phone', path: '/minutes', phone: true },
  { name: 'kit', path: '/kit' },
  { name: 'conditions', path: '/minutes', key: 'c' },
  { name: 'way-home', path: '/way-home' },
  {
    name: 'test-flights',
    path: '/test-flights',
    prepare: (page) => page.getByRole('button', { name: /^Jay 1 · low hover/ }).click(),
  },
  {
    name: 'taught',
    path: '/test-flights',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Jay 4 · low hover/ }).click();
      await page.getByRole('button', { name: 'Use what they taught' }).waitFor();
      await page.getByText(/^Jay 1: /).waitFor();
      await page.locator('#taught').evaluate((section) => section.scrollIntoView());
    },
  },
  {
    name: 'comparison',
    path: '/test-flights',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Compare Jay 1, low hover/ }).click();
      await page.getByRole('button', { name: /^Compare Jay 4/ }).click();
    },
  },
  {
    name: 'clock-phone',
    path: '/clock',
    phone: true,
    prepare: async (page) => {
      await page.clock.install();
      await page.getByLabel('Charge at lift-off').fill('98');
      await expect(page.getByText('in 8 flights of 10')).toBeVisible();
      await page.getByRole('button', { name: 'To the clock', exact: true }).click();
      await page.getByRole('button', { name: 'Lift off' }).click();
      for (const [seconds, digits] of [
        [150, '90'],
        [180, '79'],
        [175, '69'],
      ] as const) {
        await page.clock.fastForward(seconds * 1000);
        await page.keyboard.type(digits);
        await page.keyboard.press('Enter');
      }
      await page.clock.fastForward(120_000);
      await page.keyboard.type('62');
    },
  },
  {
    name: 'swap-plan',
    path: '/swap-plan',
    prepare: async (page) => {
      await expect(page.getByText(/^(Placing|Looking for|trying it)/)).toHaveCount(0);
    },
  },
  {
    name: 'plan-card',
    path: '/card',
    prepare: async (page) => {
      await expect(page.getByRole('region', { name: 'Flights' })).toBeVisible();
    },
  },
  { name: 'method', path: '/method' },
];

for (const { name, path, key, phone, prepare } of views) {
  test(`picture of ${name}`, async ({ app, page }) => {
    if (phone) await page.setViewportSize({ width: 390, height: 844 });
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(`${app.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await expect(page.getByText('calculating …')).toHaveCount(0);
    if (key) await page.keyboard.press(key);
    await prepare?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  });
}
