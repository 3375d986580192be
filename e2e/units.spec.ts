import { expect, test } from './fixtures';
import { found, imperialUnits, metricWords } from './looks/words';

test('what refuses and warns is in the pilot’s units too: a reach beyond the wind, a height beyond the range', async ({
  app,
  page,
}) => {
  await imperialUnits(page);
  await page.goto(app.url);
  await page.getByLabel('Working height', { exact: true }).fill('99999');
  // 500 m are 1640 ft, by hand.
  await expect(page.getByRole('alert')).toContainText('from 0 to 1640 ft');
  await page.getByLabel('Working height', { exact: true }).fill('400');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('c');
  await page.getByLabel('Wind', { exact: true }).fill('60 mph');
  await page.getByLabel('Wind from').fill('WSW');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Conditions' })).toContainText('from 248°');
  await expect(page.getByRole('list', { name: 'Batteries' })).toContainText('mph');
  expect(await found(page, metricWords)).toEqual([]);
});
