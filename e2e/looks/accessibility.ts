import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What axe finds in a page on paper, and of contrast in another look: what is built is the same in every look, what a look changes
 * are the colours.
 */
export async function violations(page: Page, other: 'dusk' | 'sunlight'): Promise<string[]> {
  const found: string[] = [];
  // What lies under a panel is looked at where it lies open.
  const panel = await page.locator('[role="dialog"]:visible').count();
  for (const look of ['paper', other]) {
    await wear(page, look);
    // The pages have no frames, and only violations are asked for: in a third of the time.
    const whole = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
    const axe = panel > 0 ? whole.include('[role="dialog"]') : whole;
    const { violations } = await (look === 'paper' ? axe : axe.withRules(['color-contrast'])).analyze();
    found.push(
      ...violations.map(({ id, nodes }) => `${look}: ${id}: ${nodes.map(({ target }) => target).join(', ')}`),
    );
  }
  return found;
}

/** Puts a look on without closing what is open; that choosing one does so is held below. */
async function wear(page: Page, look: string): Promise<void> {
  await page.evaluate((name) => {
    document.documentElement.dataset.look = name;
    document.documentElement.dataset.mantineColorScheme = name === 'dusk' ? 'dark' : 'light';
  }, look);
  // Colours change over a moment.
  await page.waitForTimeout(250);
}
