import { type AircraftRecord, type Estimate, type LeftTo, spec, timeAtCharge } from '@acorn-tally/core';
import { useMemo } from 'react';
import { flownIn, leftToNames, shownByStyle } from '../answers/shownLeft';
import { percent } from '../fields/percent';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly estimate: Estimate;
  /** Null while it is not known. */
  readonly plannedS: number | null;
}

/** Many pilots fly by the minutes their aircraft shows: what it will show here, by how it erred in its tests, and what there is. */
export function ShownMinutes({ aircraft, estimate, plannedS }: Props) {
  const { testFlights, batteries } = useRecords();
  const styles = useMemo(
    () =>
      shownByStyle(
        testFlights.filter(({ aircraftId }) => aircraftId === aircraft.id),
        batteries,
      ),
    [testFlights, batteries, aircraft.id],
  );
  const most = [...aircraft.flight.mix].sort((a, b) => b.share - a.share)[0]?.style;
  const known = styles.find(({ style }) => style === most);
  const countedToS = known && comesAtS(known.leftTo, aircraft, estimate);
  if (!known || countedToS == null || plannedS === null || plannedS === 0) return null;
  const minutes = (seconds: number) => Math.round(seconds / 60);
  return (
    <Note>
      At lift-off its display will show about <b>{minutes(known.ratio * countedToS)} min</b> to{' '}
      {leftToNames[known.leftTo]}; you have <b>{minutes(plannedS)} min</b> to spend. In {flownIn(known.style)}{' '}
      it showed {percent(known.ratio)} of what came (
      {known.flights === 1 ? 'one test' : `${known.flights} tests`}).
    </Note>
  );
}

/** When that comes to which its minutes count, s from lift-off; null where it never does. */
function comesAtS(
  leftTo: LeftTo,
  { spec: sheet }: AircraftRecord,
  { curve, events }: Estimate,
): number | null {
  if (leftTo === 'return') return events.find(({ kind }) => kind === 'own-return')?.timeS ?? null;
  return timeAtCharge(curve, leftTo === 'empty' ? 0 : spec(sheet, 'forcedLandingCharge'));
}
