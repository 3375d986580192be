import { minutesAndSeconds } from '@acorn-tally/core';
import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import { token } from '../charts/setup';
import { percent } from '../fields/percent';
import { medianMiss, type TestRow } from './useTests';
import { howFlown, signedPercent } from './words';

/** Every test in one table and one plot: flown against estimated and against the box. */
export function AllFlights({ rows }: { readonly rows: readonly TestRow[] }) {
  const miss = medianMiss(rows);
  const counted = rows.filter(({ counts }) => counts).length;
  return (
    <div className="test-bottom">
      <section>
        <h2 className="section-title">Flown against estimated and the box, minutes</h2>
        <table className="figures">
          <thead>
            <tr>
              <th scope="col">test</th>
              <th scope="col">flown</th>
              <th scope="col">estimated</th>
              <th scope="col">off by</th>
              <th scope="col">of the box</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ record, battery, comparison, counts, questions }) => (
              <tr key={record.id} className={counts ? undefined : 'left-out'}>
                <th scope="row">
                  {battery?.label ?? 'removed battery'}, {howFlown(record)}
                  {questions.length > 0 ? (
                    <small> asked, not counted yet</small>
                  ) : (
                    !counts && (
                      <small title={record.excludedReason ?? ''}> left out: {record.excludedReason}</small>
                    )
                  )}
                </th>
                <td>{minutesAndSeconds(record.test.durationS)}</td>
                <td>{comparison.estimatedS === null ? '–' : minutesAndSeconds(comparison.estimatedS)}</td>
                <td>{comparison.missFraction === null ? '–' : signedPercent(comparison.missFraction)}</td>
                <td>{percent(comparison.boxFraction)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h2 className="section-title">Estimated against flown</h2>
        <div className="test-scatter">
          <AgainstFlown rows={rows} />
          <dl>
            <dt>flights that count</dt>
            <dd>
              {counted} of {rows.length}
            </dd>
            <dt>typical miss, from the box only</dt>
            <dd>{miss === null ? '–' : `±${(miss * 100).toFixed(1)} %`}</dd>
          </dl>
        </div>
      </section>
    </div>
  );
}

function AgainstFlown({ rows }: { readonly rows: readonly TestRow[] }) {
  const { data, options } = useMemo(() => chartOf(rows), [rows]);
  return (
    <div className="scatter">
      <Scatter
        data={data}
        options={options}
        aria-label="Flown minutes against estimated minutes; the table beside it has the figures"
      />
    </div>
  );
}

function chartOf(rows: readonly TestRow[]) {
  const points = (counts: boolean) =>
    rows.flatMap(({ record, comparison, counts: own }) =>
      own === counts && comparison.estimatedS !== null
        ? [{ x: comparison.estimatedS / 60, y: record.test.durationS / 60 }]
        : [],
    );
  const all = [...points(true), ...points(false)].flatMap(({ x, y }) => [x, y]);
  const most = Math.ceil(Math.max(10, ...all) / 5) * 5;
  const least = Math.max(0, Math.floor(Math.min(most, ...all) / 5) * 5 - 5);
  const spend = token('spend');
  const data: ChartData<'scatter'> = {
    datasets: [
      { label: 'test', data: points(true), backgroundColor: spend, borderColor: spend, pointRadius: 4.5 },
      {
        label: 'left out',
        data: points(false),
        backgroundColor: 'transparent',
        borderColor: spend,
        pointRadius: 4.5,
      },
    ],
  };
  const axis = (text: string) => ({
    min: least,
    max: most,
    grid: { color: token('line-faint') },
    ticks: { stepSize: 5, color: token('ink-soft') },
    title: { display: true, text, color: token('ink-soft') },
  });
  const options: ChartOptions<'scatter'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: { x: axis('estimated, min'), y: axis('flown, min') },
    plugins: {
      legend: { display: false },
      annotation: {
        annotations: {
          same: {
            type: 'line',
            xMin: least,
            xMax: most,
            yMin: least,
            yMax: most,
            borderColor: token('ink-soft'),
            borderDash: [4, 4],
            borderWidth: 1,
          },
        },
      },
    },
  };
  return { data, options };
}
