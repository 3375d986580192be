import { expect, saved, test, toHour } from './fixtures';

test('the hours of a day by pointer and keys: the weather of the hour, the sun, another day, and undo', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await page.keyboard.press('c');
  const day = page.getByRole('region', { name: 'The day' });
  // Sun times at 54.52° N 2.81° W on 26 November, checked against another package in core.
  await expect(day).toContainText('sunrise 08:01');
  const slider = page.getByLabel('Hour of the day');
  await toHour(page, 13 * 60);
  await expect(day).toContainText('Thu 26 Nov, 13:00 air 8.0 °C, wind 4.4 m/s, gusts 7.3 m/s, day');
  await slider.press('ArrowLeft');
  await expect(day).toContainText('12:50');
  await page.getByRole('button', { name: 'Wed 25' }).click();
  await expect(day).toContainText('Wed 25 Nov, 12:50');

  const strip = page.locator('.DayStrip_strip');
  const box = await strip.boundingBox();
  if (!box) throw new Error('The strip is not on the screen.');
  await page.mouse.move(box.x + box.width * 0.5, box.y + 30);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.75, box.y + 30, { steps: 5 });
  await page.mouse.up();
  await expect(day).toContainText('18:00');
  await expect(day).toContainText('night');
  await toHour(page, 20 * 60);
  await expect(day).toContainText('20:00');
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('Wed 25 Nov, 20:00');
  await page.keyboard.press('Control+z');
  await expect(ribbon).not.toContainText('Wed 25 Nov, 20:00');
  await saved(page);
});

test('hourly rows from a file and from the practice station: told before use, wrong cells named, marked as practice', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await page.keyboard.press('c');
  const read = (text: string) =>
    page
      .getByLabel('Hourly CSV file')
      .setInputFiles({ name: 'fell.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await read('hour of day,warmth\n1,2\n');
  await expect(page.getByRole('alert')).toContainText('fell.csv: The first line must name the columns');
  await read(
    'time,temperature,wind,gust,from\n2026-11-26T08:00,1,10 km/h,,200\n2026-11-26T09:00,3,20 km/h,,220\n2026-11-26T10:00,warm,20,,220\n',
  );
  await expect(page.getByRole('status')).toContainText('2 hours, Thu 26 08:00 to Thu 26 09:00');
  await expect(page.getByRole('status')).toContainText(
    'line 4, temperature: Air temperature: a number in °C',
  );
  await page.getByRole('button', { name: 'Use these hours' }).click();
  await toHour(page, 8 * 60 + 30);
  // Half-way between the two rows, by hand: 2 °C and 15 km/h.
  await expect(page.getByLabel('Air temperature', { exact: true })).toHaveValue('2');
  await expect(page.getByLabel('Wind', { exact: true })).toHaveValue('4.17');

  await page.getByRole('button', { name: 'Ask the practice station' }).click();
  await expect(page.getByLabel('METAR text')).toHaveValue(/^METAR XPRA 260900Z/);
  await page.getByRole('button', { name: 'Use these hours' }).click();
  await toHour(page, 10 * 60);
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('practice weather');
  await page.keyboard.press('c');
  await page.getByLabel('Wind', { exact: true }).fill('3.5');
  await page.keyboard.press('Escape');
  await expect(ribbon).not.toContainText('practice weather');
});

test('the place: coordinates, ground by picture, a tall thing above the return height, a ceiling below the work', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const cautions = page.locator('.MinutesView_cautions');
  await page.keyboard.press('c');
  await page.getByLabel('Coordinates').fill('somewhere');
  await expect(page.getByRole('alert')).toContainText('Latitude and longitude are needed');
  await page.getByLabel('Coordinates').fill('70 N 25 E');
  await expect(page.getByRole('region', { name: 'The day' })).toContainText('The sun does not rise');
  const aloft = page.locator('.WindByHeight_table tbody tr').first();
  const before = await aloft.innerText();
  await page.getByLabel('Wind read at').fill('10');
  await expect(aloft).not.toHaveText(before);
  const overGrass = await aloft.innerText();
  await page.getByRole('radio', { name: 'wood or town' }).check();
  await expect(aloft).not.toHaveText(overGrass);
  await page.getByLabel('Tallest obstacle').fill('50');
  await page.getByLabel('Local ceiling').fill('50');
  await page.keyboard.press('Escape');
  await expect(cautions).toContainText('Above your local ceiling of 50 m');
  await expect(cautions).toContainText('the tallest obstacle is 50 m high: set the return height to');
});

test('what a report does not say is asked for until it is entered', async ({ app, page }) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  await page.getByLabel('METAR text').fill('METAR XXHF 260820Z VRB03KT 9999 ///// Q1003');
  await page.getByRole('button', { name: 'Use this weather' }).click();
  await expect(page.getByText('the report did not give it: enter it')).toHaveCount(2);
  await page
    .getByLabel(/^Air temperature/)
    .first()
    .fill('4');
  await page.getByLabel(/^Wind from/).fill('250');
  await expect(page.getByText('the report did not give it: enter it')).toHaveCount(0);
});
