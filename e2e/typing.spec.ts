import { expect, minutesToSpend, saved, test } from './fixtures';

test('a text that is not valid leaves the plan as it was before the typing began, also after a reload', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const before = await minutesToSpend(page, 'Jay 1');
  const charge = page.getByLabel('Start charge', { exact: true });
  const good = await charge.inputValue();
  // "1" and "15" are charges; with "150" neither of them may stay in the plan.
  await charge.click();
  await page.keyboard.type('150', { delay: 40 });
  await expect(page.getByRole('alert')).toContainText(`Until then ${good} % stands.`);
  expect(await minutesToSpend(page, 'Jay 1')).toBe(before);
  await page.keyboard.press('Escape');
  await expect(charge).toHaveValue(good);

  const height = page.getByLabel('Working height', { exact: true });
  const high = await height.inputValue();
  await height.click();
  await page.keyboard.type('99999', { delay: 40 });
  await expect(page.getByRole('alert')).toContainText(`Until then ${high} m stands.`);
  await saved(page);
  await page.reload();
  await expect(height).toHaveValue(high);

  await page.keyboard.press('c');
  const temperature = page.getByLabel('Air temperature', { exact: true });
  const mild = await temperature.inputValue();
  await temperature.click();
  await page.keyboard.type('999', { delay: 40 });
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await page.keyboard.press('c');
  await expect(temperature).toHaveValue(mild);
  expect(await minutesToSpend(page, 'Jay 1')).toBe(before);
});

test('thousands and decimals are understood as they are written here', async ({ app, page }) => {
  await page.goto(`${app.url}/way-home`);
  const distance = page.getByLabel('Distance out', { exact: true });
  await expect(distance).toHaveValue('150');
  await distance.fill('1,200');
  await distance.blur();
  await expect(distance).toHaveValue('1200');
  await distance.fill('12.5');
  await distance.blur();
  await expect(distance).toHaveValue('12.5');
});

test.describe('where it is French that is written', () => {
  test.use({ locale: 'fr-FR' });

  test('a comma is a decimal comma; a point before three digits may be either, and nothing is taken until it is said which', async ({
    app,
    page,
  }) => {
    await page.goto(`${app.url}/way-home`);
    const distance = page.getByLabel('Distance out', { exact: true });
    await distance.fill('12,5');
    await distance.blur();
    await expect(distance).toHaveValue('12.5');
    await distance.fill('1.200');
    await expect(page.getByRole('alert')).toContainText('Until then 12.5 m stands.');
    await page.getByRole('button', { name: '1200 m', exact: true }).click();
    await expect(distance).toHaveValue('1200');
  });
});

test('what is typed in one go is one step to undo, and what is taken back leaves none', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const charge = page.getByLabel('Start charge', { exact: true });
  const good = await charge.inputValue();
  await charge.click();
  await page.keyboard.type('80', { delay: 40 });
  await page.keyboard.press('Tab');
  const height = page.getByLabel('Working height', { exact: true });
  await height.click();
  await page.keyboard.type('9999', { delay: 40 });
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(charge).toHaveValue(good);
});
