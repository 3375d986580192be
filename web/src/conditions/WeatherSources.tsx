import {
  type Asked,
  askedAfter,
  type DayAtPlace,
  type HourlyRows,
  type HourlyWeather,
  type MetarReading,
  type Outcome,
  practiceStation,
  readHourlyCsv,
  splitConditions,
  type WeatherSource,
  weatherFromMetar,
  writeHourlyCsv,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { practiceWeather } from '../api/practice';
import { Say } from '../fields/Say';
import { DropFile } from '../parts/DropFile';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { PanelPart } from '../parts/SidePanel';
import { saveFile } from '../parts/saveFile';
import { useBusy } from '../parts/useBusy';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { atAnotherHour } from '../state/atTheHour';
import { clockAt, useClock } from '../state/clock';
import { useDraft } from '../state/drafts';
import { useWriter } from '../state/units';
import { MetarPaste } from './MetarPaste';
import styles from './Told.module.css';

interface Props {
  readonly conditions: DayAtPlace;
  /** What a report lacked, and the pilot has to enter. */
  readonly onAsk: (asked: readonly Asked[]) => void;
}

interface ReadFile {
  readonly name: string;
  readonly outcome: Outcome<HourlyRows>;
}

/** Weather from a pasted report, from a file of hourly rows, or made up by the practice station; each is told before it is used. */
export function WeatherSources({ conditions, onAsk }: Props) {
  const edit = useRecords((state) => state.edit);
  const [metar, setMetar] = useDraft('metar', () => '');
  const clock = clockAt(conditions);
  const [file, setFile] = useState<ReadFile | null>(null);
  const [madeUp, setMadeUp] = useState<readonly HourlyWeather[] | null>(null);
  const { busy, run } = useBusy();
  const { hours, hoursFrom, site, weather, at } = conditions;
  const coordinates = site?.coordinates ?? null;
  const { units } = useWriter();

  const takeReport = (reading: MetarReading) => {
    const weatherFrom = { name: reading.station, practice: reading.station === practiceStation };
    const told = splitConditions(weatherFromMetar(reading, weather)).weather;
    edit('days', conditions.id, { weather: told, weatherFrom }, 'the report');
    setMetar(null);
    onAsk(askedAfter(reading));
  };
  const takeHours = (rows: readonly HourlyWeather[] | null, from: WeatherSource | null) => {
    // The weather at the hour that is shown is theirs at once.
    const now = rows ? atAnotherHour({ ...conditions, hours: rows, hoursFrom: from }, at) : {};
    edit('days', conditions.id, { ...now, hours: rows, hoursFrom: from }, 'the hourly rows');
    setFile(null);
    setMadeUp(null);
  };
  const openFile = async (chosen: Blob & { readonly name: string }) => {
    setFile({ name: chosen.name, outcome: readHourlyCsv(await chosen.text(), clock.timeZone, units) });
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
    <PanelPart title="From a report or a forecast">
      <MetarPaste text={metar} onType={setMetar} onUse={takeReport} />
      <DropFile
        label="Hourly CSV file"
        words="Drop a CSV of hours here, or choose one"
        onFiles={([chosen]) => chosen && void openFile(chosen)}
      />
      <Note>
        Its first line names its columns: time, temperature, wind and from; gust, humidity and QNH where it
        has them.
      </Note>
      <div className={styles.ways}>
        <Button variant="default" disabled={busy || !coordinates} onClick={() => void askStation()}>
          Ask the practice station
        </Button>
        {hours && hours.length > 0 && (
          <LinkButton onClick={() => saveFile('hours.csv', 'text/csv', writeHourlyCsv(hours))}>
            Save hours
          </LinkButton>
        )}
      </div>
      <Note>
        The practice station’s weather is made up
        {coordinates ? '.' : ', for the coordinates of a place: enter them first.'}
      </Note>
      {file && (
        <FileRead
          file={file}
          onUse={(rows) => takeHours(rows, { name: file.name.slice(0, 60), practice: false })}
        />
      )}
      {madeUp && (
        <div className={styles.told} role="status">
          <b>Practice, made up:</b> <HoursInWords hours={madeUp} />{' '}
          <LinkButton onClick={() => takeHours(madeUp, { name: practiceStation, practice: true })}>
            Use these hours
          </LinkButton>
        </div>
      )}
      {hours && hours.length > 0 && (
        <div className={styles.told}>
          In use: <HoursInWords hours={hours} />
          {hoursFrom && `, from ${hoursFrom.practice ? 'the practice station' : hoursFrom.name}`}.{' '}
          <LinkButton onClick={() => takeHours(null, null)}>Remove hours</LinkButton>
        </div>
      )}
    </PanelPart>
  );
}

interface FileReadProps {
  readonly file: ReadFile;
  readonly onUse: (hours: readonly HourlyWeather[]) => void;
}

function FileRead({ file, onUse }: FileReadProps) {
  const { outcome, name } = file;
  if (!outcome.ok)
    return (
      <FieldError>
        {name}: <Say sentence={outcome.refusal} />
      </FieldError>
    );
  const { hours } = outcome.value;
  const ignored = outcome.value.problems.filter(({ column }) => column === null);
  const problems = outcome.value.problems.filter(({ column }) => column !== null);
  return (
    <div className={styles.told} role="status">
      <b>{name}</b>: <HoursInWords hours={hours} />{' '}
      <LinkButton onClick={() => onUse(hours)}>Use these hours</LinkButton>
      {ignored.map(({ message }) => (
        <Note key={message}>{message}</Note>
      ))}
      {problems.length > 0 && (
        <>
          <Warning>
            {problems.length === 1
              ? 'One cell is wrong and its row is left out:'
              : `${problems.length} cells are wrong and their rows are left out:`}
          </Warning>
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
