import { expect, saved, test } from './fixtures';

test('a place has its own clock: a saved 07:00 stays 07:00 in Sydney, and its sunrise is in the morning', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  const hour = page.getByLabel('Day and hour', { exact: true });
  await hour.fill('2026-11-26T07:00');
  await page.getByLabel('Coordinates').fill('-33.8688, 151.2093');
  await expect(hour).toHaveValue('26 Nov 2026, 07:00');
  await expect(page.getByLabel('Time zone').first()).toHaveAttribute('placeholder', 'Australia/Sydney');
  // Sunrise of the almanac for Sydney at the end of November: 05:38 summer time (from memory, ±2 min).
  await expect(page.getByRole('region', { name: 'The day' })).toContainText(
    /sunrise 05:3[6-9]|sunrise 05:40/,
  );
  await page.keyboard.press('Escape');
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await expect(ribbon).toContainText('07:00');
  await expect(ribbon).toContainText('Sydney');
  await saved(page);
  await page.reload();
  await expect(ribbon).toContainText('Thu 26 Nov, 07:00');

  // The zone may be chosen by hand; the wall clock stays.
  await page.keyboard.press('c');
  await page.getByLabel('Time zone').first().fill('Perth');
  await page.getByRole('option', { name: 'Australia/Perth' }).click();
  await expect(hour).toHaveValue('26 Nov 2026, 07:00');
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('Perth');
});

test('a place that moves is one step to undo: the hour of the shoot and of the day come back with it', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/swap-plan`);
  const begins = page.getByLabel('First take-off', { exact: true });
  await expect(begins).toHaveValue('26 Nov 2026, 07:30');
  await page.keyboard.press('c');
  await page.getByLabel('Coordinates').fill('-33.8688, 151.2093');
  await page.keyboard.press('Escape');
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await expect(ribbon).toContainText('Sydney time');
  await expect(begins).toHaveValue('26 Nov 2026, 07:30');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(ribbon).not.toContainText('Sydney');
  await expect(ribbon).toContainText('08:40');
  await expect(begins).toHaveValue('26 Nov 2026, 07:30');
});

test('midnight sun: at McMurdo in November the sun does not set, and the day says so', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  await page.getByLabel('Coordinates').fill('-77.85, 166.67');
  await expect(page.getByRole('region', { name: 'The day' })).toContainText('The sun does not set');
});
