import { IconAlertTriangle } from '@tabler/icons-react';
import dayjs from 'dayjs';
import { useChosen } from '../state/chosen';
import { useAircraft, useConditions } from '../state/current';
import { airAt, bearing } from './air';
import './conditions.css';

/** The weather that every view reckons with, in one line, with the wind at flying height as it results. */
export function Ribbon() {
  const conditions = useConditions();
  const aircraft = useAircraft();
  const choose = useChosen((state) => state.choose);
  if (!conditions) return null;
  const { weather } = conditions;
  const { wind } = weather;
  const heightM = aircraft?.flight.heightM ?? 60;
  const air = airAt(weather, heightM);
  return (
    <section className="ribbon" aria-label="Conditions">
      <span>
        <b>{conditions.place}</b> · {dayjs(conditions.at).format('ddd D MMM, HH:mm')}
      </span>
      <span>
        air <b>{weather.airTemperatureC} °C</b>
      </span>
      <span>
        wind <b>{wind.speedMps} m/s</b> from <b>{bearing(wind.fromDeg)}</b>
        {wind.gustMps != null && (
          <>
            , gusts <b>{wind.gustMps}</b>
          </>
        )}{' '}
        at {wind.readingHeightM} m
        {air.ok && (
          <>
            {' → '}
            <b>
              {air.value.windMps.toFixed(1)}, {air.value.gustMps.toFixed(1)} m/s
            </b>{' '}
            at {heightM} m
          </>
        )}
      </span>
      <span>
        ground <b>{weather.elevationM} m</b>
      </span>
      {air.ok ? (
        <span>
          air density{' '}
          <b>
            {air.value.densityKgm3.toFixed(2)} kg/m<sup>3</sup>
          </b>
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
