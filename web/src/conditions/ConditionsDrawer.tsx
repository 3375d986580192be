import {
  type Asked,
  type DayAtPlace,
  type DayContent,
  defaultCeilingM,
  defaultHumidity,
  defaultRoughnessM,
  nameProblem,
  type PlaceContent,
  ranges,
  readCoordinates,
  siteRanges,
  standardQnhHpa,
  timeZoneAt,
  writeCoordinates,
  writeInSi,
} from '@acorn-tally/core';
import { Button, Select } from '@mantine/core';
import { useState } from 'react';
import { rememberZone } from '../api/zones';
import field from '../fields/field.module.css';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { fieldProps } from '../fields/shape';
import { TextField } from '../fields/TextField';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { useRecords } from '../records/records';
import { atAnotherHour } from '../state/atTheHour';
import { browserTimeZone, clockAt } from '../state/clock';
import { useConditions } from '../state/current';
import { movedClocks } from '../state/movedClocks';
import { useWriter } from '../state/units';
import styles from './ConditionsDrawer.module.css';
import { DayStrip } from './DayStrip';
import { GroundCards } from './GroundCards';
import { zonesToChoose } from './timeZones';
import { WeatherSources } from './WeatherSources';
import { WhichDay } from './WhichDay';
import { WhichPlace } from './WhichPlace';
import { WindByHeight } from './WindByHeight';

/** Place, hour and weather; everything on the page follows at once. */
export function ConditionsDrawer({ opened, onClose }: PanelProps) {
  const conditions = useConditions();
  if (!conditions) return null;
  return (
    <SidePanel title="Conditions" opened={opened} onClose={onClose} size={740}>
      <ConditionsForm conditions={conditions} />
    </SidePanel>
  );
}

interface FormProps {
  readonly conditions: DayAtPlace;
}

function ConditionsForm({ conditions }: FormProps) {
  const [asked, setAsked] = useState<readonly Asked[]>([]);
  return (
    <>
      <WhichDay conditions={conditions} />
      <DayStrip conditions={conditions} />
      <div className={styles.columns}>
        <div>
          <WeatherFields
            conditions={conditions}
            asked={asked}
            onGiven={(given) => setAsked(asked.filter((one) => one !== given))}
          />
          <WeatherSources conditions={conditions} onAsk={setAsked} />
        </div>
        <div>
          <PlaceFields conditions={conditions} />
          <WindByHeight conditions={conditions} />
        </div>
      </div>
    </>
  );
}

function PlaceFields({ conditions }: FormProps) {
  const edit = useRecords((state) => state.edit);
  const { site, weather } = conditions;
  const change = (part: Partial<PlaceContent>, label: string) =>
    edit('places', conditions.placeId, part, label);
  const changeDay = (part: Partial<DayContent>, label: string) => edit('days', conditions.id, part, label);
  const clock = clockAt(conditions);
  const moveTo = useMoving(conditions);
  const note = clock.note(conditions.at);
  return (
    <PanelPart title="Place and hour">
      <WhichPlace conditions={conditions} />
      <TextField
        label="Place"
        value={conditions.place}
        problem={(text) => nameProblem('Place', text)}
        onChange={(name) => change({ name }, 'place')}
      />
      <TextField
        label="Coordinates"
        value={site?.coordinates ? writeCoordinates(site.coordinates) : ''}
        placeholder="54.52, -2.81"
        hint="for the sun, as copied from a map"
        problem={coordinatesProblem}
        onChange={(text) => {
          const read = readCoordinates(text);
          moveTo({ coordinates: read.ok ? read.value : null }, 'coordinates');
        }}
      />
      <MomentField
        label="Day and hour"
        withTime
        hint={note ?? undefined}
        value={clock.field(conditions.at)}
        onChange={(text) =>
          changeDay(atAnotherHour(conditions, clock.read(text) ?? conditions.at), 'day and hour')
        }
      />
      <Select
        {...fieldProps({}, 'text')}
        label="Time zone"
        searchable
        nothingFoundMessage="No zone of that name"
        data={timeZones}
        placeholder={site?.coordinates ? timeZoneAt(site.coordinates) : browserTimeZone}
        description={site?.timeZone ? null : site?.coordinates ? 'by its coordinates' : 'this browser’s'}
        clearable
        value={site?.timeZone ?? null}
        onChange={(timeZone) => moveTo({ timeZone }, 'time zone')}
      />
      <QuantityField
        quantity={ranges.conditions.elevationM}
        value={weather.elevationM}
        onChange={(elevationM) => change({ elevationM }, 'ground elevation')}
      />
      <QuantityField
        quantity={siteRanges.tallestM}
        value={site?.tallestM ?? null}
        assumed={null}
        hint="tree, mast or roof near the way home"
        onChange={(tallestM) => change({ tallestM }, 'tallest obstacle')}
      />
      <QuantityField
        quantity={siteRanges.ceilingM}
        value={site?.ceilingM ?? null}
        assumed={defaultCeilingM}
        hint="as your local rules give it"
        onChange={(ceilingM) => change({ ceilingM }, 'local ceiling')}
      />
      <GroundCards
        roughnessM={weather.roughnessM ?? defaultRoughnessM}
        onChange={(roughnessM) => change({ roughnessM }, 'kind of ground')}
      />
    </PanelPart>
  );
}

const timeZones = zonesToChoose();

/** Another place or zone: what its clocks showed they go on showing, on its days and where their shoots begin. */
function useMoving({ placeId }: DayAtPlace) {
  const { editEach, shoots, days, places } = useRecords();
  return (part: Pick<PlaceContent, 'coordinates' | 'timeZone'>, label: string) => {
    const from = places.find(({ id }) => id === placeId);
    if (!from) return;
    if (part.coordinates) rememberZone(part.coordinates, timeZoneAt(part.coordinates));
    const here = days.filter((day) => day.placeId === placeId);
    const moved = movedClocks(here, shoots, from, { ...from, ...part });
    editEach([{ kind: 'places', id: placeId, content: part }, ...moved], label);
  };
}

function coordinatesProblem(text: string): string | null {
  if (text.trim() === '') return null;
  const read = readCoordinates(text);
  return read.ok ? null : writeInSi(read.refusal);
}

interface WeatherFieldsProps extends FormProps {
  readonly asked: readonly Asked[];
  readonly onGiven: (given: Asked) => void;
}

/** The weather by hand; what a report did not give is asked for. */
function WeatherFields({ conditions, asked, onGiven }: WeatherFieldsProps) {
  const edit = useRecords((state) => state.edit);
  const { write } = useWriter();
  const { weather } = conditions;
  const { wind } = weather;
  const change = (part: Partial<DayContent['weather']>, label: string) =>
    edit(
      'days',
      conditions.id,
      (now) => ({ weather: { ...now.weather, ...part }, weatherFrom: null }),
      label,
    );
  const changeWind = (part: Partial<typeof wind>, label: string) =>
    edit(
      'days',
      conditions.id,
      ({ weather: now }) => ({ weather: { ...now, wind: { ...now.wind, ...part } }, weatherFrom: null }),
      label,
    );
  const askFor = (one: Asked) => (asked.includes(one) ? 'the report did not give it: enter it' : undefined);
  return (
    <>
      <PanelPart title="Air">
        <QuantityField
          first
          quantity={ranges.conditions.airTemperatureC}
          slider={{ min: -15, max: 35 }}
          value={weather.airTemperatureC}
          hint={askFor('airTemperatureC')}
          onChange={(airTemperatureC) => {
            change({ airTemperatureC }, 'air temperature');
            onGiven('airTemperatureC');
          }}
        />
        <QuantityField
          quantity={ranges.conditions.relativeHumidity}
          value={weather.relativeHumidity ?? null}
          assumed={defaultHumidity}
          onChange={(relativeHumidity) => change({ relativeHumidity }, 'humidity')}
        />
        <QuantityField
          quantity={ranges.conditions.qnhHpa}
          value={weather.qnhHpa ?? null}
          assumed={standardQnhHpa}
          hint="if you know it; else the standard day"
          onChange={(qnhHpa) => change({ qnhHpa }, 'QNH')}
        />
      </PanelPart>
      <PanelPart title="Wind">
        <QuantityField
          quantity={ranges.wind.speedMps}
          slider={{ min: 0, max: 15 }}
          value={wind.speedMps}
          hint={askFor('speedMps')}
          onChange={(speedMps) => {
            changeWind({ speedMps }, 'wind');
            onGiven('speedMps');
          }}
        />
        <QuantityField
          quantity={ranges.wind.gustMps}
          value={wind.gustMps ?? null}
          assumed={null}
          hint="empty: estimated from the ground’s roughness"
          onChange={(gustMps) => changeWind({ gustMps }, 'gust')}
        />
        {wind.gustMps != null && wind.gustMps < wind.speedMps && (
          <div className={field.question} role="alert">
            <span>
              Gusts weaker than the wind cannot be: they are left out until you answer. Which is wrong?
            </span>
            <Button
              variant="default"
              onClick={() =>
                changeWind({ speedMps: wind.gustMps as number, gustMps: wind.speedMps }, 'wind and gust')
              }
            >
              They are swapped
            </Button>
            <Button variant="default" onClick={() => changeWind({ gustMps: null }, 'gust')}>
              I have no gust
            </Button>
          </div>
        )}
        <QuantityField
          quantity={ranges.wind.fromDeg}
          value={wind.fromDeg}
          hint={askFor('fromDeg')}
          onChange={(fromDeg) => {
            changeWind({ fromDeg }, 'wind direction');
            onGiven('fromDeg');
          }}
        />
        <QuantityField
          quantity={ranges.wind.readingHeightM}
          value={wind.readingHeightM}
          hint={`${write('distance', 2)} in the hand, ${write('distance', 10)} in a forecast`}
          onChange={(readingHeightM) => changeWind({ readingHeightM }, 'height of the reading')}
        />
      </PanelPart>
    </>
  );
}
