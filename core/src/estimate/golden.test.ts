import { goldenTable } from '../../fixtures/goldenTable';
import kept from '../../fixtures/goldenTable.json';

// Not from outside: it tells that an answer changed, not that it is right. `npm run golden` takes the new ones.
const table = goldenTable();

test.each(kept)('the golden table: $aircraft, $day', (row) => {
  const now = table.find(({ aircraft, day }) => aircraft === row.aircraft && day === row.day);
  expect(now).toEqual(row);
});

test('every row adds up, and its figures are in order', () => {
  expect(table).toHaveLength(18);
  for (const { aircraft, ledger, middleS, plannedS, p10S, p90S } of table) {
    const boxS = { Jay: 1860, Nutcracker: 2160, Rook: 1020 }[aircraft] ?? 0;
    const sum = Object.values(ledger).reduce((total, seconds) => total + seconds, boxS);
    expect(Math.abs(sum - plannedS)).toBeLessThanOrEqual(0.55);
    expect(plannedS).toBeLessThanOrEqual(middleS);
    expect(p10S).toBeLessThanOrEqual(middleS);
    expect(p90S).toBeGreaterThanOrEqual(middleS);
  }
});

test('what each day does to a calm one has the sign that practice gives it (common practice)', () => {
  for (const name of ['Jay', 'Nutcracker', 'Rook']) {
    const of = (day: string) => table.find((row) => row.aircraft === name && row.day === day);
    const calmS = of('calm')?.middleS ?? 0;
    for (const day of ['frost', 'high ground', 'worn pack']) expect(of(day)?.middleS).toBeLessThan(calmS);
    // A breeze may save power in a hover, but never charge on the way home against it.
    expect(of('windy')?.turnBackCharge).toBeGreaterThan(of('calm')?.turnBackCharge ?? 1);
    expect(of('worn pack')?.ledger.wear).toBeLessThan(-60);
    expect(of('frost')?.ledger.temperature).toBeLessThan(0);
    expect(of('high ground')?.ledger.air).toBeLessThan(of('calm')?.ledger.air ?? 0);
    expect(of('heat')?.ledger.air).toBeLessThan(of('calm')?.ledger.air ?? 0);
  }
});
