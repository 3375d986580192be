import type { Page } from '@playwright/test';
import { expect, type RunningApp, test } from './fixtures';
import { violations } from './looks/accessibility';
import { layoutFlaws } from './looks/layout';
import { tooSmall } from './looks/targets';
import { endlessDecimals, found, imperialUnits, metricWords } from './looks/words';
import { goTo, type Opening, openings } from './openings';

/** Something that is looked for in a view: what is wrong in it, in words. */
type Look = (page: Page, opening: Opening, nth: number) => Promise<string[]>;

/** They have per cent and minutes only, or units beside fields that are empty. */
const withoutUnits = ['keys', 'time it by the clock', 'the clock in the air', 'pasting shots'];
/** The panel of units names them all, and a file keeps the units of its columns. */
const withAllUnits = ['units', 'importing batteries', 'reading log files', 'pasting shots'];

const isAccessible: Look = (page, _, nth) => violations(page, nth % 2 === 0 ? 'dusk' : 'sunlight');
const isImperial: Look = async (page, { name }) =>
  withAllUnits.includes(name)
    ? []
    : [...(await found(page, metricWords)), ...(await found(page, endlessDecimals))];
/** So that the hunt for metric words is known to find them. */
const isMetric: Look = async (page, { name, empty }) =>
  empty || withoutUnits.includes(name) || (await found(page, metricWords)).length > 0
    ? []
    : ['no metric word'];
const fitsAt =
  (width: number, height: number): Look =>
  async (page) => {
    await page.setViewportSize({ width, height });
    await page.waitForTimeout(200);
    return (await layoutFlaws(page)).map((flaw) => `${width} px: ${flaw}`);
  };

/** Opens every third view and drawer once; getting there takes long, so all that is looked for is looked for there. */
function walk(third: number, looks: readonly Look[]) {
  return async ({ app, emptyApp, page }: { app: RunningApp; emptyApp: RunningApp; page: Page }) => {
    test.setTimeout(300_000);
    const wrong: string[] = [];
    for (const [nth, opening] of openings.filter((_, i) => i % 3 === third).entries()) {
      await goTo(page, opening, opening.empty ? emptyApp : app);
      for (const look of looks) {
        wrong.push(...(await look(page, opening, nth)).map((one) => `${opening.name}: ${one}`));
      }
    }
    expect(wrong).toEqual([]);
  };
}

for (const third of [0, 1, 2]) {
  const part = `part ${third + 1} of all views and drawers`;
  test.describe('on a desk, with imperial units, whose words are longer', () => {
    test.beforeEach(({ page }) => imperialUnits(page));
    test(
      `nothing is cut or lies on another at 1280 and 1024 px, no metric word or number without end is said, and axe finds nothing: ${part}`,
      walk(third, [fitsAt(1024, 768), fitsAt(1280, 800), isImperial, isAccessible]),
    );
  });

  test.describe('by finger, 390×844, with metric units', () => {
    test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });
    test(
      `nothing is cut, lies on another or is too wide, and every control is 44 px high or reaches as far: ${part}`,
      walk(third, [layoutFlaws, tooSmall, isMetric]),
    );
  });
}
