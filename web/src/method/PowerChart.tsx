import type { ChartData, ChartDataset, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import styles from '../charts/chart.module.css';
import { token } from '../charts/setup';
import type { AirLine, AirLines } from './powerChart';

interface Props {
  readonly lines: AirLines;
  readonly unit: 'W' | 'min';
  readonly speedUnit: string;
  readonly says: string;
}

/** Power or minutes against airspeed, in still air as on the box and in today's, with the two speeds worth knowing. */
export function PowerChart({ lines, unit, speedUnit, says }: Props) {
  const data = useMemo((): ChartData<'line'> => {
    return {
      datasets: [
        ...datasets(lines.today, 'in this air and wind', 'spend', []),
        ...datasets(lines.box, 'as on the box', 'home', [5, 4]),
      ],
    };
  }, [lines]);
  const options = useMemo(() => optionsFor(unit, speedUnit), [unit, speedUnit]);
  return (
    <div className={styles.chart}>
      <Line data={data} options={options} aria-label={says} />
    </div>
  );
}

function datasets(air: AirLine, name: string, colour: string, borderDash: number[]): ChartDataset<'line'>[] {
  const ink = token(colour);
  const mark = (label: string, point: { x: number; y: number } | null, pointStyle: 'circle' | 'rectRot') => ({
    label: `${name}: ${label}`,
    data: point ? [point] : [],
    showLine: false,
    pointStyle,
    pointRadius: 6,
    backgroundColor: ink,
    borderColor: ink,
  });
  return [
    mark('lasts longest', air.longest, 'circle'),
    mark('goes farthest', air.farthest, 'rectRot'),
    { label: name, data: [...air.line], borderColor: ink, borderWidth: 2.4, borderDash, pointRadius: 0 },
  ];
}

function optionsFor(unit: Props['unit'], speedUnit: string): ChartOptions<'line'> {
  const soft = token('ink-soft');
  return {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 8, right: 12 } },
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    scales: {
      x: {
        type: 'linear',
        min: 0,
        grid: { display: false },
        border: { color: soft },
        ticks: { color: soft, maxTicksLimit: 11 },
        title: { display: true, text: `airspeed, ${speedUnit}`, align: 'end', color: soft },
      },
      y: {
        type: 'linear',
        min: 0,
        grid: { color: token('line-faint') },
        border: { display: false },
        ticks: { color: soft, maxTicksLimit: 6, callback: (value) => `${value} ${unit}` },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        filter: (item) => !item.dataset.label?.includes(':'),
        callbacks: {
          title: (items) => `${(items[0]?.parsed.x ?? 0).toFixed(1)} ${speedUnit}`,
          label: (item) => `${(item.parsed.y ?? 0).toFixed(1)} ${unit} · ${item.dataset.label}`,
        },
      },
    },
  };
}
