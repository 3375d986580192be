import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import ICAL from 'ical.js';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, pick, saved, test } from './fixtures';

const title = (page: Page) => page.getByRole('heading', { level: 1 });
const flights = (page: Page) => page.locator('.FlightsTable_flight');
/** Until what would be left of the plan is told as well. */
async function planned(page: Page): Promise<void> {
  await expect(title(page)).toContainText('take-off');
  await expect(page.getByText(/^(Placing|Looking for|trying it)/)).toHaveCount(0);
}
const takeoffs = async (page: Page) => flights(page).count();

async function addShot(page: Page, name: string, minutes: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a shot' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Minutes of the shot').fill(minutes);
}

async function dragTo(page: Page, from: Locator, to: Locator): Promise<void> {
  const [a, b] = [await from.boundingBox(), await to.boundingBox()];
  if (!a || !b) throw new Error('Both should be on the screen.');
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
  await page.mouse.up();
}

test('a shoot built from nothing by mouse: shots, takes, needs, a charger; pinned, kept to a battery, left out, and undone', async ({
  app,
  page,
}) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: 'Another shoot' }).click();
  await expect(title(page)).toHaveText('No shots yet');
  await addShot(page, 'Ewes at the gate', '6');
  await addShot(page, 'Over the beck', '5');
  await addShot(page, 'Dusk on the fell', '4');
  await page.getByLabel('Takes').fill('2');
  await pick(page, 'Need', 'nice to have');
  await planned(page);
  await expect(page.getByRole('complementary', { name: 'Shots and shoot' })).toContainText('2 × 4:00');
  const before = await takeoffs(page);

  await test.step('a flight is opened, and kept to another battery', async () => {
    await page.getByRole('button', { name: 'Flight 1', exact: true }).click();
    await expect(page.locator('.FlightDetail_flight')).toContainText('turns back');
    await pick(page, 'Battery of this flight', 'Jay 4');
    await expect(flights(page).first()).toContainText('Jay 4');
    await planned(page);
    await expect(page.getByText(/^What you pinned costs/)).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByText(/^What you pinned costs/)).toHaveCount(0);
    await planned(page);
  });

  await test.step('a shot is dragged to a flight of its own, and what that costs is told', async () => {
    expect(before).toBe(2);
    // All of it on the screen: a mouse does not leave it.
    await page.setViewportSize({ width: 1280, height: 1400 });
    const chip = flights(page).nth(1).locator('.FlightsTable_chip').last();
    await dragTo(page, chip, flights(page).nth(0));
    await expect(page.getByText(/^What you pinned costs/)).toBeVisible();
    await expect(page.locator('.ShotList_shots')).toContainText('pinned');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.locator('.ShotList_shots')).not.toContainText('pinned');
  });

  await test.step('a nice one is left out, and comes back', async () => {
    await page.getByRole('button', { name: 'Leave Dusk on the fell out' }).click();
    await expect(page.locator('.FlightsTable_table')).not.toContainText('Dusk on the fell');
    await expect(page.locator('.ShotList_shots')).toContainText('left out');
    await page.keyboard.press('Control+z');
    await expect(page.locator('.FlightsTable_table')).toContainText('Dusk on the fell');
  });

  await test.step('a pack fails: what is left is told, and is so when it is taken away', async () => {
    await planned(page);
    const told = page.getByRole('listitem').filter({ hasText: /^Jay 1 fails/ });
    await expect(told).toContainText(/all planned shots|without/);
    await page.getByLabel(/^Jay 1 /).uncheck();
    await planned(page);
    await expect(page.locator('.FlightsTable_table')).not.toContainText('Jay 1');
  });
  await saved(page);
});

test('a shoot by keyboard alone: shots added and ordered, the order set free, one left out', async ({
  app,
  page,
}) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  await planned(page);
  const list = page.locator('.ShotList_open b:first-child');
  await page.getByRole('button', { name: 'Move Gate opens' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Gate opens would be number 1.')).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Gate opens would be number 2.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect(list.first()).toContainText('Herd through the lane');
  await page.keyboard.press('Control+z');
  await expect(list.first()).toContainText('Gate opens');

  await page.getByRole('button', { name: 'Add a shot' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Name', { exact: true }).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Snow on the wall');
  await page.getByLabel('Minutes of the shot').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2:30');
  await planned(page);
  await expect(page.locator('.FlightsTable_table')).toContainText('Snow on the wall');
  await page.getByRole('button', { name: 'Leave Snow on the wall out' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.FlightsTable_table')).not.toContainText('Snow on the wall');
  await page.getByRole('button', { name: 'Flight 2', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.FlightDetail_flight')).toContainText('lifts off with');
});

test('shots pasted from a spreadsheet: good rows are taken, wrong ones told by line; nonsense loses nothing', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: 'Paste shots' }).click();
  const rows = page.getByLabel('Rows with their headings, or points');
  await rows.fill('some words');
  await expect(page.getByRole('alert')).toContainText(
    'The first line must name the columns; missing: name, minutes',
  );
  await rows.fill('name\tminutes\tneed\nFold\t3:30\tnice\nToo long\t900\t');
  await expect(page.getByText(/^Line 3, minutes:/)).toBeVisible();
  await page.getByRole('button', { name: 'Add one shot' }).click();
  await expect(page.locator('.ShotList_shots')).toContainText('10 Fold');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.ShotList_shots')).not.toContainText('Fold');
});

test('contradictions are told at the shot they are of, and nothing typed is lost', async ({ app, page }) => {
  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: /^1 Gate opens/ }).click();
  await page.getByRole('textbox', { name: 'Not before' }).fill('26 Nov 2026, 09:00');
  await page.getByRole('textbox', { name: 'Over by' }).fill('26 Nov 2026, 09:02');
  await expect(page.getByRole('alert').filter({ hasText: 'Gate opens' })).toContainText(
    'no room for one take',
  );
  await page.getByRole('textbox', { name: 'Over by' }).fill('26 Nov 2026, 09:30');
  await expect(page.getByRole('alert').filter({ hasText: 'Gate opens' })).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Not before' })).toHaveValue(/09:00/);
});

test('shots that the same thing keeps out are told in one line, each by itself', async ({ app, page }) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  for (const name of [/^Jay 3/, /^Jay 4/, /^Jay 5/, /^Hub in the dairy/])
    await page.getByRole('checkbox', { name }).uncheck();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('do not fit');
  await planned(page);
  const lines = page.getByRole('listitem').filter({ hasText: 'No charged battery left' });
  await expect(lines).toHaveCount(1);
  await expect(lines).toContainText(
    /, .+, each by itself: No charged battery left .+ Bring one more battery/,
  );
});

test('the plan is taken along: a calendar that is read back, a table, points on a map, a card on paper', async ({
  app,
  page,
}) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  // With all five batteries nothing need be charged.
  for (const battery of [/^Jay 4/, /^Jay 5/]) await page.getByRole('checkbox', { name: battery }).uncheck();
  await expect(page.getByRole('region', { name: 'On the chargers' })).toContainText('Hub in the dairy');
  await planned(page);
  const count = await takeoffs(page);
  await page.getByRole('button', { name: 'Try what would help' }).click();
  const starts = page.getByRole('table', { name: 'Begun earlier or later' });
  await expect(starts.getByRole('row')).toHaveCount(8);
  await expect(page.getByText(/^Bring one more battery like/)).toBeVisible();
  const batteries = await flights(page).locator('td:nth-child(2)').allInnerTexts();
  const saves = async (name: string) => {
    const download = page.waitForEvent('download');
    await page
      .getByRole('navigation', { name: 'Take the plan with you' })
      .getByRole('button', { name })
      .click();
    return readFileSync(await (await download).path(), 'utf8');
  };
  const calendar = new ICAL.Component(ICAL.parse(await saves('Calendar')));
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  const charges = await page.getByRole('region', { name: 'On the chargers' }).locator('tbody tr').count();
  expect(charges).toBeGreaterThan(0);
  expect(events).toHaveLength(2 * count - 1 + charges);
  expect(events.filter(({ summary }) => summary.includes('on Hub in the dairy'))).toHaveLength(charges);
  for (const { startDate, endDate } of events) expect([startDate.second, endDate.second]).toEqual([0, 0]);
  const ofFlights = events.filter(({ summary }) => summary.startsWith('Flight '));
  expect(ofFlights.map(({ summary }) => /: (Jay \d)/.exec(summary)?.[1])).toEqual(batteries);
  for (const event of events) expect(event.component.getAllSubcomponents('valarm')).toHaveLength(1);
  const [first, second] = ofFlights;
  expect(first && second && first.endDate.compare(second.startDate)).toBe(-1);

  const csv = await saves('CSV');
  expect(csv.trim().split('\r\n')).toHaveLength(count + charges + 1);
  // The clock is told in minutes: seconds are of what is flown.
  const clockTimes = await flights(page).locator('th, td:nth-child(5), td:nth-child(6)').allInnerTexts();
  for (const time of clockTimes) expect(time.trim()).toMatch(/^\d\d:\d\d$/);
  const gpx = await saves('Points as GPX');
  expect(gpx.match(/<wpt /g)).toHaveLength(9);

  await page.getByRole('link', { name: 'Card to print' }).click();
  await expect(page.getByRole('region', { name: 'Flights' })).toBeVisible();
  const turnsBack = await page.locator('.PlanCard_turn').allInnerTexts();
  const printed = async (paper: Parameters<typeof page.pdf>[0]) =>
    extractText(await getDocumentProxy(new Uint8Array(await page.pdf(paper))), { mergePages: true });
  const { text, totalPages } = await printed({ preferCSSPageSize: true });
  expect(totalPages).toBe(1);
  // What is longer than its paper goes on overleaf.
  expect((await printed({ width: '297mm', height: '70mm' })).text).toContain('turn back by the charge');
  for (const words of [
    'Bringing the herd down',
    'Gate opens',
    'Turn back by',
    'Was left',
    'low sun until 09:06',
    'Hub in the dairy',
    ...batteries,
    ...turnsBack,
  ])
    expect(text).toContain(words);
  expect(text).not.toContain('Acorn Tally');
  await page.getByRole('link', { name: 'Swap plan' }).click();
  await expect(title(page)).toContainText('take-off');
});

test('a plan is kept as it was read: other weather changes what would be flown now, in words, and not the card until the new one is kept', async ({
  app,
  page,
}) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  await planned(page);
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  const kept = page.getByRole('region', { name: 'Kept plan' });
  await expect(kept).toContainText('this is the plan');
  const times = await flights(page).locator('th').allInnerTexts();

  await page.keyboard.press('c');
  const hours = [7, 8, 9, 10, 11, 12].map(
    (hour) => `2026-11-26T${String(hour).padStart(2, '0')}:00,-2,3.4,5,238`,
  );
  await page.getByLabel('Hourly CSV file').setInputFiles({
    name: 'frost.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`time,temperature,wind,gust,from\n${hours.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Use these hours' }).click();
  await page.keyboard.press('Escape');
  await expect(kept).toContainText('Planned now, this would be different');
  await planned(page);
  await expect(kept.getByRole('listitem').first()).toContainText(/instead of|would not be flown/);

  await page.getByRole('link', { name: 'Card to print' }).click();
  await expect(page.locator('main')).toContainText('· kept ');
  const onCard = await page.getByRole('region', { name: 'Flights' }).locator('tbody tr td:first-child b');
  expect(await onCard.allInnerTexts()).toEqual(times.map((time) => time.trim()));

  await page.getByRole('link', { name: 'Swap plan' }).click();
  await planned(page);
  await page.getByRole('button', { name: 'Keep the new plan instead' }).click();
  await expect(kept).toContainText('this is the plan');
  await page.keyboard.press('Control+z');
  await expect(kept).toContainText('Planned now, this would be different');
  await page.getByRole('button', { name: 'Keep the new plan instead' }).click();
  await kept.getByRole('button', { name: /^back to / }).click();
  await expect(kept).toContainText('Planned now, this would be different');
  await kept.getByRole('button', { name: 'Remove the kept plan' }).click();
  await expect(page.getByRole('button', { name: 'Keep this plan' })).toBeVisible();
  await saved(page);
});

test('a crew with two aircraft and another launch place: a swap in its parts, several shots changed at once, shots moved on the ground', async ({
  app,
  page,
}) => {
  test.slow();
  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: 'Another shoot' }).click();
  await addShot(page, 'Ewes at the gate', '6');
  await addShot(page, 'Over the beck', '5');
  const list = page.getByRole('complementary', { name: 'Shots and shoot' });
  const shoot = async () =>
    (await (await page.request.get(`${app.url}/api/v1/shoots`)).json()).items.find(
      ({ shots }: { shots: { name: string }[] }) => shots[0]?.name === 'Ewes at the gate',
    );

  await page.getByRole('button', { name: 'Swap in parts, second aircraft, launch places' }).click();
  await page.getByLabel('Landing', { exact: true }).fill('30');
  await page.getByLabel('Changing the battery').fill('90');
  await page.getByLabel('Waiting for satellites').fill('45');
  await expect(page.getByLabel('Swap time')).toHaveValue('2:45');
  await pick(page, 'Second aircraft', 'Nutcracker');
  await expect(page.getByRole('checkbox', { name: /^Nutcracker 1/ })).toBeChecked();
  await pick(page, /^Aircraft$/, 'Nutcracker');
  await page.getByRole('button', { name: 'Add a launch place' }).click();
  await page.getByRole('group', { name: 'Launch place 4' }).getByLabel('Name').fill('beck bridge');
  await pick(page, 'Launch place', 'beck bridge');
  await planned(page);
  await expect(flights(page)).toHaveCount(2);
  await expect(flights(page).filter({ hasText: 'Over the beck' })).toContainText('Nutcracker');
  // From the yard to the bridge: packing up, a walk of 200 m at 1.2 m/s, and the swap.
  const [first, second] = await flights(page).all();
  const clockOf = async (row: Locator | undefined, column: number) => {
    const [h = 0, m = 0, s = 0] = ((await row?.locator('td, th').nth(column).innerText()) ?? '')
      .split(':')
      .map(Number);
    return (h * 60 + m) * 60 + s;
  };
  await expect(flights(page).filter({ hasText: 'Over the beck' })).toContainText('from beck bridge');
  const between = (await clockOf(second, 0)) - (await clockOf(first, 5));
  expect(between).toBeGreaterThanOrEqual(Math.floor(180 + 200 / 1.2 + 165));

  await test.step('dragged to the flight from elsewhere, a shot is flown from there, in one flight with the other', async () => {
    const chip = flights(page).getByRole('button', { name: 'Ewes at the gate' });
    await flights(page).first().scrollIntoViewIfNeeded();
    await dragTo(page, chip, flights(page).filter({ hasText: 'Over the beck' }));
    await expect(flights(page)).toHaveCount(1);
    await saved(page);
    const [ewes, beck] = (await shoot()).shots;
    expect(ewes.launchPlaceId).toBe(beck.launchPlaceId);
    await page.getByRole('button', { name: /^Undo: moving Ewes at the gate to flight/ }).click();
    await expect(flights(page)).toHaveCount(2);
  });

  await test.step('several at once, undone at once', async () => {
    await page.getByRole('button', { name: 'Change several' }).click();
    await page.getByRole('checkbox', { name: 'Change Ewes at the gate with others' }).check();
    await page.getByRole('checkbox', { name: 'Change Over the beck with others' }).check();
    const together = page.getByRole('group', { name: 'two shots together' });
    await expect(together.getByRole('combobox', { name: 'Launch place' })).toHaveValue('they differ');
    await together.getByRole('combobox', { name: 'Need' }).click();
    await page.getByRole('option', { name: 'nice to have' }).click();
    await together.getByLabel('Height').fill('45');
    await saved(page);
    expect((await shoot()).shots).toMatchObject([
      { need: 'nice', heightM: 45, durationS: 360 },
      { need: 'nice', heightM: 45, durationS: 300 },
    ]);
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Undo: height of two shots' }).click();
    await page.getByRole('button', { name: 'Undo: need of two shots' }).click();
    await saved(page);
    expect((await shoot()).shots).toMatchObject([{ heightM: 30 }, { heightM: 30 }]);
    await page.getByRole('button', { name: 'Done with several' }).click();
  });

  await test.step('on the ground, by arrow keys and by mouse', async () => {
    const mark = list.getByRole('button', { name: /^On the ground: 1 Ewes at the gate/ });
    await mark.focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
    // From 100 m north 75 m to the east.
    await expect(mark).toHaveAccessibleName(/, 125 m, 037°/);
    await dragTo(page, mark, list.getByRole('button', { name: /^On the ground: 2 Over the beck/ }));
    await expect(mark).not.toHaveAccessibleName(/, 125 m/);
    await page.getByRole('button', { name: 'Undo: place of Ewes at the gate' }).click();
    await expect(mark).toHaveAccessibleName(/, 125 m, 037°/);
  });
});
