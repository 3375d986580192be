import geodesic from 'geographiclib-geodesic';
import ical, { ICalAlarmType } from 'ical-generator';
import type { Coordinates } from '../air/sun';
import { toCartesian } from '../reserve/plane';
import type { FlightOfPlan, SpanOfLane, SwapPlan } from '../swapPlan/report/answer';
import { chargingOf } from '../swapPlan/report/chargingOf';
import { wholeMinuteFrom, wholeMinuteUntil } from '../swapPlan/request/minutes';
import type { PlanRequest } from '../swapPlan/request/request';
import type { Shot } from '../swapPlan/request/shot';
import { fittingName } from '../units/names';
import { writeCsv } from './csv';
import { writeGpxWaypoints } from './gpx';

/** What of a shoot its files are made of. */
export interface PlanToWrite {
  readonly name: string;
  readonly request: PlanRequest;
  readonly plan: Pick<SwapPlan, 'flights' | 'lanes'>;
  /** When it was made, ISO 8601. */
  readonly madeAt: string;
}

const beforeTakeoffS = 300;

/**
 * A plan as iCalendar (RFC 5545): one event for each flight, with an alarm five minutes before, and one for each swap, with an alarm
 * when it begins, and one for each charge, with an alarm to plug in.
 */
export function writePlanCalendar({ name, request, plan, madeAt }: PlanToWrite): string {
  const calendar = ical({
    name: fittingName(name),
    prodId: { company: 'Acorn Tally', product: 'swap plan' },
  });
  const add = (
    id: string,
    fromAt: string,
    untilAt: string,
    summary: string,
    description: string,
    alarmS: number,
  ) =>
    calendar
      .createEvent({
        id: `${id}@acorn-tally`,
        start: new Date(fromAt),
        end: new Date(untilAt),
        stamp: new Date(madeAt),
        summary,
        description,
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: alarmS, description: summary });
  plan.flights.forEach((flight, i) => {
    const battery = labelOf(request, flight);
    const summary = `Flight ${flight.number}: ${battery}, ${shotNames(request, flight).join(', ')}`;
    add(
      `${request.startAt}-flight-${flight.number}`,
      flight.takeoffAt,
      wholeMinute(flight.touchdownAt, wholeMinuteFrom),
      summary,
      inLines(request, flight),
      beforeTakeoffS,
    );
    const next = plan.flights[i + 1];
    if (!next) return;
    const swap = `Swap: ${battery} out, ${labelOf(request, next)} in`;
    add(
      `${request.startAt}-swap-${flight.number}`,
      wholeMinute(flight.touchdownAt, wholeMinuteFrom),
      next.takeoffAt,
      swap,
      `Then flight ${next.number}.`,
      0,
    );
  });
  for (const charge of chargingOf(plan)) {
    const { batteryId, fromAt, untilAt, chargeFrom, chargeTo } = charge;
    const summary = `Charge ${labelOf(request, charge)} on ${chargerName(request, charge)}`;
    const gauges = `From ${Math.round(chargeFrom * 100)} to ${Math.round(chargeTo * 100)} %.`;
    add(`${request.startAt}-charge-${batteryId}-${fromAt}`, fromAt, untilAt, summary, gauges, 0);
  }
  return calendar.toString();
}

/** Seconds are for what is flown; what is told by the clock is told in minutes. */
function wholeMinute(at: string, rounded: (seconds: number) => number): string {
  return new Date(rounded(Date.parse(at) / 1000) * 1000).toISOString();
}

function chargerName({ chargers }: PlanRequest, { chargerId }: SpanOfLane): string {
  return chargers?.find(({ id }) => id === chargerId)?.name ?? 'a charger';
}

function inLines(request: PlanRequest, { turnBackCharge, touchdownCharge, shots }: FlightOfPlan): string {
  const takes = shots.map(
    ({ shotId, take, startAt }) => `${startAt.slice(11, 16)} ${nameOf(request, shotId)}, take ${take}`,
  );
  const turn = turnBackCharge === null ? [] : [`Turn back by ${Math.ceil(turnBackCharge * 100)} %.`];
  return [...takes, ...turn, `Touch down with about ${Math.round(touchdownCharge.p50 * 100)} %.`].join('\n');
}

const headings = [
  'flight',
  'battery',
  'launch place',
  'take-off',
  'turn back by %',
  'turn back at',
  'touch down',
  'touch down with %',
  'spare s',
  'must turn back early %',
  'shots',
] as const;

/** The flights of a plan as CSV, times in ISO 8601 to the minute; below them what charges meanwhile: its charger as the place, plugged in and out as take-off and touch-down. */
export function writePlanCsv({ request, plan }: Pick<PlanToWrite, 'request' | 'plan'>): string {
  const percent = (share: number) => Number((share * 100).toFixed(1));
  const flights = plan.flights.map((flight) => [
    flight.number,
    labelOf(request, flight),
    request.launchPlaces?.find(({ id }) => id === flight.launchPlaceId)?.name ?? '',
    flight.takeoffAt,
    flight.turnBackCharge === null ? '' : Math.ceil(flight.turnBackCharge * 100),
    wholeMinute(flight.turnBackAt, wholeMinuteUntil),
    wholeMinute(flight.touchdownAt, wholeMinuteFrom),
    percent(flight.touchdownCharge.p50),
    Math.floor(flight.spareS),
    percent(flight.chanceEarly),
    shotNames(request, flight).join('; '),
  ]);
  const charges = chargingOf(plan).map((charge) => [
    'charge',
    labelOf(request, charge),
    chargerName(request, charge),
    charge.fromAt,
    '',
    '',
    charge.untilAt,
    percent(charge.chargeTo),
    '',
    '',
    '',
  ]);
  return writeCsv(headings, [...flights, ...charges]);
}

/** Working points as GPX 1.1 waypoints, by the geodesic of WGS 84 (Karney 2013); heights are over the ground given. */
export function writePointsGpx(request: PlanRequest, home: Coordinates, groundM: number): string {
  const places = request.launchPlaces ?? [];
  return writeGpxWaypoints(
    request.shots.map((shot, i) => ({
      ...pointOf(places, shot, home),
      elevationM: groundM + shot.heightM,
      name: `${i + 1} ${shot.name}`,
    })),
  );
}

/** To a centimetre. */
function pointOf(
  places: NonNullable<PlanRequest['launchPlaces']>,
  shot: Shot,
  { latitudeDeg, longitudeDeg }: Coordinates,
): Coordinates {
  const place = places.find(({ id }) => id === shot.launchPlaceId) ?? places[0];
  const seen = toCartesian(shot);
  const [eastM, northM] = [seen.eastM + (place?.eastM ?? 0), seen.northM + (place?.northM ?? 0)];
  const bearingDeg = (Math.atan2(eastM, northM) * 180) / Math.PI;
  const { lat2, lon2 } = geodesic.Geodesic.WGS84.Direct(
    latitudeDeg,
    longitudeDeg,
    bearingDeg,
    Math.hypot(eastM, northM),
  );
  const rounded = (deg: unknown) => Number((deg as number).toFixed(7));
  return { latitudeDeg: rounded(lat2), longitudeDeg: rounded(lon2) };
}

function labelOf({ batteries }: PlanRequest, { batteryId }: Pick<FlightOfPlan, 'batteryId'>): string {
  return batteries.find(({ id }) => id === batteryId)?.label ?? batteryId;
}

function nameOf({ shots }: PlanRequest, id: string): string {
  return shots.find((shot) => shot.id === id)?.name ?? id;
}

function shotNames(request: PlanRequest, { shots }: FlightOfPlan): string[] {
  return [...new Set(shots.map(({ shotId }) => shotId))].map((id) => nameOf(request, id));
}
