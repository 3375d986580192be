import { chargingOf, type SwapPlan } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { percent } from '../fields/percent';
import { ScrollTable } from '../parts/ScrollTable';
import type { Names } from './Lanes';

interface Props {
  readonly plan: Pick<SwapPlan, 'lanes'>;
  readonly names: Pick<Names, 'clock' | 'battery' | 'charger'>;
}

/** What is on which charger when, to read from beside the flights; nothing where nothing charges. */
export function ChargersTable({ plan, names }: Props) {
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const charging = chargingOf(plan);
  if (charging.length === 0) return null;
  return (
    <ScrollTable label="On the chargers" minWidth={480}>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">charges from</Table.Th>
            <Table.Th scope="col">until</Table.Th>
            <Table.Th scope="col">battery</Table.Th>
            <Table.Th scope="col">with</Table.Th>
            <Table.Th scope="col" data-figure>
              charge
            </Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {charging.map(({ batteryId, chargerId, fromAt, untilAt, chargeFrom, chargeTo }) => (
            <Table.Tr key={`${batteryId} ${fromAt}`}>
              <Table.Th scope="row">{time(fromAt)}</Table.Th>
              <Table.Td>{time(untilAt)}</Table.Td>
              <Table.Td>{names.battery(batteryId)}</Table.Td>
              <Table.Td>{names.charger(chargerId)}</Table.Td>
              <Table.Td data-figure>
                {percent(chargeFrom)} → {percent(chargeTo)}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </ScrollTable>
  );
}
