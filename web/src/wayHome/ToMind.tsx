import type { ReturnAnswer } from '@acorn-tally/core';
import { Say } from '../fields/Say';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import styles from './ToMind.module.css';

/** What practice knows of such a way home; nothing where nothing of it holds. */
export function ToMind({ answer: { mind } }: { readonly answer: ReturnAnswer }) {
  if (mind.length === 0) return null;
  return (
    <Section title="Mind on the way">
      <ul className={styles.mind} aria-label="Mind on the way">
        {mind.map((one) => (
          <li key={one.code}>
            <Warning>
              <Say sentence={one} />.
            </Warning>
          </li>
        ))}
      </ul>
    </Section>
  );
}
