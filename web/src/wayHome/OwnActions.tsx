import { minutesAndSeconds, type OwnAction, type ReturnAnswer } from '@acorn-tally/core';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import styles from './ways.module.css';

/** What may come at any time. */
const untimed: Partial<Record<OwnAction['kind'], string>> = {
  landing: 'landing',
  'broken-off': 'broken off',
  'lost-link': 'link lost',
  'no-satellites': 'no satellites',
};

/** What the aircraft will do by itself in this flight, so that nobody is surprised. */
export function OwnActions({ answer }: { readonly answer: ReturnAnswer }) {
  return (
    <Section title="What it does by itself">
      <ol className={styles.ways}>
        {answer.timetable.map(({ kind, timeS, charge, says, caution }) => (
          <li key={kind}>
            <div className={styles.line}>
              <b className={styles.when}>
                {timeS === null ? untimed[kind] : minutesAndSeconds(timeS)}
                {charge !== null && `, ${percent(charge)}`}
              </b>
              <span>
                <Say sentence={says} />
              </span>
            </div>
            {caution && (
              <Warning small>
                <Say sentence={caution} />
              </Warning>
            )}
          </li>
        ))}
      </ol>
      <Note>From your spec sheet; the aircraft’s own messages come first.</Note>
    </Section>
  );
}
