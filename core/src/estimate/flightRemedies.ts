import { warmedInPocketC } from '../battery/pocketWarmth';
import { chargedFull } from '../battery/selfDischarge';
import { type Belief, worldMoved } from '../belief/belief';
import { type PriorName, priorNames, priors } from '../belief/priors';
import { type ComesHome, defaultComesHome } from '../reserve/homing';
import { type Sentence, sentence } from '../units/sentence';
import { bandsOf } from './band';
import { coldPackC } from './cautions';
import { drawnFlights } from './drawnFlights';
import type { EstimateRequest } from './request';
import { readings, waysToKnow } from './sensitivity';

export const flightRemedyCodes = [
  'by-hand',
  'by-hand-fast',
  'know',
  'nearer',
  'lower',
  'upwind',
  'warm-pack',
  'charge-it',
  'normal-mode',
  'fast-mode',
  'mode-and-by-hand',
  'nearer-lower-upwind',
] as const;
export type FlightRemedyCode = (typeof flightRemedyCodes)[number];

/** A change that makes a flight one that may be planned, and the minutes it then has. */
export interface FlightRemedy extends Sentence<FlightRemedyCode> {
  readonly plannedS: number;
  /** How it then comes home, and is flown, where that is what helps. */
  readonly comesHome?: ComesHome;
  readonly mix?: EstimateRequest['flight']['mix'];
}

/** Fewer planned seconds are no flight worth naming (assumed). */
const minPlannedS = 60;
const pocketMin = 10;
const nearest = { distanceM: 10, heightM: 5 } as const;

/**
 * What helps a flight that is refused or not to be planned: changes that were flown in every draw and can be planned, what gives
 * most first. Each is tried by itself; where none does alone, a faster mode and home by hand, and then nearer, lower and upwind together. Empty where none helps;
 * a smaller reserve is never one.
 */
export function flightRemedies(request: EstimateRequest, belief: Belief): FlightRemedy[] {
  const alone = [...planned(changesOf(request), belief), ...known(request, belief)];
  if (alone.length > 0) return alone.sort((a, b) => b.plannedS - a.plannedS);
  const both = planned(
    inOneMode(request).flatMap((faster) =>
      flownHome(faster.request).map((home) => ({
        ...home,
        mix: faster.mix,
        words: sentence('mode-and-by-hand', '{faster}, and {home}', {
          faster: faster.words,
          home: home.words,
        }),
      })),
    ),
    belief,
  );
  if (both.length > 0) return both;
  return planned(
    [0.5, 0.25, 0.1, 0].map((share) => allTogether(request, share)),
    belief,
  );
}

interface Change {
  readonly words: Sentence<FlightRemedyCode>;
  readonly request: EstimateRequest;
  readonly comesHome?: ComesHome;
  readonly mix?: EstimateRequest['flight']['mix'];
}

function planned(changes: readonly Change[], belief: Belief): FlightRemedy[] {
  const bands = bandsOf(
    changes.map(({ request }) => request),
    belief,
  );
  const found = changes.map(({ words, comesHome, mix }, i) => ({
    ...words,
    plannedS: bands[i]?.usableS.planned ?? 0,
    ...(comesHome && { comesHome }),
    ...(mix && { mix }),
  }));
  const helping = found.filter(({ plannedS }) => plannedS >= minPlannedS);
  // Of several of one kind the mildest that helps comes first in the list of changes.
  return helping
    .filter(({ code }, i) => helping.findIndex((one) => one.code === code) === i)
    .sort((a, b) => b.plannedS - a.plannedS);
}

function changesOf(request: EstimateRequest): Change[] {
  return [
    ...[0.5, 0.25, 0].flatMap((share) => nearer(request, share)),
    ...[0.5, 0.25].flatMap((share) => lower(request, share)),
    ...upwind(request),
    ...warmed(request),
    ...charged(request),
    ...inOneMode(request),
    ...flownHome(request),
  ];
}

/** By itself it may not come home where a pilot with the stick forward does. */
function flownHome(request: EstimateRequest): Change[] {
  if ((request.policy.comesHome ?? defaultComesHome) !== 'by-itself') return [];
  const by = (comesHome: 'by-hand' | 'by-hand-fast', words: Change['words']) => ({
    request: { ...request, policy: { ...request.policy, comesHome } },
    words,
    comesHome,
  });
  return [
    by('by-hand', sentence('by-hand', 'fly it home by hand in normal mode')),
    by('by-hand-fast', sentence('by-hand-fast', 'fly it home by hand in fast mode')),
  ];
}

/** So much must a guess be off in the draws that fail, on the whole and in its deviations, to be named as what decides (assumed). */
const decidesFrom = 0.5;

/** What decides where some draws fail, if it can be read or looked up: the flight if that turns out as it is assumed. */
function known(request: EstimateRequest, belief: Belief): FlightRemedy[] {
  const [drawn = []] = drawnFlights([request], belief, []);
  const failing = drawn.map(({ usableS }) => usableS === 0);
  const count = failing.filter(Boolean).length;
  if (count === 0 || count === failing.length) return [];
  const found = [...readings].flatMap((way) => {
    const names = priorNames.filter(
      (name) => priors[name].betterBy === way && !belief.learned.includes(name),
    );
    const off = Math.max(0, ...names.map((name) => Math.abs(meanOff(belief, name, failing))));
    if (off < decidesFrom) return [];
    const still = Object.fromEntries(names.map((name) => [name, 0]));
    const draws = belief.draws.map((world) => worldMoved(world, still));
    const [band] = bandsOf([request], { ...belief, draws });
    const what = waysToKnow[way];
    const words = sentence('know', '{what}, if it is as assumed', {
      what: what.charAt(0).toLowerCase() + what.slice(1),
    });
    return [{ ...words, plannedS: band?.usableS.planned ?? 0 }];
  });
  return found.filter(({ plannedS }) => plannedS >= minPlannedS);
}

/** By how many deviations a guess is off in the draws that fail. */
function meanOff({ draws }: Belief, name: PriorName, failing: readonly boolean[]): number {
  const deviations = draws.flatMap((draw, i) => (failing[i] ? [draw.deviations[name] ?? 0] : []));
  return deviations.reduce((sum, deviation) => sum + deviation, 0) / deviations.length;
}

function nearer(request: EstimateRequest, share: number): Change[] {
  const { farthestM } = request.flight;
  const distanceM = Math.max(nearest.distanceM, Math.round((farthestM * share) / 10) * 10);
  if (distanceM >= farthestM) return [];
  const words = sentence('nearer', 'stay within {distanceM}', { distanceM });
  return [{ request: withFlight(request, { farthestM: distanceM }), words }];
}

function lower(request: EstimateRequest, share: number): Change[] {
  const heightM = Math.max(nearest.heightM, Math.round((request.flight.heightM * share) / 5) * 5);
  if (heightM >= request.flight.heightM) return [];
  const words = sentence('lower', 'fly at {heightM}', { heightM });
  return [{ request: withFlight(request, { heightM }), words }];
}

/** Out against the wind, which then helps it home. */
function upwind(request: EstimateRequest): Change[] {
  const { speedMps, fromDeg: trackDeg } = request.conditions.wind;
  if (!(speedMps > 0)) return [];
  const words = sentence('upwind', 'fly out upwind, on track {trackDeg}', { trackDeg });
  return [{ request: withFlight(request, { bearingDeg: trackDeg }), words }];
}

function warmed(request: EstimateRequest): Change[] {
  const { battery, conditions } = request;
  const packC = battery.startTemperatureC ?? conditions.airTemperatureC;
  if (packC >= coldPackC) return [];
  const startTemperatureC = warmedInPocketC(battery, packC, pocketMin * 60);
  const words = sentence('warm-pack', 'warm the pack in a pocket for {pocketCount} min', {
    pocketCount: pocketMin,
  });
  return [{ request: withBattery(request, { startTemperatureC }), words }];
}

function charged(request: EstimateRequest): Change[] {
  const { startCharge, daysSinceCharge } = request.battery;
  if (startCharge >= chargedFull && !daysSinceCharge) return [];
  const words = sentence('charge-it', 'charge the pack');
  return [{ request: withBattery(request, { startCharge: chargedFull, daysSinceCharge: null }), words }];
}

/** All parts but hovers flown in normal mode, or in fast mode: the mildest first. */
function inOneMode(request: EstimateRequest): (Change & { readonly mix: Mix })[] {
  return [
    ...inMode(request, 'normal', (styles) =>
      sentence('normal-mode', 'fly the {styles} part in normal mode', { styles }),
    ),
    ...inMode(request, 'fast', (styles) =>
      sentence('fast-mode', 'fly the {styles} part in fast mode', { styles }),
    ),
  ];
}

type Mix = EstimateRequest['flight']['mix'];
/** What another mode may stand in for: a faster one holds in the wind, normal saves what fast spends. */
const movedTo = { normal: ['slow', 'fast', 'manual'], fast: ['slow', 'normal', 'manual'] } as const;

function inMode(
  request: EstimateRequest,
  mode: 'normal' | 'fast',
  words: (styles: string) => Sentence<FlightRemedyCode>,
): (Change & { readonly mix: Mix })[] {
  const others: readonly string[] = movedTo[mode];
  const moved = request.flight.mix.filter(({ style, share }) => share > 0 && others.includes(style));
  if (moved.length === 0) return [];
  const mix = request.flight.mix.map((part) =>
    moved.includes(part) ? { style: mode, share: part.share } : part,
  );
  const styles = moved.map(({ style }) => style).join(' and ');
  return [{ request: withFlight(request, { mix }), words: words(styles), mix }];
}

function allTogether(request: EstimateRequest, share: number): Change {
  const { flight } = request;
  const part = (whole: number, least: number, step: number) =>
    Math.min(whole, Math.max(least, Math.round((whole * share) / step) * step));
  const distanceM = part(flight.farthestM, nearest.distanceM, 10);
  const heightM = part(flight.heightM, nearest.heightM, 5);
  const trackDeg = request.conditions.wind.fromDeg;
  const words = sentence(
    'nearer-lower-upwind',
    'stay within {distanceM} at {heightM}, upwind on track {trackDeg}',
    { distanceM, heightM, trackDeg },
  );
  return { request: withFlight(request, { farthestM: distanceM, heightM, bearingDeg: trackDeg }), words };
}

function withFlight(request: EstimateRequest, part: Partial<EstimateRequest['flight']>): EstimateRequest {
  return { ...request, flight: { ...request.flight, ...part } };
}

function withBattery(request: EstimateRequest, part: Partial<EstimateRequest['battery']>): EstimateRequest {
  return { ...request, battery: { ...request.battery, ...part } };
}
