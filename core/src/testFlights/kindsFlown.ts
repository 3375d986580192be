import type { Mode } from '../aircraft/aircraft';
import { meanAndScatter } from '../statistics/line';
import { straightLine } from './straightLine';
import type { TestFlight, TestPattern } from './testFlight';

/** How a flight was flown, as far as flights are alike by it. */
export interface KindFlown {
  readonly pattern: TestPattern;
  /** Null for a hover. */
  readonly mode: Mode | null;
  /** At what it recorded; null where it did not. */
  readonly recording: string | null;
}

/** Flights of one kind taken together: their mean of a whole charge, and how far they lie from each other. */
export interface KindMean extends KindFlown {
  readonly flights: number;
  /** 100 → 0 % by straight line, s. */
  readonly meanS: number;
  /** Standard deviation among them, s; null for one flight. */
  readonly scatterS: number | null;
}

export function kindFlown({ pattern, mode, recording }: TestFlight): KindFlown {
  const isHover = pattern === 'low-hover' || pattern === 'high-hover';
  return { pattern, mode: isHover ? null : (mode ?? 'normal'), recording: recording?.trim() || null };
}

/** Tests grouped by how they were flown, in the order in which the kinds are first met. */
export function kindsFlown(tests: readonly TestFlight[]): KindMean[] {
  const groups = new Map<string, { kind: KindFlown; wholeS: number[] }>();
  for (const test of tests) {
    const kind = kindFlown(test);
    const name = [kind.pattern, kind.mode, kind.recording?.toLowerCase()].join('|');
    const group = groups.get(name) ?? { kind, wholeS: [] };
    group.wholeS.push(straightLine(test).fullGaugeS);
    groups.set(name, group);
  }
  return [...groups.values()].map(({ kind, wholeS }) => {
    const { mean, scatter } = meanAndScatter(wholeS);
    return { ...kind, flights: wholeS.length, meanS: mean, scatterS: scatter };
  });
}
