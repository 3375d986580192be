import { type PointerEvent, useEffect, useRef } from 'react';
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
  const ref = useRef<SVGGElement>(null);
  useEffect(() => {
    const grip = ref.current;
    // In a picture drawn to another scale Chromium does not heed touch-action, and takes the gesture to scroll.
    const keepFinger = (event: TouchEvent) => event.preventDefault();
    grip?.addEventListener('touchstart', keepFinger, { passive: false });
    return () => grip?.removeEventListener('touchstart', keepFinger);
  }, []);
  return (
    <g
      ref={ref}
      className={styles.aircraft}
      data-aircraft
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onGrab();
      }}
      onPointerMove={onDrag}
      onLostPointerCapture={onDrop}
    >
      <circle cx={x} cy={y} r={22} className={styles.reach} />
      <circle cx={x} cy={y} r={markRadius} />
    </g>
  );
}
