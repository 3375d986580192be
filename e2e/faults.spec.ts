import { expect, test } from './fixtures';

test('a view that cannot be drawn says so, the rest works on, and what was typed is there when it is back', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  await page.keyboard.press('t');
  const note = page.getByRole('dialog').getByLabel('Note');
  await note.fill('over the dam');
  // What no version of ours would send: a test without its numbers.
  const path = '**/api/v1/test-flights*';
  await page.route(path, async (route) => {
    const response = await route.fetch();
    const { items, ...rest } = (await response.json()) as { items: object[] };
    const broken = items.map((record) => ({ ...record, test: null }));
    await route.fulfill({ response, json: { ...rest, items: broken } });
  });
  await page.reload();
  const alert = page.getByRole('alert').filter({ hasText: 'This view could not be shown' });
  await expect(alert).toBeVisible();
  await expect(alert).toContainText('What you entered is kept.');
  await expect(alert.getByRole('heading', { level: 1 })).toBeVisible();
  // The panel is open still, as its address says.
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Kit' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(alert).toHaveCount(0);

  await page.unroute(path);
  await page.getByRole('link', { name: 'Test flights' }).click();
  await page.getByRole('button', { name: 'Reload the page' }).click();
  await expect(page.getByText('flights count')).toBeVisible();
  await page.keyboard.press('t');
  await expect(note).toHaveValue('over the dam');
});

test('what could not be fetched takes nothing else down; once the server answers the page is loaded anew', async ({
  app,
  page,
}) => {
  // Whatever comes after the page itself and its first view; the server may go at any moment.
  const late =
    /\/assets\/(menus|Notices|Panels|Search|Gain|FlightChart|KitView|samples|planFiles)-[\w-]+\.(js|css)$/;
  const health = '**/api/v1/health';
  await page.route(late, (route) => route.abort());
  await page.route(health, (route) => route.abort());
  await page.goto(app.url);
  await page.getByLabel('Start charge').fill('64');
  await expect(page.getByText('The plot could not be fetched')).toBeVisible();
  const foot = page.getByRole('contentinfo');
  await expect(foot).toContainText('A part of this page could not be fetched: the server does not answer.');
  await page.getByRole('button', { name: 'Search' }).click();
  await page.getByRole('link', { name: 'Kit K' }).click();
  await expect(page.getByRole('heading', { name: 'This view could not be fetched' })).toBeVisible();
  await page.getByRole('link', { name: 'Minutes 1' }).click();
  await expect(page.getByLabel('Start charge')).toHaveValue('64');
  await expect(page.getByRole('button', { name: 'Add a battery' })).toBeVisible();

  await page.unroute(health);
  const anew = foot.getByRole('button', { name: 'Reload the page' });
  await expect(anew).toBeVisible();
  await page.unroute(late);
  await anew.click();
  await expect(foot).not.toContainText('could not be fetched');
  await expect(page.getByLabel('Start charge')).toHaveValue('64');
  await page.getByRole('link', { name: 'Kit K' }).click();
  await expect(page.getByRole('table').first()).toBeVisible();
});

test('where neither the server nor this browser takes a change it is said, and leaving the page is asked about', async ({
  app,
  page,
}) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.goto(app.url);
  await page.waitForLoadState('networkidle');
  await app.stop();
  await page.getByLabel('Start charge').fill('64');
  await expect(page.getByText(/One change is only on this page/)).toBeVisible();
  const asked = page.waitForEvent('dialog');
  await page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await expect(page.getByLabel('Start charge')).toHaveValue('64');
});

test('a planner that could not be fetched says so, and plans once it can be', async ({ app, page }) => {
  const planner = '**/assets/planner-*.js';
  await page.route(planner, (route) => route.abort());
  await page.goto(`${app.url}/swap-plan`);
  await expect(page.getByText('The planner could not be fetched')).toBeVisible();
  await page.unroute(planner);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('take-offs');
});

test('a test that cannot be is asked about, and counts only once it is answered', async ({ app, page }) => {
  await page.goto(`${app.url}/test-flights`);
  const counted = page.getByText(/^\d+ of \d+ flights count/);
  await expect(counted).toContainText('8 of 9 flights');
  await page.keyboard.press('t');
  const form = page.getByRole('dialog');
  await form.getByLabel('Time in the air').fill('100:00');
  await form.getByLabel('Charge at lift-off').fill('99');
  await form.getByLabel('Charge at the end').fill('60');
  await expect(form.getByRole('status')).toBeVisible();
  await form.getByRole('button', { name: 'Keep this test' }).click();
  const questions = page.getByRole('list', { name: 'Asked before it counts' });
  await expect(questions).toBeVisible();
  await expect(counted).toContainText('8 of 10 flights');
  const asked = await questions.getByRole('listitem').count();
  for (let i = 0; i < asked; i++) await questions.getByRole('button').first().click();
  await expect(questions).toHaveCount(0);
  await expect(counted).toContainText('9 of 10 flights');
  await page.keyboard.press('Control+z');
  await expect(questions).toBeVisible();
  await expect(counted).toContainText('8 of 10 flights');
});
