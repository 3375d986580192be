import { expect, minutesToSpend, test } from './fixtures';

test('what-ifs: pinned side by side, changed, one more, one gone; standing against moving', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const now = await minutesToSpend(page, 'Jay 1');
  await page.getByRole('radio', { name: 'What if' }).check();
  const row = (label: string) =>
    page.locator('.WhatIfs_table tr').filter({ has: page.getByLabel(label, { exact: true }) });
  const seconds = async (label: string) => {
    const [minutes = 0, rest = 0] = (await row(label).locator('td[data-figure]').innerText())
      .split(':')
      .map(Number);
    return minutes * 60 + rest;
  };
  await expect.poll(() => seconds('Farther by')).toBeLessThan(now);
  expect(await seconds('Colder by')).toBeLessThan(now);
  await page.getByLabel('Wind stronger by', { exact: true }).fill('1');
  // In this wind a metre a second more takes too many flights out of reach of home.
  await expect(row('Wind stronger by').locator('.WhatIfs_difference')).toHaveText('no safe flight');
  await expect(row('Colder by').locator('.WhatIfs_difference')).toHaveText(/^−\d:\d\d$/);
  const difference = await row('Farther by').locator('.WhatIfs_difference').innerText();
  const [minutes = 0, rest = 0] = difference.slice(1).split(':').map(Number);
  expect(Math.abs(now - (await seconds('Farther by')) - (minutes * 60 + rest))).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Higher', exact: true }).click();
  await expect(page.getByLabel('Higher by', { exact: true })).toHaveCount(2);
  await page.getByRole('button', { name: 'Unpin More of it fast' }).press('Enter');
  await expect(page.getByLabel('More of it fast', { exact: true })).toHaveCount(0);
  await page.reload();
  await page.getByRole('radio', { name: 'What if' }).check();
  await expect(page.getByLabel('Higher by', { exact: true })).toHaveCount(2);
  await expect(
    page.getByText(/To plan on in the wind of .* all hover: \d+:\d\d at \d+ W; all slow: \d+:\d\d at \d+ W/),
  ).toBeVisible();
});

test('the mix: its borders are dragged, and moved with the arrow keys', async ({ app, page }) => {
  await page.goto(app.url);
  const hover = page.getByLabel('hover', { exact: true });
  const slow = page.getByLabel('slow', { exact: true });
  await expect(hover).toHaveValue('45');
  const bar = await page.locator('.MixEditor_bar').boundingBox();
  if (!bar) throw new Error('The bar is not on the screen.');
  await page.mouse.move(bar.x + bar.width * 0.45, bar.y + 7);
  await page.mouse.down();
  await page.mouse.move(bar.x + bar.width * 0.6, bar.y + 7, { steps: 6 });
  await page.mouse.up();
  await expect(hover).toHaveValue('60');
  await expect(slow).toHaveValue('20');
  const border = page.getByLabel('Border between hover and slow');
  await border.press('ArrowLeft');
  await expect(hover).toHaveValue('59');
  await border.press('End');
  await expect(slow).toHaveValue('0');
  await page.keyboard.press('Control+z');
  await expect(hover).toHaveValue('45');
});

test('the flight is read: under the pointer, minute by minute by keys, as voltage, and as a table', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await expect(page.locator('.BatteryRow_turn').first()).toBeVisible();
  const chart = page.locator('.chart_chart').first();
  await chart.hover({ position: { x: 200, y: 100 } });
  await expect(page.locator('.chart_reading')).toHaveText(
    /^\d+:\d\d, \d+ % \(\d+–\d+ %\), 3\.\d\d V a cell, pack \d+ °C$/,
  );
  await page.mouse.move(5, 5);
  await expect(page.locator('.chart_reading')).toHaveCount(0);
  const reader = page.getByLabel('Read the charge at a minute of the flight');
  await reader.focus();
  await reader.press('ArrowRight');
  await reader.press('ArrowRight');
  await expect(page.locator('.chart_reading')).toHaveText(/^1:00, \d+ %/);
  await expect(reader).toHaveAttribute('aria-valuetext', /^1:00, \d+ %/);
  await reader.press('End');
  await expect(page.locator('.chart_reading')).toContainText('if flown on');

  await page.getByRole('radio', { name: 'Voltage' }).check();
  await expect(
    page.getByRole('img', { name: /^Voltage of a cell against time. plan on \d+:\d\d. Turn back by \d+ %/ }),
  ).toBeVisible();
  await page.getByRole('radio', { name: 'Table' }).check();
  const clock = await page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes b').innerText();
  const planned = page.getByRole('row', { name: /the minute to plan on$/ });
  await expect(planned.getByRole('rowheader')).toHaveText(clock);
  // It is turned back by its charge, which comes later.
  await expect(page.getByRole('row', { name: /turn back$/ }).getByRole('rowheader')).not.toHaveText(clock);
});

test('how each style is flown: a held speed counts, beyond the mode is refused, the thrifty one is a click away', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const before = await minutesToSpend(page, 'Jay 1');
  await page.getByRole('button', { name: 'Speeds, turns and load' }).click();
  const panel = page.getByRole('dialog', { name: 'How it is flown' });
  const speed = panel.getByLabel('Airspeed held').first();
  await speed.fill('9');
  await expect(page.getByText('9 m/s is more than slow mode flies').first()).toBeVisible();
  await panel
    .getByRole('button', { name: /longest in the air today$/ })
    .first()
    .click();
  await expect.poll(() => minutesToSpend(page, 'Jay 1')).not.toBe(before);
  await speed.fill('');
  await expect.poll(() => minutesToSpend(page, 'Jay 1')).toBe(before);
});
