import { type GroundBelow, minutesAndSeconds, type ReturnAnswer, type ReturnBand } from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { inHundred } from '../minutes/BatteryRow';
import { useWriter } from '../state/units';

interface Props {
  readonly answer: ReturnAnswer;
  readonly reserve: number;
  readonly band: ReturnBand | null;
  readonly below: GroundBelow | null;
}

/** What can be done if it will not come home, most charge left first, each with its caution. */
export function WaysOut({ answer, reserve, band, below }: Props) {
  const { say } = useWriter();
  const isNeeded = !answer.feasible || (answer.home.touchdownCharge ?? 0) < reserve;
  const isAny = answer.waysOut.some(({ touchdownCharge }) => touchdownCharge !== null);
  return (
    <section>
      <h2 className="section-title">
        {!isNeeded
          ? 'If it will not come home'
          : isAny
            ? 'What still comes home'
            : 'None of these comes home'}
      </h2>
      {band && band.chanceNotHome >= 0.01 && (
        <p className="panel-note">
          From there, with what it has, {inHundred(band.chanceNotHome)} do not come home by themselves.
        </p>
      )}
      {(below === 'water' || below === 'people') && (
        <p className="danger way-below-it">
          <IconAlertTriangle size={14} aria-hidden />
          {below === 'water'
            ? 'Water under it: what comes down on the way is lost. Hold back more.'
            : 'People under it: nothing may come down on the way. Do not fly over them.'}
        </p>
      )}
      <ol className="way-outs">
        {answer.waysOut.map(({ kind, action, timeS, touchdownCharge, forcedLanding, caution }) => (
          <li key={`${kind} ${say(action)}`}>
            <div>
              <span>
                <Say sentence={action} />
              </span>
              <b className={touchdownCharge === null ? 'turn-over' : undefined}>
                {touchdownCharge === null
                  ? forcedLanding
                    ? 'lands itself'
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
    </section>
  );
}
