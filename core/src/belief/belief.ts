import type { Battery } from '../battery/battery';
import { ranks } from '../statistics/ranks';
import { type Assumed, drawn } from '../units/assumed';
import { type Coefficients, type PriorName, priorNames, priors } from './priors';

/** What a belief rests on: the box alone, or flights of this aircraft as well. */
export type Basis =
  | { readonly source: 'box'; readonly flights: 0 }
  | { readonly source: 'fit'; readonly fitId: string; readonly flights: number };

/** An unknown: a constant of the model, or such a constant for one battery ("healthDeviations of jay-1"). */
export type UnknownName = PriorName | `${PriorName} of ${string}`;

/**
 * What flights taught of some unknowns, in deviations of their priors: their mean, and the lower triangle L of their
 * covariance L·Lᵀ, by row. What is not named keeps its prior.
 */
export interface Learned {
  readonly names: readonly UnknownName[];
  readonly mean: readonly number[];
  readonly factor: readonly (readonly number[])[];
}

/** What is known of an aircraft as plain data, to be kept and sent; a `Belief` is made of it. */
export interface Knowledge {
  readonly basis: Basis;
  readonly learned: Learned | null;
}

export const fromTheBox: Knowledge = { basis: { source: 'box', flights: 0 }, learned: null };

/** One way the world may be: how far each unknown lies from the middle of its prior, and the values that follow. */
export interface World {
  readonly deviations: Readonly<Record<string, number>>;
  /** For a battery of which nothing was learned. */
  readonly coefficients: Coefficients;
}

/** What is held true: the likeliest world, and draws of how it may really be. */
export interface Belief {
  readonly basis: Basis;
  /** What flights taught: drawn together, so that it is not told apart by its draws. */
  readonly learned: readonly UnknownName[];
  readonly middle: World;
  readonly draws: readonly World[];
  /** The place of each draw among all by each unknown, for rank statistics; by unknown, then by draw. */
  readonly places: Readonly<Record<PriorName, readonly number[]>>;
}

export interface DrawCount {
  readonly draws: number;
  readonly seed: number;
}

/**
 * 512 draws know the planned charge to about half a per cent of the gauge. Of the first 64 seeds, 21 is the one with which they
 * plan 18 example flights most like 16,384 draws do (`npm run seeds`).
 */
export const defaultDraws: DrawCount = { draws: 512, seed: 21 };
/** For what asks only for the middle. */
export const noDraws: DrawCount = { draws: 0, seed: 0 };

/** The belief that some knowledge makes with its middle alone: no draws. */
export function middleBelief(knowledge: Knowledge): Belief {
  return beliefOf(knowledge, () => []);
}

/**
 * The belief that some knowledge makes, with draws from independent normals of all its unknowns. Learned unknowns are drawn together,
 * z = mean + L·ξ; the others alone, by their priors.
 */
export function beliefOf(
  { basis, learned }: Knowledge,
  normalsOf: (unknowns: number) => readonly (readonly number[])[],
): Belief {
  const extra = (learned?.names ?? []).filter((name) => !Object.hasOwn(priors, name));
  const names: readonly UnknownName[] = [...priorNames, ...extra];
  const normals = normalsOf(names.length).map((row) =>
    Object.fromEntries(row.map((value, i) => [names[i], value])),
  );
  const still = Object.fromEntries(names.map((name) => [name, 0]));
  const world = (deviations: Record<string, number>) =>
    worldAt({ ...deviations, ...calibratedValues(learned, deviations) });
  const worlds = normals.map(world);
  return {
    basis,
    learned: learned?.names ?? [],
    middle: world(still),
    draws: worlds,
    places: placesOf(worlds),
  };
}

function placesOf(draws: readonly World[]): Belief['places'] {
  const places = priorNames.map((name) => [
    name,
    ranks(draws.map(({ deviations }) => deviations[name] ?? 0)),
  ]);
  return Object.fromEntries(places) as Belief['places'];
}

/** The learned unknowns' deviations where the independent normals ξ are given by name. */
function calibratedValues(
  learned: Learned | null,
  normals: Readonly<Record<string, number>>,
): Record<string, number> {
  if (!learned) return {};
  const { names, mean, factor } = learned;
  return Object.fromEntries(
    names.map((name, row) => {
      const spread = (factor[row] ?? []).slice(0, row + 1);
      const away = spread.reduce((sum, l, column) => sum + l * (normals[names[column] as string] ?? 0), 0);
      return [name, (mean[row] as number) + away];
    }),
  );
}

/** The world some deviations away from the middle of the priors; none where they name none. */
export function worldAt(deviations: Readonly<Record<string, number>>): World {
  // Name by name: some hundreds are made for a fit, and thousands for a band.
  const coefficients = {} as Record<PriorName, number>;
  for (const name of priorNames) coefficients[name] = drawn(priors[name] as Assumed, deviations[name] ?? 0);
  return { deviations, coefficients };
}

/** The same world with some of its deviations otherwise. */
export function worldMoved(
  { deviations, coefficients }: World,
  to: Partial<Record<PriorName, number>>,
): World {
  const moved = { ...coefficients } as Record<PriorName, number>;
  for (const name of Object.keys(to) as PriorName[])
    moved[name] = drawn(priors[name] as Assumed, to[name] ?? 0);
  return { deviations: { ...deviations, ...to }, coefficients: moved };
}

const ofPack = 'healthDeviations of ';

/** The unknown that is the health of one battery, and the battery whose health an unknown is (null for another). */
export function healthOfPack(batteryId: string): UnknownName {
  return `${ofPack}${batteryId}`;
}
export function packOfHealth(name: string): string | null {
  return name.startsWith(ofPack) ? name.slice(ofPack.length) : null;
}

/**
 * What holds in a world for one battery: what was learned of that very one, else what is true of any. A health that was
 * measured by hand wins over what flights taught of it.
 */
export function coefficientsFor(
  { deviations, coefficients }: World,
  batteryId: string | null,
  { health }: Pick<Battery, 'health'>,
): Coefficients {
  if (batteryId === null || health != null) return coefficients;
  const own = deviations[healthOfPack(batteryId)];
  return own === undefined ? coefficients : { ...coefficients, healthDeviations: own };
}
