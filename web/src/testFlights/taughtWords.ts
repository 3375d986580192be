import {
  type Aircraft,
  type EstimatedParameter,
  type Fit,
  type FitChanges,
  type Learnable,
  priors,
  sentence,
  type WayToKnow,
  waysToKnow,
} from '@acorn-tally/core';
import { flightsInWords } from '../answers/trust';
import type { Writer } from '../state/units';

/** One thing that flights taught, as a pilot says it: what it is now, how sure, and what it was before. */
export interface TaughtLine {
  readonly name: string;
  readonly now: string;
  readonly before: string;
  /** 0–1: how much of what was in doubt is known. */
  readonly learned: number;
}

interface Words {
  readonly name: (value: number) => string;
  /** What is shown of a value, and by how much its spread, which is as at the prior value, counts there. */
  readonly shown: (value: number) => number;
  readonly slope: (value: number) => number;
  /** Whether it is told as so much more or less than usual. */
  readonly signed: boolean;
}

const asRatio = { shown: (ratio: number) => ratio - 1, slope: (ratio: number) => ratio, signed: true };

const words = (name: string, say: Writer['say']): Partial<Record<Learnable, Words>> => ({
  boxTimeRatio: {
    name: (ratio) => `${name} draws ${againstBox(ratio)} its box says`,
    shown: (ratio) => 1 / ratio - 1,
    slope: (ratio) => 1 / ratio,
    signed: true,
  },
  dragAreaRatio: { name: () => 'Drag, against what is usual for its mass', ...asRatio },
  styleSpeedRatio: { name: () => 'Speed of your slow, normal and fast, against the usual', ...asRatio },
  hiddenCharge: {
    name: () => 'Kept below 0 %',
    shown: (charge) => charge,
    slope: () => 1,
    signed: false,
  },
  capacityLossPerK: {
    name: () =>
      say(sentence('cold', 'Charge lost in {colderDifferenceC} of cold', { colderDifferenceC: 10 })),
    shown: (perK) => 10 * perK,
    slope: () => 10,
    signed: false,
  },
  packCoolingRatio: { name: () => 'How fast the packs cool, against a guess', ...asRatio },
  resistanceRatio: { name: () => 'Resistance of the cells, against the usual', ...asRatio },
  reversalCostRatio: { name: () => 'What a stop costs, against a guess', ...asRatio },
  movingPowerRatio: { name: () => 'Power when moving, over one steady speed', ...asRatio },
  manualPowerRatio: { name: () => 'Power of manual flying, over other flying', ...asRatio },
});

/** "more than", or "what" where the difference rounds to nothing. */
function againstBox(boxTimeRatio: number): string {
  if (Math.round((1 / boxTimeRatio - 1) * 100) === 0) return 'what';
  return boxTimeRatio > 1 ? 'less than' : 'more than';
}

/** Below this it is hardly known better than before. */
const worthTelling = 0.15;

/** A pack of which less is known was not flown in any flight that counts. */
const minLearned = 0.005;

const percentOf = (fraction: number, signed: boolean) => {
  const whole = Math.round(fraction * 100);
  const sign = whole < 0 ? '−' : signed && whole > 0 ? '+' : '';
  return `${sign}${Math.abs(whole)} %`;
};
const spreadOf = (fraction: number) => `±${Math.max(1, Math.round(Math.abs(fraction) * 100))}`;
const valueAndSpread = (value: number, spread: number, signed: boolean) =>
  `${percentOf(value, signed)} ${spreadOf(spread)}`;

/** What a fit knows better than the box did, the best known first; then the packs against each other. */
export function taughtLines(
  fit: Fit,
  name: string,
  sheet: Aircraft,
  labelOf: (id: string) => string,
  say: Writer['say'],
): TaughtLine[] {
  const told = words(name, say);
  const ofAircraft = fit.parameters
    .filter((one) => one.name in told && !isOnSheet(one, sheet) && one.learned >= worthTelling)
    .sort((a, b) => b.learned - a.learned)
    .map(({ name: key, value, spread, priorValue, priorSpread, learned }) => {
      const { name: line, shown, slope, signed } = told[key] as Words;
      return {
        name: line(value),
        now: valueAndSpread(shown(value), slope(value) * spread, signed),
        before: valueAndSpread(shown(priorValue), slope(priorValue) * priorSpread, signed),
        learned,
      };
    });
  return [...ofAircraft, ...packLines(fit, labelOf)];
}

/** Packs that stand out against the others, those that give least first; one line for all where none does. */
function packLines({ batteries }: Pick<Fit, 'batteries'>, labelOf: (id: string) => string): TaughtLine[] {
  const flown = batteries.flatMap(({ id, againstOthers, learned }) =>
    againstOthers && learned > minLearned ? [{ id, learned, ...againstOthers }] : [],
  );
  const apart = flown
    .filter(({ value, spread }) => Math.abs(value) >= spread)
    .sort((a, b) => a.value - b.value);
  if (flown.length > 1 && apart.length === 0) {
    const widest = Math.max(...flown.map(({ spread }) => spread));
    const before = Math.max(...flown.map(({ priorSpread }) => priorSpread));
    return [
      {
        name: `${flown.length === 2 ? 'Both' : 'All'} packs that were flown give about the same`,
        now: `to ${spreadOf(widest)} %`,
        before: `to ${spreadOf(before)} %`,
        learned: Math.min(...flown.map(({ learned }) => learned)),
      },
    ];
  }
  return apart.map(({ id, value, spread, priorValue, priorSpread, learned }) => ({
    name: `${labelOf(id)} gives ${value < 0 ? 'less' : 'more'} than the other packs`,
    now: valueAndSpread(value, spread, true),
    before: valueAndSpread(priorValue, priorSpread, true),
    learned,
  }));
}

/** What is still as it was before any flight, and which one would teach it. */
export function stillUnknown(fit: Fit, sheet: Aircraft): { readonly name: string; readonly way: string }[] {
  const names: Partial<Record<Learnable, string>> = {
    boxTimeRatio: 'how its consumption compares with its spec sheet',
    dragAreaRatio: 'its drag, which counts in fast flight and wind',
    styleSpeedRatio: 'how fast you fly slow, normal and fast',
    hiddenCharge: 'what is kept below 0 %',
    capacityLossPerK: 'what cold takes',
  };
  return fit.parameters.flatMap((one) => {
    const name = names[one.name];
    if (!name || isOnSheet(one, sheet) || one.learned >= worthTelling) return [];
    return [{ name, way: waysToKnow[priors[one.name].betterBy as WayToKnow] }];
  });
}

/** The field of a sheet that says it: then no flight teaches it. */
const onSheet: Partial<Record<Learnable, keyof Aircraft>> = {
  dragAreaRatio: 'dragAreaM2',
  hiddenCharge: 'hiddenCharge',
};

function isOnSheet({ name }: EstimatedParameter, sheet: Aircraft): boolean {
  const field = onSheet[name];
  return field !== undefined && sheet[field] != null;
}

/** "Two flights are new and one was changed since." */
export function changesInWords({ added, changed, gone, otherBasis }: FitChanges): string {
  const parts = [
    added > 0 && `${flightsInWords(added)} ${added === 1 ? 'is' : 'are'} new`,
    changed > 0 && `${flightsInWords(changed)} ${changed === 1 ? 'was' : 'were'} changed`,
    gone > 0 && `${flightsInWords(gone)} no longer ${gone === 1 ? 'counts' : 'count'}`,
    otherBasis && 'the spec sheet is another',
  ].filter((part) => part !== false);
  const said = parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : parts.join('');
  return `${said.charAt(0).toUpperCase()}${said.slice(1)} since`;
}
