import type { DayAtPlace } from '@acorn-tally/core';
import { Button, Slider } from '@mantine/core';
import { useMemo } from 'react';
import { capitalize } from '../parts/capitalize';
import { LightBand } from '../parts/LightBand';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import { atAnotherHour } from '../state/atTheHour';
import { clockAt } from '../state/clock';
import { useWriter } from '../state/units';
import styles from './DayStrip.module.css';
import {
  clockOfMinute,
  daysWithHours,
  type HourPoint,
  hoursOfDay,
  lightInWords,
  lightOfDay,
  minuteOfDay,
  minutesADay,
} from './dayStrip';

interface Props {
  readonly conditions: DayAtPlace;
}

const stepMin = 10;

/** The hours of the day to scrub through: light, temperature, wind and gusts; what is chosen, every view uses. */
export function DayStrip({ conditions }: Props) {
  const edit = useRecords((state) => state.edit);
  const { write } = useWriter();
  const { at, hours, site, weather } = conditions;
  const clock = useMemo(() => clockAt({ site }), [site]);
  const day = clock.format(at, 'YYYY-MM-DD');
  const minute = minuteOfDay(clock, at);
  const points = useMemo(() => hoursOfDay(hours ?? [], day, clock), [hours, day, clock]);
  const days = useMemo(() => daysWithHours(hours ?? [], clock), [hours, clock]);
  const coordinates = site?.coordinates ?? null;
  const lights = useMemo(
    () => (coordinates ? lightOfDay(day, coordinates, clock) : []),
    [day, coordinates, clock],
  );
  const light = lights.find(({ fromMin, toMin }) => minute >= fromMin && minute < toMin)?.light;

  const goTo = (next: string) => edit('days', conditions.id, atAnotherHour(conditions, next), 'day and hour');
  const scrub = (to: number) => goTo(clock.read(`${day} ${clockOfMinute(to)}`) ?? at);
  const { wind } = weather;
  const note = clock.note(at);
  const now = [
    `air ${write('temperature', weather.airTemperatureC, 1)}`,
    `wind ${write('speed', wind.speedMps, 1)}`,
    ...(wind.gustMps == null ? [] : [`gusts ${write('speed', wind.gustMps, 1)}`]),
    ...(light ? [light] : []),
  ];
  return (
    <section aria-label="The day">
      <div className={styles.now}>
        <b>{clock.format(at, 'ddd D MMM, HH:mm')}</b> {note && `(${note}) `}
        {now.join(', ')}
        {days.length > 1 && (
          <span className={styles.days}>
            {days.map((one) => (
              <DayChoice
                key={one}
                name={clock.format(clock.read(`${one} 12:00`) ?? at, 'ddd D')}
                chosen={one === day}
                onChoose={() => goTo(clock.read(`${one} ${clock.format(at, 'HH:mm')}`) ?? at)}
              />
            ))}
          </span>
        )}
      </div>
      <div className={styles.strip}>
        <LightBand
          spans={lights.map(({ fromMin, toMin, light: lit }) => ({
            key: fromMin,
            share: (toMin - fromMin) / minutesADay,
            light: lit,
          }))}
        />
        <Curves points={points} write={write} />
        {/* The whole strip is the slider: dragged anywhere, stepped by keys. */}
        <Slider
          classNames={{
            root: styles.slider,
            track: styles.track,
            bar: styles.none,
            thumb: styles.cursor,
          }}
          thumbLabel="Hour of the day"
          thumbValueText={[clock.format(at, 'HH:mm'), ...now].join(', ')}
          min={0}
          max={minutesADay}
          step={stepMin}
          value={minute}
          onChange={(to) => to !== minute && scrub(Math.min(to, minutesADay - stepMin))}
        />
      </div>
      <div className={styles.ticks} aria-hidden>
        {['00', '06', '12', '18', '24'].map((hour) => (
          <span key={hour}>{hour}</span>
        ))}
      </div>
      <Note>
        {coordinates
          ? `${capitalize(lightInWords(day, coordinates, clock).join(', '))}.`
          : 'With coordinates the sun’s times show here.'}
        {points.length === 0 && ' No hourly rows for this day: the weather stays as it is set below.'}
      </Note>
    </section>
  );
}

interface DayChoiceProps {
  readonly name: string;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function DayChoice({ name, chosen, onChoose }: DayChoiceProps) {
  return (
    <Button variant="default" data-choosable aria-pressed={chosen} onClick={onChoose}>
      {name}
    </Button>
  );
}

interface CurvesProps {
  readonly points: readonly HourPoint[];
  readonly write: ReturnType<typeof useWriter>['write'];
}

function Curves({ points, write }: CurvesProps) {
  if (points.length === 0) return <p className={styles.nothing}>no hourly forecast loaded</p>;
  const airs = points.map(({ airTemperatureC }) => airTemperatureC);
  const winds = points.map(({ windMps }) => windMps);
  const gusts = points.flatMap(({ gustMps }) => gustMps ?? []);
  const strongest = Math.max(...winds, ...gusts, 1);
  const range = (dimension: 'temperature' | 'speed', values: readonly number[]) =>
    `${write(dimension, Math.min(...values)).split(' ')[0]} to ${write(dimension, Math.max(...values))}`;
  return (
    <>
      <Curve
        words={`air ${range('temperature', airs)}`}
        lines={[{ name: 'air', at: points.map(({ minute }) => minute), values: airs }]}
        low={Math.min(...airs) - 1}
        high={Math.max(...airs) + 1}
      />
      <Curve
        words={`wind ${range('speed', winds)}${gusts.length > 0 ? `, gusts to ${write('speed', Math.max(...gusts))}` : ''}`}
        lines={[
          { name: 'gust', ...seriesOf(points, ({ gustMps }) => gustMps) },
          { name: 'wind', ...seriesOf(points, ({ windMps }) => windMps) },
        ]}
        low={0}
        high={strongest * 1.1}
      />
    </>
  );
}

function seriesOf(points: readonly HourPoint[], pick: (point: HourPoint) => number | null) {
  const given = points.filter((point) => pick(point) !== null);
  return { at: given.map(({ minute }) => minute), values: given.map((point) => pick(point) as number) };
}

interface CurveProps {
  readonly words: string;
  readonly lines: readonly {
    readonly name: string;
    readonly at: readonly number[];
    readonly values: readonly number[];
  }[];
  readonly low: number;
  readonly high: number;
}

function Curve({ words, lines, low, high }: CurveProps) {
  const y = (value: number) => 100 * (1 - (value - low) / (high - low));
  return (
    <div className={styles.curve}>
      <span>{words}</span>
      <svg viewBox={`0 0 ${minutesADay} 100`} preserveAspectRatio="none" aria-hidden="true">
        {lines.map(({ name, at, values }) => (
          <polyline
            key={name}
            data-line={name}
            points={values.map((value, i) => `${at[i]},${y(value).toFixed(1)}`).join(' ')}
          />
        ))}
      </svg>
    </div>
  );
}
