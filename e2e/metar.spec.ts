import { expect, saved, test } from './fixtures';

test('a METAR is told in words before it is used, mended where it is wrong, and taken back with one undo', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  const text = page.getByLabel('METAR text');
  await text.fill('METAR XXHF 260820Z 2408KT 9999 02/M01 Q0998');
  await expect(page.getByRole('alert')).toContainText('The wind group “2408KT” cannot be read');
  await expect(page.getByRole('button', { name: 'Use this weather' })).toHaveCount(0);
  await text.fill('METAR XXHF 260820Z VRB08G14KT 9999 02/M01 Q0998');
  await expect(page.getByRole('status')).toContainText('wind 4.1 m/s variable, gusts 7.2 m/s, at 10 m');
  await expect(page.getByRole('status')).toContainText('set the worst one for your way home');
  await page.getByRole('button', { name: 'Use this weather' }).press('Enter');
  await expect(text).toHaveValue('');
  await expect(page.getByLabel('QNH')).toHaveValue('998');
  await expect(page.getByLabel('Wind read at')).toHaveValue('10');
  await page.keyboard.press('Escape');
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await expect(ribbon).toContainText('air 2 °C');
  await expect(ribbon).toContainText('4.1 m/s from 240°');
  await saved(page);
  await page.reload();
  await expect(ribbon).toContainText('air 2 °C');
  await page.keyboard.press('c');
  await page.getByLabel('METAR text').fill('METAR XXHF 260820Z 24002KT 9999 04/01 Q1001');
  await page.getByRole('button', { name: 'Use this weather' }).click();
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('air 4 °C');
  await page.keyboard.press('Control+z');
  await expect(ribbon).toContainText('air 2 °C');
});
