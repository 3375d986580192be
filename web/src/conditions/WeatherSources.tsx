import {
  type Asked,
  askedAfter,
  type ConditionsRecord,
  type HourlyRows,
  type HourlyWeather,
  type MetarReading,
  type Outcome,
  practiceStation,
  readHourlyCsv,
  type WeatherSource,
  weatherFromMetar,
  writeHourlyCsv,
} from '@acorn-tally/core';
import { useRef, useState } from 'react';
import { practiceWeather } from '../api/practice';
import { saveFile } from '../app/saveFile';
import { useBusy } from '../app/useBusy';
import { Say } from '../fields/Say';
import { clockAt, useClock } from '../state/clock';
import { useDraft } from '../state/drafts';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { MetarPaste } from './MetarPaste';

interface Props {
  readonly conditions: ConditionsRecord;
  /** What a report lacked, and the pilot has to enter. */
  readonly onAsk: (asked: readonly Asked[]) => void;
}

interface File {
  readonly name: string;
  readonly outcome: Outcome<HourlyRows>;
}

/** Weather from a pasted report, from a file of hourly rows, or made up by the practice station; each is told before it is used. */
export function WeatherSources({ conditions, onAsk }: Props) {
  const edit = useRecords((state) => state.edit);
  const [metar, setMetar] = useDraft('metar', () => '');
  const clock = clockAt(conditions);
  const [file, setFile] = useState<File | null>(null);
  const [madeUp, setMadeUp] = useState<readonly HourlyWeather[] | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { busy, run } = useBusy();
  const { hours, hoursFrom, site, weather, at } = conditions;
  const coordinates = site?.coordinates ?? null;

  const takeReport = (reading: MetarReading) => {
    const weatherFrom = { name: reading.station, practice: reading.station === practiceStation };
    edit(
      'conditions',
      conditions.id,
      { weather: weatherFromMetar(reading, weather), weatherFrom },
      'the report',
    );
    setMetar(null);
    onAsk(askedAfter(reading));
  };
  const takeHours = (rows: readonly HourlyWeather[] | null, from: WeatherSource | null) => {
    edit('conditions', conditions.id, { hours: rows, hoursFrom: from }, 'the hourly rows');
    setFile(null);
    setMadeUp(null);
  };
  const openFile = async (chosen: Blob & { readonly name: string }) => {
    setFile({ name: chosen.name, outcome: readHourlyCsv(await chosen.text(), clock.timeZone) });
    setMadeUp(null);
  };
  const askStation = () =>
    run(async () => {
      if (!coordinates) return;
      const report = await practiceWeather(clock.format(at, 'YYYY-MM-DD'), weather.elevationM, coordinates);
      setMetar(report.metar);
      setMadeUp(report.hours);
      setFile(null);
    });
  return (
    <>
      <h3 className="panel-part">From a report or a forecast</h3>
      <MetarPaste text={metar} onType={setMetar} onUse={takeReport} />
      <div className="source-buttons">
        <button type="button" className="button-quiet" onClick={() => input.current?.click()}>
          Read hourly CSV
        </button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          className="unseen"
          tabIndex={-1}
          aria-label="Hourly CSV file"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) void openFile(chosen);
            event.target.value = '';
          }}
        />
        <button
          type="button"
          className="button-quiet"
          disabled={busy || !coordinates}
          onClick={() => void askStation()}
        >
          Ask the practice station
        </button>
        {hours && hours.length > 0 && (
          <button
            type="button"
            className="link"
            onClick={() => saveFile('hours.csv', 'text/csv', writeHourlyCsv(hours))}
          >
            Save hours
          </button>
        )}
      </div>
      <p className="panel-note">
        A file’s first line names its columns: time, temperature, wind and from; gust, humidity and QNH where
        it has them. The practice station makes its weather up
        {coordinates ? '.' : ', for the coordinates of a place: enter them first.'}
      </p>
      {file && (
        <FileRead
          file={file}
          onUse={(rows) => takeHours(rows, { name: file.name.slice(0, 60), practice: false })}
        />
      )}
      {madeUp && (
        <p className="hours-said" role="status">
          <b>Practice, made up:</b> <HoursInWords hours={madeUp} />{' '}
          <button
            type="button"
            className="link"
            onClick={() => takeHours(madeUp, { name: practiceStation, practice: true })}
          >
            Use these hours
          </button>
        </p>
      )}
      {hours && hours.length > 0 && (
        <p className="hours-said">
          In use: <HoursInWords hours={hours} />
          {hoursFrom && `, from ${hoursFrom.practice ? 'the practice station' : hoursFrom.name}`}.{' '}
          <button type="button" className="link" onClick={() => takeHours(null, null)}>
            Remove hours
          </button>
        </p>
      )}
    </>
  );
}

interface FileReadProps {
  readonly file: File;
  readonly onUse: (hours: readonly HourlyWeather[]) => void;
}

function FileRead({ file, onUse }: FileReadProps) {
  const { outcome, name } = file;
  if (!outcome.ok)
    return (
      <p className="field-problem" role="alert">
        {name}: <Say sentence={outcome.refusal} />
      </p>
    );
  const { hours, problems } = outcome.value;
  return (
    <div className="hours-said" role="status">
      <b>{name}</b>: <HoursInWords hours={hours} />{' '}
      <button type="button" className="link" onClick={() => onUse(hours)}>
        Use these hours
      </button>
      {problems.length > 0 && (
        <>
          <p className="danger">
            {problems.length === 1
              ? 'One cell is wrong and its row is left out:'
              : `${problems.length} cells are wrong and their rows are left out:`}
          </p>
          <ul>
            {problems.slice(0, 8).map(({ line, column, message }) => (
              <li key={`${line} ${column}`}>
                line {line}, {column}: {message}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** "24 hours, Wed 25 06:00 to Thu 26 17:00, air 2 to 9 °C, wind 1.8 to 4.4 m/s". */
function HoursInWords({ hours }: { readonly hours: readonly HourlyWeather[] }) {
  const { write } = useWriter();
  const clock = useClock();
  const [first, last] = [hours[0], hours[hours.length - 1]];
  if (!first || !last) return null;
  const airs = hours.map(({ airTemperatureC }) => airTemperatureC);
  const winds = hours.map(({ wind }) => wind.speedMps);
  const when = (hour: HourlyWeather) => clock.format(hour.at, 'ddd D HH:mm');
  return (
    <>
      {hours.length} {hours.length === 1 ? 'hour' : 'hours'}, {when(first)} to {when(last)}, air{' '}
      {write('temperature', Math.min(...airs))} to {write('temperature', Math.max(...airs))}, wind{' '}
      {write('speed', Math.min(...winds), 1)} to {write('speed', Math.max(...winds), 1)}
    </>
  );
}
