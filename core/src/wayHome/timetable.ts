import type { GroundBelow } from '../air/obstacle';
import { spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { momentAtCharge } from '../flight/drain';
import { countdownS } from '../reserve/returnHome';
import { type Sentence, sentence } from '../units/sentence';
import type { OwnReturn } from './returnNow';
import type { Situation } from './situation';

/** What the aircraft will do by itself if it is flown on: when, at what gauge, and what. */
export interface OwnAction {
  readonly kind: 'low-warning' | 'own-call' | 'own-return' | 'landing' | 'forced-landing' | 'lost-link';
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
  | 'lands-itself'
  | 'lands-in-place'
  | 'returns-low'
  | 'climbs-and-returns'
  | 'stays-and-returns'
  | 'slows-to-land'
  | 'after-lost-link';

/** In order of time; then its landing and a lost link, whenever they come. */
export function timetable(situation: Situation, own: OwnReturn | null): OwnAction[] {
  const { request, curve, cells } = situation;
  const { aircraft, below } = request;
  const passing = (charge: number) => momentAtCharge(curve, cellChargeOf(charge, cells.hidden)).timeS;
  const warning = spec(aircraft, 'lowWarningCharge');
  const forced = spec(aircraft, 'forcedLandingCharge');
  const place = ownWayHome(situation);
  const actions: OwnAction[] = [
    action('low-warning', passing(warning), warning, sentence('warns', 'it warns of a low battery')),
    ...(own
      ? [
          action(
            'own-call',
            own.timeS,
            own.charge,
            sentence('asks', 'it asks to come home and counts {countdownCount} s; you may refuse', {
              countdownCount: countdownS,
            }),
          ),
          action('own-return', own.timeS + countdownS, null, place.says, place.caution),
        ]
      : []),
    action(
      'forced-landing',
      passing(forced),
      forced,
      sentence('lands-itself', 'it lands where it is; you can steer it aside, not stop it'),
      badBelow(below, 'it comes down'),
    ),
  ];
  return [
    ...actions.sort((a, b) => (a.timeS ?? 0) - (b.timeS ?? 0)),
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
      'lost-link',
      null,
      null,
      // By a setting of the aircraft (common practice).
      sentence('after-lost-link', 'after 3 to 20 s, by its setting: {what}', { what: place.says }),
      place.caution,
    ),
  ];
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
