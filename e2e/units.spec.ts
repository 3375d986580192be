import type { Page } from '@playwright/test';
import { expect, type RunningApp, test } from './fixtures';
import { goTo, type Opening, openings } from './openings';

const imperial = {
  speed: 'mph',
  distance: 'ft',
  temperature: '°F',
  mass: 'lb',
  pressure: 'inHg',
};

/** A number followed by a metric unit; not mAh, mΩ or the "m" of a word. */
const metric =
  /\d[\d.,]*\s?(m|m\/s|km|km\/h|°C|g|kg|mm|cm|cm²|m²|hPa|kg\/m³|N\/m²|metres|kilometres|kilograms?|grams?)(?![\wΩ²³/A])/g;
/** Six digits behind the point are never meant. */
const endless = /\d\.\d{5,}/g;

/** Everything that is read or read out: text, values and the names only a screen reader tells. */
function words(page: Page): Promise<string> {
  return page.evaluate(() => {
    const told = ['aria-label', 'aria-valuetext', 'aria-description', 'title', 'placeholder', 'alt'];
    const all = [...document.querySelectorAll('body *')];
    const names = all.flatMap((element) => told.map((name) => element.getAttribute(name) ?? ''));
    const typed = all.map((element) =>
      element instanceof HTMLInputElement && !['hidden', 'checkbox', 'radio'].includes(element.type)
        ? element.value
        : '',
    );
    const hidden = all.map((element) => (element instanceof SVGTextElement ? element.textContent : ''));
    return [document.body.innerText, ...names, ...typed, ...hidden].filter(Boolean).join('\n');
  });
}

async function found(page: Page, what: RegExp): Promise<string[]> {
  const text = await words(page);
  return [...text.matchAll(what)].map(({ index = 0 }) => text.slice(Math.max(0, index - 30), index + 20));
}

/** They have per cent and minutes only, or units beside fields that are empty. */
const withoutUnits = ['keys', 'time it by the clock', 'the clock in the air', 'pasting shots'];
const isEmpty = ({ empty }: Opening) => empty ?? false;
const appOf = (opening: Opening, app: RunningApp, emptyApp: RunningApp) =>
  isEmpty(opening) ? emptyApp : app;

test('with imperial units no view and no drawer says a metric word, nor a number with endless decimals', async ({
  app,
  emptyApp,
  page,
}) => {
  test.setTimeout(180_000);
  await page.addInitScript((units) => {
    if (localStorage.getItem('acorn-tally-chosen')) return;
    localStorage.setItem('acorn-tally-chosen', JSON.stringify({ state: { units }, version: 0 }));
  }, imperial);
  for (const opening of openings) {
    await goTo(page, opening, appOf(opening, app, emptyApp));
    // The panel of units names them all, and the file keeps the units of its columns.
    if (['units', 'importing batteries', 'reading log files', 'pasting shots'].includes(opening.name))
      continue;
    expect(await found(page, metric), opening.name).toEqual([]);
    expect(await found(page, endless), opening.name).toEqual([]);
  }
});

test('the hunt finds what it hunts: with metric units a view has such words (every third of them)', async ({
  app,
  page,
}) => {
  test.setTimeout(120_000);
  const withUnits = openings.filter((one) => !isEmpty(one) && !withoutUnits.includes(one.name));
  for (const opening of withUnits.filter((_, i) => i % 3 === 0)) {
    await goTo(page, opening, app);
    expect((await found(page, metric)).length, opening.name).toBeGreaterThan(0);
  }
});

test('what refuses and warns is in the pilot’s units too: a reach beyond the wind, a height beyond the range', async ({
  app,
  page,
}) => {
  await page.addInitScript(
    (units) => localStorage.setItem('acorn-tally-chosen', JSON.stringify({ state: { units }, version: 0 })),
    imperial,
  );
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
  expect(await found(page, metric)).toEqual([]);
});
