import { minutesAndSeconds, type OwnAction, type ReturnAnswer } from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';

/** What may come at any time. */
const untimed: Partial<Record<OwnAction['kind'], string>> = { landing: 'landing', 'lost-link': 'link lost' };

/** What the aircraft will do by itself in this flight, so that nobody is surprised. */
export function OwnActions({ answer }: { readonly answer: ReturnAnswer }) {
  return (
    <section>
      <h2 className="section-title">What it does by itself</h2>
      <ol className="way-outs">
        {answer.timetable.map(({ kind, timeS, charge, says, caution }) => (
          <li key={kind}>
            <div>
              <b className="own-when">
                {timeS === null ? untimed[kind] : minutesAndSeconds(timeS)}
                {charge !== null && `, ${percent(charge)}`}
              </b>
              <span>
                <Say sentence={says} />
              </span>
            </div>
            {caution && (
              <small className="danger">
                <IconAlertTriangle size={13} aria-hidden /> <Say sentence={caution} />
              </small>
            )}
          </li>
        ))}
      </ol>
      <p className="panel-note">From your spec sheet; the aircraft’s own messages come first.</p>
    </section>
  );
}
