import { flightProblem, writeInSi } from '@acorn-tally/core';
import { invalid } from '../http/problem';
import type { CalibrationFlightDto, CalibrationRequestDto } from './requestDtos';

interface Complaint {
  readonly path: string;
  readonly message: string;
  readonly received?: unknown;
}

/** What holds for flights to learn from beside the ranges of their fields; all that is wrong is told, with its path. */
export function requireWholeFlights({ batteries, flights, planned }: CalibrationRequestDto): void {
  const ids = batteries.map(({ id }) => id);
  const known = new Set(ids);
  const complaints: Complaint[] = [
    ...twice(ids, 'batteries'),
    ...twice(
      flights.map(({ id }) => id),
      'flights',
    ),
    ...flights.flatMap((flight, i) =>
      ofFlight(flight, known).map((one) => ({ ...one, path: `flights.${i}.${one.path}` })),
    ),
  ];
  if (planned) {
    if (!known.has(planned.batteryId)) {
      complaints.push({ path: 'planned.batteryId', message: noSuchBattery, received: planned.batteryId });
    }
    const problem = flightProblem(planned.flight);
    if (problem) complaints.push({ path: 'planned.flight.mix', message: writeInSi(problem) });
  }
  if (complaints.length > 0) throw invalid(complaints);
}

const noSuchBattery = 'There is no such battery among those of the request.';

function twice(ids: readonly string[], list: string): Complaint[] {
  return ids.flatMap((id, i) =>
    ids.indexOf(id) < i
      ? [{ path: `${list}.${i}.id`, message: 'This id is there twice.', received: id }]
      : [],
  );
}

function ofFlight(
  { batteryId, flight, startCharge, checkpoints, end }: CalibrationFlightDto,
  known: ReadonlySet<string>,
) {
  const found: Complaint[] = [];
  if (!known.has(batteryId)) found.push({ path: 'batteryId', message: noSuchBattery, received: batteryId });
  const problem = flightProblem(flight);
  if (problem) found.push({ path: 'flight.mix', message: writeInSi(problem) });
  if (!(end.timeS > 0))
    found.push({ path: 'end.timeS', message: 'The flight must last some time.', received: end.timeS });
  if (!(end.charge < startCharge)) {
    const message = `Charge at the end must be below the ${Math.round(startCharge * 100)} % at lift-off.`;
    found.push({ path: 'end.charge', message, received: end.charge });
  }
  // The motors may stop after the last reading of the gauge, which some take for the end.
  checkpoints.forEach(({ timeS }, i) => {
    if (timeS <= end.timeS) return;
    const message = 'A reading lies after the end of the flight.';
    found.push({ path: `checkpoints.${i}.timeS`, message, received: timeS });
  });
  return found;
}
