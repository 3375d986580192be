import {
  type AircraftRecord,
  type BatteryRecord,
  compareInstants,
  type DayAtPlace,
  type Mode,
  outcomeMeanwhile,
  type Quantity,
  requestForTest,
  type TestFlight,
  type TestPattern,
  testFlightProblem,
  testFlightRanges,
  testPatterns,
  testQuestions,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import field from '../fields/field.module.css';
import { inForm } from '../fields/inForm';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Note } from '../parts/Note';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { making, removing } from '../records/changes';
import { comesOrGoes } from '../records/history';
import { useRecords } from '../records/records';
import { packAtTheHour } from '../state/atTheHour';
import { beliefAbout } from '../state/belief';
import { useChosen } from '../state/chosen';
import { clockAt } from '../state/clock';
import { useAircraft, useBatteriesOf, useBattery, useConditions } from '../state/current';
import { useDraft } from '../state/drafts';
import { cardOf } from '../state/liftOff';
import { useWriter } from '../state/units';
import { isHover, patternNames } from './words';

/** Records a test that was flown; what was typed stays until it is saved, also when the drawer is closed. */
export function TestDrawer({ opened, onClose }: PanelProps) {
  const aircraft = useAircraft();
  const batteries = useBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  const navigate = useNavigate();
  if (!aircraft || !conditions) return null;
  return (
    <SidePanel title="Record a test" opened={opened} onClose={onClose}>
      {battery ? (
        <TestForm
          key={aircraft.id}
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          conditions={conditions}
          onSaved={() => void navigate('/test-flights')}
        />
      ) : (
        <p>{aircraft.name} has no battery yet: add one in Kit.</p>
      )}
    </SidePanel>
  );
}

interface FormProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly onSaved: () => void;
}

/** The numbers of a test while they are being typed: null is not typed yet. */
interface Draft {
  readonly batteryId: string;
  readonly flownAt: string;
  readonly pattern: TestPattern;
  readonly mode: Mode;
  readonly airspeedMps: number | null;
  readonly heightM: number | null;
  readonly startCharge: number | null;
  readonly startTemperatureC: number | null;
  readonly durationS: number | null;
  readonly endCharge: number | null;
  readonly note: string;
}

const flyingModes: readonly Mode[] = ['slow', 'normal', 'fast', 'manual'];

function TestForm({ aircraft, batteries, battery, conditions, onSaved }: FormProps) {
  const liftOffs = useRecords((state) => state.liftOffs);
  const { fresh, doAll } = useRecords.getState();
  const { choose } = useChosen();
  const [draft, keepDraft] = useDraft(`test of ${aircraft.id}`, () => emptyDraft(battery, conditions));
  const form = useForm<Draft>({
    mode: 'controlled',
    initialValues: draft,
    onValuesChange: keepDraft,
    validate: {
      heightM: needed(testFlightRanges.heightM),
      startCharge: needed(testFlightRanges.startCharge),
      durationS: needed(testFlightRanges.durationS),
      endCharge: (value, { startCharge }) =>
        needed(testFlightRanges.endCharge)(value) ?? againstStart(startCharge, value),
    },
  });
  const element = useRef<HTMLFormElement>(null);
  const { say, write } = useWriter();
  const clock = clockAt(conditions);
  const { values } = form;
  const set = form.setFieldValue;
  const test = testOf(values);
  const chosen = batteries.find(({ id }) => id === values.batteryId) ?? battery;
  const questions =
    test && !againstStart(values.startCharge, values.endCharge)
      ? testQuestions(
          { ...values, test, weather: conditions.weather, aircraft: aircraft.spec, battery: chosen.pack },
          Date.now(),
        )
      : [];

  /** What a field says is wrong with its text, the form does not know. */
  const firstWrong = () => element.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
  const save = () => {
    const wrong = firstWrong();
    if (wrong || !test) return wrong?.focus();
    const { weather } = conditions;
    const { batteryId, flownAt, note } = values;
    const card = cardOf(liftOffs, batteryId);
    const content = {
      aircraftId: aircraft.id,
      batteryId,
      flownAt,
      test,
      weather,
      note: note.trim() || null,
      liftOff: card?.ticked ?? null,
    };
    const request = requestForTest(test, aircraft.spec, chosen.pack, weather);
    const { middle } = beliefAbout(aircraft);
    const saved = fresh('testFlights', content, {
      outcome: outcomeMeanwhile(content, request, middle, Date.now()),
    });
    doAll(
      [making('testFlights', saved), ...(card ? [removing('liftOffs', card)] : [])],
      'recording a test',
      comesOrGoes,
    );
    choose({ testFlightId: saved.id });
    keepDraft(null);
    // The panel goes; what is typed from now on is meant for the view.
    element.current?.querySelector<HTMLElement>(':focus')?.blur();
    onSaved();
  };

  return (
    <form
      ref={element}
      noValidate
      onSubmit={form.onSubmit(save, () => requestAnimationFrame(() => firstWrong()?.focus()))}
    >
      <div className={field.row}>
        <span className={field.label}>Aircraft</span>
        <span className={field.told}>{aircraft.name}</span>
      </div>
      <ChoiceField
        label="Battery"
        value={values.batteryId}
        options={batteries.map(({ id, label }) => ({ value: id, label }))}
        onChange={(batteryId) => set('batteryId', batteryId)}
      />
      <MomentField
        label="Flown"
        withTime
        hint={clock.note(values.flownAt) ?? undefined}
        value={clock.field(values.flownAt)}
        onChange={(text) => set('flownAt', clock.read(text) ?? values.flownAt)}
      />
      <PanelPart title="How it was flown">
        <ChoiceField
          label="Pattern"
          value={values.pattern}
          options={testPatterns.map((value) => ({ value, label: patternNames[value] }))}
          onChange={(pattern) => set('pattern', pattern)}
        />
        {!isHover(values.pattern) && (
          <>
            <ChoiceField
              label="Mode"
              value={values.mode}
              options={flyingModes.map((value) => ({ value, label: value }))}
              onChange={(mode) => set('mode', mode)}
            />
            <QuantityField
              quantity={testFlightRanges.airspeedMps}
              assumed={null}
              hint="if you held one"
              {...inForm(form, 'airspeedMps')}
            />
          </>
        )}
        <QuantityField quantity={testFlightRanges.heightM} {...inForm(form, 'heightM')} />
      </PanelPart>
      <PanelPart title="What you read">
        <QuantityField
          first
          quantity={testFlightRanges.startCharge}
          hint="what the gauge showed, seldom 100 %"
          {...inForm(form, 'startCharge')}
        />
        <QuantityField
          quantity={testFlightRanges.durationS}
          hint="as 18:06, or 18.1"
          {...inForm(form, 'durationS')}
        />
        <QuantityField quantity={testFlightRanges.endCharge} {...inForm(form, 'endCharge')} />
        <QuantityField
          quantity={testFlightRanges.startTemperatureC}
          assumed={conditions.weather.airTemperatureC}
          {...inForm(form, 'startTemperatureC')}
        />
        <TextField label="Note" value={values.note} onChange={(note) => set('note', note)} />
      </PanelPart>
      <Note>
        In the conditions above: {write('temperature', conditions.weather.airTemperatureC)}, wind{' '}
        {write('speed', conditions.weather.wind.speedMps, 1)}, ground{' '}
        {write('distance', conditions.weather.elevationM)}. The estimate for just this flight is kept with it.
      </Note>
      {questions.length > 0 && (
        <div className={field.question} role="status">
          {questions.map((question) => (
            <span key={question.code}>{say(question)}</span>
          ))}
          <span>You may keep it; it counts once you have answered.</span>
        </div>
      )}
      <Button type="submit" fullWidth>
        Keep this test
      </Button>
    </form>
  );
}

/** A number that has to be there. */
function needed({ label }: Quantity) {
  return (value: number | null) => (value === null ? `${label} is empty.` : null);
}

/** What is wrong with a charge at the end, seen from the one at the start; null where either is not known yet. */
function againstStart(startCharge: number | null, endCharge: number | null): string | null {
  return startCharge === null || endCharge === null ? null : testFlightProblem({ startCharge, endCharge });
}

function emptyDraft(battery: BatteryRecord, conditions: DayAtPlace): Draft {
  return {
    batteryId: battery.id,
    flownAt: flownBy(conditions),
    pattern: 'low-hover',
    mode: 'normal',
    airspeedMps: null,
    heightM: 2,
    startCharge: null,
    startTemperatureC: packAtTheHour(battery, conditions).startTemperatureC ?? null,
    durationS: null,
    endCharge: null,
    note: '',
  };
}

/** At the ribbon's hour, or now where that is still to come: a test is written down after it was flown. */
function flownBy(conditions: DayAtPlace): string {
  const clock = clockAt(conditions);
  const now = new Date().toISOString();
  return compareInstants(conditions.at, now) <= 0 ? conditions.at : (clock.read(clock.field(now)) ?? now);
}

/** The test, when everything needed is there. */
function testOf(draft: Draft): TestFlight | null {
  const { pattern, heightM, startCharge, endCharge, durationS, startTemperatureC } = draft;
  if (heightM === null || startCharge === null || endCharge === null || durationS === null) return null;
  const flown = isHover(pattern) ? {} : { mode: draft.mode, airspeedMps: draft.airspeedMps };
  return { pattern, ...flown, heightM, startCharge, endCharge, durationS, startTemperatureC };
}
