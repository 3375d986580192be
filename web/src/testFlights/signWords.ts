import type { ProjectionKind, SignKind, TestFlight } from '@acorn-tally/core';
import { percent } from '../fields/percent';

/** What the aircraft did, as it is told afterwards. */
export const signWords: Readonly<Record<SignKind, string>> = {
  'low-warning': 'it warned',
  'own-return': 'it asked to go home',
  'forced-landing': 'it landed itself',
  empty: 'gauge at 0 %',
  'motors-out': 'the motors stopped',
};

/** A school of projecting a whole charge, for a test that began and ended at some charge. */
export function schoolInWords(kind: ProjectionKind, { startCharge, endCharge }: TestFlight): string {
  switch (kind) {
    case 'straight-line':
      return `Straight line, ${Math.round(startCharge * 100)} → ${percent(endCharge)}`;
    case 'forgotten-start':
      return `… if you assume it started full`;
    case 'last-third':
      return 'As its last third went';
    case 'drain-curve':
      return 'Drain curve through its readings';
  }
}
