import { expect, minutesToSpend, pick, saved, test } from './fixtures';

test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });

test('in the field, by taps alone: an hour, a battery, whether it comes home, what was flown, and what is asked', async ({
  app,
  page,
}) => {
  await page.goto(app.url);

  await test.step('the hour and a gustier wind', async () => {
    const before = await minutesToSpend(page, 'Jay 1');
    await page.getByRole('button', { name: /^Change conditions/ }).tap();
    const drawer = page.getByRole('dialog');
    await drawer.getByRole('textbox', { name: 'Wind', exact: true }).fill('3.5');
    await drawer.getByRole('textbox', { name: /^Gust/ }).fill('3');
    await page.getByRole('button', { name: 'Close' }).tap();
    // A gust below its wind is asked about, and does not count till it is answered.
    await expect(page.getByRole('region', { name: 'Conditions' })).toContainText('gusts 3.0 m/s? left out');
    await expect(
      page.getByText(/Gusts of 3 m\/s are weaker than the wind of 3.5 m\/s/).first(),
    ).toBeVisible();
    await expect.poll(() => minutesToSpend(page, 'Jay 1')).toBeLessThan(before);
  });

  await test.step('at the way home, with little left', async () => {
    await page.getByRole('link', { name: /Way home/ }).tap();
    await page.getByRole('button', { name: 'Where you will be' }).tap();
    await page.getByLabel('Distance out', { exact: true }).fill('400');
    await page.getByLabel('Charge there', { exact: true }).fill('14');
    await pick(page, 'Under it', 'water');
    // The answer follows above the sheet, in sight.
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Its forced landing begins on the way');
    await expect(page.getByRole('heading', { level: 1 })).toBeInViewport();
    await page.getByRole('button', { name: 'Close' }).tap();
    await expect(
      page.getByText(/At 10 % its forced landing begins \d+ m short of home, .* on water\./).first(),
    ).toBeVisible();
    await expect(page.getByRole('img', { name: /forced landing/i }).first()).toBeVisible();
  });

  await test.step('a flight, with the clock read wrong', async () => {
    await page.getByRole('link', { name: /Test flights/ }).tap();
    await page.getByRole('button', { name: /Record a test/ }).tap();
    const form = page.getByRole('dialog');
    await form.getByLabel('Charge at lift-off').fill('98');
    await form.getByLabel('Time in the air').fill('3:10');
    await form.getByLabel('Charge at the end').fill('30');
    await expect(form.getByRole('status')).toContainText('would last only 4:39');
    await form.getByRole('button', { name: 'Keep this test' }).tap();
    const asked = page.getByRole('list', { name: 'Asked before it counts' });
    await expect(asked).toContainText('15 % of the box');
    await asked.getByRole('button', { name: 'It is wrong: leave it out' }).first().tap();
    await expect(page.getByText(/left out: its figures are wrong/)).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(page.getByText(/left out: its figures are wrong/)).toBeVisible();
  });
});

test.describe('by keys alone', () => {
  test.use({ hasTouch: false, isMobile: false, viewport: { width: 1280, height: 800 } });

  test('the zone of the place is chosen, and an odd test is answered', async ({ app, page }) => {
    await page.goto(app.url);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.keyboard.press('c');
    const zone = page.getByRole('combobox', { name: 'Time zone' }).or(page.getByLabel('Time zone')).first();
    await zone.focus();
    await page.keyboard.type('Kathm');
    // The zones are fetched when the drawer opens: nothing can be chosen from them before.
    await expect(page.getByRole('option', { name: /Kathmandu/ })).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(zone).toHaveValue('Asia/Kathmandu');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('region', { name: 'Conditions' })).toContainText(/08:40\s*Kathmandu time/);

    await page.keyboard.press('3');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Rook 1');
    await page.keyboard.press('t');
    const form = page.getByRole('dialog');
    await form.getByLabel('Charge at lift-off').focus();
    await page.keyboard.type('99');
    await page.keyboard.press('Tab');
    await page.keyboard.type('100:00');
    await page.keyboard.press('Tab');
    await page.keyboard.type('60');
    await page.keyboard.press('Enter');
    const asked = page.getByRole('list', { name: 'Asked before it counts' });
    await expect(asked).toBeVisible();
    await asked.getByRole('button', { name: 'It is right: count it' }).first().focus();
    await page.keyboard.press('Enter');
    await expect(asked).toHaveCount(0);
  });
});
