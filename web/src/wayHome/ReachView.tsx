import type { Reaches, ReturnRequest, Shot } from '@acorn-tally/core';
import { type PointerEvent, useState } from 'react';
import { bearing } from '../answers/air';
import { ChartKey } from '../charts/ChartKey';
import { percent } from '../fields/percent';
import { Switch } from '../fields/Switch';
import { pointerIn } from '../parts/grip';
import { Section } from '../parts/Section';
import { useWriter } from '../state/units';
import { AircraftGrip } from './AircraftGrip';
import pictures from './pictures.module.css';
import styles from './ReachView.module.css';

interface Props {
  readonly request: ReturnRequest;
  readonly reaches: Reaches | null;
  readonly fresh: boolean;
  /** Seen from home, in the pilot’s order. */
  readonly shots: readonly Shot[];
  readonly onMove: (distanceM: number, bearingDeg: number) => void;
}

type From = 'charge' | 'takeoff';

const sizePx = 300;
const middle = sizePx / 2;
const radiusPx = 122;
/** The circle shows the places in it legibly; a reach beyond it is cut at its rim. */
const maxOverPlaces = 3.2;
const [dragDistanceM, dragBearingDeg] = [5, 5];

/** How far it may be in each direction: with this wind, and in still air; home in the middle, north up. */
export function ReachView({ request, reaches, fresh, shots, onMove }: Props) {
  const [from, setFrom] = useState<From>('charge');
  const { write } = useWriter();
  const { position, landingPlaces, obstacles, conditions } = request;
  const pick = (reach: Reaches['inWind']) => (from === 'charge' ? reach.fromChargeM : reach.outAndBackM);
  const inWind = reaches ? pick(reaches.inWind) : [];
  const inStillAir = reaches ? pick(reaches.inStillAir) : [];
  const places = [position, ...(landingPlaces ?? []), ...shots].map(({ distanceM }) => distanceM);
  // While the aircraft is dragged the scale stands still.
  const [heldM, setHeldM] = useState<number | null>(null);
  const fittingM = niceAbove(
    Math.min(Math.max(100, ...inWind, ...inStillAir, ...places), Math.max(100, ...places) * maxOverPlaces),
  );
  const farM = heldM ?? fittingM;
  const at = (distanceM: number, bearingDeg: number) => {
    const [angle, r] = [(bearingDeg * Math.PI) / 180, (distanceM / farM) * radiusPx];
    return { x: middle + r * Math.sin(angle), y: middle - r * Math.cos(angle) };
  };
  const outline = (metres: readonly number[]) =>
    metres
      .map((distanceM, i) => at(distanceM, (i * 360) / metres.length))
      .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
      .join(' ');
  const drag = (event: PointerEvent<SVGElement>) => {
    const point = pointerIn(event, sizePx);
    if (!point) return;
    const [dx, dy] = [point.x - middle, point.y - middle];
    const distanceM = Math.round(((Math.hypot(dx, dy) / radiusPx) * farM) / dragDistanceM) * dragDistanceM;
    const degrees = (Math.atan2(dx, -dy) * 180) / Math.PI;
    const bearingDeg = (Math.round(degrees / dragBearingDeg) * dragBearingDeg + 360) % 360;
    onMove(Math.min(10_000, distanceM), bearingDeg);
  };
  const beyond = (metres: readonly number[]) =>
    metres.length > 0 && Math.min(...metres) > farM ? `: over ${write('distance', farM)}` : '';
  const here = at(position.distanceM, position.bearingDeg);
  const wind = conditions.wind.fromDeg;
  return (
    <Section
      title="How far you can go"
      label="How far you can go"
      className={`${pictures.card} ${styles.card}`}
      end={
        <Switch
          label="How far, from"
          value={from}
          options={[
            { value: 'charge', label: `with ${percent(position.charge)}` },
            { value: 'takeoff', label: 'out and back' },
          ]}
          onChange={setFrom}
        />
      }
    >
      <svg
        viewBox={`0 0 ${sizePx} ${sizePx}`}
        className={styles.reach}
        data-old={!fresh || undefined}
        role="img"
        aria-label={inWords(inWind, write)}
      >
        {[0.5, 1].map((share) => (
          <g key={share} className={styles.ring}>
            <circle cx={middle} cy={middle} r={radiusPx * share} />
            <text x={middle} y={middle + radiusPx * share + 13} textAnchor="middle">
              {write('distance', farM * share)}
            </text>
          </g>
        ))}
        <text x={middle} y={22} textAnchor="middle">
          N
        </text>
        <clipPath id="rim">
          <circle cx={middle} cy={middle} r={radiusPx} />
        </clipPath>
        <g clipPath="url(#rim)">
          <polygon className={styles.still} points={outline(inStillAir)} />
          <polygon className={styles.wind} points={outline(inWind)} />
        </g>
        <WindArrow fromDeg={wind} />
        {(obstacles ?? []).map(({ name, distanceM, bearingDeg, widthM, heightM }) => {
          if (bearingDeg == null) return null;
          const { x, y } = at(distanceM + widthM / 2, bearingDeg);
          return (
            <circle
              key={`${name} ${distanceM} ${bearingDeg}`}
              className={styles.obstacle}
              cx={x}
              cy={y}
              r={Math.max(2, (widthM / 2 / farM) * radiusPx)}
            >
              <title>
                {name} {write('distance', heightM)}
              </title>
            </circle>
          );
        })}
        {(landingPlaces ?? []).map(({ name, distanceM, bearingDeg }) => {
          const { x, y } = at(distanceM, bearingDeg);
          return (
            <g key={`${name} ${distanceM}`} className={styles.landing}>
              <path d={`M${x - 5} ${y - 5}h10l-5 9z`} />
              <text x={x + 8} y={y + 3}>
                {name}
              </text>
            </g>
          );
        })}
        {shots.map(({ id, distanceM, bearingDeg }, i) => {
          const { x, y } = at(distanceM, bearingDeg);
          return (
            <g key={id} className={styles.shot}>
              <rect x={x - 2.5} y={y - 2.5} width={5} height={5} />
              <text x={x + 5} y={y - 3}>
                {i + 1}
              </text>
            </g>
          );
        })}
        <path className={pictures.home} data-home d={`M${middle} ${middle - 6}l6 9h-12z`} />
        <AircraftGrip
          x={here.x}
          y={here.y}
          markRadius={6}
          onGrab={() => setHeldM(fittingM)}
          onDrag={drag}
          onDrop={() => setHeldM(null)}
        />
      </svg>
      <ChartKey
        lines={[
          { words: `in this wind, from ${bearing(wind)}${beyond(inWind)}`, colour: 'home' },
          { words: `in still air${beyond(inStillAir)}`, colour: 'ink-soft', as: 'dashed' },
        ]}
      />
    </Section>
  );
}

function WindArrow({ fromDeg }: { readonly fromDeg: number }) {
  return (
    <g transform={`rotate(${fromDeg} ${middle} ${middle})`} className={styles.arrow}>
      <path d={`M${middle} ${middle - radiusPx - 18}v22m-5 -7l5 7l5 -7`} />
    </g>
  );
}

function inWords(metres: readonly number[], write: ReturnType<typeof useWriter>['write']): string {
  if (metres.length === 0) return 'Calculating how far you can go …';
  const [least, most] = [Math.min(...metres), Math.max(...metres)];
  const step = 360 / metres.length;
  return `It may be from ${write('distance', least)} at ${bearing(metres.indexOf(least) * step)} to ${write('distance', most)} at ${bearing(metres.indexOf(most) * step)} from home.`;
}

function niceAbove(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value));
  return ([1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10].find((one) => one * power >= value) ?? 10) * power;
}
