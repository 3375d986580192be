import { type Assumed, because } from '../units/assumed';

export const gaugePriors = {
  hiddenCharge: {
    value: 0.05,
    spread: 0.03,
    kind: 'absolute',
    scope: 'aircraft',
    min: 0,
    max: 0.12,
    because:
      'assumed: aircraft stayed up from 9 s to nearly 3 min after the gauge read 0 % (common practice)',
    betterBy: 'zero-test',
  },
} as const satisfies Record<string, Assumed>;

/** How far the gauge of a flight may be off, in the middle of its range: of a new pack in mild air, and of an old or a cold one. */
export const gaugeGuesses = {
  gaugeErrorCharge: {
    value: 0,
    spread: 0.02,
    kind: 'absolute',
    scope: 'flight',
    because:
      'assumed: counted charge and a model of the cell know it to 2 % where pack and air are as they were tuned (Plett, Battery Management Systems vol. 2, from memory)',
    betterBy: null,
  },
  hardGaugeErrorCharge: {
    value: 0,
    spread: 0.045,
    kind: 'absolute',
    scope: 'flight',
    because: because(
      'assumed: with 300 cycles behind it, or at {coldC}, the same gauge knows it to 4 or 5 %',
      {
        coldC: 0,
      },
    ),
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;

/** The error of the gauge of one flight as one unknown: by how many of its own deviations it shows too much. */
export const gaugeErrorPriors = {
  gaugeErrorDeviations: {
    value: 0,
    spread: 1,
    kind: 'absolute',
    scope: 'flight',
    because: 'see what it is guessed from',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;

const hardCycles = 300;
const [mildC, hardC] = [20, 0] as const;

/** One deviation of what a pack's gauge shows too much, by its age and how cold it takes off. */
export function gaugeErrorSpread(cycles: number | null, startC: number): number {
  const [easy, hard] = [gaugeGuesses.gaugeErrorCharge.spread, gaugeGuesses.hardGaugeErrorCharge.spread];
  const within = (share: number) => Math.min(1, Math.max(0, share));
  const hardness = Math.max(within((cycles ?? 0) / hardCycles), within((mildC - startC) / (mildC - hardC)));
  return easy + (hard - easy) * hardness;
}

/** A full pack is known to be full; the error grows from there. */
const wholeErrorFrom = 0.8;
function reach(gauge: number): number {
  return Math.min(1, Math.max(0, (1 - gauge) / (1 - wholeErrorFrom)));
}

/** What a gauge shows that is off by some charge, and what is there when it shows something. */
export function shownGauge(trueGauge: number, errorCharge: number): number {
  return trueGauge + errorCharge * reach(trueGauge);
}
export function trueGauge(shown: number, errorCharge: number): number {
  return shown - errorCharge * reach(shown);
}

/** A gauge shows whole per cent: the deviation of what lies between, 1/√12 of one. */
export const roundingCharge = 0.01 / Math.sqrt(12);

/** How the gauge of one flight is bent against its cell. */
export const bendPriors = {
  gaugeBendRatio: {
    value: 1,
    spread: 0.015,
    kind: 'relative',
    scope: 'flight',
    because: 'assumed: what a gauge counts down for a charge differs by some 1.5 % from flight to flight',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;

/**
 * What the aircraft shows is not the cell: it keeps something below 0 %, gauge = (charge − hidden) / (1 − hidden).
 * The gauge goes below zero by what is hidden. That margin is for emergencies and never planned.
 */
export function gaugeOf(cellCharge: number, hidden: number): number {
  return (cellCharge - hidden) / (1 - hidden);
}

export function cellChargeOf(gauge: number, hidden: number): number {
  return hidden + gauge * (1 - hidden);
}
