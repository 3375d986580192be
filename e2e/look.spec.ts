import { chooseLook, expect, test } from './fixtures';

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
