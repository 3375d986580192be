import { expect, pick, saved, test } from './fixtures';

test('flights are compared side by side: minutes at each milestone, and what remains once start, air, wind and pack are the same', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  await page.getByRole('button', { name: /^Compare Jay 1, low hover/ }).click();
  await page.getByRole('button', { name: /^Compare Jay 4, low hover/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Jay 1, low hover against Jay 4, low hover',
  );
  const rows = page.getByRole('region', { name: 'Flights side by side' }).getByRole('row');
  await expect(rows.nth(1)).toContainText('12:55');
  await expect(rows.nth(1)).toContainText('3.72 V');
  const why = page.locator('section').filter({ hasText: 'Why they differ' }).last();
  await expect(why).toContainText('no difference shown');
  // Lines sum from the first flight to the second, to a second of rounding each.
  const seconds = (await why.getByRole('row').allInnerTexts()).map((text) => {
    const [, sign, minutes, rest] = /([−+]?)(\d+):(\d\d)/.exec(text) as string[];
    return (sign === '−' ? -1 : 1) * (Number(minutes) * 60 + Number(rest));
  });
  const [first = 0, ...others] = seconds;
  const second = others.pop() ?? 0;
  const sum = others.reduce((total, one) => total + one, first);
  expect(Math.abs(sum - second)).toBeLessThanOrEqual(3);
  await page.getByRole('button', { name: 'End the comparison' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('down to');
});

test('what was read is told against the spec sheet and taken over; the list is filtered; a change keeps or renews the estimate', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  await page.getByRole('button', { name: /^Nutcracker 1/ }).click();
  await expect(page.getByText('Here it warned at 25 %')).toBeVisible();
  await page.getByRole('button', { name: 'Use 25 %' }).click();
  await expect(page.getByText('Here it warned at 25 %')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Here it warned at 25 %')).toBeVisible();

  await page.getByRole('button', { name: 'Filter, sort' }).click();
  await pick(page, 'Which', 'left out');
  const items = page.locator('.TestFlightsView_item');
  await expect(items).toHaveCount(1);
  await pick(page, 'Pattern', 'circle round a subject');
  await expect(items).toHaveCount(0);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(items).toHaveCount(9);
  await pick(page, 'Order', 'longest');
  await expect(items.first()).toContainText('Nutcracker 1');

  await page.getByRole('button', { name: 'Change its figures' }).click();
  const form = page.getByRole('dialog', { name: 'Change a test' });
  // An end before its last reading is asked about.
  await form.getByLabel('Time in the air').fill('20:00');
  await form.getByRole('button', { name: 'Keep the change' }).click();
  await expect(form.getByRole('alert')).toContainText('Its last reading was noted at 22:51');
  await form.getByLabel('Time in the air').fill('24:30');
  await form.getByLabel('Height').fill('90');
  await form.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('24:30');
  await saved(page);
  const estimateOf = async () => {
    const { items: all } = await (await page.request.get(`${app.url}/api/v1/test-flights?limit=200`)).json();
    const { id } = all.find((one: { test: { durationS: number } }) => one.test.durationS === 1470);
    return (await page.request.get(`${app.url}/api/v1/test-flights/${id}/estimate`)).json();
  };
  expect((await estimateOf()).request.flight.heightM).toBe(3);
  await page.getByRole('button', { name: 'Change its figures' }).click();
  await form.getByRole('radio', { name: 'made anew' }).check();
  await form.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText('Its estimate was made anew on')).toBeVisible();
  await saved(page);
  await expect.poll(async () => (await estimateOf()).request.flight.heightM).toBe(90);
});
