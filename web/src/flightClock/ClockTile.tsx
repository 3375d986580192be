import { percent } from '../fields/percent';
import { Choosable } from '../parts/Choosable';
import styles from './ClockFace.module.css';
import type { FlightClock } from './clocks';
import type { Running } from './events';
import { onTheClock } from './words';

interface Props {
  readonly clock: FlightClock;
  readonly running: Running;
  readonly elapsedS: number;
  readonly chosen: boolean;
  /** Nothing to choose from. */
  readonly alone: boolean;
  readonly onChoose: () => void;
}

/** Whose clock it is, and its seconds, large. */
export function ClockTile({ clock: { plan }, running, elapsedS, chosen, alone, onChoose }: Props) {
  const told = (
    <>
      <span className={styles.whose}>
        {plan.label}, {plan.what} <small>to {percent(plan.stopCharge)}</small>{' '}
        {!alone && !chosen && <kbd className={styles.hotkey}>X</kbd>}
      </span>
      <span className={styles.seconds} role="timer" aria-label={`${plan.label}, minutes and seconds`}>
        {onTheClock(elapsedS)}
      </span>
      {running.endedS !== null && <small>{plan.kind === 'flight' ? 'landed' : 'ended'}</small>}
    </>
  );
  if (alone) return <div className={styles.tile}>{told}</div>;
  return (
    <Choosable chosen={chosen} onChoose={onChoose} className={styles.tile}>
      {told}
    </Choosable>
  );
}
