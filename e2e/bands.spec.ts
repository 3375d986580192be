import { estimateRequestFor } from '@acorn-tally/core';
import { expect, pick, test } from './fixtures';

test('the band in the browser is the band of the API, to the digit: the same draws, the same code', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const shown = page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes');
  await expect(shown.locator('.BatteryRow_turn')).toBeVisible();
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  const records = async (path: string) =>
    (await (await page.request.get(`${app.url}/api/v1/${path}`)).json()).items;
  const [aircraft] = await records('aircraft');
  const [battery] = await records('batteries');
  const [conditions] = await records('conditions');
  const answer = await page.request.post(`${app.url}/api/v1/estimates`, {
    data: estimateRequestFor(aircraft, battery, conditions),
  });
  const { usableS, turnBackCharge } = await answer.json();
  const clock = (seconds: number) =>
    `${Math.floor(Math.round(seconds) / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`;
  await expect(page.locator('.Trust_trust')).toContainText(`${clock(usableS.p10)}–${clock(usableS.p90)}`);
  await expect(shown.locator('b')).toHaveText(clock(usableS.planned));
  await expect(shown).toContainText(`turn back by ${Math.ceil(turnBackCharge.planned * 100)} %`);
});

test('more confidence and a measured wind change the band; the method tells the same numbers', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const plan = async () => {
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
    return page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes').innerText();
  };
  await expect(page.locator('.BatteryRow_turn').first()).toBeVisible();
  const usual = await plan();
  await page.getByLabel('Confidence').fill('98');
  await expect.poll(plan).not.toBe(usual);
  await page.getByLabel('Confidence').fill('20');
  await expect(page.getByRole('alert')).toHaveText(
    'Confidence must be from 50 to 99 %, not 20 %. Until then 90 % stands.',
  );
  await expect.poll(plan).toBe(usual);
  const [minutes] = /^\d+:\d\d/.exec(
    await page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes b').innerText(),
  ) ?? [''];
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Jay lasts longest at');
  await expect(
    page.getByRole('heading', { name: `How 31:00 on the box become ${minutes} to spend` }),
  ).toBeVisible();
  await pick(page, 'Battery', 'Jay 4');
  await expect(page.getByText(/^Jay 4: .* It starts at 6 °C/)).toBeVisible();
});

test('keys alone: the sliders step, and what cannot be flown says so in rows and on the method page', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('slider', { name: 'Working height, slider' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Working height', { exact: true })).toHaveValue('65');
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  await page.getByLabel('Wind', { exact: true }).fill('7');
  await page.keyboard.press('Escape');
  await expect(page.getByText(/drifts back at/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Method' }).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'drifts back' })).toBeVisible();
});

test('where too many flights would not come home, nothing is planned and it is said in the row and above', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  await page.getByLabel('Wind', { exact: true }).fill('3.9');
  await page.keyboard.press('Escape');
  await expect(page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes')).toContainText(
    /no safe flight: \d\d in 100 fail/,
  );
  await expect(page.locator('.MinutesView_cautions')).toContainText(
    /\d\d in 100 of these flights would not come home/,
  );
  await expect(page.locator('.BatteryRow_row[data-chosen] .BatteryRow_minutes b')).toHaveText('0:00');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No minutes to spend');
  // By itself it fails; by hand it does not, and that is one tap, with what it then rests on, on every screen.
  await page.getByRole('button', { name: /^Fly it home by hand/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ minutes to spend$/);
  await expect(page.locator('.MinutesView_cautions')).toContainText('in sight, link held, stick forward');
  await expect(page.getByLabel('Comes home')).toHaveValue(/^by hand/);
  await page.keyboard.press('2');
  await expect(page.getByText(/flown home by hand, (normal|fast) mode/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Comes home')).toHaveValue(/^by itself/);
});
