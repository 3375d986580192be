import { type Band, type FlightEvent, minutesAndSeconds } from '@acorn-tally/core';
import { Wide } from '../app/Wide';
import { percent } from '../fields/percent';
import { useWriter } from '../state/units';
import type { ShownFlight } from './flightLines';
import { bandInWords, lastTimeS, type Reading, readingAt } from './reading';

interface Props {
  readonly label: string;
  readonly flight: ShownFlight;
  readonly band: Band['curve'];
}

const everyS = 120;
const eventWords: Record<FlightEvent['kind'], string> = {
  'take-off': 'take-off',
  half: 'half',
  'low-warning': 'low warning',
  'own-return': 'it returns by itself',
  'planned-minute': 'the minute to plan on',
  'turn-back': 'turn back',
  'touch-down': 'touch down',
  'forced-landing': 'it lands itself',
  empty: 'gauge empty',
  'motors-out': 'motors stop',
};

/** The flight chart’s twin for those who would rather read, or cannot see it: every two minutes and each event. */
export function FlightTable({ label, flight, band }: Props) {
  const { write } = useWriter();
  return (
    <div className="chart flight-table">
      <Wide label={`${label}, minute by minute`}>
        <table>
          <thead>
            <tr>
              <th scope="col">time</th>
              <th scope="col">charge</th>
              <th scope="col">eight in ten</th>
              <th scope="col">cell</th>
              <th scope="col">pack</th>
              <th scope="col">what happens</th>
            </tr>
          </thead>
          <tbody>
            {rowsOf(flight, band).map((row) => (
              <tr key={`${row.timeS} ${row.event ?? ''}`}>
                <th scope="row">{minutesAndSeconds(row.timeS)}</th>
                <td>{percent(row.charge)}</td>
                <td>{row.chargeBand ? bandInWords(row.chargeBand) : '–'}</td>
                <td>{row.cellVoltageV.toFixed(2)} V</td>
                <td>{row.packTemperatureC === null ? '–' : write('temperature', row.packTemperatureC)}</td>
                <td>{row.event ? eventWords[row.event] : row.phase === 'flown' ? '' : row.phase}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
    </div>
  );
}

interface Row extends Reading {
  readonly event: FlightEvent['kind'] | null;
}

/** Every two minutes, with the events in between at their own charge and voltage. */
function rowsOf(flight: ShownFlight, band: Band['curve']): Row[] {
  const count = Math.floor(lastTimeS(flight) / everyS);
  const even = Array.from({ length: count }, (_, i) => ({
    ...readingAt(flight, band, (i + 1) * everyS),
    event: null,
  }));
  const events = flight.events.map(({ kind, timeS, charge, cellVoltageV }) => ({
    ...readingAt(flight, band, timeS),
    charge,
    cellVoltageV,
    event: kind,
  }));
  return [...even, ...events].sort((a, b) => a.timeS - b.timeS);
}
