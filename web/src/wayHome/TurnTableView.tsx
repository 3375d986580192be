import type { TurnTable } from '@acorn-tally/core';
import { Wide } from '../app/Wide';
import { bearing } from '../conditions/air';
import { percent, turnBackPercent } from '../fields/percent';
import { useWriter } from '../state/units';
import type { Calculated } from '../workers/useCalculated';

interface Props {
  readonly table: Calculated<TurnTable>;
  readonly chargeNow: number;
}

/** The charge to turn back at by distance and direction, at this height, and the aircraft’s own call beside it. */
export function TurnTableView({ table, chargeNow }: Props) {
  const { write } = useWriter();
  if (!table.value) return <p className="panel-note">{table.trouble ?? 'reckoning …'}</p>;
  const { directions, rows } = table.value;
  return (
    <section>
      <h2 className="section-title">When to turn, by distance and direction</h2>
      <Wide label="When to turn">
        <table className={`figures turn-table${table.fresh ? '' : ' way-old'}`}>
          <thead>
            <tr>
              <th scope="col">out</th>
              {directions.map(({ name, bearingDeg }) => (
                <th key={bearingDeg} scope="col">
                  {name} {bearing(bearingDeg)}
                </th>
              ))}
              <th scope="col">aircraft’s own</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ distanceM, charges, ownCharge }) => (
              <tr key={distanceM}>
                <th scope="row">{write('distance', distanceM)}</th>
                {charges.map((charge, i) => (
                  <td
                    key={directions[i]?.bearingDeg}
                    className={charge === null || charge > chargeNow ? 'turn-over' : undefined}
                  >
                    {charge === null ? 'do not go' : turnBackPercent(charge)}
                  </td>
                ))}
                <td className="turn-own">{ownCharge === null ? '–' : percent(ownCharge)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
    </section>
  );
}
