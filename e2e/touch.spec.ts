import type { CDPSession, Locator, Page } from '@playwright/test';
import { expect, test } from './fixtures';

test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

interface Point {
  readonly x: number;
  readonly y: number;
}

async function middleOf(locator: Locator): Promise<Point> {
  await locator.scrollIntoViewIfNeeded();
  const box = await locator.boundingBox();
  if (!box) throw new Error('It is not on the screen.');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** A finger put down, moved and lifted, as the browser gets it from the screen: it may take the gesture to scroll. */
async function swipe(page: Page, from: Point, to: Point): Promise<void> {
  const session: CDPSession = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: Point[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await touch('touchStart', [from]);
  for (let i = 1; i <= 12; i++) {
    const share = i / 12;
    await touch('touchMove', [{ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }]);
    await page.waitForTimeout(16);
  }
  await touch('touchEnd', []);
}

test('by finger: the aircraft goes where it is dragged, from the side and from above, and the page stays', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/way-home`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Turn back by \d+ %$/);
  const side = page.getByRole('region', { name: 'From the side' }).locator('[data-aircraft]');
  const from = await middleOf(side);
  const scrolled = await page.evaluate(() => scrollY);
  await swipe(page, from, { x: from.x + 60, y: from.y + 30 });
  // "210 m out, 45 m up", in the picture itself.
  const there = async () =>
    (await page.locator('.SideView_there').innerHTML()).match(/\d+/g)?.map(Number) ?? [];
  await expect.poll(async () => (await there())[0]).toBeGreaterThan(150);
  expect((await there())[1]).toBeLessThan(60);
  expect(await page.evaluate(() => scrollY)).toBe(scrolled);

  await expect(page.locator('[data-old]')).toHaveCount(0);
  const reach = page.getByRole('region', { name: 'How far you can go' });
  const aircraft = await middleOf(reach.locator('[data-aircraft] .AircraftGrip_reach'));
  // The word stands right of its point.
  const home = await reach.locator('[data-home]').boundingBox();
  if (!home) throw new Error('Home is not on the screen.');
  await swipe(page, aircraft, { x: home.x - 45, y: home.y + 5 });
  const headline = page.locator('.Headline_headline').first();
  await expect(headline).toContainText(/out at 2[67]\d°/);
  // Straight down is how a page is scrolled; on the aircraft it is not.
  await expect(page.locator('[data-old]')).toHaveCount(0);
  const west = await middleOf(reach.locator('[data-aircraft] .AircraftGrip_reach'));
  const scrolledThere = await page.evaluate(() => scrollY);
  await swipe(page, west, { x: west.x, y: west.y + 80 });
  await expect(headline).toContainText(/out at 2[0-2]\d°/);
  expect(await page.evaluate(() => scrollY)).toBe(scrolledThere);
});

test('by finger: the border of the mix, the hour of the day, the order of the shots and where one lies', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: /^Flight and/ }).tap();
  const hover = page.getByLabel('hover', { exact: true });
  await expect(hover).toHaveValue('45');
  const border = await middleOf(page.getByLabel('Border between hover and slow'));
  await swipe(page, border, { x: border.x + 40, y: border.y });
  await expect.poll(async () => Number(await hover.inputValue())).toBeGreaterThan(50);

  await page.getByRole('button', { name: 'Close' }).tap();
  await page.getByRole('button', { name: /^Change conditions/ }).tap();
  await page.waitForTimeout(350);
  const strip = await middleOf(page.locator('.DayStrip_strip'));
  const day = page.getByRole('region', { name: 'The day' });
  await expect(day).toContainText('08:40');
  await swipe(page, strip, { x: strip.x + 70, y: strip.y });
  await expect(day).toContainText(/1[5-9]:\d\d/);

  await page.goto(`${app.url}/swap-plan`);
  await page.getByRole('button', { name: 'Shots and shoot' }).tap();
  await page.waitForTimeout(350);
  const grip = await middleOf(page.getByRole('button', { name: 'Move Gate opens' }));
  const target = await middleOf(page.getByRole('button', { name: 'Move Ridge pull-back' }));
  await swipe(page, grip, { x: target.x, y: target.y + 10 });
  await expect(page.locator('.ShotList_open b:first-child').nth(2)).toHaveText('3 Gate opens');

  // Straight up is how the sheet is scrolled; on a shot it is not.
  const shot = page.getByRole('button', { name: /^On the ground: \d Lane chase/ });
  await expect(shot).toHaveAccessibleName(/400 m/);
  const lies = await middleOf(shot);
  await swipe(page, lies, { x: lies.x, y: lies.y - 60 });
  await expect(shot).not.toHaveAccessibleName(/400 m/);
});
