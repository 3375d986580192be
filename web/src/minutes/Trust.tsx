import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type DayAtPlace,
  minutesAndSeconds,
} from '@acorn-tally/core';
import { Suspense } from 'react';
import { basisInWords } from '../answers/trust';
import { inHundred } from '../fields/percent';
import { AsideSection } from '../parts/Desk';
import { beliefAbout } from '../state/belief';
import { lazyPart } from '../state/lazyPart';
import styles from './Trust.module.css';

const Gain = lazyPart(async () => (await import('./Gain')).Gain);

interface Props {
  readonly battery: BatteryRecord;
  readonly band: Band;
  readonly aircraft: AircraftRecord;
  readonly conditions: DayAtPlace;
}

/** How sure the minutes are, what they rest on, and what would gain some. */
export function Trust({ battery, band, aircraft, conditions }: Props) {
  const { p10, p90 } = band.usableS;
  return (
    <AsideSection title="How sure">
      <dl className={styles.trust}>
        <div>
          <dt>{battery.label}, 8 in 10</dt>
          <dd>
            {minutesAndSeconds(p10)}–{minutesAndSeconds(p90)}
          </dd>
        </div>
        <div>
          <dt>Basis</dt>
          <dd>{basisInWords(beliefAbout(aircraft).known.basis)}</dd>
        </div>
        {band.chanceImpossible >= 0.01 && (
          <div>
            <dt className={styles.danger}>Does not come home in</dt>
            <dd>{inHundred(band.chanceImpossible)}</dd>
          </div>
        )}
      </dl>
      <Suspense fallback={null}>
        <Gain battery={battery} band={band} aircraft={aircraft} conditions={conditions} />
      </Suspense>
    </AsideSection>
  );
}
