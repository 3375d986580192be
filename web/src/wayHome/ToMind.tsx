import type { ReturnAnswer } from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { Say } from '../fields/Say';

/** What practice knows of such a way home; nothing where nothing of it holds. */
export function ToMind({ answer: { mind } }: { readonly answer: ReturnAnswer }) {
  if (mind.length === 0) return null;
  return (
    <section>
      <h2 className="section-title">Mind on the way</h2>
      <ul className="way-mind" aria-label="Mind on the way">
        {mind.map((one) => (
          <li key={one.code}>
            <IconAlertTriangle size={14} aria-hidden />
            <span>
              <Say sentence={one} />.
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
