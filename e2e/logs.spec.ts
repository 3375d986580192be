import { readFileSync, truncateSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, pick, saved, test } from './fixtures';
import { type LogFile, logFiles } from './fixtures/logFiles';

async function open(page: Page, ...files: LogFile[]) {
  if (!(await page.getByRole('dialog').isVisible()))
    await page.getByRole('button', { name: 'Read log files' }).click();
  await page.getByLabel('Log files', { exact: true }).setInputFiles(files);
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  return page.getByRole('dialog', { name: 'Read log files' });
}

test('twelve files, each with what is due: read in any layout, mended, or refused with a sentence; nothing is kept unasked', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  const due: readonly [LogFile, readonly (string | RegExp)[]][] = [
    [logFiles.good(), ['Flight 1: 20:00 min, 98 % to 20 %', '25 Nov 2026, 10:10']],
    [logFiles.semicolons(), ['Flight 1: 20:00 min, 98 % to 20 %', 'in fraction']],
    [logFiles.utf16(), ['Flight 1: 20:00 min, 98 % to 20 %']],
    [logFiles.imperial(), ['Flight 1: 20:00 min, 98 % to 20 %', 'in ft', 'in kn', 'in ms']],
    [logFiles.truncated(), ['One line is left out', /Line 1212: \d of 6 columns/]],
    [logFiles.twoFlights(), ['Flight 1: 20:00 min', 'Flight 2: 10:00 min, 98 % to 50 %']],
    [logFiles.shuffled(), ['Flight 1: 20:00 min, 98 % to 20 %']],
    [logFiles.hostile(), ['defines entities of its own']],
    [logFiles.empty(), ['The file is empty']],
    [logFiles.wrongType(), ['This is no']],
  ];
  for (const [file, words] of due) {
    const panel = await open(page, file);
    for (const one of words) await expect(panel, file.name).toContainText(one);
  }
  const { items } = await (await page.request.get(`${app.url}/api/v1/test-flights`)).json();
  expect(items).toHaveLength(9);

  // All at once, kept in one step; the same file under another name is known again.
  const panel = await open(page, logFiles.good(), logFiles.twoFlights());

  await panel.getByRole('button', { name: 'Keep 3 flights' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('20:00 min, down to 20 %');
  await expect(page.getByText('Read from good.csv, flight 1.')).toBeVisible();
  await expect(page.locator('.TestFlightsView_item')).toHaveCount(12);
  await saved(page);
  const again = await open(page, logFiles.duplicate());
  await expect(again).toContainText('was kept before');
  await expect(again.getByRole('button', { name: 'Keep 0 flights' })).toBeDisabled();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.TestFlightsView_item')).toHaveCount(9);
});

test('headings that say nothing are named once by the pilot, and known for the next such file', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  let panel = await open(page, logFiles.strange());
  await expect(panel).toContainText('Which column tells time, and which charge?');
  await pick(page, 'Column of time', 'alpha');
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await pick(page, 'Column of charge', 'beta');
  await expect(panel).toContainText('98 % to 20 %');
  await page.reload();
  panel = await open(page, logFiles.strange());
  await expect(panel).toContainText('98 % to 20 %');
});

test('a file of 200 MB is refused with a sentence, at once', async ({ app, page }) => {
  await page.goto(`${app.url}/test-flights`);
  const path = test.info().outputPath('huge.csv');
  writeFileSync(path, 'time s,charge %\n');
  truncateSync(path, 200_000_000);
  await page.getByRole('button', { name: 'Read log files' }).click();
  await page.getByLabel('Log files', { exact: true }).setInputFiles(path);
  await expect(page.getByRole('dialog', { name: 'Read log files' })).toContainText(
    'This file is too large: logs are read up to 100 MB',
  );
});

test('reading is cancelled, and nothing comes of it', async ({ app, page }) => {
  await page.goto(`${app.url}/test-flights`);
  const { buffer } = logFiles.large();
  const longer = test.info().outputPath('longer.csv');
  writeFileSync(longer, Buffer.concat(Array.from({ length: 15 }, () => buffer)));
  await page.getByRole('button', { name: 'Read log files' }).click();
  const panel = page.getByRole('dialog', { name: 'Read log files' });
  await page.getByLabel('Log files', { exact: true }).setInputFiles(longer);
  await panel.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(panel).not.toContainText('Flight 1');
});

test('a log and its track together: pattern and samples are kept, and given out as a track that is read back', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/test-flights`);
  const panel = await open(page, logFiles.good(), logFiles.track());
  await expect(panel).toContainText('with the track of circle.gpx');
  await expect(panel).toContainText('by its track circle round a subject');
  await panel.getByRole('button', { name: 'Keep one flight' }).click();
  await saved(page);
  const samples = async () => {
    const { items } = await (await page.request.get(`${app.url}/api/v1/test-flights`)).json();
    const answer = await page.request.get(`${app.url}/api/v1/test-flights/${items.at(-1).id}/samples`);
    return (await answer.text()).trim().split('\n').length;
  };
  // A line for the headings, and 1,201 a second apart from lift-off on.
  await expect.poll(samples).toBe(1202);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Samples as GPX' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/\.gpx$/);
  const again = await open(page, {
    name: 'again.gpx',
    mimeType: 'application/gpx+xml',
    buffer: readFileSync(await file.path()),
  });
  await expect(again).toContainText('1201 rows');
});

test('a test is exported and read back as the same flight', async ({ app, page }) => {
  await page.goto(`${app.url}/test-flights`);
  await page.getByRole('button', { name: /^Jay 1 · low hover/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export CSV' }).click();
  const path = await (await download).path();
  await page.getByRole('button', { name: 'Read log files' }).click();
  await page.getByLabel('Log files', { exact: true }).setInputFiles(path);
  const panel = page.getByRole('dialog', { name: 'Read log files' });
  await expect(panel).toContainText('Flight 1: 20:24 min, 98 % to 20 %');
  await expect(panel).toContainText('7 steps of the gauge');
});
