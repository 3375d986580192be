import { clearanceM } from '../air/obstacle';
import { type Aircraft, defaultSpec, maxAirspeedMps, spec } from '../aircraft/aircraft';
import type { Policy } from './policy';

/** How the way home is flown: by the aircraft, as a lost link leaves it, or by the pilot in a mode of his. */
export const comesHomeWays = ['by-itself', 'by-hand', 'by-hand-fast', 'by-hand-low'] as const;
export type ComesHome = (typeof comesHomeWays)[number];

/** What a lost link leaves: the only way home that nobody has to fly. */
export const defaultComesHome: ComesHome = 'by-itself';

/** What decides how high and how fast a way home is flown. */
export interface HomeRule {
  readonly comesHome: ComesHome;
  /** As set on the aircraft, m above take-off. */
  readonly returnHeightM: number;
  /** Clear of the tallest thing there, m; null where nobody has said what stands there. */
  readonly clearM: number | null;
}

export function homeRuleOf(
  { comesHome }: Pick<Policy, 'comesHome'>,
  returnHeightM: number | null | undefined,
  tallestM: number | null,
): HomeRule {
  return {
    comesHome: comesHome ?? defaultComesHome,
    returnHeightM: returnHeightM ?? defaultReturnHeightM,
    clearM: tallestM === null ? null : tallestM + clearanceM,
  };
}

/** Assumed where the pilot does not say; above most trees and houses. */
export const defaultReturnHeightM = 30;

/** The same way home as the aircraft flies it when nobody does. */
export function byItself(rule: HomeRule): HomeRule {
  return { ...rule, comesHome: 'by-itself' };
}

/**
 * How high a way home is flown. By itself the aircraft rises to its return height, lower when near (spec-sheet radii), and never comes
 * down to it. A pilot rises as high; by hand and low he comes down to what is clear of all that stands there, where that is known.
 */
export function heightHomeM(
  aircraft: Aircraft,
  from: { readonly distanceM: number; readonly heightM: number },
  { comesHome, returnHeightM, clearM }: HomeRule,
): number {
  if (from.distanceM <= spec(aircraft, 'landInPlaceRadiusM')) return from.heightM;
  if (comesHome === 'by-hand-low' && clearM !== null) return clearM;
  const isNear = comesHome === 'by-itself' && from.distanceM <= spec(aircraft, 'lowReturnRadiusM');
  return Math.max(from.heightM, isNear ? spec(aircraft, 'lowReturnHeightM') : returnHeightM);
}

/** Of what a mode flies at most, what a pilot holds who comes home with the stick forward (assumed). */
const stickForward = 0.9;

/** The airspeed home, m/s; by how much it is off where the sheet is silent is `ratio`. */
export function airspeedHomeMps(aircraft: Aircraft, comesHome: ComesHome, ratio: number): number {
  if (comesHome === 'by-itself') return aircraft.returnSpeedMps ?? defaultSpec.returnSpeedMps * ratio;
  const mode = comesHome === 'by-hand-fast' ? 'fast' : 'normal';
  const isKnown = aircraft.modes?.[mode] != null;
  return stickForward * maxAirspeedMps(aircraft, mode) * (isKnown ? 1 : ratio);
}
