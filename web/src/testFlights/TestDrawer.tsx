import {
  type AircraftRecord,
  type BatteryRecord,
  checkpointRanges,
  type DayAtPlace,
  flightUse,
  type ListedTest,
  type Mode,
  provisionalOutcome,
  ranges,
  type TestFlightContent,
  testFlightRanges,
  testPatterns,
  testQuestions,
  testRequestFor,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import field from '../fields/field.module.css';
import { inForm } from '../fields/inForm';
import { MannerFields } from '../fields/MannerFields';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { Switch } from '../fields/Switch';
import { TextField } from '../fields/TextField';
import { Note } from '../parts/Note';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { isHover, patternNames } from '../parts/testWords';
import { making, removing } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { beliefAbout } from '../state/belief';
import { clockAt } from '../state/clock';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useDraft } from '../state/drafts';
import { cardOf } from '../state/liftOff';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import { CellFields, LeftToField } from './EndFields';
import { PacksAfter, usePacksAfter } from './PacksAfter';
import {
  afterReadings,
  againstStart,
  type Draft,
  draftOf,
  emptyDraft,
  needed,
  notedInFlight,
  testOf,
} from './testDraft';

/** Records a test that was flown; what was typed stays until it is saved, also when the drawer is closed. */
export function TestDrawer({ opened, onClose }: PanelProps) {
  const aircraft = useAircraft();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const { aircraft: allAircraft, batteries: allBatteries, testFlights } = useRecords();
  const edits = testFlights.find(({ id }) => id === search.get('record')) ?? null;
  const flown = edits && allAircraft.find(({ id }) => id === edits.aircraftId);
  const used = edits && allBatteries.find(({ id }) => id === edits.batteryId);
  if (edits && flown && used && conditions) {
    return (
      <SidePanel title="Change a test" opened={opened} onClose={onClose}>
        <TestForm
          key={edits.id}
          aircraft={flown}
          batteries={allBatteries.filter(({ aircraftId }) => aircraftId === flown.id)}
          battery={used}
          conditions={conditions}
          edits={edits}
          onSaved={() => void navigate('/test-flights')}
        />
      </SidePanel>
    );
  }
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
  /** The test that is changed; absent where one is recorded. */
  readonly edits?: ListedTest;
  readonly onSaved: () => void;
}

const flyingModes: readonly Mode[] = ['slow', 'normal', 'fast', 'manual'];

function TestForm({ aircraft, batteries, battery, conditions, edits, onSaved }: FormProps) {
  const liftOffs = useRecords((state) => state.liftOffs);
  const { fresh, doAll, edit } = useRecords.getState();
  const { choose } = usePreferences();
  const [draft, keepDraft] = useDraft(edits ? `test ${edits.id}` : `test of ${aircraft.id}`, () =>
    edits ? draftOf(edits) : emptyDraft(battery, conditions),
  );
  const [madeAnew, setMadeAnew] = useState<(typeof estimates)[number]['value']>('kept');
  const weather = edits?.weather ?? conditions.weather;
  const form = useForm<Draft>({
    mode: 'controlled',
    initialValues: draft,
    onValuesChange: keepDraft,
    validate: {
      heightM: needed(testFlightRanges.heightM),
      startCharge: needed(testFlightRanges.startCharge),
      durationS: (value) =>
        needed(testFlightRanges.durationS)(value) ?? afterReadings(value, notedInFlight(edits?.test)),
      endCharge: (value, { startCharge }) =>
        needed(testFlightRanges.endCharge)(value) ?? againstStart(startCharge, value),
    },
  });
  const element = useRef<HTMLFormElement>(null);
  const { say, write } = useWriter();
  const clock = clockAt(conditions);
  const { values } = form;
  const set = form.setFieldValue;
  const test = testOf(values, edits?.test);
  const chosen = batteries.find(({ id }) => id === values.batteryId) ?? battery;
  const packs = usePacksAfter(
    edits || !test ? [] : [{ ...flightUse(values.flownAt, test), batteryId: values.batteryId }],
  );
  const questions =
    test && !againstStart(values.startCharge, values.endCharge)
      ? testQuestions({ ...values, test, weather, aircraft: aircraft.spec, battery: chosen.pack }, Date.now())
      : [];

  /** What a field says is wrong with its text, the form does not know. */
  const firstWrong = () => element.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
  const save = () => {
    const wrong = firstWrong();
    if (wrong || !test) return wrong?.focus();
    const { batteryId, flownAt, note } = values;
    if (edits) {
      const estimatedAt = madeAnew === 'anew' ? new Date().toISOString() : (edits.estimatedAt ?? null);
      const change = { batteryId, flownAt, test, note: note.trim() || null, estimatedAt };
      const whole = { ...edits, ...change };
      const asKept = testRequestFor({ test, flownAt, weather }, aircraft, chosen);
      const outcome = provisionalOutcome(whole, asKept, beliefAbout(aircraft).middle, Date.now());
      edit('testFlights', edits.id, { ...change, outcome } as Partial<TestFlightContent>, 'changing a test');
      return finish(edits.id);
    }
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
    const request = testRequestFor(content, aircraft, chosen);
    const { middle } = beliefAbout(aircraft);
    const saved = fresh('testFlights', content, {
      outcome: provisionalOutcome(content, request, middle, Date.now()),
    });
    doAll(
      [making('testFlights', saved), ...packs.changes(), ...(card ? [removing('liftOffs', card)] : [])],
      'recording a test',
      comesOrGoes,
    );
    finish(saved.id);
  };
  const finish = (testFlightId: string) => {
    choose({ testFlightId });
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
            <MannerFields style={values.mode} manner={values} onChange={(part) => form.setValues(part)} />
          </>
        )}
        <QuantityField quantity={testFlightRanges.heightM} {...inForm(form, 'heightM')} />
      </PanelPart>
      <PanelPart title="What it carried">
        <TextField
          label="Accessories attached"
          hint="guards, filter, light"
          value={values.attached ?? ''}
          onChange={(attached) => set('attached', attached)}
        />
        <QuantityField
          quantity={ranges.flight.addedMassKg}
          label="Their mass"
          assumed={0}
          {...inForm(form, 'addedMassKg')}
        />
        <TextField
          label="Recording"
          hint="at what setting; empty if off"
          value={values.recording ?? ''}
          onChange={(recording) => set('recording', recording)}
        />
        <QuantityField
          quantity={ranges.flight.recordingLoadW}
          hint="if you know it; a comparison finds it"
          assumed={null}
          {...inForm(form, 'recordingLoadW')}
        />
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
          assumed={weather.airTemperatureC}
          {...inForm(form, 'startTemperatureC')}
        />
        <QuantityField
          quantity={checkpointRanges.leftS}
          label="Minutes left it showed at lift-off"
          hint="to hold its display against what came"
          assumed={null}
          {...inForm(form, 'leftS')}
        />
        {values.leftS != null && (
          <LeftToField leftTo={values.leftTo} onChange={(leftTo) => set('leftTo', leftTo)} />
        )}
        <CellFields cells={values} onChange={(part) => form.setValues(part)} />
        <TextField label="Note" value={values.note} onChange={(note) => set('note', note)} />
      </PanelPart>
      <Note>
        {edits ? 'In the conditions it was flown in' : 'In the conditions above'}:{' '}
        {write('temperature', weather.airTemperatureC)}, wind {write('speed', weather.wind.speedMps, 1)},
        ground {write('distance', weather.elevationM)}.{' '}
        {!edits && 'The estimate for just this flight is kept with it.'}
      </Note>
      {edits && (
        <PanelPart title="Its estimate">
          <Switch label="Its estimate" value={madeAnew} options={estimates} onChange={setMadeAnew} />
        </PanelPart>
      )}
      {questions.length > 0 && (
        <div className={field.question} role="status">
          {questions.map((question) => (
            <span key={question.code}>{say(question)}</span>
          ))}
          <span>You may keep it; it counts once you have answered.</span>
        </div>
      )}
      <PacksAfter after={packs} />
      <Button type="submit" fullWidth>
        {edits ? 'Keep the change' : 'Keep this test'}
      </Button>
    </form>
  );
}

/** What becomes of the estimate of a test that is changed. */
const estimates = [
  { value: 'kept', label: 'kept as it was' },
  { value: 'anew', label: 'made anew' },
] as const;
