import {
  type AirAtHeight,
  type Belief,
  minutesAndSeconds,
  obstaclesAlong,
  type ReturnAnswer,
  type ReturnRequest,
} from '@acorn-tally/core';
import { useElementSize } from '@mantine/hooks';
import { type PointerEvent, useState } from 'react';
import { airAt } from '../answers/air';
import { percent } from '../fields/percent';
import { pointerIn } from '../parts/grip';
import { useWriter, type Writer } from '../state/units';
import { AircraftGrip } from './AircraftGrip';
import pictures from './pictures.module.css';
import styles from './SideView.module.css';
import { type Extent, extentFor, margins, pathOf, type Scale, scaleFor, ticksTo } from './sideView';

interface Props {
  readonly request: ReturnRequest;
  readonly answer: ReturnAnswer;
  readonly belief: Pick<Belief, 'middle'>;
  readonly onMove: (distanceM: number, heightM: number) => void;
}

const heightPx = 350;
const [dragDistanceM, dragHeightM] = [5, 1];

/** Home on the left, the aircraft where it is, what stands between, and the wind as it grows; the aircraft is dragged. */
export function SideView({ request, answer, belief, onMove }: Props) {
  const { ref, width } = useElementSize<HTMLDivElement>();
  const { write } = useWriter();
  // While it is dragged the scale stands still, so that the aircraft stays under the pointer.
  const [held, setHeld] = useState<Extent | null>(null);
  const scale = scaleFor(held ?? extentFor(request), Math.max(300, width), heightPx);
  const drag = (event: PointerEvent<SVGElement>) => {
    const point = pointerIn(event);
    if (!point) return;
    const rounded = (value: number, step: number) => Math.round(value / step) * step;
    onMove(rounded(scale.distanceAt(point.x), dragDistanceM), rounded(scale.heightAt(point.y), dragHeightM));
  };
  const { position } = request;
  const [x, y] = [scale.x(position.distanceM), scale.y(position.heightM)];
  return (
    <section className={pictures.card} aria-label="From the side">
      <div ref={ref}>
        <svg
          width={Math.max(300, width)}
          height={heightPx}
          role="img"
          aria-label={inWords(request, answer, write)}
        >
          <Axes scale={scale} write={write} />
          <Obstacles request={request} scale={scale} write={write} />
          <Heights request={request} scale={scale} write={write} />
          <Winds request={request} scale={scale} write={write} belief={belief} />
          <Path request={request} answer={answer} scale={scale} />
          <path className={pictures.home} d={`M${scale.x(0)} ${scale.y(0) - 9}l8 9h-16z`} />
          <AircraftGrip
            x={x}
            y={y}
            markRadius={7.5}
            onGrab={() => setHeld(extentFor(request))}
            onDrag={drag}
            onDrop={() => setHeld(null)}
          />
          <text className={styles.there} {...wordsPlace(x, y)}>
            {write('distance', position.distanceM)} out, {write('distance', position.heightM)} up
          </text>
          <ForcedLandingMark answer={answer} scale={scale} />
          <CruiseWords answer={answer} scale={scale} write={write} />
        </svg>
      </div>
    </section>
  );
}

/** Left of the aircraft and above it, unless the words on the way home would be there. */
function wordsPlace(x: number, y: number) {
  const isNear = x < margins.left + 330;
  return isNear
    ? ({ x: x + 14, y: y + 4, textAnchor: 'start' } as const)
    : ({ x, y: y - 14, textAnchor: 'end' } as const);
}

interface PartProps {
  readonly request: ReturnRequest;
  readonly scale: Scale;
  readonly write: Writer['write'];
}

function Axes({ scale, write }: Omit<PartProps, 'request'>) {
  const number = (metres: number) => write('distance', metres).split(' ')[0];
  const unit = write('distance', 0).split(' ')[1];
  return (
    <g className={styles.axes}>
      {ticksTo(scale.highM).map((metres) => (
        <text key={metres} x={margins.left - 10} y={scale.y(metres) + 4} textAnchor="end">
          {number(metres)}
        </text>
      ))}
      <line x1={scale.x(0)} y1={scale.y(0)} x2={scale.x(scale.farM)} y2={scale.y(0)} />
      {ticksTo(scale.farM).map((metres) => (
        <text key={metres} x={scale.x(metres)} y={scale.y(0) + 18} textAnchor="middle">
          {metres === 0 ? 'home' : number(metres)}
        </text>
      ))}
      <text x={scale.x(scale.farM) + 20} y={scale.y(0) + 18}>
        {unit}
      </text>
      <text x={margins.left - 10} y={12} textAnchor="end">
        {unit}
      </text>
    </g>
  );
}

/** What stands on this way home. */
function standing({ obstacles, position }: ReturnRequest) {
  return obstaclesAlong(obstacles ?? [], position.bearingDeg);
}

function Obstacles({ request, scale, write }: PartProps) {
  return (
    <g className={styles.obstacles}>
      {standing(request).map(({ name, distanceM, widthM, heightM }) => {
        const endM = Math.min(distanceM + widthM, Math.max(distanceM, scale.farM));
        const width = Math.max(4, scale.x(endM) - scale.x(distanceM));
        return (
          <g key={`${name} ${distanceM}`}>
            <rect
              x={scale.x(distanceM)}
              y={scale.y(heightM)}
              width={width}
              height={scale.y(0) - scale.y(heightM)}
            />
            <text x={scale.x(distanceM) + width / 2} y={scale.y(heightM) - 5} textAnchor="middle">
              {name} {write('distance', heightM)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** The return height, and the ceiling where it is in the picture. */
function Heights({ request, scale, write }: PartProps) {
  const { returnHeightM, ceilingM } = request;
  const end = scale.x(scale.farM);
  return (
    <g>
      {returnHeightM != null && returnHeightM <= scale.highM && (
        <g className={styles.return}>
          <line x1={scale.x(0)} x2={end} y1={scale.y(returnHeightM)} y2={scale.y(returnHeightM)} />
          <text x={scale.x(0) + 6} y={scale.y(returnHeightM) + 14}>
            return height {write('distance', returnHeightM)}
          </text>
        </g>
      )}
      {ceilingM != null && ceilingM <= scale.highM && (
        <g className={styles.ceiling}>
          <line x1={scale.x(0)} x2={end} y1={scale.y(ceilingM)} y2={scale.y(ceilingM)} />
          <text x={scale.x(0) + 6} y={scale.y(ceilingM) - 4}>
            your ceiling {write('distance', ceilingM)}
          </text>
        </g>
      )}
    </g>
  );
}

/** The part of the wind along the way, at three heights: to the left it helps home, to the right it pushes away. */
function Winds({ request, scale, write, belief }: PartProps & Pick<Props, 'belief'>) {
  const { conditions, position } = request;
  const heights = [0.92, 0.55, 0.2].map((share) => scale.highM * share);
  const airs = heights.map((heightM) => {
    const air = airAt(conditions, heightM, belief);
    return { heightM, awayMps: awayMps(air, position.bearingDeg), air };
  });
  const strongest = Math.max(3, ...airs.map(({ awayMps: away }) => Math.abs(away)));
  const right = scale.x(scale.farM) + margins.right - 8;
  return (
    <g className={styles.winds}>
      <text x={right} y={14} textAnchor="end">
        wind along, {write('speed', 0).split(' ')[1]}
      </text>
      {airs.map(({ heightM, awayMps: away }) => {
        const length = 6 + (Math.abs(away) / strongest) * 40;
        const y = scale.y(heightM);
        const [from, to] = away > 0 ? [right - length, right] : [right, right - length];
        const head = away > 0 ? -6 : 6;
        return (
          <g key={heightM}>
            {Math.abs(away) >= 0.05 && <path d={`M${from} ${y}H${to}m${head} -4l${-head} 4l${head} 4`} />}
            <text x={right} y={y - 7} textAnchor="end">
              {write('speed', Math.abs(away), 1).split(' ')[0]}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** How hard the wind blows out along a bearing, m/s; negative when it blows home. */
function awayMps({ windMps, windFromDeg }: AirAtHeight, bearingDeg: number): number {
  return -windMps * Math.cos(((windFromDeg - bearingDeg) * Math.PI) / 180);
}

function Path({ request, answer, scale }: { request: ReturnRequest; answer: ReturnAnswer; scale: Scale }) {
  const points = pathOf(request, answer);
  return (
    <polyline
      className={styles.path}
      data-lost={answer.home.notHome ? true : undefined}
      points={points.map(({ distanceM, heightM }) => `${scale.x(distanceM)},${scale.y(heightM)}`).join(' ')}
    />
  );
}

/** Where it comes down by itself: a cross on the ground, with its words. */
function ForcedLandingMark({ answer, scale }: Pick<Props, 'answer'> & { readonly scale: Scale }) {
  const landing = answer.home.forcedLanding;
  if (!landing) return null;
  const [x, y] = [scale.x(landing.shortM), scale.y(0)];
  return (
    <g className={styles.forced}>
      <path d={`M${x - 6} ${y - 12}l12 12m0 -12l-12 12`} />
      <text x={x + 10} y={y - 4}>
        lands itself at {percent(landing.charge)}
      </text>
    </g>
  );
}

function CruiseWords({ answer, scale, write }: Pick<Props, 'answer'> & Omit<PartProps, 'request'>) {
  const cruise = answer.home.legs.find(({ kind }) => kind === 'cruise');
  if (!cruise) return null;
  return (
    <text className={styles.cruise} x={scale.x(0) + 8} y={scale.y(cruise.heightM) - 6}>
      {write('speed', cruise.groundMps, 1)} over ground, {minutesAndSeconds(cruise.durationS)}
    </text>
  );
}

function inWords(request: ReturnRequest, { home }: ReturnAnswer, write: Writer['write']): string {
  const { distanceM, heightM } = request.position;
  const things = standing(request).map(
    ({ name, distanceM: at, heightM: high }) =>
      `${name} ${write('distance', high)} high at ${write('distance', at)}`,
  );
  const legs = home.legs.map(({ kind, durationS }) => `${kind} ${minutesAndSeconds(durationS)}`);
  return [
    `The aircraft ${write('distance', distanceM)} out and ${write('distance', heightM)} up`,
    ...(things.length > 0 ? [`in the way: ${things.join(', ')}`] : []),
    home.forcedLanding
      ? `forced landing ${write('distance', home.forcedLanding.shortM)} from home`
      : home.notHome
        ? 'it does not come home'
        : `way home: ${legs.join(', ')}`,
  ].join('. ');
}
