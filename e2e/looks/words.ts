import type { Page } from '@playwright/test';

const imperial = {
  speed: 'mph',
  distance: 'ft',
  temperature: '°F',
  mass: 'lb',
  pressure: 'inHg',
};

/** From now on pages begin with imperial units. */
export async function imperialUnits(page: Page): Promise<void> {
  await page.addInitScript((units) => {
    if (localStorage.getItem('acorn-tally-chosen')) return;
    localStorage.setItem('acorn-tally-chosen', JSON.stringify({ state: { units }, version: 0 }));
  }, imperial);
}

/** A number followed by a metric unit; not mAh, mΩ or the "m" of a word. */
export const metricWords =
  /\d[\d.,]*\s?(m|m\/s|km|km\/h|°C|g|kg|mm|cm|cm²|m²|hPa|kg\/m³|N\/m²|metres|kilometres|kilograms?|grams?)(?![\wΩ²³/A])/g;
/** Six digits behind the point are never meant. */
export const endlessDecimals = /\d\.\d{5,}/g;

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

/** What of it stands on the page, with what is around it. */
export async function found(page: Page, what: RegExp): Promise<string[]> {
  const text = await words(page);
  return [...text.matchAll(what)].map(({ index = 0 }) => text.slice(Math.max(0, index - 30), index + 20));
}
