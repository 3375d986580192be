import AxeBuilder from '@axe-core/playwright';
import { chooseLook, expect, test } from './fixtures';
import { goTo, openings } from './openings';

for (const look of ['paper', 'dusk', 'sunlight']) {
  test(`no accessibility violation on ${look}, in every view and drawer (axe)`, async ({
    app,
    emptyApp,
    page,
  }) => {
    // Some twenty openings, each looked through in several seconds.
    test.setTimeout(420_000);
    const found: string[] = [];
    for (const { url } of [app, emptyApp]) {
      await page.goto(url);
      await chooseLook(page, look);
    }
    for (const opening of openings) {
      await goTo(page, opening, opening.empty ? emptyApp : app);
      await expect(page.locator('html')).toHaveAttribute('data-look', look);
      const axe = new AxeBuilder({ page });
      // What is built is the same in every look; what a look changes are the colours.
      const { violations } = await (look === 'paper' ? axe : axe.withRules(['color-contrast'])).analyze();
      found.push(
        ...violations.map(
          ({ id, nodes }) => `${opening.name}: ${id}: ${nodes.map((node) => node.target).join(', ')}`,
        ),
      );
    }
    expect(found).toEqual([]);
  });
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
  await expect(page.locator('html')).toHaveAttribute('data-look', 'dusk');
  await expect(page.getByRole('button', { name: 'Look: dusk' })).toBeVisible();
});
