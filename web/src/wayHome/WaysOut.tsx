import {
  type AircraftRecord,
  type GroundBelow,
  minutesAndSeconds,
  type ReturnAnswer,
  type ReturnBand,
} from '@acorn-tally/core';
import { comesHomeInWords } from '../fields/ComesHomeField';
import { inHundred, percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { HoldBackMore } from '../parts/HoldBackMore';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { useWriter } from '../state/units';
import styles from './ways.module.css';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly answer: ReturnAnswer;
  readonly reserve: number;
  readonly band: ReturnBand | null;
  readonly below: GroundBelow | null;
}

/** What can be done if it will not come home, most charge left first, each with its caution. */
export function WaysOut({ aircraft, answer, reserve, band, below }: Props) {
  const { say } = useWriter();
  const isNeeded = !answer.feasible || (answer.home.touchdownCharge ?? 0) < reserve;
  const isAny = answer.waysOut.some(({ touchdownCharge }) => touchdownCharge !== null);
  return (
    <Section
      title={
        !isNeeded ? 'If it will not come home' : isAny ? 'What still comes home' : 'None of these comes home'
      }
    >
      {band && band.chanceNotHome >= 0.01 && (
        <Note>
          From there, with what it has, {inHundred(band.chanceNotHome)} do not come home
          {comesHomeInWords(aircraft.policy) ? '' : ' by themselves'}.
        </Note>
      )}
      {below === 'water' && (
        <Warning>
          Water under it: what comes down on the way is lost. <HoldBackMore aircraft={aircraft} />
        </Warning>
      )}
      {below === 'people' && (
        <Warning>People under it: nothing may come down on the way. Do not fly over them.</Warning>
      )}
      <ol className={styles.ways}>
        {answer.waysOut.map(({ kind, action, timeS, touchdownCharge, forcedLanding, caution }) => (
          <li key={`${kind} ${say(action)}`}>
            <div className={styles.line}>
              <span>
                <Say sentence={action} />
              </span>
              <b className={touchdownCharge === null ? styles.no : undefined}>
                {touchdownCharge === null
                  ? forcedLanding
                    ? 'forced landing'
                    : 'no'
                  : `${kind === 'land-elsewhere' ? 'down' : 'home'} with ${percent(touchdownCharge)}`}
              </b>
            </div>
            <small>
              {touchdownCharge !== null && `${minutesAndSeconds(timeS)}; `}
              <Say sentence={caution} />
            </small>
          </li>
        ))}
      </ol>
    </Section>
  );
}
