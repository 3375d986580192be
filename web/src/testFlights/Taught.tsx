import '@mantine/core/styles/Progress.css';
import { type AircraftRecord } from '@acorn-tally/core';
import { Progress } from '@mantine/core';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { type Learning, useLearning } from '../answers/learning';
import { flightsInWords } from '../answers/trust';
import { Say } from '../fields/Say';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { HowWell } from './HowWell';
import { KeptFits } from './KeptFits';
import { NextToFly } from './NextToFly';
import styles from './Taught.module.css';
import { Lines } from './TaughtLines';
import { Offer } from './TaughtOffer';
import type { TestRow } from './useTests';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly rows: readonly TestRow[];
}

/** What the flights of an aircraft taught: each thing with how sure it is, how well flights are foretold, and what to fly next. */
export function Taught({ aircraft, rows }: Props) {
  const learning = useLearning(aircraft);
  const { fitting, basis } = learning;
  const { outcome } = fitting;
  const count = basis.flights.length;
  const these = count === 1 ? 'this one flight' : `these ${flightsInWords(count)}`;
  const title =
    count === 0 ? `What flights of ${aircraft.name} teach` : `What ${these} of ${aircraft.name} taught`;
  const { hash } = useLocation();
  const isReady = outcome !== null;
  useEffect(() => {
    // Who comes for it is brought there; the browser looks for it before it stands.
    if (hash === '#taught' && isReady) document.getElementById('taught')?.scrollIntoView();
  }, [hash, isReady]);
  return (
    <>
      <div className={styles.both}>
        <Section id="taught" title={title} end={outcome?.ok && <UsedNow learning={learning} />}>
          <Underway learning={learning} />
          {count === 0 && (
            <Note>None counts yet. From the first on, what it teaches of {aircraft.name} is told here.</Note>
          )}
          {outcome && !outcome.ok && (
            <Warning>
              <Say sentence={outcome.refusal} />
            </Warning>
          )}
          {outcome?.ok && (
            <>
              <Offer aircraft={aircraft} learning={learning} fit={outcome.value} />
              <Lines aircraft={aircraft} fit={outcome.value} rows={rows} />
            </>
          )}
        </Section>
        {outcome?.ok && <HowWell fit={outcome.value} rows={rows} />}
      </div>
      {outcome?.ok && (
        <div className={styles.both}>
          <NextToFly aircraft={aircraft} learning={learning} fit={outcome.value} />
          <KeptFits aircraft={aircraft} current={learning.current} />
        </div>
      )}
    </>
  );
}

/** "in use" or what it is not yet. */
function UsedNow({ learning: { current, changes } }: { readonly learning: Learning }) {
  if (!current)
    return <small className={styles.state}>not used yet: minutes come from the spec sheet only</small>;
  return <small className={styles.state}>{changes ? 'an earlier fit is in use' : 'in use'}</small>;
}

function Underway({ learning: { fitting } }: { readonly learning: Learning }) {
  const { progress, trouble, cancelled, cancel, again } = fitting;
  if (trouble) return <FieldError>{trouble}</FieldError>;
  if (cancelled) {
    return (
      <Note>
        Not learnt from: it was ended. <LinkButton onClick={again}>Learn from them now</LinkButton>
      </Note>
    );
  }
  if (progress === null) return null;
  return (
    <div className={styles.underway} role="status">
      <span>learning from them …</span>
      <Progress value={Math.round(progress * 100)} aria-label="Learnt so far" />
      <LinkButton onClick={cancel}>Stop</LinkButton>
    </div>
  );
}
