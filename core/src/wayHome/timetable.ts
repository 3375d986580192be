import type { GroundBelow } from '../air/obstacle';
import { spec } from '../aircraft/aircraft';
import { emptyCellVoltageV } from '../battery/cells';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { chemistryOf } from '../battery/openCircuit';
import { endOf, momentAtCharge, momentAtTime } from '../flight/drain';
import { countdownS } from '../reserve/returnHome';
import { type Sentence, sentence } from '../units/sentence';
import type { OwnReturn } from './returnNow';
import type { Situation } from './situation';

/** What the aircraft will do by itself if it is flown on: when, at what gauge, and what. */
export interface OwnAction {
  readonly kind:
    | 'low-warning'
    | 'own-call'
    | 'own-return'
    | 'modes-left'
    | 'forced-landing'
    | 'held-no-more'
    | 'landing'
    | 'broken-off'
    | 'lost-link'
    | 'no-satellites';
  /** From take-off; null for what may happen at any time. */
  readonly timeS: number | null;
  readonly charge: number | null;
  readonly says: Sentence<OwnActionWords>;
  /** Where that is bad, why. */
  readonly caution: Sentence<'over-water' | 'over-people'> | null;
}

export type OwnActionWords =
  | 'warns'
  | 'asks'
  | 'leaves-fast'
  | 'lands-itself'
  | 'comes-down'
  | 'comes-down-late'
  | 'lands-in-place'
  | 'returns-low'
  | 'climbs-and-returns'
  | 'stays-and-returns'
  | 'slows-to-land'
  | 'break-off'
  | 'after-lost-link'
  | 'waits-for-satellites';

/** Below 8 to 10 % aircraft leave their fast mode and have less thrust (common practice). */
export const modesLeftCharge = 0.1;
/** At this gauge, or where a cell falls under its cut-off, no stick holds it up any more (common practice). */
const heldUntilCharge = 0.01;

/** In order of time; then what may come whenever. */
export function timetable(situation: Situation, own: OwnReturn | null): OwnAction[] {
  const actions = [...warnings(situation), ...ownCall(situation, own), ...lowCharge(situation)];
  return [...actions.sort((a, b) => (a.timeS ?? 0) - (b.timeS ?? 0)), ...anyTime(situation)];
}

function warnings(situation: Situation): OwnAction[] {
  const charge = spec(situation.request.aircraft, 'lowWarningCharge');
  return [
    action(
      'low-warning',
      passing(situation, charge),
      charge,
      sentence(
        'warns',
        'it warns of a low battery, some only by a sound; a second warning comes with its forced landing',
      ),
    ),
  ];
}

function ownCall(situation: Situation, own: OwnReturn | null): OwnAction[] {
  if (!own) return [];
  const place = ownWayHome(situation);
  return [
    action(
      'own-call',
      own.timeS,
      own.charge,
      sentence('asks', 'it asks to come home and counts {countdownCount} s; you may refuse', {
        countdownCount: countdownS,
      }),
    ),
    action('own-return', own.timeS + countdownS, null, place.says, place.caution),
  ];
}

/** What a low battery takes away: its modes, then the choice to stay up, then the stick that holds it up. */
function lowCharge(situation: Situation): OwnAction[] {
  const { curve, cells, request } = situation;
  const forced = spec(request.aircraft, 'forcedLandingCharge');
  const forcedS = passing(situation, forced);
  const motorsOutS = endOf(curve)?.timeS ?? 0;
  const heldUntilS = Math.max(forcedS, Math.min(passing(situation, heldUntilCharge), motorsOutS));
  const isIon = chemistryOf(situation.battery) === 'lithium-ion';
  const comesDown = isIon
    ? sentence(
        'comes-down-late',
        'it comes down whatever the stick does; a lithium-ion pack may fly on for minutes at 1 %: never count on them',
      )
    : sentence('comes-down', 'here, or at {emptyCellV:1} a cell, it comes down whatever the stick does', {
        emptyCellV: emptyCellVoltageV,
      });
  return [
    action(
      'modes-left',
      passing(situation, modesLeftCharge),
      modesLeftCharge,
      sentence(
        'leaves-fast',
        'about here it leaves its fast mode and has less thrust: it climbs and brakes badly',
      ),
    ),
    action(
      'forced-landing',
      forcedS,
      forced,
      sentence(
        'lands-itself',
        'it lands where it is; the stick steers it aside and holds it up for about {heldS} more, for an emergency only',
        { heldS: heldUntilS - forcedS },
      ),
      badBelow(request.below, 'it comes down'),
    ),
    action(
      'held-no-more',
      heldUntilS,
      gaugeOf(momentAtTime(curve, heldUntilS).charge, cells.hidden),
      comesDown,
    ),
  ];
}

function anyTime(situation: Situation): OwnAction[] {
  const place = ownWayHome(situation);
  const forcedCharge = spec(situation.request.aircraft, 'forcedLandingCharge');
  return [
    action(
      'landing',
      null,
      null,
      sentence(
        'slows-to-land',
        'over unsuitable ground it hovers and waits; it can be steered, and the landing hurried by hand',
      ),
    ),
    action(
      'broken-off',
      null,
      null,
      sentence(
        'break-off',
        'a return can be broken off by its button while the link is held, but not a landing begun at {forcedCharge}',
        { forcedCharge },
      ),
    ),
    action(
      'lost-link',
      null,
      null,
      // By a setting of the aircraft (common practice).
      sentence(
        'after-lost-link',
        'after 3 to 20 s, by its setting: {what}; a link that comes back gives it back to you',
        { what: place.says },
      ),
      place.caution,
    ),
    action(
      'no-satellites',
      null,
      null,
      sentence(
        'waits-for-satellites',
        'it knows no home and does not return: it drifts with the wind. Bring it back by eye, or set it down',
      ),
    ),
  ];
}

/** When the gauge passes a charge, s from take-off. */
function passing({ curve, cells }: Situation, charge: number): number {
  return momentAtCharge(curve, cellChargeOf(charge, cells.hidden)).timeS;
}

function action(
  kind: OwnAction['kind'],
  timeS: number | null,
  charge: number | null,
  says: OwnAction['says'],
  caution: OwnAction['caution'] = null,
): OwnAction {
  return { kind, timeS, charge, says, caution };
}

/** How it comes home from here by itself: the near, low and far rules of the spec sheet. */
function ownWayHome({ request, rule: { returnHeightM } }: Situation): Pick<OwnAction, 'says' | 'caution'> {
  const { aircraft, position, below } = request;
  const inPlaceM = spec(aircraft, 'landInPlaceRadiusM');
  const lowM = spec(aircraft, 'lowReturnRadiusM');
  const lowHeightM = spec(aircraft, 'lowReturnHeightM');
  if (position.distanceM <= inPlaceM) {
    return {
      says: sentence('lands-in-place', 'it lands where it is, since it is within {inPlaceM} of home', {
        inPlaceM,
      }),
      caution: badBelow(below, 'it lands'),
    };
  }
  if (position.distanceM <= lowM) {
    const heightM = Math.max(position.heightM, lowHeightM);
    return {
      says: sentence('returns-low', 'it flies home at {heightM}, since it is within {lowM}', {
        heightM,
        lowM,
      }),
      caution: null,
    };
  }
  const { heightM } = position;
  const says =
    heightM < returnHeightM
      ? sentence('climbs-and-returns', 'it climbs from {heightM} to {returnHeightM} and flies home', {
          heightM,
          returnHeightM,
        })
      : sentence('stays-and-returns', 'it stays at {heightM} and flies home', { heightM });
  return { says, caution: null };
}

function badBelow(below: GroundBelow | null | undefined, verb: string): OwnAction['caution'] {
  if (below === 'water')
    return sentence('over-water', '{verb} on water: be away from there long before', { verb });
  return below === 'people'
    ? sentence('over-people', '{verb} on people: be away from there long before', { verb })
    : null;
}
