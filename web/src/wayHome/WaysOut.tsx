import { minutesAndSeconds, type ReturnAnswer, type ReturnBand } from '@acorn-tally/core';
import { percent } from '../charts/reading';
import { Say } from '../fields/Say';
import { inHundred } from '../minutes/BatteryRow';

interface Props {
  readonly answer: ReturnAnswer;
  readonly reserve: number;
  readonly band: ReturnBand | null;
}

/** What can be done if it will not come home, most charge left first, each with its caution. */
export function WaysOut({ answer, reserve, band }: Props) {
  const isNeeded = !answer.feasible || (answer.home.touchdownCharge ?? 0) < reserve;
  return (
    <section>
      <h2 className="section-title">{isNeeded ? 'What still comes home' : 'If it will not come home'}</h2>
      {band && band.chanceNotHome >= 0.01 && (
        <p className="panel-note">
          From there, with what it has, {inHundred(band.chanceNotHome)} do not come home by themselves.
        </p>
      )}
      <ol className="way-outs">
        {answer.waysOut.map(({ kind, action, timeS, touchdownCharge, caution }) => (
          <li key={`${kind} ${action}`}>
            <div>
              <span>
                <Say>{action}</Say>
              </span>
              <b className={touchdownCharge === null ? 'turn-over' : undefined}>
                {touchdownCharge === null
                  ? 'no'
                  : `${kind === 'land-elsewhere' ? 'down' : 'home'} with ${percent(touchdownCharge)}`}
              </b>
            </div>
            <small>
              {touchdownCharge !== null && `${minutesAndSeconds(timeS)}; `}
              <Say>{caution}</Say>
            </small>
          </li>
        ))}
      </ol>
    </section>
  );
}
