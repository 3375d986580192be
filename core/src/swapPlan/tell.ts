import { gaugeOf } from '../battery/gauge';
import { ownOffsetMin } from '../units/timeZone';
import type { FlightOfPlan } from './answer';
import { exactFlight, lastTake, touchdownGauges, touchdownP10 } from './exactFlight';
import type { Fleet } from './fleet';
import type { Problem } from './problem';
import type { TimedFlight } from './schedule';

/** An instant some seconds after the start, written with the offset the request has. */
export function instantAt(
  { startMs, request }: Pick<Problem, 'startMs' | 'request'>,
  seconds: number,
): string {
  const offset = (/(?:Z|[+-]\d\d:\d\d)$/i.exec(request.startAt)?.[0] ?? 'Z').toUpperCase();
  const local = new Date(Math.round(startMs + seconds * 1000 + ownOffsetMin(offset) * 60_000));
  return local.toISOString().replace('Z', offset);
}

/** A flight of a plan as it is told, flown step by step in every draw. */
export function toldFlight(fleet: Fleet, timed: TimedFlight, number: number): FlightOfPlan {
  const { problem } = fleet;
  const { pack, takes, takeoffS, state, weather } = timed;
  const exact = exactFlight(fleet, timed);
  const context = fleet.middleContext(pack, state, weather);
  if (!exact.middle || !context) throw new Error('A flight that is told is sure.');
  const { hidden } = context.cells;
  const last = exact.middle.at(-1) as NonNullable<typeof exact.middle>[number];
  const p50 = gaugeOf(last.touchdown.charge, hidden);
  const longest = lastTake(fleet, timed, exact);
  const at = (seconds: number) => instantAt(problem, takeoffS + seconds);
  return {
    number,
    aircraftId: (problem.aircraft[pack.aircraftIndex] as Problem['aircraft'][number]).id,
    batteryId: pack.battery.id,
    launchPlaceId: problem.places[takes[0]?.placeIndex ?? 0]?.id ?? null,
    takeoffAt: at(0),
    turnBackAt: at(last.state.timeS),
    touchdownAt: at(last.touchdown.timeS),
    startCharge: gaugeOf(context.takeoff.charge, hidden),
    startTemperatureC: state.temperatureC,
    turnBackCharge: longest.turnBackCharge,
    touchdownCharge: { p10: touchdownP10(touchdownGauges(fleet, timed, exact), p50), p50 },
    spareS: Math.max(0, longest.durationS - (takes.at(-1)?.shot.durationS ?? 0)),
    chanceEarly: exact.chanceEarly,
    shots: takes.map(({ shot, number: take }, i) => {
      const flown = exact.middle?.[i] as typeof last;
      return {
        shotId: shot.id,
        take,
        startAt: at(flown.begun.timeS),
        endAt: at(flown.state.timeS),
        chargeAfter: gaugeOf(flown.state.charge, hidden),
      };
    }),
  };
}
