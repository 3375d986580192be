import { expect, pick, saved, test } from './fixtures';

const chargeOf = 'Start charge';

test('two tabs: what one changes the other shows; what both changed is asked, field by field, and neither is lost', async ({
  app,
  page,
  context,
  browser,
}) => {
  await page.goto(app.url);
  const tab = await context.newPage();
  await tab.goto(app.url);
  await page.getByLabel(chargeOf).fill('71');
  await expect(tab.getByLabel(chargeOf)).toHaveValue('71');

  // Another machine, which hears nothing of this one.
  const elsewhere = await (await browser.newContext()).newPage();
  await elsewhere.goto(app.url);
  await expect(elsewhere.getByLabel(chargeOf)).toHaveValue('71');
  await page.getByLabel('Cycles').fill('77');
  await saved(page);
  await elsewhere.getByLabel('Cycles').fill('13');
  await elsewhere.getByLabel('Pack temperature').fill('18');
  const told = elsewhere.getByRole('alert').filter({ hasText: 'Battery Jay 1 was changed elsewhere too.' });
  await expect(told).toBeVisible();
  await expect(elsewhere.getByLabel('Cycles')).toHaveValue('13');
  await elsewhere.reload();
  await expect(told).toBeVisible();
  await expect(elsewhere.getByLabel('Cycles')).toHaveValue('13');

  await told.getByRole('button', { name: 'Choose' }).click();
  const panel = elsewhere.getByRole('dialog', { name: 'Two versions' });
  await expect(panel.getByRole('radio', { name: 'Cycles: yours, 13' })).toBeChecked();
  await panel.getByRole('radio', { name: 'Cycles: the other, 77' }).check();
  await panel.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(panel).toContainText('Nothing to choose');
  await elsewhere.keyboard.press('Escape');
  await saved(elsewhere);
  await page.reload();
  await expect(page.getByLabel('Cycles')).toHaveValue('77');
  await expect(page.getByLabel('Pack temperature')).toHaveValue('18');
});

test('the server ends in the middle of it: all goes on, outlives a closed page, and is sent when the server is back', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  const url = app.url;
  const port = new URL(url).port;
  await expect(page.getByLabel(chargeOf)).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await app.stop();
  await page.getByLabel(chargeOf).fill('64');
  await expect(page.getByText(/One change is kept here/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a battery' }).click();
  await expect(page.getByText(/2 changes are kept here, and sent when it does/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Jay 6/ })).toBeVisible();
  await app.startOn(port);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Jay 6/ })).toBeVisible();
  await page.getByRole('button', { name: /^Jay 1/ }).click();
  await expect(page.getByLabel(chargeOf)).toHaveValue('64');
  // What was done before the page was loaded anew can still be taken back, and brought again.
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo: adding Jay 6/ }).click();
  await expect(page.getByRole('button', { name: /^Jay 6/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^Redo: adding Jay 6/ }).click();
  await expect(page.getByRole('button', { name: /^Jay 6/ })).toBeVisible();
});

test('undo and redo by keys, also while a list to choose from has the focus; a number typed slowly is one step, two moves are two', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: /^1 Gate opens/ }).click();
  const minutes = page.getByLabel('Minutes of the shot');
  await minutes.fill('12');
  await minutes.press('Tab');
  await minutes.focus();
  await minutes.press('Control+A');
  await minutes.pressSequentially('16', { delay: 2500 });
  await minutes.press('Tab');
  const style = page.getByRole('combobox', { name: 'Style' });
  await style.focus();
  await page.keyboard.press('Control+Z');
  await expect(minutes).toHaveValue(/^12/);
  await page.keyboard.press('Control+Shift+Z');
  await expect(minutes).toHaveValue(/^16/);
  const list = page.getByRole('complementary', { name: 'Shots and shoot' }).getByRole('listitem');
  const first = () => list.first().innerText();
  const before = await first();
  await page
    .getByRole('button', { name: 'Later' })
    .or(page.getByRole('button', { name: /down/i }))
    .first()
    .click();
  const once = await first();
  expect(once).not.toBe(before);
  await page.getByRole('button', { name: /down/i }).first().click();
  await page.getByRole('button', { name: /^Undo: order/ }).click();
  expect(await first()).toBe(once);
  await page.getByRole('button', { name: /^Undo: order/ }).click();
  expect(await first()).toBe(before);
});

test('an aircraft in use is not removed but may be retired; another aircraft has its own shoots, which are begun anew and removed', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/kit`);
  await page.getByRole('button', { name: 'Remove', exact: true }).first().click();
  const notice = page.getByRole('alert').filter({ hasText: 'Jay was not removed: battery Jay 1' });
  await expect(notice).toBeVisible();
  await page.goto(`${app.url}/swap-plan`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('shots');
  await page.goto(app.url);
  await pick(page, 'Aircraft', 'Nutcracker, 720 g');
  await page.getByRole('link', { name: /Swap plan/ }).click();
  await expect(page.getByRole('heading', { name: 'No shoot with Nutcracker yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Start a shoot with Nutcracker' }).click();
  await expect(page.getByLabel('Shoot', { exact: true })).toHaveValue('My shoot');
  await page.getByRole('button', { name: 'Another shoot' }).click();
  await expect(page.getByLabel('Shoot', { exact: true })).toHaveValue('My shoot 2');
  await page.getByRole('button', { name: 'Remove this shoot' }).click();
  await expect(page.getByLabel('Shoot', { exact: true })).toHaveValue('My shoot');
  await page.keyboard.press('Control+Z');
  await pick(page, 'Shown', 'My shoot 2');
  await expect(page.getByLabel('Shoot', { exact: true })).toHaveValue('My shoot 2');
});

test('another day, another place: each keeps its own weather and ground, and a shoot its day', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/swap-plan`);
  await page.keyboard.press('c');
  const drawer = page.getByRole('dialog', { name: 'Conditions' });
  await drawer.getByRole('button', { name: 'Another day' }).click();
  await drawer.getByLabel('Air temperature').first().fill('-4');
  await drawer.getByRole('button', { name: 'Another place' }).click();
  await drawer.getByLabel('Place', { exact: true }).fill('Upper tarn');
  await drawer.getByLabel('Ground elevation').fill('710');
  await page.keyboard.press('Escape');
  await expect(page.locator('.Ribbon_ribbon')).toContainText('Upper tarn');
  await expect(page.locator('.Ribbon_ribbon')).toContainText('−4 °C');
  await expect(page.getByText(/planned with the weather of Thu 26 Nov at Hollin Fell dairy/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.locator('.Ribbon_ribbon')).toContainText('Upper tarn');
  await page.getByRole('button', { name: 'Show that day' }).click();
  await expect(page.locator('.Ribbon_ribbon')).toContainText('Hollin Fell dairy');
  await expect(page.locator('.Ribbon_ribbon')).toContainText('620 m');
});

test('a reload in the middle of setting up loses nothing of the aircraft and its pack', async ({
  emptyApp,
  page,
}) => {
  await page.goto(emptyApp.url);
  await page.getByLabel('Name').fill('Wren');
  await page.getByLabel('Flight time on the box').fill('27');
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByLabel('Rated capacity').fill('2600');
  await page.reload();
  await expect(page.getByLabel('Rated capacity')).toHaveValue('2600');
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Wren');
  await expect(page.getByLabel('Flight time on the box')).toHaveValue('27');
});
