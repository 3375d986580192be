import { minutesAndSeconds, type Shot, type SwapPlan } from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { Wide } from '../app/Wide';
import { useClock } from '../state/clock';
import { after, chanceInWords } from './headline';

interface Props {
  readonly plan: SwapPlan;
  /** By flight; null while it is being reckoned. */
  readonly chances: readonly number[] | null;
  readonly startsAt: string;
  /** The share of flights the pilot wants to end as planned. */
  readonly confidence: number;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
}

/** The plan to read from in the field: each flight's times, and what is left over. */
export function FlightTable({ plan, chances, startsAt, confidence, labelOf, shotOf }: Props) {
  const clocks = useClock();
  const clock = (seconds: number) => clocks.format(after(startsAt, seconds), 'HH:mm:ss');
  return (
    <Wide label="The flights">
      <table className="figures plan-table">
        <thead>
          <tr>
            <th scope="col">battery</th>
            <th scope="col">shots</th>
            <th scope="col">take-off</th>
            <th scope="col">turn back</th>
            <th scope="col">touch down</th>
            <th scope="col">with</th>
            <th scope="col">swapped by</th>
            <th scope="col">left over</th>
            <th scope="col">turns back early</th>
          </tr>
        </thead>
        <tbody>
          {plan.flights.map((flight, index) => (
            <tr key={flight.batteryId}>
              <th scope="row">
                <b>{labelOf(flight.batteryId)}</b>
              </th>
              <td className="plan-shots">
                {flight.shots.map(({ shotId }) => shotOf(shotId)?.name).join(', ')}
              </td>
              <td>{clock(flight.takeoffS)}</td>
              <td>{clock(flight.turnBackS)}</td>
              <td>{clock(flight.touchdownS)}</td>
              <td>{Math.round(flight.touchdownCharge * 100)} %</td>
              <td>{index < plan.flights.length - 1 ? clock(flight.swappedS) : '–'}</td>
              <td>{minutesAndSeconds(flight.spareS)} min</td>
              <td>
                <Early chance={chances?.[index] ?? null} tooOften={1 - confidence} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

interface EarlyProps {
  readonly chance: number | null;
  readonly tooOften: number;
}

function Early({ chance, tooOften }: EarlyProps) {
  if (chance === null) return '…';
  if (chance <= tooOften) return chanceInWords(chance);
  return (
    <span className="danger">
      <IconAlertTriangle size={13} aria-hidden /> {chanceInWords(chance)}
    </span>
  );
}
