import { jayOnTheFell } from '../../fixtures/jay';
import { type PackUse, packAfter } from './afterFlight';

const jay1 = {
  pack: { ...jayOnTheFell.battery, cycles: 12, startCharge: 1 },
  keeping: { chargedAt: '2026-11-26T07:00:00Z', keptAt: 'pocket' as const },
};
const flight = (endCharge: number, endedAt: string): PackUse => ({ kind: 'flight', endCharge, endedAt });

test('a flown pack has what was left and one cycle more; a charged one what it was charged to', () => {
  const flown = packAfter(jay1, [flight(0.19, '2026-11-26T09:18:00Z')]);
  expect(flown).toMatchObject({
    pack: { startCharge: 0.19, cycles: 13 },
    keeping: { chargedAt: '2026-11-26T09:18:00Z', keptAt: 'pocket' },
  });
  const charged = packAfter(flown as typeof jay1, [
    { kind: 'charge', endCharge: 1, endedAt: '2026-11-26T10:20:00Z' },
  ]);
  expect(charged?.pack).toMatchObject({ startCharge: 1, cycles: 13 });
});

test('of several flights the latest tells the charge, in whatever order they come; each is a cycle', () => {
  const both = [flight(0.4, '2026-11-26T13:00:00+02:00'), flight(0.3, '2026-11-26T09:00:00Z')];
  expect(packAfter(jay1, both)?.pack).toMatchObject({ startCharge: 0.4, cycles: 14 });
});

test('a flight before the gauge was last read changes nothing; unknown cycles stay unknown', () => {
  expect(packAfter(jay1, [flight(0.2, '2026-11-25T12:00:00Z')])).toBeNull();
  const unknown = { ...jay1, pack: { ...jay1.pack, cycles: null } };
  expect(packAfter(unknown, [flight(0.2, '2026-11-26T12:00:00Z')])?.pack.cycles).toBeNull();
});
