import { type Aircraft, spec } from '../aircraft/aircraft';
import type { NominalBelief } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { median } from '../statistics/quantile';
import { fitDrain } from './drainFit';
import { type LeftTo, readingsOf, type TestFlight } from './testFlight';

/** Most aircraft show the minutes to their own landing (common practice). */
export const defaultLeftTo: LeftTo = 'landing';

/** Minutes an aircraft showed as left at a moment, and what then came. */
export interface ShownLeft {
  readonly timeS: number;
  readonly shownS: number;
  /** Until what it counts to came, or would have come as the flight went. */
  readonly cameS: number;
}

/**
 * What the aircraft showed as left in a flight against what came. It came as noted, where the pilot noted it; else as the drain curve
 * through the readings of this very flight has it. Empty where nothing was noted, or the model cannot fly such a flight.
 */
export function shownLeft(
  test: TestFlight,
  request: EstimateRequest,
  { middle }: Pick<NominalBelief, 'middle'>,
): ShownLeft[] {
  const shown = (test.checkpoints ?? []).flatMap(({ timeS, leftS }) =>
    leftS == null ? [] : [{ timeS, leftS }],
  );
  if (shown.length === 0) return [];
  const cameAtS = notedS(test) ?? computedS(test, request, middle);
  if (cameAtS === null) return [];
  return shown
    .filter(({ timeS }) => timeS < cameAtS)
    .map(({ timeS, leftS }) => ({ timeS, shownS: leftS, cameS: cameAtS - timeS }));
}

/** When the pilot saw what it counts to. */
function notedS({ checkpoints, leftTo }: TestFlight): number | null {
  const sign = { return: 'own-return', landing: 'forced-landing', empty: 'empty' } as const;
  const kind = sign[leftTo ?? defaultLeftTo];
  return (checkpoints ?? []).find((one) => one.kind === kind)?.timeS ?? null;
}

function computedS(
  test: TestFlight,
  request: EstimateRequest,
  middle: NominalBelief['middle'],
): number | null {
  const charge = countsTo(test.leftTo ?? defaultLeftTo, request.aircraft);
  if (charge === null) return null;
  const fit = fitDrain(request, readingsOf(test), middle);
  return fit.ok ? (fit.value.timesAt([charge])[0] as number) : null;
}

/** The gauge it counts down to; its own call depends on where it is, so only what was noted tells that. */
function countsTo(leftTo: LeftTo, aircraft: Aircraft): number | null {
  if (leftTo === 'empty') return 0;
  return leftTo === 'landing' ? spec(aircraft, 'forcedLandingCharge') : null;
}

/** What an aircraft shows over what comes, the median of its readings; null without any. */
export function shownOverCame(shown: readonly ShownLeft[]): number | null {
  return shown.length === 0 ? null : median(shown.map(({ shownS, cameS }) => shownS / cameS));
}
