import { type Band, type Basis, minutesAndSeconds, waysToKnow } from '@acorn-tally/core';
import { inHundred } from '../fields/percent';
import { Chosen } from '../parts/Desk';
import { Note } from '../parts/Note';
import styles from './Trust.module.css';

interface Props {
  readonly label: string;
  readonly band: Band;
  readonly basis: Basis;
}

/** How sure the minutes are, what they rest on, and what would gain some. */
export function Trust({ label, band, basis }: Props) {
  const { p10, p90 } = band.usableS;
  const [first] = band.sensitivity;
  return (
    <Chosen title="How sure">
      <dl className={styles.trust}>
        <div>
          <dt>{label}, eight in ten</dt>
          <dd>
            {minutesAndSeconds(p10)}–{minutesAndSeconds(p90)}
          </dd>
        </div>
        <div>
          <dt>Basis</dt>
          <dd>{basisInWords(basis)}</dd>
        </div>
        {first && (
          <div>
            <dt>{waysToKnow[first.input]}</dt>
            <dd className={styles.gain}>gains {minutesAndSeconds(first.seconds)}</dd>
          </div>
        )}
        {band.chanceImpossible >= 0.01 && (
          <div>
            <dt className={styles.danger}>Does not come home in</dt>
            <dd>{inHundred(band.chanceImpossible)}</dd>
          </div>
        )}
      </dl>
      {first && <Note>What you find out turns hollow strokes solid.</Note>}
    </Chosen>
  );
}

/** "the box only", "nine flights". */
export function basisInWords(basis: Basis): string {
  if (basis.source === 'box') return 'the box only';
  return `${basis.flights} ${basis.flights === 1 ? 'flight' : 'flights'}`;
}
