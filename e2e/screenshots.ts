import { expect, test } from './fixtures';

const views: readonly {
  readonly name: string;
  readonly path: string;
  readonly key?: string;
  readonly phone?: boolean;
}[] = [
  { name: 'minutes', path: '/minutes' },
  { name: 'minutes-phone', path: '/minutes', phone: true },
  { name: 'kit', path: '/kit' },
  { name: 'conditions', path: '/minutes', key: 'c' },
  { name: 'way-home', path: '/way-home' },
  { name: 'test-flights', path: '/test-flights' },
  { name: 'swap-plan', path: '/swap-plan' },
  { name: 'method', path: '/method' },
];

for (const { name, path, key, phone } of views) {
  test(`picture of ${name}`, async ({ app, page }) => {
    if (phone) await page.setViewportSize({ width: 390, height: 844 });
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(`${app.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await expect(page.getByText('reckoning …')).toHaveCount(0);
    if (key) await page.keyboard.press(key);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  });
}
