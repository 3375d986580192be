import type { DayAtPlace } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { airAt } from '../answers/air';
import { PanelPart } from '../parts/SidePanel';
import { beliefAbout } from '../state/belief';
import { useAircraft } from '../state/current';
import { useWriter } from '../state/units';
import styles from './WindByHeight.module.css';

const defaultHeightsM = [2, 10, 20, 40, 60, 80, 100, 120];

/** The wind as it grows with height, as bars: the part a pilot on the ground does not feel. */
export function WindByHeight({ conditions }: { readonly conditions: DayAtPlace }) {
  const { write } = useWriter();
  const aircraft = useAircraft();
  const workingM = aircraft?.flight.heightM ?? null;
  const { middle } = beliefAbout(aircraft);
  const heightsM = [...new Set([...defaultHeightsM, ...(workingM === null ? [] : [workingM])])].sort(
    (a, b) => a - b,
  );
  const rows = heightsM.map((heightM) => ({ heightM, air: airAt(conditions.weather, heightM, middle) }));
  const strongest = Math.max(1, ...rows.map(({ air }) => air.gustMps));
  return (
    <PanelPart title="Up there">
      <Table className={styles.table}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">height</Table.Th>
            <Table.Td />
            <Table.Th scope="col" data-figure>
              wind
            </Table.Th>
            <Table.Th scope="col" data-figure>
              gusts
            </Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {[...rows].reverse().map(({ heightM, air }) => (
            <Table.Tr key={heightM} className={heightM === workingM ? styles.working : undefined}>
              <Table.Th scope="row">
                {write('distance', heightM)}
                {heightM === workingM && ' (working)'}
              </Table.Th>
              <Table.Td className={styles.bar}>
                <i data-gust style={{ width: `${(air.gustMps / strongest) * 100}%` }} />
                <i style={{ width: `${(air.windMps / strongest) * 100}%` }} />
              </Table.Td>
              <Table.Td data-figure>{write('speed', air.windMps, 1)}</Table.Td>
              <Table.Td data-figure>{write('speed', air.gustMps, 1)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </PanelPart>
  );
}
