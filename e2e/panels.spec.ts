import { expect, pick, saved, test } from './fixtures';

test('T records over any view, and Esc goes back to it with the focus where it was (it stranded on another view)', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.keyboard.press('t');
  const form = page.getByRole('dialog', { name: 'Record a test' });
  await expect(form.getByLabel('Charge at lift-off')).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(form).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('minutes to spend');
  // A panel stands in the address: going back closes it, a link opens it.
  await page.keyboard.press('u');
  await expect(page.getByRole('dialog', { name: 'Units' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.goto(`${app.url}/kit?keys`);
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('drawers open on their first field, not on Close', async ({ app, page }) => {
  await page.goto(app.url);
  const focused = () =>
    page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent,
    );
  await page.keyboard.press('u');
  await expect.poll(focused).toBe('Metric');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'On the box' }).click();
  await expect(page.getByRole('dialog').getByRole('combobox', { name: 'Figures typical of' })).toBeFocused();
});

test('in the set-up Next goes on with the keyboard too: the first field of the next step has the focus', async ({
  emptyApp,
  page,
}) => {
  await page.goto(emptyApp.url);
  await page.getByLabel('Name', { exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Rated capacity')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Air temperature')).toBeFocused();
});

test('search by keys: a view, a battery of another aircraft, a shot, an action', async ({ app, page }) => {
  await page.goto(app.url);
  const find = async (letters: string, open: () => Promise<void>) => {
    await open();
    await expect(
      page.getByRole('textbox', { name: 'Search' }).or(page.getByLabel('Search').last()),
    ).toBeFocused();
    await page.keyboard.type(letters);
    // Marked in what was found, so that the list is of these letters.
    await expect(page.locator('mark').first()).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
  };
  await find('nutcracker 2', () => page.keyboard.press('/'));
  await expect(page.locator('.BatteryRow_line').filter({ hasText: 'Nutcracker 2' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await find('bridge', () => page.keyboard.press('Control+k'));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('take-offs');
  await expect(page.locator('.ShotList_open').filter({ hasText: '4 Bridge from below' })).toHaveAttribute(
    'aria-expanded',
    'true',
  );
  await find('units', () => page.keyboard.press('Control+k'));
  await expect(page.getByRole('dialog', { name: 'Units' })).toBeVisible();
});

test('search that is opened again while it still closes begins without the letters of before', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const letters = page.getByLabel('Search').last();
  await page.keyboard.press('/');
  await expect(letters).toBeFocused();
  await page.keyboard.type('nutcracker 2');
  await expect(page.locator('mark').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('bridge');
  await expect(letters).toHaveValue('bridge');
});

test('what was taken away is told with the way back beside it', async ({ app, page }) => {
  await page.goto(app.url);
  const rows = page.getByRole('list', { name: 'Batteries' }).getByRole('listitem');
  await pick(page, 'Aircraft', 'Nutcracker, 720 g');
  await expect(rows).toHaveCount(3);
  await page.getByRole('button', { name: /^Nutcracker 3/ }).click();
  await page.getByRole('button', { name: 'Remove Nutcracker 3' }).click();
  await expect(rows).toHaveCount(2);
  const told = page.getByRole('status').filter({ hasText: 'Nutcracker 3 removed.' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(rows).toHaveCount(3);
  await expect(told).toHaveCount(0);
  // What is only typed is not: the foot has the way back.
  await page.getByLabel('Start charge').fill('80');
  await expect(page.getByRole('button', { name: /^Undo: start charge of/ })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'done.' })).toHaveCount(0);
});

test('a shot of forty minutes is split where it is said that it fits nowhere, in one step to undo', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/swap-plan`);
  await page.locator('.ShotList_open').first().click();
  await page.getByLabel('Minutes of the shot').fill('40');
  await page.getByRole('button', { name: /^Split it into \d$/ }).click();
  const first = page.locator('.ShotList_open').first();
  await expect(first).toContainText(/Gate opens, 1 of \d/);
  await expect(page.getByText(/Takes 40:00 there/)).toHaveCount(0);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(first).toContainText('40:00');
});

test('an empty shoot does not say that every shot is on a battery', async ({ app, page }) => {
  const { items } = await (await page.request.get(`${app.url}/api/v1/shoots`)).json();
  const { id, createdAt: _c, updatedAt: _u, ...shoot } = items[0];
  await page.request.put(`${app.url}/api/v1/shoots/${id}`, { data: { ...shoot, shots: [] } });
  await page.goto(`${app.url}/swap-plan`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No shots yet');
  await expect(page.getByText(/batteries do it/)).toHaveCount(0);
});

test('where frost or water asks to hold back more, it is done there', async ({ app, page }) => {
  await page.goto(app.url);
  await page.keyboard.press('c');
  await page.getByLabel('Air temperature', { exact: true }).fill('-4');
  await page.keyboard.press('Escape');
  const more = page.getByRole('button', { name: 'Hold back 30 %' });
  await more.click();
  await expect(page.getByRole('radio', { name: /^30 %/ })).toBeChecked();
  await expect(more).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { name: /^25 %/ })).toBeChecked();
  await page.keyboard.press('2');
  await page.getByRole('combobox', { name: 'Under it' }).click();
  await page.getByRole('option', { name: 'water' }).click();
  await more.click();
  await expect(page.getByText(/9 in 10 flights land with 30 % or more/)).toBeVisible();
});

test.describe('days and hours as they are written here', () => {
  for (const [locale, written, typed] of [
    ['en-GB', '26 Nov 2026, 08:40', '27.11.2026 9:15'],
    ['de-DE', '26 Nov 2026, 08:40', '27/11/2026 0915'],
    ['en-US', 'Nov 26, 2026, 08:40', '11/27/2026 9:15'],
  ] as const)
    test.describe(locale, () => {
      test.use({ locale });

      test(`${written}, typed and picked, by 24 hours`, async ({ app, page }) => {
        await page.goto(app.url);
        await page.keyboard.press('c');
        const hour = page.getByLabel('Day and hour', { exact: true });
        await expect(hour).toHaveValue(written);
        await hour.fill('some day');
        await expect(page.getByRole('alert')).toContainText('a day and an hour are needed, as in');
        await hour.fill(typed);
        await hour.blur();
        await expect(hour).toHaveValue(written.replace('26', '27').replace('08:40', '09:15'));
        await page.getByRole('button', { name: 'Day and hour: pick the day' }).click();
        await page.getByRole('button', { name: /^25 November 2026/ }).click();
        await expect(hour).toHaveValue(written.replace('26', '25').replace('08:40', '09:15'));
        await saved(page);
      });
    });
});
