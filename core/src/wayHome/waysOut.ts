import { clearanceM, type GroundBelow, type LandingPlace, tallestWithinM } from '../air/obstacle';
import { spec } from '../aircraft/aircraft';
import { type Cruise, legsAcross, returnAirspeedMps } from '../reserve/returnHome';
import { track } from '../reserve/transit';
import { type Situation, touchdownCharge } from './situation';

export const waysOutKinds = ['go-now', 'push', 'come-down', 'push-low', 'land-elsewhere'] as const;
export type WayOutKind = (typeof waysOutKinds)[number];

/** Something a pilot can do instead of waiting for the aircraft. */
export interface WayOut {
  readonly kind: WayOutKind;
  /** What to do, in words. */
  readonly action: string;
  readonly timeS: number;
  /** The gauge at touch-down, 0–1; null where it does not get there. */
  readonly touchdownCharge: number | null;
  readonly caution: string;
}

const byHand = 'by hand: keep it in sight, and mind that obstacle sensing may be off';

/**
 * What can still be done from here, most charge left first; what does not get there comes last. By hand the aircraft may
 * come down while it flies home, though never below the tallest thing on the way and its clearance.
 */
export function waysOut(situation: Situation): WayOut[] {
  const { request, flight, coefficients } = situation;
  const { aircraft, position } = request;
  const usualMps = returnAirspeedMps(aircraft, coefficients);
  const pushedMps = spec(aircraft, 'returnSpeedPushedMps');
  const returnHeightM = flight.flight.returnHeightM as number;
  const ownM = Math.max(position.heightM, returnHeightM);
  const clearM = clearHomeM(situation);
  const home = (heightM: number, airspeedMps: number): Cruise => ({
    distanceM: position.distanceM,
    trackDeg: position.bearingDeg + 180,
    heightM,
    airspeedMps,
  });
  const handM = Math.max(position.heightM, clearM);
  const canComeDown = clearM < position.heightM;
  const ways = [
    wayOut(
      situation,
      'go-now',
      'Come home now instead of waiting',
      home(ownM, usualMps),
      lowOwnHeight(situation) ?? 'the aircraft’s own way home',
    ),
    pushedMps > usualMps &&
      wayOut(
        situation,
        'push',
        position.heightM < clearM
          ? `Rise to ${metres(clearM)} m and push to ${metres(pushedMps)} m/s`
          : `Push to ${metres(pushedMps)} m/s`,
        home(handM, pushedMps),
        `keep the stick forward all the way; ${byHand}`,
      ),
    canComeDown &&
      wayOut(
        situation,
        'come-down',
        `Come down to ${metres(clearM)} m, where there is less wind`,
        home(clearM, usualMps),
        byHand,
      ),
    canComeDown &&
      pushedMps > usualMps &&
      wayOut(
        situation,
        'push-low',
        `Come down to ${metres(clearM)} m and push to ${metres(pushedMps)} m/s`,
        home(clearM, pushedMps),
        byHand,
      ),
    ...(request.landingPlaces ?? []).map((place) => elsewhere(situation, place, usualMps)),
  ].filter((way) => way !== false);
  return ways.sort((a, b) => (b.touchdownCharge ?? -1) - (a.touchdownCharge ?? -1));
}

/** How low it may fly home: the tallest thing between here and home, and its clearance. */
export function clearHomeM({ request }: Situation): number {
  const { position, obstacles } = request;
  return tallestWithinM(obstacles ?? [], position.distanceM) + clearanceM;
}

/** Why the aircraft's own way home would hit something: it flies at its own height, whatever stands there. Null where it is clear. */
export function lowOwnHeight(situation: Situation): string | null {
  const { position } = situation.request;
  const ownM = Math.max(position.heightM, situation.flight.flight.returnHeightM as number);
  const clearM = clearHomeM(situation);
  if (ownM >= clearM) return null;
  return `it flies home at ${metres(ownM)} m, and what stands on the way needs ${metres(clearM)} m: raise the return height first`;
}

function elsewhere(situation: Situation, place: LandingPlace, airspeedMps: number): WayOut {
  const { position, below } = situation.request;
  const { distanceM, trackDeg } = track(position, { ...place, heightM: 0 });
  const cruise = { distanceM, trackDeg, heightM: position.heightM, airspeedMps };
  return wayOut(
    situation,
    'land-elsewhere',
    `Land at ${place.name}, ${Math.round(distanceM)} m from here`,
    cruise,
    `only where nobody is; mind what stands on that way${overWhat(below)}`,
  );
}

function overWhat(below: GroundBelow | null | undefined): string {
  if (below === 'water') return '; until then there is water under it';
  return below === 'people' ? '; until then there are people under it' : '';
}

function wayOut(
  situation: Situation,
  kind: WayOutKind,
  action: string,
  cruise: Cruise,
  caution: string,
): WayOut {
  const { request, powertrain, atmosphere, coefficients, now } = situation;
  const legs = legsAcross(
    request.aircraft,
    powertrain,
    atmosphere,
    request.position.heightM,
    cruise,
    coefficients,
  );
  if (!legs.ok) {
    const driftMps = legs.refusal.numbers.driftMps ?? 0;
    return {
      kind,
      action,
      timeS: 0,
      touchdownCharge: null,
      caution: `drifts away at ${metres(driftMps)} m/s`,
    };
  }
  const charge = touchdownCharge(situation, legs.value, now);
  return {
    kind,
    action,
    timeS: legs.value.reduce((sum, { durationS }) => sum + durationS, 0),
    touchdownCharge: charge,
    caution: charge === null ? 'the pack gives out on the way' : caution,
  };
}

function metres(value: number): number {
  return Number(value.toFixed(1));
}
