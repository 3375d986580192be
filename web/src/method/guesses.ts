import {
  type Assumed,
  gaugeGuesses,
  healthGuesses,
  priors,
  sentence,
  speedGuesses,
  type WayToKnow,
  waysToKnow,
  windGuesses,
} from '@acorn-tally/core';
import type { Writer } from '../state/units';

export interface Guess {
  readonly name: string;
  readonly value: string;
  readonly spread: string;
  readonly because: string;
  readonly better: string;
}

/** The health of a pack and the own speed of a flight are one unknown each, told by what they are guessed from. */
const {
  healthDeviations: _,
  ownSpeedDeviations: __,
  windAlongDeviations: ___,
  windAcrossDeviations: ____,
  gaugeErrorDeviations: _____,
  ...plainPriors
} = priors;
const told = { ...plainPriors, ...healthGuesses, ...speedGuesses, ...windGuesses, ...gaugeGuesses };

const names: Record<
  | keyof typeof plainPriors
  | keyof typeof healthGuesses
  | keyof typeof speedGuesses
  | keyof typeof windGuesses
  | keyof typeof gaugeGuesses,
  { readonly name: string; readonly unit?: string; readonly per?: number; readonly isSpeed?: true }
> = {
  flightPowerRatio: { name: 'one flight against another' },
  boxTimeRatio: { name: 'this aircraft against the one on the box' },
  handWindErrorMps: { name: 'a wind read at the spot', isSpeed: true },
  forecastWindErrorMps: { name: 'a wind from a forecast or a station', isSpeed: true },
  windGrowthExponent: { name: 'how the wind grows with height' },
  gustPeakFactor: { name: 'a gust over the spread of the wind' },
  styleSpeedRatio: { name: 'how fast a style is flown' },
  styleFlownRatio: { name: 'a style from flight to flight' },
  notedAirspeedRatio: { name: 'an airspeed that was noted' },
  gaugeBendRatio: { name: 'the gauge from flight to flight' },
  gaugeErrorCharge: { name: 'the gauge of a new pack', unit: '%', per: 0.01 },
  hardGaugeErrorCharge: { name: 'the gauge of an old or cold pack', unit: '%', per: 0.01 },
  hiddenCharge: { name: 'charge hidden below 0 %', unit: '%', per: 0.01 },
  capacityRatio: { name: 'capacity over the label' },
  measuredHealthRatio: { name: 'a health that was measured' },
  wearPerCycle: { name: 'wear in 100 cycles', unit: '%', per: 0.0001 },
  ageLoss: { name: 'capacity lost in the first year, flown or not', unit: '%', per: 0.01 },
  capacityLossPerK: { name: 'charge lost in ten degrees of cold', unit: '%', per: 0.001 },
  resistanceRatio: { name: 'resistance of the cells' },
  activationEnergyJpmol: { name: 'how it grows in the cold', unit: 'kJ/mol', per: 1000 },
  packCoolingRatio: { name: 'how the pack cools' },
  standingLossRatio: { name: 'how fast a standing pack sheds charge' },
  discLoadingRatio: { name: 'weight on the rotor disc' },
  dragAreaRatio: { name: 'drag of the body' },
  boxPairRatio: { name: 'what the two times on a box say of it' },
  auxiliaryPowerRatio: { name: 'power of the electronics' },
  profileShareOfHover: { name: 'share of blade drag in a hover', unit: '%', per: 0.01 },
  thrustCoefficient: { name: 'thrust coefficient' },
  reversalCostRatio: { name: 'cost of a stop' },
  movingPowerRatio: { name: 'flown by a pilot over one steady speed' },
  manualPowerRatio: { name: 'manual flying over other flying' },
  windSavingShare: { name: 'what wind saves a hover, of what it could', unit: '%', per: 0.01 },
  landingAllowanceS: { name: 'time to land', unit: 's' },
  returnSpeedRatio: { name: 'its speed on the way home' },
  ownCallMarginCharge: { name: 'what its automatic return keeps', unit: '%', per: 0.01 },
};

/** Every guess of the model in words, as the laws themselves hold it. */
export function guesses(say: Writer['say']): Guess[] {
  return (Object.keys(told) as (keyof typeof told)[]).map((key) => {
    const prior: Assumed = told[key];
    const { name, unit, per = 1, isSpeed } = names[key];
    const number = (value: number) =>
      isSpeed
        ? say(sentence('speed', '{errorMps:1}', { errorMps: value }))
        : `${Number((value / per).toPrecision(3))}${unit ? ` ${unit}` : ''}`;
    const because = typeof prior.because === 'string' ? prior.because : say(prior.because);
    return {
      name,
      value: unit || prior.value !== 1 ? number(prior.value) : '× 1',
      spread:
        prior.kind === 'relative'
          ? `±${Number((prior.spread * 100).toPrecision(2))} %`
          : `±${number(prior.spread)}`,
      because: because.replace(/^assumed: /, ''),
      better:
        prior.betterBy === null ? 'Nothing does: it stays in doubt' : waysToKnow[prior.betterBy as WayToKnow],
    };
  });
}
