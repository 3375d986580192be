import { homeName, movedHomeOf } from '@acorn-tally/core';
import { airAt, bearing } from '../answers/air';
import { LinkButton } from '../parts/LinkButton';
import { beliefAbout } from '../state/belief';
import { clockAt } from '../state/clock';
import { useAircraft, useConditions } from '../state/current';
import { useWriter } from '../state/units';
import styles from './Ribbon.module.css';

/** The weather that every view uses, in one line, with the wind at flying height as it results. */
export function Ribbon({ onChange }: { readonly onChange: () => void }) {
  const conditions = useConditions();
  const aircraft = useAircraft();
  const { write } = useWriter();
  if (!conditions) return null;
  const { weather } = conditions;
  const clock = clockAt(conditions);
  const note = clock.note(conditions.at);
  const { wind } = weather;
  const heightM = aircraft?.flight.heightM ?? 60;
  const air = airAt(weather, heightM, beliefAbout(aircraft).middle);
  return (
    <section className={styles.ribbon} aria-label="Conditions">
      <div className={styles.facts}>
        <span>
          <b>{conditions.place}</b> · {clock.format(conditions.at, 'ddd D MMM, HH:mm')}
          {note && <b className={styles.zone}>{note}</b>}
          {movedHomeOf(conditions) && <b className={styles.zone}> · home is {homeName(conditions)}</b>}
          {conditions.weatherFrom?.practice && <b className={styles.practice}>practice weather</b>}
        </span>
        <span>
          air <b>{write('temperature', weather.airTemperatureC, digitsOf(weather.airTemperatureC))}</b>
        </span>
        <span>
          wind <b>{write('speed', wind.speedMps, 1)}</b> from <b>{bearing(wind.fromDeg)}</b>
          {wind.gustMps != null &&
            (wind.gustMps < wind.speedMps ? (
              <b className={styles.left}>, gusts {write('speed', wind.gustMps, 1)}? left out</b>
            ) : (
              <>
                , gusts <b>{write('speed', wind.gustMps, 1)}</b>
              </>
            ))}{' '}
          at {write('distance', wind.readingHeightM)}
          {' → '}
          <b>
            {write('speed', air.windMps, 1)}, {write('speed', air.gustMps, 1)}
          </b>{' '}
          at {write('distance', heightM)}
        </span>
        <span className={styles.more}>
          ground <b>{write('distance', weather.elevationM)}</b>
        </span>
        <span className={styles.more}>
          air density <b>{write('density', air.densityKgm3, 2)}</b>
        </span>
      </div>
      <LinkButton className={styles.change} onClick={onChange}>
        Change conditions <kbd>C</kbd>
      </LinkButton>
    </section>
  );
}

function digitsOf(value: number): number {
  return Number.isInteger(value) ? 0 : 1;
}
