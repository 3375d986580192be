import { expect, type Page } from '@playwright/test';
import type { RunningApp } from './fixtures';
import { logFiles } from './fixtures/logFiles';

export interface Opening {
  readonly name: string;
  readonly path: string;
  readonly open?: (page: Page) => Promise<void>;
  /** On a phone the inputs are in a sheet that this button pulls up. */
  readonly sheet?: string | RegExp;
  /** A plan is in it, which takes some seconds to be whole. */
  readonly planned?: boolean;
  /** With no data at all. */
  readonly empty?: boolean;
}

const press = (key: string) => (page: Page) => page.keyboard.press(key);
const choose = (name: string) => (page: Page) => page.getByRole('radio', { name, exact: true }).check();

/** Every view and drawer there is, and how to get there. */
export const openings: readonly Opening[] = [
  { name: 'minutes', path: '/minutes' },
  {
    name: 'what if',
    path: '/minutes',
    open: async (page) => {
      await choose('What if')(page);
      await choose('Voltage')(page);
    },
  },
  {
    name: 'measure next',
    path: '/minutes',
    open: async (page) => {
      await choose('Measure next')(page);
      await choose('Table')(page);
    },
  },
  { name: 'conditions', path: '/minutes', open: press('c') },
  { name: 'units', path: '/minutes', open: press('u') },
  { name: 'keys', path: '/minutes', open: press('?') },
  {
    name: 'the box',
    path: '/minutes',
    sheet: /^Flight and/,
    open: (page) => page.getByRole('button', { name: 'On the box' }).click(),
  },
  {
    name: 'speeds and turns',
    path: '/minutes',
    sheet: /^Flight and/,
    open: (page) => page.getByRole('button', { name: 'Speeds, turns and load' }).click(),
  },
  {
    name: 'kit',
    path: '/kit',
    open: (page) => page.getByRole('button', { name: 'Jay 1 in detail' }).click(),
  },
  { name: 'time it by the clock', path: '/clock' },
  {
    name: 'the clock in the air',
    path: '/clock',
    open: async (page) => {
      await page.getByLabel('Charge at lift-off').fill('98');
      await page.getByRole('button', { name: 'To the clock', exact: true }).click();
      await page.getByRole('button', { name: 'Lift off' }).click();
      await page.keyboard.type('9');
      await expect(page.locator('.ClockFace_plot canvas')).toBeVisible();
    },
  },
  {
    name: 'importing batteries',
    path: '/kit',
    open: async (page) => {
      const text =
        'battery,capacity mAh,cells,nominal V,full cell V\nJay 1,2350,2,7.7,4.4\nJay 8,much,2,7.7,4.4\n';
      await page.getByRole('button', { name: 'Import CSV' }).click();
      await page
        .getByLabel('CSV file of batteries')
        .setInputFiles({ name: 'packs.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
      await expect(page.getByRole('dialog', { name: 'Import batteries' })).toContainText('Left out');
    },
  },
  { name: 'first steps', path: '/kit', empty: true },
  {
    name: 'way home',
    path: '/way-home',
    open: (page) => expect(page.locator('.TurnTableView_table')).toBeVisible(),
  },
  {
    name: 'where you will be',
    path: '/way-home',
    sheet: 'Where you will be',
    open: (page) => page.getByRole('button', { name: /^chimney/ }).click(),
  },
  { name: 'test flights', path: '/test-flights' },
  {
    name: 'test flights compared',
    path: '/test-flights',
    sheet: 'Test flights',
    open: async (page) => {
      await page.getByRole('button', { name: 'Filter, sort' }).click();
      await page.getByRole('button', { name: /^Compare Jay 1, low hover/ }).click();
      await page.getByRole('button', { name: /^Compare Jay 4/ }).click();
    },
  },
  {
    name: 'reading log files',
    path: '/test-flights',
    sheet: 'Test flights',
    open: async (page) => {
      await page.getByRole('button', { name: 'Read log files' }).click();
      await page
        .getByLabel('Log files', { exact: true })
        .setInputFiles([logFiles.imperial(), logFiles.truncated(), logFiles.empty(), logFiles.strange()]);
      await expect(page.getByText('Which column tells')).toBeVisible();
    },
  },
  { name: 'recording a test', path: '/test-flights', open: press('t') },
  { name: 'method', path: '/method' },
  { name: 'swap plan', path: '/swap-plan', planned: true },
  {
    name: 'a shot',
    path: '/swap-plan',
    sheet: 'Shots and shoot',
    open: (page) => page.locator('.ShotList_open').first().click(),
  },
  {
    name: 'a flight of the plan',
    path: '/swap-plan',
    planned: true,
    open: (page) => page.getByRole('button', { name: 'Flight 1', exact: true }).click(),
  },
  {
    name: 'pasting shots',
    path: '/swap-plan',
    sheet: 'Shots and shoot',
    open: async (page) => {
      await page.getByRole('button', { name: 'Paste shots' }).click();
      await page.getByLabel('Rows with their headings, or points').fill('name\tminutes\nFold\t900');
    },
  },
  {
    name: 'the card',
    path: '/card',
    open: (page) => expect(page.getByRole('region', { name: 'Flights' })).toBeVisible(),
  },
  { name: 'search', path: '/minutes', open: press('/') },
];

/** Opens it and waits until it stands still. */
export async function goTo(
  page: Page,
  { path, open, sheet, planned }: Opening,
  app: RunningApp,
): Promise<void> {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`${app.url}${path}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('calculating …')).toHaveCount(0);
  await expect(page.locator('[data-old]')).toHaveCount(0);
  if (planned)
    await expect(page.getByText(/^(Placing the shots|Looking for a better|trying it|Planning)/)).toHaveCount(
      0,
    );
  if (sheet && (page.viewportSize()?.width ?? 1280) <= 860)
    await page.getByRole('button', { name: sheet }).click();
  await open?.(page);
  await page.waitForTimeout(300);
}
