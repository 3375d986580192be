import { type Band, type FlightEvent, minutesAndSeconds } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { percent } from '../fields/percent';
import { ScrollTable } from '../parts/ScrollTable';
import { useWriter } from '../state/units';
import styles from './FlightTable.module.css';
import type { ShownFlight } from './flightLines';
import { bandInWords, type ChartReading, lastTimeS, readingAt } from './reading';

interface Props {
  readonly label: string;
  readonly flight: ShownFlight;
  readonly band: Band['curve'];
}

const everyS = 120;
const eventWords: Record<FlightEvent['kind'], string> = {
  'take-off': 'take-off',
  half: 'half',
  'land-volts': 'a cell down to its landing volts',
  'low-warning': 'low warning',
  'own-return': 'it returns by itself',
  'planned-minute': 'the minute to plan on',
  'turn-back': 'turn back',
  'touch-down': 'touch down',
  'forced-landing': 'forced landing',
  empty: 'gauge empty',
  'motors-out': 'motors stop',
};

/** The flight chart’s twin for those who would rather read, or cannot see it: every two minutes and each event. */
export function FlightTable({ label, flight, band }: Props) {
  const { write } = useWriter();
  return (
    <ScrollTable label={`${label}, minute by minute`} className={styles.scroll}>
      <Table stickyHeader className={styles.table}>
        <Table.Thead>
          <Table.Tr>
            {['time', 'charge', '8 in 10', 'cell', 'pack', 'what happens'].map((heading) => (
              <Table.Th key={heading} scope="col">
                {heading}
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {rowsOf(flight, band).map((row) => (
            <Table.Tr key={`${row.timeS} ${row.event ?? ''}`}>
              <Table.Th scope="row">{minutesAndSeconds(row.timeS)}</Table.Th>
              <Table.Td>{percent(row.charge)}</Table.Td>
              <Table.Td>{row.chargeBand ? bandInWords(row.chargeBand) : '–'}</Table.Td>
              <Table.Td>{row.cellVoltageV.toFixed(2)} V</Table.Td>
              <Table.Td>
                {row.packTemperatureC === null ? '–' : write('temperature', row.packTemperatureC)}
              </Table.Td>
              <Table.Td>
                {row.event ? eventWords[row.event] : row.phase === 'flown' ? '' : row.phase}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </ScrollTable>
  );
}

interface Row extends ChartReading {
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
