import { minutesAndSeconds, type Shot, type SwapPlan } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { percent, turnBackPercent } from '../fields/percent';
import { Wide } from '../parts/Wide';
import { useClock } from '../state/clock';
import { after, chanceInWords } from './headline';
import styles from './PlanTable.module.css';

interface Props {
  readonly plan: SwapPlan;
  readonly startsAt: string;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
}

/** The plan to read from in the field: each flight's times, and what is left over. */
export function PlanTable({ plan, startsAt, labelOf, shotOf }: Props) {
  const clocks = useClock();
  const clock = (seconds: number) => clocks.format(after(startsAt, seconds), 'HH:mm:ss');
  return (
    <Wide label="The flights" minWidth={700}>
      <Table className={styles.table}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">battery</Table.Th>
            <Table.Th scope="col">shots</Table.Th>
            <Table.Th scope="col" data-figure>
              take-off
            </Table.Th>
            <Table.Th scope="col" data-figure>
              shots end
            </Table.Th>
            <Table.Th scope="col" data-figure>
              turn back by
            </Table.Th>
            <Table.Th scope="col" data-figure>
              touch down
            </Table.Th>
            <Table.Th scope="col" data-figure>
              with <small>(9 in 10 over)</small>
            </Table.Th>
            <Table.Th scope="col" data-figure>
              swapped by
            </Table.Th>
            <Table.Th scope="col" data-figure>
              left over
            </Table.Th>
            <Table.Th scope="col" data-figure>
              turns back early
            </Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {plan.flights.map((flight, index) => (
            <Table.Tr key={flight.batteryId}>
              <Table.Th scope="row">
                <b>{labelOf(flight.batteryId)}</b>
              </Table.Th>
              <Table.Td>{flight.shots.map(({ shotId }) => shotOf(shotId)?.name).join(', ')}</Table.Td>
              <Table.Td data-figure>{clock(flight.takeoffS)}</Table.Td>
              <Table.Td data-figure>{clock(flight.turnBackS)}</Table.Td>
              <Table.Td data-figure className={styles.turn}>
                {flight.turnBackCharge === null ? '–' : turnBackPercent(flight.turnBackCharge)}
              </Table.Td>
              <Table.Td data-figure>{clock(flight.touchdownS)}</Table.Td>
              <Table.Td data-figure>
                {percent(flight.touchdownCharge.p50)} <small>({percent(flight.touchdownCharge.p10)})</small>
              </Table.Td>
              <Table.Td data-figure>
                {index < plan.flights.length - 1 ? clock(flight.swappedS) : '–'}
              </Table.Td>
              <Table.Td data-figure>{minutesAndSeconds(flight.spareS)} min</Table.Td>
              <Table.Td data-figure>{chanceInWords(flight.chanceEarly)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Wide>
  );
}
