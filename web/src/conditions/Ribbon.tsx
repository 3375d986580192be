import { IconAlertTriangle } from '@tabler/icons-react';
import { beliefAbout } from '../state/belief';
import { useChosen } from '../state/chosen';
import { clockAt } from '../state/clock';
import { useAircraft, useConditions } from '../state/current';
import { homeName, movedHomeOf } from '../state/home';
import { useWriter } from '../state/units';
import { airAt, bearing } from './air';
import './conditions.css';

/** The weather that every view reckons with, in one line, with the wind at flying height as it results. */
export function Ribbon() {
  const conditions = useConditions();
  const aircraft = useAircraft();
  const { write } = useWriter();
  const choose = useChosen((state) => state.choose);
  if (!conditions) return null;
  const { weather } = conditions;
  const clock = clockAt(conditions);
  const note = clock.note(conditions.at);
  const { wind } = weather;
  const heightM = aircraft?.flight.heightM ?? 60;
  const air = airAt(weather, heightM, beliefAbout(aircraft).middle);
  return (
    <section className="ribbon" aria-label="Conditions">
      <span>
        <b>{conditions.place}</b> · {clock.format(conditions.at, 'ddd D MMM, HH:mm')}
        {note && <b className="ribbon-zone">{note}</b>}
        {movedHomeOf(conditions) && <b className="ribbon-zone"> · home is {homeName(conditions)}</b>}
        {conditions.weatherFrom?.practice && <b className="practice">practice weather</b>}
      </span>
      <span>
        air <b>{write('temperature', weather.airTemperatureC, digitsOf(weather.airTemperatureC))}</b>
      </span>
      <span>
        wind <b>{write('speed', wind.speedMps, 1)}</b> from <b>{bearing(wind.fromDeg)}</b>
        {wind.gustMps != null &&
          (wind.gustMps < wind.speedMps ? (
            <b className="danger">, gusts {write('speed', wind.gustMps, 1)}? left out</b>
          ) : (
            <>
              , gusts <b>{write('speed', wind.gustMps, 1)}</b>
            </>
          ))}{' '}
        at {write('distance', wind.readingHeightM)}
        {air.ok && (
          <>
            {' → '}
            <b>
              {write('speed', air.value.windMps, 1)}, {write('speed', air.value.gustMps, 1)}
            </b>{' '}
            at {write('distance', heightM)}
          </>
        )}
      </span>
      <span>
        ground <b>{write('distance', weather.elevationM)}</b>
      </span>
      {air.ok ? (
        <span>
          air density <b>{write('density', air.value.densityKgm3, 2)}</b>
        </span>
      ) : (
        <span className="danger">
          <IconAlertTriangle size={15} aria-hidden /> wind read too low
        </span>
      )}
      <button type="button" className="link ribbon-change" onClick={() => choose({ conditionsOpen: true })}>
        Change conditions <kbd>C</kbd>
      </button>
    </section>
  );
}

function digitsOf(value: number): number {
  return Number.isInteger(value) ? 0 : 1;
}
