import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { readKitCsv, writeKitCsv } from './kitCsv';

const line = {
  aircraft: 'Jay',
  label: 'Jay 1, the "old" one; blue',
  pack: {
    ratedCapacityMah: 2350,
    cellCount: 2,
    nominalVoltageV: 7.7,
    fullCellVoltageV: 4.4,
    chemistry: 'high-voltage lithium-polymer' as const,
    cycles: 12,
    health: 0.88,
    startCharge: 0.99,
    daysToStorage: 5,
    startTemperatureC: -3,
  },
  keeping: {
    state: 'in use' as const,
    chargedAt: '2026-11-25T18:00:00.000Z',
    keptAt: 'own' as const,
    boughtOn: '2025-03-01',
    healthMeasuredOn: '2026-10-20',
    notes: 'dented corner\nwatch it',
  },
};

test('a kit written as CSV is read back as it was, commas, quotes and line breaks included (seed 8)', () => {
  const text = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
    .filter((s) => s.trim() === s && s !== '');
  holds(
    fc.property(text, text, fc.integer({ min: 0, max: 2000 }), (label, notes, cycles) => {
      const one = { ...line, label, pack: { ...line.pack, cycles }, keeping: { ...line.keeping, notes } };
      const read = readKitCsv(writeKitCsv([one]), 'Rook', 'UTC');
      expect(read.ok && read.value).toEqual({ lines: [{ ...one, line: 2 }], problems: [] });
    }),
    { seed: 8, numRuns: 60, examples: [[line.label, 'dented corner, watch it', 12]] },
  );
});

test('a file from elsewhere: semicolons, few columns, units after the number; the aircraft where none is named', () => {
  const read = readKitCsv(
    'Battery;Capacity mAh;Cells;Nominal V;Full cell V;State\r\nA;2.35 Ah;2;7,7;4,4;Damaged\r\n\r\n',
    'Rook',
    'UTC',
  );
  expect(read.ok && read.value.lines[0]).toMatchObject({
    aircraft: 'Rook',
    pack: { ratedCapacityMah: 2350, nominalVoltageV: 7.7 },
    keeping: { state: 'damaged' },
  });
});

test('what is wrong is told by line and column, and the right lines are still read', () => {
  const read = readKitCsv(
    'battery,capacity mAh,cells,nominal V,full cell V,state\nA,2350,2,7.7,4.4,tired\n,-5,2,7.7,4.4,\nC,2350,2,7.7,4.4,\n',
    'Jay',
    'UTC',
  );
  expect(read.ok && read.value.lines.map(({ label }) => label)).toEqual(['C']);
  expect(read.ok && read.value.problems).toEqual([
    { line: 2, column: 'state', message: '“tired” is none of: in use, retired, damaged.' },
    {
      line: 3,
      column: 'capacity mAh',
      message: 'Rated capacity must be from 100 to 60000 mAh, not -5 mAh.',
    },
    { line: 3, column: 'battery', message: 'The name is empty.' },
  ]);
  expect(readKitCsv('name,size\nA,1\n', 'Jay', 'UTC').ok).toBe(false);
});

// OWASP, CSV injection: a cell that begins with one of these is a formula to a table program.
test.each(['=1+1', '+44', '-2', '@sum', "'=1", "''+2", "it's"])(
  'a text that begins as %s is no formula in the file, and is read back as it was',
  (notes) => {
    const file = writeKitCsv([{ ...line, label: notes, keeping: { ...line.keeping, notes } }]);
    expect(file).not.toMatch(/(^|,)"?[=+@]|(^|,)"?-\D|(^|,)-2(,|$)/m);
    const read = readKitCsv(file, 'Jay', 'UTC');
    expect(read.ok && read.value.lines[0]).toMatchObject({ label: notes, keeping: { notes } });
  },
);

test('a note too long to be kept is told by its line; the others are read', () => {
  const kit = [line, { ...line, label: 'B', keeping: { ...line.keeping, notes: 'x'.repeat(2001) } }];
  const read = readKitCsv(writeKitCsv(kit), 'Jay', 'UTC');
  expect(read.ok && read.value.problems).toEqual([
    { line: 3, column: 'notes', message: 'The note holds at most 2000 characters.' },
  ]);
  expect(read.ok && read.value.lines).toHaveLength(1);
});
