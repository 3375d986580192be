import type { TurnTable } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { bearing } from '../answers/air';
import { percent, turnBackPercent } from '../fields/percent';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { useWriter } from '../state/units';
import type { Calculated } from '../workers/useCalculated';
import styles from './TurnTableView.module.css';

interface Props {
  readonly table: Calculated<TurnTable>;
  readonly chargeNow: number;
}

/** The charge to turn back at by distance and direction, at this height, and the aircraft’s own call beside it. */
export function TurnTableView({ table, chargeNow }: Props) {
  const { write } = useWriter();
  if (!table.value) return <Note>{table.trouble ?? 'calculating …'}</Note>;
  const { directions, rows } = table.value;
  return (
    <Section title="When to turn, by distance and direction">
      <ScrollTable label="When to turn">
        <Table data-old={!table.fresh || undefined} className={styles.table}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">out</Table.Th>
              {directions.map(({ name, bearingDeg }) => (
                <Table.Th key={bearingDeg} scope="col" data-figure>
                  {name} {bearing(bearingDeg)}
                </Table.Th>
              ))}
              <Table.Th scope="col" data-figure>
                aircraft’s own
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map(({ distanceM, charges, ownCharge }) => (
              <Table.Tr key={distanceM}>
                <Table.Th scope="row">{write('distance', distanceM)}</Table.Th>
                {charges.map((charge, i) => (
                  <Table.Td
                    key={directions[i]?.bearingDeg}
                    data-figure
                    className={charge === null || charge > chargeNow ? styles.over : undefined}
                  >
                    {charge === null ? 'do not go' : turnBackPercent(charge)}
                  </Table.Td>
                ))}
                <Table.Td data-figure className={styles.own}>
                  {ownCharge === null ? '–' : percent(ownCharge)}
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
    </Section>
  );
}
