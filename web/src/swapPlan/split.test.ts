import { nameLength, type Shot, sentence } from '@acorn-tally/core';
import fc from 'fast-check';
import { partsNeeded, splitShot } from './split';

const shot: Shot = {
  id: 'long',
  name: 'Herd down the fell',
  durationS: 2400,
  style: 'slow',
  distanceM: 100,
  bearingDeg: 60,
  heightM: 30,
};

test('a shot too long for all is offered in as many parts as fit on batteries like the best (by hand: 2400 s, 760 s each)', () => {
  const reason = (durationS: number, possibleS: number) =>
    partsNeeded(
      sentence('no-pack-lasts', '{durationS} {possibleS} {label}', {
        durationS,
        possibleS,
        label: 'Jay 1',
      }),
    );
  // 760 s, a tenth kept in hand: 684 s a part, 3.5 of them.
  expect(reason(2400, 760)).toBe(4);
  expect(reason(800, 760)).toBe(2);
  // Where so little is possible that splitting would not be a plan, none is offered.
  expect(reason(2400, 20)).toBeNull();
  expect(partsNeeded(sentence('no-battery', 'No battery at hand.'))).toBeNull();
});

test('the parts follow each other in its place and last as long as it did, to the second (seed 7)', () => {
  fc.assert(
    fc.property(fc.integer({ min: 30, max: 3600 }), fc.integer({ min: 2, max: 8 }), (durationS, parts) => {
      let count = 0;
      const others = [
        { ...shot, id: 'a' },
        { ...shot, id: 'b' },
      ] as const;
      const name = 'x'.repeat(nameLength.max);
      const split = splitShot(
        [others[0], { ...shot, durationS, name }, others[1]],
        'long',
        parts,
        () => `new ${++count}`,
      );
      expect(split.map(({ id }) => id)).toEqual([
        'a',
        ...Array.from({ length: parts }, (_, i) => `new ${i + 1}`),
        'b',
      ]);
      const made = split.slice(1, -1);
      expect(made.reduce((sum, one) => sum + one.durationS, 0)).toBe(durationS);
      expect(
        Math.max(...made.map((one) => one.durationS)) - Math.min(...made.map((one) => one.durationS)),
      ).toBeLessThanOrEqual(1);
      for (const [i, one] of made.entries()) {
        expect(one.name).toMatch(new RegExp(`, ${i + 1} of ${parts}$`));
        expect(one.name.length).toBeLessThanOrEqual(nameLength.max);
        expect(one).toMatchObject({ style: shot.style, distanceM: shot.distanceM, heightM: shot.heightM });
      }
    }),
    { seed: 7 },
  );
});
