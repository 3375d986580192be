import type { ChargingPlace } from '../request/problem';
import { ChargingBook } from './charging';

/** Two packs of an hour from empty to full by the law of `battery/charging`; a minute to plug in. */
const place = (more: Partial<ChargingPlace> = {}): ChargingPlace => ({
  chargerId: 'hub',
  emptyToFullS: [3600, 3600],
  handlingS: 60,
  fromS: 0,
  untilS: 7200,
  ...more,
});
const min = (seconds: number | null | undefined) => (seconds ?? Number.NaN) / 60;

test('a pack is plugged in on the next whole minute, charges a minute later, and is out on a whole minute', () => {
  const [span, ...rest] = new ChargingBook([place()]).offer(0, 0.5, 90);
  expect(rest).toEqual([]);
  expect([min(span?.pluggedS), min(span?.fromS)]).toEqual([2, 3]);
  expect((span?.untilS ?? 1) % 60).toBe(0);
  expect(span?.chargeTo).toBe(1);
});

test('one place holds one pack at a time: the next waits, or takes the gap before if that is long enough', () => {
  const book = new ChargingBook([place()]);
  const first = book.offer(0, 0.9, 600);
  const [second] = book.with(first).offer(1, 0.9, 0);
  expect(second).toMatchObject({ pluggedS: 0, untilS: first[0]?.pluggedS });
  const [third] = book.with(first).offer(1, 0.9, 480);
  expect(third?.pluggedS).toBe(first[0]?.untilS);
  // The book it was offered from knows nothing of it.
  expect(book.offer(1, 0.9, 0)[0]?.chargeTo).toBe(1);
});

test('a pack goes on where it began on another place once the first is wanted, and never beyond the end of the power', () => {
  const ends = new ChargingBook([place({ untilS: 1200 })]).offer(0, 0, 0);
  expect(ends).toHaveLength(1);
  expect([min(ends[0]?.untilS), (ends[0]?.chargeTo ?? 1) < 1]).toEqual([20, true]);
  const slow = place({ chargerId: 'car', emptyToFullS: [null, 5400] });
  expect(new ChargingBook([slow]).offer(0, 0, 0)).toEqual([]);
  const [span] = new ChargingBook([slow, place()]).offer(1, 0, 0);
  expect(span?.place).toBe(1);
});

test('out of the charger with a gauge is no sooner than it has it, and a pack that is taken has what it had by then', () => {
  const book = new ChargingBook([place()]);
  const spans = book.offer(0, 0.2, 0);
  const outS = book.outWithS(spans, 0.6) ?? 0;
  const [taken] = book.outBy(spans, outS);
  const [sooner] = book.outBy(spans, outS - 60);
  expect(taken?.chargeTo).toBeGreaterThanOrEqual(0.6);
  expect(sooner?.chargeTo).toBeLessThan(0.6);
  expect(outS % 60).toBe(0);
  expect(book.outWithS(book.outBy(spans, outS), 0.99)).toBeNull();
  // Less than two minutes are not worth the hands.
  expect(book.outBy(spans, 120)).toEqual([]);
});
