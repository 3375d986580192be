import {
  type DayAtPlace,
  homePlaceId,
  type LaunchPlace,
  type PlanePoint,
  type ShootRecord,
  type Shot,
  shotRanges,
} from '@acorn-tally/core';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { bearing } from '../answers/air';
import { AsideSection } from '../parts/Desk';
import { pointerIn, useGrip } from '../parts/grip';
import { useRecords } from '../records/records';
import { useLaunchPlaces } from '../state/current';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import styles from './SiteDrawing.module.css';
import { groundOf, seenOnTheGround } from './site';

interface Props {
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

const [widthPx, heightPx, rimPx] = [300, 240, 26];
const minSpanM = 100;
const [stepM, longStepM] = [5, 25];

interface Held {
  readonly shotId: string;
  readonly at: PlanePoint;
  /** The scale stands still while a shot is dragged. */
  readonly frame: Frame;
}

/** Where the shots lie and where they are flown from, north up; a shot is dragged to another place, or moved by arrow keys. */
export function SiteDrawing({ shoot, conditions }: Props) {
  const edit = useRecords((state) => state.edit);
  const { shotId: openId, choose } = usePreferences();
  const { write } = useWriter();
  const others = useLaunchPlaces(conditions.placeId);
  const home: LaunchPlace = { id: homePlaceId, name: conditions.place, eastM: 0, northM: 0 };
  const places = [home, ...others];
  const [held, setHeld] = useState<Held | null>(null);
  const from = (shot: Shot) => places.find(({ id }) => id === shot.launchPlaceId) ?? home;
  const at = (shot: Shot) => (held?.shotId === shot.id ? held.at : groundOf(shot, from(shot)));
  const used = others.filter(({ id }) => shoot.shots.some((shot) => shot.launchPlaceId === id));
  const frame = held?.frame ?? frameOf([home, ...used, ...shoot.shots.map(at)]);
  const place = (shot: Shot, point: PlanePoint) => {
    const seen = seenOnTheGround(point, from(shot));
    const distanceM = Math.min(shotRanges.distanceM.max, seen.distanceM);
    edit(
      'shoots',
      shoot.id,
      (now) => ({
        shots: now.shots.map((one) => (one.id === shot.id ? { ...one, ...seen, distanceM } : one)),
      }),
      `place of ${shot.name}`,
      { apart: true },
    );
  };
  const step = (event: KeyboardEvent, shot: Shot) => {
    const way = ways[event.key];
    if (!way) return;
    event.preventDefault();
    const byM = event.shiftKey ? longStepM : stepM;
    const { eastM, northM } = at(shot);
    place(shot, { eastM: eastM + way[0] * byM, northM: northM + way[1] * byM });
  };
  const seenInWords = (shot: Shot) => {
    const { distanceM, bearingDeg } = seenOnTheGround(at(shot), from(shot));
    return `${write('distance', distanceM)}, ${bearing(bearingDeg)} of ${from(shot).name}`;
  };
  if (shoot.shots.length === 0) return null;
  return (
    <AsideSection title="On the ground">
      <svg viewBox={`0 0 ${widthPx} ${heightPx}`} className={styles.site}>
        <title>The shots on the ground, north up</title>
        <Scale frame={frame} write={(metres) => write('distance', metres)} />
        {shoot.shots.map((shot) => {
          const [a, b] = [frame.drawn(from(shot)), frame.drawn(at(shot))];
          return <line key={shot.id} className={styles.way} x1={a.x} y1={a.y} x2={b.x} y2={b.y} />;
        })}
        {[home, ...used].map((one) => {
          const { x, y } = frame.drawn(one);
          return (
            <g key={one.id} className={styles.place}>
              <path d={`M${x} ${y - 7}l7 12h-14z`} />
              <text
                x={Math.min(x + 9, widthPx - 4)}
                y={y + 16}
                textAnchor={x > widthPx * 0.6 ? 'end' : 'start'}
              >
                {one.name}
              </text>
            </g>
          );
        })}
        {shoot.shots.map((shot, i) => (
          <ShotMark
            key={shot.id}
            number={i + 1}
            at={frame.drawn(at(shot))}
            said={`On the ground: ${i + 1} ${shot.name}, ${seenInWords(shot)}`}
            chosen={shot.id === openId}
            onGrab={() => setHeld({ shotId: shot.id, at: at(shot), frame })}
            onDrag={(event) => {
              const point = held && pointOf(event, held.frame);
              if (point) setHeld({ ...held, at: point });
            }}
            onDrop={() => {
              const isMoved = held && JSON.stringify(held.at) !== JSON.stringify(groundOf(shot, from(shot)));
              if (isMoved) place(shot, held.at);
              else choose({ shotId: shot.id });
              setHeld(null);
            }}
            onKey={(event) => (event.key === 'Enter' ? choose({ shotId: shot.id }) : step(event, shot))}
          />
        ))}
      </svg>
    </AsideSection>
  );
}

const ways: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

interface MarkProps {
  readonly number: number;
  readonly at: { readonly x: number; readonly y: number };
  readonly said: string;
  readonly chosen: boolean;
  readonly onGrab: () => void;
  readonly onDrag: (event: PointerEvent<SVGElement>) => void;
  readonly onDrop: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

function ShotMark({ number, at, said, chosen, onGrab, onDrag, onDrop, onKey }: MarkProps) {
  const grip = useGrip({ onGrab, onDrag, onDrop });
  return (
    // biome-ignore lint/a11y/useSemanticElements: a mark within a drawing
    <g
      {...grip}
      className={styles.shot}
      data-chosen={chosen || undefined}
      role="button"
      tabIndex={0}
      aria-label={said}
      aria-keyshortcuts="ArrowUp ArrowDown ArrowLeft ArrowRight"
      transform={`translate(${at.x} ${at.y})`}
      onKeyDown={onKey}
    >
      <title>{said}</title>
      <circle r={20} className={styles.reach} />
      <circle r={9} />
      <text y={4} textAnchor="middle">
        {number}
      </text>
    </g>
  );
}

/** How the ground is drawn. */
interface Frame {
  readonly metresPerPx: number;
  drawn(point: PlanePoint): { readonly x: number; readonly y: number };
  ground(x: number, y: number): PlanePoint;
}

function frameOf(points: readonly PlanePoint[]): Frame {
  const [east, north] = [points.map(({ eastM }) => eastM), points.map(({ northM }) => northM)];
  const [westM, eastM, southM, northM] = [
    Math.min(...east),
    Math.max(...east),
    Math.min(...north),
    Math.max(...north),
  ];
  const metresPerPx = Math.max(
    minSpanM / heightPx,
    (eastM - westM) / (widthPx - 2 * rimPx),
    (northM - southM) / (heightPx - 2 * rimPx),
  );
  const [middleE, middleN] = [(eastM + westM) / 2, (northM + southM) / 2];
  return {
    metresPerPx,
    drawn: (point) => ({
      x: widthPx / 2 + (point.eastM - middleE) / metresPerPx,
      y: heightPx / 2 - (point.northM - middleN) / metresPerPx,
    }),
    ground: (x, y) => ({
      eastM: middleE + (x - widthPx / 2) * metresPerPx,
      northM: middleN - (y - heightPx / 2) * metresPerPx,
    }),
  };
}

/** To the step that arrow keys make; null while no button is held. */
function pointOf(event: PointerEvent<SVGElement>, frame: Frame): PlanePoint | null {
  const point = pointerIn(event, widthPx);
  if (!point) return null;
  const { eastM, northM } = frame.ground(point.x, point.y);
  return { eastM: Math.round(eastM / stepM) * stepM, northM: Math.round(northM / stepM) * stepM };
}

/** A round length, and which way is north. */
function Scale({ frame, write }: { readonly frame: Frame; readonly write: (metres: number) => string }) {
  const most = 80 * frame.metresPerPx;
  const power = 10 ** Math.floor(Math.log10(most));
  const metres = ([5, 2, 1].find((times) => times * power <= most) ?? 1) * power;
  const long = metres / frame.metresPerPx;
  const y = heightPx - 6;
  return (
    <g className={styles.scale}>
      <path d={`M8 ${y - 4}v4h${long}v-4`} />
      <text x={12 + long} y={y}>
        {write(metres)}
      </text>
      <path d={`M${widthPx - 12} 24v-16l-4 6m4 -6l4 6`} />
      <text x={widthPx - 12} y={36} textAnchor="middle">
        N
      </text>
    </g>
  );
}
