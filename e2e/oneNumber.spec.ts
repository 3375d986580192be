import { estimateRequestFor } from '@acorn-tally/core';
import type { Page } from '@playwright/test';
import { expect, minutesToSpend, test } from './fixtures';

const clock = (seconds: number) =>
  `${Math.floor(Math.round(seconds) / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`;
const seconds = (words: string) => {
  const [sign, minutes, rest] = /([−-]?)(\d+):(\d\d)/.exec(words)?.slice(1) ?? [];
  return (sign ? -1 : 1) * (Number(minutes) * 60 + Number(rest));
};
const settled = async (page: Page) => {
  await expect(page.locator('.BatteryRow_turn').first()).toBeVisible();
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
};

/** All hover at one place, and a shoot of one shot there: so that every view speaks of one and the same flight. */
async function oneFlight(page: Page, url: string) {
  const records = async (path: string) =>
    (await (await page.request.get(`${url}/api/v1/${path}`)).json()).items;
  const content = ({ id: _, createdAt: __, updatedAt: ___, ...rest }: Record<string, unknown>) => rest;
  const put = async (path: string, record: { id: string }) => {
    const answer = await page.request.put(`${url}/api/v1/${path}/${record.id}`, { data: content(record) });
    expect([answer.status(), answer.ok() ? '' : await answer.text()]).toEqual([200, '']);
  };
  const [aircraft] = await records('aircraft');
  const [battery] = await records('batteries');
  // One weather for all of it: a plan goes by the hours of the day where it has them.
  const [day] = await records('days');
  await put('days', { ...day, hours: null, hoursFrom: null });
  const [conditions] = await records('conditions');
  const [shoot] = await records('shoots');
  const flight = { ...aircraft.flight, mix: [{ style: 'hover', share: 1 }] };
  await put('aircraft', { ...aircraft, flight });
  const { farthestM: distanceM, bearingDeg, heightM } = flight;
  const shot = { id: 'one', name: 'One', durationS: 300, style: 'hover', distanceM, bearingDeg, heightM };
  await put('shoots', {
    ...shoot,
    policy: aircraft.policy,
    batteryIds: [battery.id],
    chargerIds: null,
    startsAt: conditions.at,
    shots: [shot],
  });
  const answer = await page.request.post(`${url}/api/v1/estimates`, {
    data: estimateRequestFor({ ...aircraft, flight }, battery, conditions),
  });
  return answer.json();
}

test('one charge to turn back at, and one minute to plan on: Minutes, chart, ledger, Way home, card, Swap plan and API', async ({
  app,
  page,
}) => {
  const { usableS, turnBackCharge, events } = await oneFlight(page, app.url);
  const turn = `${Math.ceil(turnBackCharge.planned * 100)} %`;
  const minute = clock(usableS.planned);
  const event = (kind: string) => events.find((one: { kind: string }) => one.kind === kind);
  expect(event('turn-back').charge).toBeCloseTo(turnBackCharge.planned, 9);
  expect(event('planned-minute').timeS).toBeCloseTo(usableS.planned, 9);

  await page.goto(app.url);
  await settled(page);
  const row = page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes');
  await expect(row.locator('b')).toHaveText(minute);
  await expect(row).toContainText(`turn back by ${turn}`);
  await expect(row).toContainText(`typical ${clock(usableS.p50)}`);
  const chart = page.getByRole('img', { name: /^Charge against time/ });
  await expect(chart).toHaveAccessibleName(new RegExp(`plan on ${minute}\\. Turn back by ${turn}\\.`));
  await expect(page.locator('.Ledger_ledger tfoot td').last()).toHaveText(minute);

  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Turn back by ${turn}`);
  await expect(page.getByRole('region', { name: 'Before you lift off' })).toContainText(
    `turn back by ${turn}`,
  );
  await page.keyboard.press('4');
  await expect(page.getByRole('columnheader', { name: 'turn back by' })).toBeVisible();
  const column = await page.getByRole('columnheader').allInnerTexts();
  const cell = page.locator('.FlightsTable_flight').first().locator('th, td');
  await expect(cell.nth(column.indexOf('turn back by'))).toHaveText(turn);
});

test('the ledger sums to the large number with what is kept for doubt as its last line; the rows sum to the headline', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await settled(page);
  const lines = page.locator('.Ledger_ledger tbody tr');
  await expect(lines.last()).toContainText('Kept for doubt: from the spec sheet only, 9 in 10');
  const sum = (await lines.locator('td:last-child').allInnerTexts()).map(seconds).reduce((a, b) => a + b, 0);
  expect(sum).toBe(await minutesToSpend(page, 'Jay 1'));
  const rows = (await page.locator('.BatteryRow_minutes > b').allInnerTexts()).map(seconds);
  const total = rows.reduce((a, b) => a + b, 0);
  const said = Number(
    /^(\d+) minutes to spend$/.exec(await page.getByRole('heading', { level: 1 }).innerText())?.[1],
  );
  expect(Math.abs(total / 60 - said - 0.5)).toBeLessThanOrEqual(0.55);
  // The strip draws it: as many solid strokes as minutes to plan on, the rest of the middle hollow.
  const strip = page.locator('.BatteryRow_row[data-chosen] .Tally_tally');
  await expect(strip).toHaveAccessibleName(
    new RegExp(`^${Math.round((rows[0] ?? 0) / 60)} min to spend, \\d+ min kept for doubt`),
  );
  // And what a test would gain is said in minutes.
  await expect(page.locator('.Trust_more')).toContainText(/gains \d:\d\d/);
  await page.getByRole('radio', { name: 'Measure next' }).check();
  await expect(page.getByText(/To plan on, you would gain about/)).toBeVisible();
});

test('while a slider is dragged the planned minutes follow, marked as not yet fresh, and come to rest', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await settled(page);
  const before = await minutesToSpend(page, 'Jay 1');
  const slider = page.getByRole('slider', { name: 'Working height, slider' });
  await slider.focus();
  await slider.press('ArrowRight');
  await expect.poll(() => minutesToSpend(page, 'Jay 1')).not.toBe(before);
  await settled(page);
  expect(Math.abs((await minutesToSpend(page, 'Jay 1')) - before)).toBeLessThan(60);
});
