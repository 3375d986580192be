import type { TestPattern } from '@acorn-tally/core';
import type { Writer } from '../state/units';

/** What makes a test one that tells something, by its pattern. */
const byPattern: Readonly<Record<TestPattern, (write: Writer['write']) => readonly string[]>> = {
  'low-hover': () => [
    'Hover higher than two rotor diameters: nearer the ground its own air carries it, and the test reads long.',
  ],
  'high-hover': () => ['Go up at once and come down at once: climb and descent are part of the time.'],
  'there-and-back': () => [
    'As long with the wind as against it, and long legs: each turn costs.',
    'Note the speed it held, if it shows one.',
  ],
  circle: (write) => [
    `One circle all the time, some ${write('distance', 15)} round the subject, at one speed.`,
  ],
  'figure-of-eight': (write) => [`Two circles of some ${write('distance', 10)} each, at one speed.`],
  'free-flying': () => ['Fly as on a shoot: what it tells is true of such flying only.'],
};

export function fairnessOf(pattern: TestPattern, write: Writer['write']): readonly string[] {
  return [
    'Charge it full, and read the gauge at the moment you lift off: it seldom shows 100 %.',
    'One mode, one height and one setting from lift-off to the end.',
    ...byPattern[pattern](write),
    'Know the pack’s temperature, or hover a quarter of a minute and note what it then shows.',
  ];
}

/** What must be minded before such a test. */
export function cautionsOf(pattern: TestPattern, toForcedLanding: boolean): readonly string[] {
  return [
    ...(toForcedLanding
      ? [
          'A test only: over open ground, low, with nobody below. It comes down where it is, and may not let itself be stopped.',
        ]
      : []),
    ...(pattern === 'high-hover'
      ? ['Keep enough to come down with: it still has to descend when the stop is read.']
      : []),
  ];
}
