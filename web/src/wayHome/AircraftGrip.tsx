import type { PointerEvent } from 'react';
import { useGrip } from '../parts/grip';
import styles from './AircraftGrip.module.css';

interface Props {
  readonly x: number;
  readonly y: number;
  readonly markRadius: number;
  readonly onGrab: () => void;
  readonly onDrag: (event: PointerEvent<SVGElement>) => void;
  readonly onDrop: () => void;
}

/** The aircraft in a picture, to be dragged by mouse, pen or finger. */
export function AircraftGrip({ x, y, markRadius, onGrab, onDrag, onDrop }: Props) {
  const grip = useGrip({ onGrab, onDrag, onDrop });
  return (
    <g {...grip} className={styles.aircraft} data-aircraft>
      <circle cx={x} cy={y} r={22} className={styles.reach} />
      <circle cx={x} cy={y} r={markRadius} />
    </g>
  );
}
