import type { ConditionsRecord } from '@acorn-tally/core';
import { Say } from '../fields/Say';
import { beliefAbout } from '../state/belief';
import { useAircraft } from '../state/current';
import { useWriter } from '../state/units';
import { airAt } from './air';

const usualHeightsM = [2, 10, 20, 40, 60, 80, 100, 120];

/** The wind as it grows with height, as bars: the part a pilot on the ground does not feel. */
export function WindByHeight({ conditions }: { readonly conditions: ConditionsRecord }) {
  const { write } = useWriter();
  const aircraft = useAircraft();
  const workingM = aircraft?.flight.heightM ?? null;
  const { middle } = beliefAbout(aircraft);
  const heightsM = [...new Set([...usualHeightsM, ...(workingM === null ? [] : [workingM])])].sort(
    (a, b) => a - b,
  );
  const rows = heightsM.map((heightM) => ({ heightM, air: airAt(conditions.weather, heightM, middle) }));
  const refusal = rows[0] && !rows[0].air.ok ? rows[0].air.refusal : null;
  const strongest = Math.max(1, ...rows.map(({ air }) => (air.ok ? air.value.gustMps : 0)));
  return (
    <>
      <h3 className="panel-part">Up there</h3>
      {refusal ? (
        <p className="danger">
          <Say sentence={refusal} />
        </p>
      ) : (
        <table className="wind-rows">
          <thead>
            <tr>
              <th>height</th>
              <th aria-hidden />
              <th>wind</th>
              <th>gusts</th>
            </tr>
          </thead>
          <tbody>
            {[...rows].reverse().map(
              ({ heightM, air }) =>
                air.ok && (
                  <tr key={heightM} className={heightM === workingM ? 'wind-working' : undefined}>
                    <td>
                      {write('distance', heightM)}
                      {heightM === workingM && ' (working)'}
                    </td>
                    <td className="wind-bar">
                      <i
                        style={{ width: `${(air.value.gustMps / strongest) * 100}%` }}
                        className="wind-gust"
                      />
                      <i style={{ width: `${(air.value.windMps / strongest) * 100}%` }} />
                    </td>
                    <td>{write('speed', air.value.windMps, 1)}</td>
                    <td>{write('speed', air.value.gustMps, 1)}</td>
                  </tr>
                ),
            )}
          </tbody>
        </table>
      )}
    </>
  );
}
