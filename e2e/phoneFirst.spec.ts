import { expect, test } from './fixtures';

test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });

test('on a phone the answer comes first: within the first screen, before any input', async ({
  app,
  page,
}) => {
  for (const [path, answer] of [
    ['/minutes', '.BatteryRow_minutes b'],
    ['/way-home', 'h1'],
    ['/test-flights', 'h1'],
    ['/swap-plan', 'h1'],
    ['/kit', 'h1'],
    ['/method', 'h1'],
  ] as const) {
    await page.goto(`${app.url}${path}`);
    const box = await page.locator(answer).first().boundingBox();
    expect((box?.y ?? Infinity) + (box?.height ?? 0), path).toBeLessThan(844);
    const typed = await page
      .locator('main input')
      .first()
      .boundingBox({ timeout: 500 })
      .catch(() => null);
    if (typed) expect(typed.y, path).toBeGreaterThan(box?.y ?? 0);
  }
});
