import { clearanceM, type GroundBelow, type LandingPlace, tallestWithinM } from '../air/obstacle';
import { spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { flyLegs } from '../flight/legs';
import { byItself } from '../reserve/homing';
import { obstaclesAlong } from '../reserve/obstaclesAlong';
import { track } from '../reserve/plane';
import {
  type Cruise,
  cruiseHomeMps,
  legsAcross,
  progressAlong,
  type ReturnLeg,
  returnAirspeedMps,
} from '../reserve/returnHome';
import { type Sentence, sentence } from '../units/sentence';
import { type ForcedLanding, flyWay, total } from './flyWay';
import { landsItselfInWords } from './forcedLandingWords';
import type { Situation } from './situation';
import { modesLeftCharge } from './timetable';

export const waysOutKinds = ['go-now', 'push', 'come-down', 'push-low', 'land-elsewhere'] as const;
export type WayOutKind = (typeof waysOutKinds)[number];

/** Something a pilot can do instead of waiting for the aircraft. */
export interface WayOut {
  readonly kind: WayOutKind;
  /** What to do, in words. */
  readonly action: Sentence<WayOutAction>;
  readonly timeS: number;
  /** The gauge at touch-down, 0–1; null where it does not get there. */
  readonly touchdownCharge: number | null;
  /** Where it comes down by itself instead; null where it does not. */
  readonly forcedLanding: ForcedLanding | null;
  readonly caution: Sentence<WayOutCaution>;
}

export type WayOutAction = WayOutKind | 'rise-and-push';
export type WayOutCaution =
  | 'its-own-way'
  | 'flies-too-low'
  | 'stick-forward'
  | 'by-hand'
  | 'only-where-nobody-is'
  | 'across-the-wind'
  | 'drifts-away'
  | 'pack-gives-out'
  | 'lands-itself';

/**
 * Below some 8 to 10 % an aircraft may leave its fast mode by itself, and has less thrust against the wind (common
 * practice): pushing that would be flown below is no way out.
 */
const minToPushCharge = modesLeftCharge;

const byHand = sentence('by-hand', 'by hand: keep it in sight, and mind that obstacle sensing may be off');

/**
 * What can still be done from here, most charge left first; what comes down by itself on the way, nearest first, and what
 * does not get there at all come last. By hand the aircraft may
 * come down while it flies home, though never below the tallest thing on the way and its clearance.
 */
export function waysOut(situation: Situation): WayOut[] {
  const { request, aircraft, rule } = situation;
  const { position } = request;
  const defaultMps = returnAirspeedMps(situation);
  const pushedMps = spec(aircraft, 'returnSpeedPushedMps');
  const ownM = Math.max(position.heightM, rule.returnHeightM);
  const ownWay = { trackDeg: position.bearingDeg + 180, heightM: ownM };
  const ownMps = cruiseHomeMps(situation, byItself(rule), ownWay);
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
      sentence('go-now', 'Come home now instead of waiting'),
      home(ownM, ownMps),
      lowOwnHeight(situation) ?? sentence('its-own-way', 'the aircraft’s own way home'),
    ),
    pushedMps > defaultMps &&
      pushed(
        situation,
        'push',
        position.heightM < clearM
          ? sentence('rise-and-push', 'Rise to {clearM} and push to {pushedMps:1}', { clearM, pushedMps })
          : sentence('push', 'Push to {pushedMps:1}', { pushedMps }),
        home(handM, pushedMps),
        sentence('stick-forward', 'keep the stick forward all the way; {byHand}', { byHand }),
      ),
    canComeDown &&
      wayOut(
        situation,
        'come-down',
        sentence('come-down', 'Come down to {clearM}, where there is less wind', { clearM }),
        home(clearM, defaultMps),
        byHand,
      ),
    canComeDown &&
      pushedMps > defaultMps &&
      pushed(
        situation,
        'push-low',
        sentence('push-low', 'Come down to {clearM} and push to {pushedMps:1}', { clearM, pushedMps }),
        home(clearM, pushedMps),
        byHand,
      ),
    ...(request.landingPlaces ?? []).map((place) => elsewhere(situation, place, defaultMps)),
  ].filter((way) => way !== false);
  return ways.sort((a, b) => worth(b) - worth(a));
}

/** Down with some charge, else down by itself the nearer the better, else nowhere. */
function worth({ touchdownCharge, forcedLanding }: WayOut): number {
  if (touchdownCharge !== null) return touchdownCharge;
  return forcedLanding ? -1 - forcedLanding.shortM : Number.NEGATIVE_INFINITY;
}

/** How low it may fly home: the tallest thing between here and home, and its clearance. */
export function clearHomeM({ request }: Situation): number {
  const { position, obstacles } = request;
  return (
    tallestWithinM(obstaclesAlong(obstacles ?? [], position.bearingDeg), position.distanceM) + clearanceM
  );
}

/** Why the aircraft's own way home would hit something: it flies at its own height, whatever stands there. Null where it is clear. */
export function lowOwnHeight(situation: Situation): Sentence<'flies-too-low'> | null {
  const { position } = situation.request;
  const ownM = Math.max(position.heightM, situation.rule.returnHeightM);
  const clearM = clearHomeM(situation);
  if (ownM >= clearM) return null;
  return sentence(
    'flies-too-low',
    'it flies home at {ownM}, and what stands on the way needs {clearM}: raise the return height first',
    { ownM, clearM },
  );
}

function elsewhere(situation: Situation, place: LandingPlace, airspeedMps: number): WayOut {
  const { position, below } = situation.request;
  const { distanceM, trackDeg } = track(position, place);
  const cruise = { distanceM, trackDeg, heightM: position.heightM, airspeedMps };
  const nobody = sentence(
    'only-where-nobody-is',
    'only where nobody is; mind what stands on that way{overWhat}',
    { overWhat: overWhat(below) },
  );
  return wayOut(
    situation,
    'land-elsewhere',
    sentence('land-elsewhere', 'Land at {name}, {distanceM} from here', { name: place.name, distanceM }),
    cruise,
    acrossTheWind(situation, cruise, nobody) ?? nobody,
    place.name,
  );
}

/** Where the straight way home is too strong, a way across the wind may still lead somewhere: told with its figures. */
function acrossTheWind(
  situation: Situation,
  cruise: Cruise,
  nobody: Sentence<'only-where-nobody-is'>,
): Sentence<'across-the-wind'> | null {
  const { request, atmosphere } = situation;
  const trackDeg = request.position.bearingDeg + 180;
  const home = progressAlong(atmosphere, { ...cruise, trackDeg });
  const aside = progressAlong(atmosphere, cruise);
  if (request.position.distanceM === 0 || home.groundMps > 0 || !(aside.groundMps > 0)) return null;
  return sentence(
    'across-the-wind',
    'straight home it drifts back at {driftMps:1}, this way it makes {groundMps:1} over ground; {nobody}',
    { driftMps: -home.groundMps, groundMps: aside.groundMps, nobody },
  );
}

/** A way in fast mode; none where it would still be pushing with too little charge. */
function pushed(
  situation: Situation,
  kind: 'push' | 'push-low',
  action: WayOut['action'],
  cruise: Cruise,
  caution: WayOut['caution'],
): WayOut | false {
  const legs = legsAcross(situation, situation.request.position.heightM, cruise);
  if (legs.ok) {
    const least = cellChargeOf(minToPushCharge, situation.cells.hidden);
    const across = legs.value.slice(0, 1 + legs.value.findIndex((leg: ReturnLeg) => leg.kind === 'cruise'));
    const after = flyLegs(situation.cells, across, situation.airC, situation.now);
    if (!(after && after.charge >= least)) return false;
  }
  return wayOut(situation, kind, action, cruise, caution);
}

function overWhat(below: GroundBelow | null | undefined): string {
  if (below === 'water') return '; until then there is water under it';
  return below === 'people' ? '; until then there are people under it' : '';
}

function wayOut(
  situation: Situation,
  kind: WayOutKind,
  action: WayOut['action'],
  cruise: Cruise,
  caution: WayOut['caution'],
  place = 'home',
): WayOut {
  const { request, atmosphere, now } = situation;
  const legs = legsAcross(situation, request.position.heightM, cruise);
  if (!legs.ok) {
    const driftMps = -progressAlong(atmosphere, cruise).groundMps;
    return {
      kind,
      action,
      timeS: 0,
      touchdownCharge: null,
      forcedLanding: null,
      caution: sentence('drifts-away', 'drifts away at {driftMps:1}', { driftMps }),
    };
  }
  const { touchdownCharge, forcedLanding } = flyWay(situation, legs.value, now);
  const ends = { kind, action, timeS: total(legs.value), touchdownCharge, forcedLanding };
  if (touchdownCharge !== null) return { ...ends, caution };
  if (!forcedLanding)
    return { ...ends, caution: sentence('pack-gives-out', 'the pack gives out on the way') };
  return { ...ends, caution: landsItselfInWords(forcedLanding, place, request.below ?? null) };
}
