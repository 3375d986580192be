import type { Conditions } from '../../air/conditions';
import { weatherAtHour } from '../../air/hours';
import type { LaunchPlace } from '../../air/site';
import { labelEnergyWh } from '../../battery/battery';
import { emptyToFullOf, fitsCharger } from '../../battery/charging';
import { packMassKg } from '../../battery/packMass';
import { takeoffCharge } from '../../battery/selfDischarge';
import { packThermals } from '../../battery/thermal';
import type { Belief } from '../../belief/belief';
import { boxBattery } from '../../belief/flightContext';
import { confidenceOf } from '../../reserve/policy';
import type { Position } from '../../reserve/returnHome';
import { wholeMinuteFrom, wholeMinuteUntil } from './minutes';
import {
  dayS,
  defaultCoolingS,
  defaultHandlingS,
  defaultMoving,
  type PlanAircraft,
  type PlanBattery,
  type PlanRequest,
  swapS,
} from './request';
import type { Shot } from './shot';
import { type Window, windowsOf } from './windows';
import { Work } from './work';

/** One take of a shot, the unit of planning. Takes are numbered in the order of the request. */
export interface Take {
  readonly index: number;
  readonly shot: Shot;
  readonly shotIndex: number;
  /** From 1. */
  readonly number: number;
  readonly must: boolean;
  readonly setUpS: number;
  /** What hangs on it for its shot; takes with different loads share no flight. */
  readonly loadKg: number;
  readonly position: Position;
  readonly placeIndex: number;
  /** Null for any of them. */
  readonly aircraftIndex: number | null;
  readonly windows: readonly Window[] | null;
  /** Takes that must be over before; all takes of the shots it comes after. */
  readonly after: readonly number[];
  /** Its flight has one of these, takes of the shot it is pinned to go with; any will do where there are none. */
  readonly company: readonly number[];
}

/** Whether takes can share a flight by what hangs on it: that is changed on the ground only. */
export function areAlikeLaden(takes: readonly Take[]): boolean {
  return takes.every(({ loadKg }) => loadKg === takes[0]?.loadKg);
}

/** A battery of the shoot. Packs of one kind fly one aircraft with one type of cells: powers are alike for them. */
export interface Pack {
  readonly index: number;
  readonly battery: PlanBattery;
  readonly aircraftIndex: number;
  readonly kind: number;
  /** The gauge at the start of the shoot, in the likeliest world. */
  readonly startCharge: number;
  readonly startC: number;
  readonly waitingC: number;
  /** In which a waiting pack comes two thirds nearer to its surroundings, s. */
  readonly settlingS: number;
}

/** A flight that is flown already; times in seconds from the start. */
export interface FlightBefore {
  readonly number: number;
  readonly pack: number;
  readonly takeoffS: number;
  readonly touchdownS: number;
  /** Null where nobody told. */
  readonly startCharge: number | null;
  readonly touchdownCharge: number;
  readonly takes: readonly number[];
}

/** One place of a charger. In whole minutes. */
export interface ChargingPlace {
  readonly chargerId: string;
  /** By pack; null for one that does not fit. */
  readonly emptyToFullS: readonly (number | null)[];
  readonly handlingS: number;
  readonly fromS: number;
  readonly untilS: number;
}

/** A request read once: takes, packs and places by number, times in seconds from the start of the shoot. */
export interface Problem {
  readonly request: PlanRequest;
  readonly startMs: number;
  readonly aircraft: readonly PlanAircraft[];
  readonly takes: readonly Take[];
  readonly packs: readonly Pack[];
  readonly kinds: readonly { readonly aircraft: PlanAircraft; readonly battery: PlanBattery }[];
  readonly chargingPlaces: readonly ChargingPlace[];
  readonly places: readonly LaunchPlace[];
  readonly kept: boolean;
  readonly swapS: number;
  readonly coolingS: number;
  readonly moving: { readonly speedMps: number; readonly packUpS: number };
  /** When the crew is there, s from the start. */
  readonly beginS: number;
  /** When all must be down. */
  readonly untilS: number;
  readonly confidence: number;
  /** Flights done already, and the takes they did. */
  readonly flown: readonly FlightBefore[];
  readonly flownTakes: ReadonlySet<number>;
  /** What a flight that takes off in a quarter of an hour meets; one quarter for all where the weather stays. Null where unknown. */
  readonly weathers: readonly (Conditions | null)[];
  /** The weather at the instants of the hourly rows; between two of them it goes straight from one to the other. */
  readonly rowWeathers: readonly { readonly atS: number; readonly weather: Conditions }[];
  /** Weathers worth waiting for: where an hour's row stands. */
  readonly weatherKnots: readonly number[];
  readonly beliefs: readonly Belief[];
  /** Packs that stay on the ground. */
  readonly excludedPacks: ReadonlySet<number>;
  /** What was done for it so far, with all that is tried otherwise. */
  readonly work: Work;
}

/** The same takes, packs and air with some packs left out, or without chargers: single flights are what they were. */
export function withOverrides(
  problem: Problem,
  other: Partial<Pick<Problem, 'excludedPacks' | 'chargingPlaces'>>,
): Problem {
  return { ...problem, ...other };
}

/** Weather that changes is taken by the quarter of an hour of the take-off, as it is in its middle. */
export const quarterS = 900;

/** A pack at rest sheds heat at some 40 % of what it does in the wind of flight (see `battery/pocketWarmth`). */
const stillShare = 0.4;

/** Packs, and shots where their order is free, by what they are called: where they stand in a list must change no plan. */
function inOneOrder(request: PlanRequest): PlanRequest {
  const byId = (a: { readonly id: string }, b: { readonly id: string }) => (a.id < b.id ? -1 : 1);
  const batteries = [...request.batteries].sort(byId);
  const isFree = request.order === 'free';
  return { ...request, batteries, shots: isFree ? [...request.shots].sort(byId) : request.shots };
}

/** Reads a request that contradicts itself nowhere (`contradictions`); beliefs are of its aircraft, by id. */
export function problemOf(
  asked: PlanRequest,
  beliefs: Readonly<Record<string, Belief>>,
  work: Work = Work.of(asked.effort ?? 'usual'),
): Problem {
  const request = inOneOrder(asked);
  const { aircraft, order, policy } = request;
  const startMs = wholeMinuteFrom(Date.parse(request.startAt) / 1000) * 1000;
  const untilS = request.endAt ? (Date.parse(request.endAt) - startMs) / 1000 : dayS;
  const takes = takesOf(request, startMs, untilS);
  const flown = flownOf(request, takes, startMs);
  return {
    request,
    startMs,
    aircraft,
    takes,
    work,
    ...packsOf(request, airAtStartC(request), beliefs),
    chargingPlaces: chargingPlacesOf(request, startMs, untilS),
    places: request.launchPlaces ?? [],
    kept: order === 'kept',
    swapS: swapS(request.swap),
    coolingS: request.coolingS ?? defaultCoolingS,
    moving: {
      speedMps: request.moving?.speedMps ?? defaultMoving.speedMps,
      packUpS: request.moving?.packUpS ?? defaultMoving.packUpS,
    },
    beginS: 0,
    untilS,
    confidence: confidenceOf(policy),
    flown,
    flownTakes: new Set(flown.flatMap((flight) => flight.takes)),
    weathers: weathersOf(request, startMs, untilS),
    rowWeathers: rowWeathersOf(request, startMs, untilS),
    weatherKnots: weatherKnotsOf(request, startMs, untilS),
    beliefs: aircraft.map(({ id }) => beliefs[id] as Belief),
    excludedPacks: new Set(),
  };
}

function takesOf(request: PlanRequest, startMs: number, untilS: number): Take[] {
  const { shots, aircraft, coordinates = null } = request;
  const placeIds = (request.launchPlaces ?? []).map(({ id }) => id);
  const counts = shots.map(({ takes }) => takes ?? 1);
  const firsts = counts.map((_, i) => counts.slice(0, i).reduce((sum, one) => sum + one, 0));
  const takesOfShot = (id: string) => {
    const other = shots.findIndex((one) => one.id === id);
    return Array.from({ length: counts[other] as number }, (_, take) => (firsts[other] as number) + take);
  };
  return shots.flatMap((shot, shotIndex) => {
    const windows = windowsOf(shot, startMs, untilS, coordinates);
    const after = (shot.after ?? []).flatMap(takesOfShot);
    const company = shot.pin?.withShotId ? takesOfShot(shot.pin.withShotId) : [];
    return Array.from({ length: counts[shotIndex] as number }, (_, take) => ({
      index: (firsts[shotIndex] as number) + take,
      shot,
      shotIndex,
      number: take + 1,
      must: shot.need !== 'nice',
      setUpS: shot.setUpS ?? 0,
      loadKg: shot.addedMassKg ?? 0,
      position: { distanceM: shot.distanceM, bearingDeg: shot.bearingDeg, heightM: shot.heightM },
      placeIndex: shot.launchPlaceId == null ? 0 : placeIds.indexOf(shot.launchPlaceId),
      aircraftIndex: shot.aircraftId == null ? null : aircraft.findIndex(({ id }) => id === shot.aircraftId),
      windows,
      after,
      company,
    }));
  });
}

function packsOf(
  { batteries, aircraft }: PlanRequest,
  airC: number,
  beliefs: Readonly<Record<string, Belief>>,
): Pick<Problem, 'packs' | 'kinds'> {
  const kinds: { aircraft: PlanAircraft; battery: PlanBattery }[] = [];
  const names: string[] = [];
  const packs = batteries.map((battery, index): Pack => {
    const aircraftIndex = aircraft.findIndex(({ id }) => id === battery.aircraftId);
    const flying = aircraft[aircraftIndex] as PlanAircraft;
    const sold = boxBattery({ aircraft: flying.spec, battery });
    const { ratedCapacityMah, nominalVoltageV, cellCount, fullCellVoltageV, chemistry } = sold;
    const name = JSON.stringify([
      aircraftIndex,
      ratedCapacityMah,
      battery.ratedCapacityMah,
      nominalVoltageV,
      cellCount,
      fullCellVoltageV,
      chemistry ?? null,
    ]);
    if (!names.includes(name)) {
      names.push(name);
      kinds.push({ aircraft: flying, battery });
    }
    const startC = battery.startTemperatureC ?? airC;
    const { heatCapacityJpK, coolingWpK } = packThermals(packMassKg(battery), stillShare);
    return {
      index,
      battery,
      aircraftIndex,
      kind: names.indexOf(name),
      startCharge: takeoffCharge(battery, (beliefs[flying.id] as Belief).middle.coefficients),
      startC,
      waitingC: battery.waitingTemperatureC ?? startC,
      settlingS: heatCapacityJpK / coolingWpK,
    };
  });
  return { packs, kinds };
}

function chargingPlacesOf(
  { chargers, batteries }: PlanRequest,
  startMs: number,
  untilS: number,
): ChargingPlace[] {
  const secondsOf = (at: string) => (Date.parse(at) - startMs) / 1000;
  return (chargers ?? []).flatMap((charger) => {
    const place: ChargingPlace = {
      chargerId: charger.id,
      emptyToFullS: batteries.map((battery) =>
        fitsCharger(charger, battery.aircraftId) ? emptyToFullOf(charger, labelEnergyWh(battery)) : null,
      ),
      handlingS: wholeMinuteFrom(charger.handlingS ?? defaultHandlingS),
      fromS: wholeMinuteFrom(Math.max(0, charger.fromAt ? secondsOf(charger.fromAt) : 0)),
      untilS: wholeMinuteUntil(Math.min(untilS, charger.untilAt ? secondsOf(charger.untilAt) : untilS)),
    };
    return Array.from({ length: charger.packsAtOnce }, () => place);
  });
}

function flownOf({ flown, batteries }: PlanRequest, takes: readonly Take[], startMs: number): FlightBefore[] {
  const secondsOf = (at: string) => (Date.parse(at) - startMs) / 1000;
  return (flown ?? []).map((flight) => ({
    number: flight.number,
    pack: batteries.findIndex(({ id }) => id === flight.batteryId),
    takeoffS: secondsOf(flight.takeoffAt),
    touchdownS: secondsOf(flight.touchdownAt),
    startCharge: flight.startCharge ?? null,
    touchdownCharge: flight.touchdownCharge.p50,
    takes: flight.shots.map(({ shotId, take }) =>
      takes.findIndex(({ shot, number }) => shot.id === shotId && number === take),
    ),
  }));
}

function weathersOf(request: PlanRequest, startMs: number, untilS: number): (Conditions | null)[] {
  if (!request.hours?.length) return [request.conditions ?? null];
  return Array.from({ length: Math.ceil(untilS / quarterS) + 1 }, (_, quarter) =>
    weatherOf(request, startMs + (quarter + 0.5) * quarterS * 1000),
  );
}

/** Between its rows; null where they do not know it. */
function weatherOf({ hours }: PlanRequest, atMs: number): Conditions | null {
  const rows = [...(hours ?? [])].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const [first] = rows;
  return first ? weatherAtHour(rows, new Date(atMs).toISOString(), groundOf(first)) : null;
}

/** The rows that the shoot lies between. */
function rowWeathersOf(
  request: PlanRequest,
  startMs: number,
  untilS: number,
): { atS: number; weather: Conditions }[] {
  const rows = (request.hours ?? []).flatMap(({ at }) => {
    const weather = weatherOf(request, Date.parse(at));
    return weather ? [{ atS: (Date.parse(at) - startMs) / 1000, weather }] : [];
  });
  const inTurn = rows.sort((a, b) => a.atS - b.atS);
  const isNear = (_: unknown, i: number) =>
    (inTurn[i + 1]?.atS ?? Number.POSITIVE_INFINITY) > 0 &&
    (inTurn[i - 1]?.atS ?? Number.NEGATIVE_INFINITY) < untilS + 2 * quarterS;
  return inTurn.filter(isNear);
}

function weatherKnotsOf({ hours }: PlanRequest, startMs: number, untilS: number): number[] {
  const knots = (hours ?? []).map(({ at }) => Math.floor((Date.parse(at) - startMs) / (quarterS * 1000)));
  return [...new Set(knots)].filter((one) => one >= 0 && one * quarterS <= untilS).sort((a, b) => a - b);
}

function groundOf({ at: _, ...conditions }: { readonly at: string } & Conditions): Conditions {
  return conditions;
}

/** The air at the start, which a battery has where it is not told how warm it is. */
export function airAtStartC(request: PlanRequest): number {
  const { conditions, hours, startAt } = request;
  const weather = conditions ?? weatherOf(request, Date.parse(startAt)) ?? hours?.[0];
  return weather?.airTemperatureC ?? 15;
}

/** The number of the weather that a take-off at a time meets. */
export function weatherAt({ weathers }: Pick<Problem, 'weathers'>, atS: number): number {
  return weathers.length === 1
    ? 0
    : Math.min(weathers.length - 1, Math.max(0, Math.floor(atS / quarterS + 1e-9)));
}

/** When a pack that waits since a time at a temperature has which. */
export function waitedC({ waitingC, settlingS }: Pack, fromC: number, waitsS: number): number {
  return waitingC + (fromC - waitingC) * Math.exp(-Math.max(0, waitsS) / settlingS);
}
