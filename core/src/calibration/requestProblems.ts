import { flightProblem } from '../estimate/request';
import { readingAfterEnd, testFlightProblem } from '../testFlights/testFlight';
import { type FieldProblem, repeatedIds, under } from '../units/fieldProblem';
import { writeInSi } from '../units/sentence';
import type { FitRequest } from './fit';
import type { CalibrationFlight } from './predicted';

/** What cannot be learned from as it stands, field by field: ids twice or unknown, flights that do not end, readings after the end. */
export function fitRequestProblems({
  batteries,
  flights,
  planned,
}: Pick<FitRequest, 'batteries' | 'flights' | 'planned'>): FieldProblem[] {
  const ids = batteries.map(({ id }) => id);
  const known = new Set(ids);
  return [
    ...repeatedIds('batteries', ids),
    ...repeatedIds(
      'flights',
      flights.map(({ id }) => id),
    ),
    ...flights.flatMap((flight, i) => under(`flights.${i}`, problemsOfFlight(flight, known))),
    ...(planned ? under('planned', [...ofBattery(planned, known), ...ofMix(planned)]) : []),
  ];
}

function problemsOfFlight(flight: CalibrationFlight, known: ReadonlySet<string>): FieldProblem[] {
  const { startCharge, checkpoints, end } = flight;
  const found = [...ofBattery(flight, known), ...ofMix(flight)];
  if (!(end.timeS > 0))
    found.push({ path: 'end.timeS', message: 'The flight must last some time.', received: end.timeS });
  const message = testFlightProblem({ startCharge, endCharge: end.charge });
  if (message) found.push({ path: 'end.charge', message, received: end.charge });
  // The motors may stop after the last reading of the gauge, which some take for the end.
  checkpoints.forEach(({ timeS }, i) => {
    if (timeS > end.timeS)
      found.push({ path: `checkpoints.${i}.timeS`, message: readingAfterEnd, received: timeS });
  });
  return found;
}

function ofBattery(
  { batteryId }: { readonly batteryId: string },
  known: ReadonlySet<string>,
): FieldProblem[] {
  if (known.has(batteryId)) return [];
  const message = 'There is no such battery among those of the request.';
  return [{ path: 'batteryId', message, received: batteryId }];
}

function ofMix({ flight }: Pick<CalibrationFlight, 'flight'>): FieldProblem[] {
  const problem = flightProblem(flight);
  return problem ? [{ path: 'flight.mix', message: writeInSi(problem) }] : [];
}
