import { expect, test } from './fixtures';

const views = [
  { name: 'minutes', path: '/minutes' },
  { name: 'test-flights', path: '/test-flights' },
  { name: 'swap-plan', path: '/swap-plan' },
  { name: 'method', path: '/method' },
];

for (const { name, path } of views) {
  test(`picture of ${name}`, async ({ app, page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(`${app.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  });
}
