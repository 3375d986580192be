import { readFileSync } from 'node:fs';
import { expect, pick, saved, test } from './fixtures';

test('kit by mouse: choose several, charge and fly them, undo in one step, damage one, write and read the file', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/kit`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    '3 aircraft, 11 of 12 batteries fit to fly',
  );
  const cycles = (label: string) => page.getByLabel(`Cycles of ${label}`);

  await test.step('flown adds a cycle to each chosen, and one undo takes both back', async () => {
    await page.getByLabel('Choose Jay 1').check();
    await page.getByLabel('Choose Jay 3').check();
    await expect(page.getByRole('status').filter({ hasText: 'chosen' })).toHaveText('2 batteries chosen');
    await page.getByRole('button', { name: 'Flown' }).click();
    await expect(cycles('Jay 1')).toHaveValue('13');
    await expect(cycles('Jay 3')).toHaveValue('45');
    await page.keyboard.press('Control+z');
    await expect(cycles('Jay 1')).toHaveValue('12');
    await expect(cycles('Jay 3')).toHaveValue('44');
  });

  await test.step('put to storage and charged now set the gauge', async () => {
    await page.getByLabel('Choose Jay 2').check();
    await page.getByRole('button', { name: 'Put to storage' }).click();
    await expect(page.getByLabel('Charge of Jay 2')).toHaveValue('60');
    await page.getByLabel('Choose Jay 2').check();
    await page.getByRole('button', { name: 'Charged now' }).click();
    await expect(page.getByLabel('Charge of Jay 2')).toHaveValue('99');
  });

  await test.step('a damaged one is neither counted nor planned', async () => {
    await pick(page, 'State of Jay 5', 'damaged');
    await page.getByRole('link', { name: /^Minutes/ }).click();
    const rows = page.getByRole('list', { name: 'Batteries' }).getByRole('listitem');
    await expect(rows).toHaveCount(4);
    await expect(rows.filter({ hasText: 'Jay 5' })).toHaveCount(0);
    await page.goto(`${app.url}/swap-plan`);
    const lanes = page.locator('.Lanes_lanes');
    await expect(lanes).toContainText('Jay 1');
    await expect(lanes).not.toContainText('Jay 5');
  });

  await test.step('sorted and searched', async () => {
    await page.goto(`${app.url}/kit`);
    await page.getByRole('button', { name: 'Cycles' }).click();
    const labels = page.getByLabel(/^Label of/);
    const first = async () => labels.first().inputValue();
    const up = await first();
    await page.getByRole('button', { name: 'Cycles' }).click();
    expect([up, await first()].sort()).toEqual(['Jay 1', 'Jay 3']);
    await pick(page, 'Batteries of', 'all aircraft');
    await page.getByLabel('Find').fill('damaged');
    await expect(labels).toHaveCount(2);
    await page.getByLabel('Find').fill('no such pack');
    await expect(page.getByText('No battery has “no such pack”')).toBeVisible();
  });

  await test.step('the file: out, changed by hand, in again, its wrong line left out and told', async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export CSV' }).click(),
    ]);
    const [heading, ...lines] = readFileSync(await download.path(), 'utf8')
      .trim()
      .split(/\r?\n/);
    expect(lines).toHaveLength(12);
    const jay1 = lines.find((line) => line.startsWith('Jay,Jay 1,')) ?? '';
    const text = [
      heading,
      jay1.replace(',12,', ',30,'),
      jay1.replace('Jay 1', 'Jay 9'),
      jay1.replace('2350', 'much'),
    ].join('\n');
    await page.getByRole('button', { name: 'Import CSV' }).click();
    await page
      .getByLabel('CSV file of batteries')
      .setInputFiles({ name: 'packs.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    const drawer = page.getByRole('dialog', { name: 'Import batteries' });
    await expect(drawer).toContainText('Line 4, capacity mAh: Rated capacity: a number in mAh is needed');
    await drawer.getByRole('button', { name: 'Take 2 batteries' }).click();
    await expect(drawer).toBeHidden();
    await page.getByLabel('Find').fill('');
    await expect(cycles('Jay 1')).toHaveValue('30');
    await expect(cycles('Jay 9')).toHaveValue('12');
    await saved(page);
    await page.reload();
    await expect(cycles('Jay 9')).toHaveValue('12');
  });
});

test('kit by keyboard alone: down a column, an aircraft copied and taken back, its spec sheet, a charger', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await expect(page.getByRole('heading', { name: 'Minutes to spend' })).toBeVisible();
  await page.keyboard.press('k');
  await page.getByLabel('Cycles of Jay 1').focus();
  await page.keyboard.type('20');
  await page.keyboard.press('Enter');
  await page.keyboard.type('21');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Cycles of Jay 3')).toBeFocused();
  await page.keyboard.press('Shift+Enter');
  await expect(page.getByLabel('Cycles of Jay 2')).toBeFocused();
  await expect(page.getByLabel('Cycles of Jay 2')).toHaveValue('21');
  await page.keyboard.type('many');
  await expect(page.getByRole('alert')).toHaveText(
    'Cycles of Jay 2: a number is needed, not “many”. Until then 21 stands.',
  );
  await page.keyboard.press('Tab');

  await page.getByRole('button', { name: 'Copy' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('4 aircraft');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('3 aircraft');

  await page.getByRole('button', { name: /^Jay 249 g/ }).press('Enter');
  await page.getByRole('button', { name: 'Spec sheet' }).press('Enter');
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByLabel(/Flight time on the box/)).toHaveValue('31');
  // What the box leaves out is assumed, and the field shows with what.
  await expect(sheet.getByLabel(/^Electronics/)).toHaveAttribute('placeholder', /\d/);
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Add a charger' }).press('Enter');
  await page.getByLabel('Empty to full on Charger 3').fill('40');
  // By hand: the taper takes 0.2·ln 10/0.9 = 0.5117 of a unit, so 25 → 100 % is (0.55 + 0.5117)/1.3117 of 40 min, 32:23.
  await expect(page.getByRole('row').filter({ has: page.getByLabel('Name of Charger 3') })).toContainText(
    '32:23 min',
  );
  await page.getByLabel('Packs at once on Charger 3').fill('0');
  await expect(page.getByRole('alert')).toContainText('Packs at once on Charger 3 must be from 1');
  await page.keyboard.press('Control+z');
});

test('units: metric to imperial anywhere with U, what is typed in another unit is understood', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const ribbon = page.getByRole('region', { name: 'Conditions' });
  await page.keyboard.press('u');
  await page.getByRole('button', { name: 'Imperial' }).press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  // By hand: 5 °C is 41 °F, 3 m/s is 6.7 mph, 620 m is 2034 ft, 60 m is 197 ft.
  await expect(ribbon).toContainText('air 41 °F');
  await expect(ribbon).toContainText('wind 6.7 mph');
  await expect(ribbon).toContainText('ground 2034 ft');
  await expect(page.getByLabel('Working height', { exact: true })).toHaveValue('197');
  await page.keyboard.press('c');
  await page.getByLabel('Air temperature', { exact: true }).fill('-5 °C');
  await page.getByLabel('Wind', { exact: true }).fill('10 kn');
  await page.getByLabel('Wind read at').fill('33 ft');
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('air 23 °F');
  await expect(ribbon).toContainText('wind 11.5 mph');
  await page.reload();
  await expect(ribbon).toContainText('air 23 °F');
  await page.keyboard.press('u');
  await pick(page, 'Wind and speed', 'km/h');
  await page.keyboard.press('Escape');
  await expect(ribbon).toContainText('wind 18.5 km/h');
});
