import type { GroundBelow } from '../air/obstacle';
import { spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { momentAtCharge } from '../flight/drain';
import { countdownS } from '../reserve/returnHome';
import type { OwnReturn } from './returnNow';
import type { Situation } from './situation';

/** What the aircraft will do by itself if it is flown on: when, at what gauge, and what. */
export interface OwnAction {
  readonly kind: 'low-warning' | 'own-call' | 'own-return' | 'forced-landing' | 'lost-link';
  /** From take-off; null for what may happen at any time. */
  readonly timeS: number | null;
  readonly charge: number | null;
  readonly says: string;
  /** Where that is bad, why. */
  readonly caution: string | null;
}

/** A lost link is answered after some seconds, by a setting of the aircraft (common practice). */
const lostLink = 'after 3 to 20 s, by its setting';

/** In order of time; the lost link, which may come at any time, last. */
export function timetable(situation: Situation, own: OwnReturn | null): OwnAction[] {
  const { request, curve, pack } = situation;
  const { aircraft, below } = request;
  const passing = (charge: number) => momentAtCharge(curve, cellChargeOf(charge, pack.hidden)).timeS;
  const warning = spec(aircraft, 'lowWarningCharge');
  const forced = spec(aircraft, 'forcedLandingCharge');
  const place = homeRule(situation);
  const actions: OwnAction[] = [
    action('low-warning', passing(warning), warning, 'it warns of a low battery'),
    ...(own
      ? [
          action(
            'own-call',
            own.timeS,
            own.charge,
            `it asks to come home and counts ${countdownS} s; you may refuse`,
          ),
          action('own-return', own.timeS + countdownS, null, place.says, place.caution),
        ]
      : []),
    action(
      'forced-landing',
      passing(forced),
      forced,
      'it lands where it is; you can steer it aside, not stop it',
      badBelow(below, 'it comes down'),
    ),
  ];
  return [
    ...actions.sort((a, b) => (a.timeS ?? 0) - (b.timeS ?? 0)),
    action('lost-link', null, null, `${lostLink}: ${place.says}`, place.caution),
  ];
}

function action(
  kind: OwnAction['kind'],
  timeS: number | null,
  charge: number | null,
  says: string,
  caution: string | null = null,
): OwnAction {
  return { kind, timeS, charge, says, caution };
}

/** How it comes home from here by itself: the near, low and far rules of the spec sheet. */
function homeRule({ request, flight }: Situation): Pick<OwnAction, 'says' | 'caution'> {
  const { aircraft, position, below } = request;
  const inPlaceM = spec(aircraft, 'landInPlaceRadiusM');
  const lowM = spec(aircraft, 'lowReturnRadiusM');
  const lowHeightM = spec(aircraft, 'lowReturnHeightM');
  if (position.distanceM <= inPlaceM) {
    return {
      says: `it lands where it is, since it is within ${inPlaceM} m of home`,
      caution: badBelow(below, 'it lands'),
    };
  }
  if (position.distanceM <= lowM) {
    const heightM = Math.max(position.heightM, lowHeightM);
    return { says: `it flies home at ${heightM} m, since it is within ${lowM} m`, caution: null };
  }
  const returnHeightM = flight.flight.returnHeightM as number;
  const says =
    position.heightM < returnHeightM
      ? `it climbs from ${position.heightM} m to ${returnHeightM} m and flies home`
      : `it stays at ${position.heightM} m and flies home`;
  return { says, caution: null };
}

function badBelow(below: GroundBelow | null | undefined, verb: string): string | null {
  if (below === 'water') return `${verb} on water: be away from there long before`;
  return below === 'people' ? `${verb} on people: be away from there long before` : null;
}
