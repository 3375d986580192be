import type { Battery } from '../battery/battery';
import type { PackLabel } from '../battery/openCircuit';
import { voltRuleOf, wideCellSpreadV } from '../battery/voltRule';
import type { TestFlight } from './testFlight';

/** What the cells of a pack came to in its flights, where that is worth a word. */
export interface LowCells {
  /** The lowest a cell was read at, where that is below what its rule never allows; null where it is not. */
  readonly drained: { readonly cellVoltageV: number; readonly flownAt: string } | null;
  /** The widest its cells were read apart, where that is wide. */
  readonly apart: { readonly spreadV: number; readonly flownAt: string } | null;
}

/** Looks through the flights of one pack: the worst of each, since a cell does not recover from it. */
export function lowCells(
  battery: PackLabel & Pick<Battery, 'landCellVoltageV' | 'neverCellVoltageV'>,
  flights: readonly { readonly flownAt: string; readonly test: Pick<TestFlight, 'checkpoints'> }[],
): LowCells {
  const read = flights.flatMap(({ flownAt, test }) =>
    (test.checkpoints ?? []).map((one) => ({
      flownAt,
      cellVoltageV: one.lowestCellVoltageV ?? one.cellVoltageV ?? Number.POSITIVE_INFINITY,
      spreadV: one.cellSpreadV ?? 0,
    })),
  );
  const lowest = read.reduce(
    (worst, one) => (one.cellVoltageV < worst.cellVoltageV ? one : worst),
    read[0] ?? none,
  );
  const widest = read.reduce((worst, one) => (one.spreadV > worst.spreadV ? one : worst), read[0] ?? none);
  const { neverCellVoltageV } = voltRuleOf(battery);
  return {
    drained: lowest.cellVoltageV < neverCellVoltageV ? lowest : null,
    apart: widest.spreadV > wideCellSpreadV ? widest : null,
  };
}

const none = { flownAt: '', cellVoltageV: Number.POSITIVE_INFINITY, spreadV: 0 };
