import { minutesAndSeconds, type Shot, type SwapPlan } from '@acorn-tally/core';
import { Wide } from '../app/Wide';
import { percent, turnBackPercent } from '../fields/percent';
import { useClock } from '../state/clock';
import { after, chanceInWords } from './headline';

interface Props {
  readonly plan: SwapPlan;
  readonly startsAt: string;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
}

/** The plan to read from in the field: each flight's times, and what is left over. */
export function FlightTable({ plan, startsAt, labelOf, shotOf }: Props) {
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
            <th scope="col">shots end</th>
            <th scope="col">turn back by</th>
            <th scope="col">touch down</th>
            <th scope="col">
              with <small>(9 in 10 over)</small>
            </th>
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
              <td>
                <b>{flight.turnBackCharge === null ? '–' : turnBackPercent(flight.turnBackCharge)}</b>
              </td>
              <td>{clock(flight.touchdownS)}</td>
              <td>
                {percent(flight.touchdownCharge.p50)} <small>({percent(flight.touchdownCharge.p10)})</small>
              </td>
              <td>{index < plan.flights.length - 1 ? clock(flight.swappedS) : '–'}</td>
              <td>{minutesAndSeconds(flight.spareS)} min</td>
              <td>{chanceInWords(flight.chanceEarly)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}
