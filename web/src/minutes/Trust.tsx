import { type Band, minutesAndSeconds, waysToKnow } from '@acorn-tally/core';
import { inHundred } from './BatteryRow';

interface Props {
  readonly label: string;
  readonly band: Band;
}

/** How far the minutes can be trusted, where they come from, and what would make them surer. */
export function Trust({ label, band }: Props) {
  const { p10, p90 } = band.usableS;
  const [first] = band.sensitivity;
  return (
    <>
      <h2>Trust: from the box only</h2>
      <dl className="trust">
        <div>
          <dt>{label}, eight in ten</dt>
          <dd>±{minutesAndSeconds((p90 - p10) / 2)}</dd>
        </div>
        {first && (
          <div>
            <dt>{waysToKnow[first.input]}</dt>
            <dd>band −{minutesAndSeconds(first.seconds)}</dd>
          </div>
        )}
        {band.chanceImpossible >= 0.01 && (
          <div>
            <dt className="danger">Does not come home in</dt>
            <dd>{inHundred(band.chanceImpossible)}</dd>
          </div>
        )}
      </dl>
    </>
  );
}
