import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** A file as a person would choose it. */
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

async function openConditions(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('c');
}

// Reports of 25 Nov 2026 that were half read, or took the page down.
const reports = [
  { text: 'METAR XXHF 260820Z 240025G040KT 9999 05/03 Q1008', says: /wind group “240025G040KT”/ },
  { text: 'METAR XXHF 260820Z 36108KT 9999 05/03 Q1008', says: /a direction is 000 to 360/ },
  { text: 'METAR XXHF 260820Z 24008KT 9999 05/03 Q10O8', says: /Q10O8/ },
  { text: 'the wind is fresh from the west', says: /begins with four letters of the place/ },
  { text: `METAR XXHF 260820Z ${'24008KT '.repeat(2000)}`, says: /A report has some hundred characters/ },
];

test('a report that is wrong somewhere changes nothing and says which group it is; the text stays', async ({
  app,
  page,
}) => {
  await openConditions(page, app.url);
  const box = page.getByLabel('METAR text');
  const wind = page.getByRole('textbox', { name: 'Wind', exact: true });
  const before = await wind.inputValue();
  for (const { text, says } of reports) {
    await box.fill(text);
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText(says);
    await expect(page.getByRole('button', { name: /^Use/ })).toHaveCount(0);
    await expect(box).toHaveValue(text);
  }
  await expect(wind).toHaveValue(before);
  // Closed and opened again, the text is still there to be mended.
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('c');
  await expect(box).toHaveValue(reports.at(-1)?.text ?? '');
});

test('a report without a wind, with a direction that varies, is read for what it says (it took the page down)', async ({
  app,
  page,
}) => {
  await openConditions(page, app.url);
  await page.getByLabel('METAR text').fill('METAR XXHF 260820Z /////KT 240V300 9999 05/03 Q1008');
  await expect(page.getByRole('dialog')).toContainText('the wind: enter it');
  await expect(page.getByRole('dialog')).toContainText('QNH 1008 hPa');
});

test('files that are no weather, no kit and no map say so, and what there was stays', async ({
  app,
  page,
}) => {
  await openConditions(page, app.url);
  const hours = page.getByLabel('Hourly CSV file');
  for (const text of ['', 'not a table', 'time,wind\n2026-11-26 08:00,3\n', '\u0000\u0001\u0002']) {
    await hours.setInputFiles(file('hours.csv', text));
    await expect(page.getByRole('dialog').getByRole('alert').first()).toBeVisible();
  }
  await page.goto(`${app.url}/kit`);
  const rows = page.getByRole('row');
  await expect(rows.nth(1)).toBeVisible();
  const before = await rows.count();
  await page.getByRole('button', { name: 'Import CSV' }).click();
  await page.getByLabel('CSV file of batteries').setInputFiles(file('packs.csv', 'a,b\n1,2\n'));
  await expect(page.getByText('The first line must name the columns')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(rows).toHaveCount(before);

  await page.goto(`${app.url}/way-home`);
  const things = page.locator('.PlacedThings_thing');
  await expect(things.first()).toBeVisible();
  const stood = await things.count();
  await page.getByLabel('GeoJSON file').setInputFiles(file('map.geojson', '{"type":"FeatureCollection"'));
  await expect(page.getByRole('alert').first()).toBeVisible();
  await expect(things).toHaveCount(stood);
});
