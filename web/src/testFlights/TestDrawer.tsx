import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  compareInstants,
  type Mode,
  type TestFlight,
  type TestPattern,
  testFlightProblem,
  testFlightRanges,
  testPatterns,
  testQuestions,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { SidePanel } from '../app/SidePanel';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { packAtTheHour } from '../state/atTheHour';
import { useChosen } from '../state/chosen';
import { clockAt } from '../state/clock';
import { useAircraft, useBatteriesOf, useBattery, useConditions } from '../state/current';
import { useDraft } from '../state/drafts';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { isHover, patternNames } from './words';

interface Props {
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** Records a test that was flown; what was typed stays until it is saved, also when the drawer is closed. */
export function TestDrawer({ opened, onClose }: Props) {
  const aircraft = useAircraft();
  const batteries = useBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  const [round, setRound] = useState(0);
  if (!aircraft || !conditions) return null;
  return (
    <SidePanel title="Record a test" opened={opened} onClose={onClose} keepMounted>
      {battery ? (
        <TestForm
          key={`${aircraft.id} ${round}`}
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          conditions={conditions}
          onSaved={() => {
            setRound(round + 1);
            onClose();
          }}
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
  readonly conditions: ConditionsRecord;
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
  const { add, edit } = useRecords();
  const { choose } = useChosen();
  const [draft, setDraft] = useDraft(`test of ${aircraft.id}`, () => emptyDraft(battery, conditions));
  const { say, write } = useWriter();
  const clock = clockAt(conditions);
  const [sent, setSent] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const hover = isHover(draft.pattern);
  const problem =
    draft.startCharge !== null && draft.endCharge !== null
      ? testFlightProblem({ startCharge: draft.startCharge, endCharge: draft.endCharge })
      : null;

  const test = testOf(draft);
  const chosen = batteries.find(({ id }) => id === draft.batteryId) ?? battery;
  const questions =
    test && !problem
      ? testQuestions(
          { ...draft, test, weather: conditions.weather, aircraft: aircraft.spec, battery: chosen.pack },
          Date.now(),
        )
      : [];

  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    setSent(true);
    const wrong = event.currentTarget.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (wrong || !test || problem) {
      wrong?.focus();
      return;
    }
    setBusy(true);
    try {
      const { weather } = conditions;
      const { batteryId, flownAt, note } = draft;
      const content = {
        aircraftId: aircraft.id,
        batteryId,
        flownAt,
        test,
        weather,
        note: note.trim() || null,
        liftOff: conditions.liftOff?.batteryId === batteryId ? conditions.liftOff.ticked : null,
      };
      const saved = await add('testFlights', content, 'recording a test');
      if (content.liftOff) edit('conditions', conditions.id, { liftOff: null }, 'the lift-off card');
      choose({ testFlightId: saved.id });
      setDraft(null);
      onSaved();
    } catch (error) {
      setTrouble((error as Error).message);
      setBusy(false);
    }
  };

  return (
    <form onSubmit={save} noValidate>
      <div className="field">
        <span>Aircraft</span>
        <span className="field-value">{aircraft.name}</span>
      </div>
      <ChoiceField
        label="Battery"
        value={draft.batteryId}
        options={batteries.map(({ id, label }) => ({ value: id, label }))}
        onChange={(batteryId) => set({ batteryId })}
      />
      <TextField
        label="Flown"
        type="datetime-local"
        hint={clock.note(draft.flownAt) ?? undefined}
        value={clock.field(draft.flownAt)}
        problem={(text) => (clock.read(text) ? null : 'Day and hour are empty.')}
        onChange={(text) => set({ flownAt: clock.read(text) ?? draft.flownAt })}
      />
      <h3 className="panel-part">How it was flown</h3>
      <ChoiceField
        label="Pattern"
        value={draft.pattern}
        options={testPatterns.map((value) => ({ value, label: patternNames[value] }))}
        onChange={(pattern) => set({ pattern })}
      />
      {!hover && (
        <>
          <ChoiceField
            label="Mode"
            value={draft.mode}
            options={flyingModes.map((value) => ({ value, label: value }))}
            onChange={(mode) => set({ mode })}
          />
          <QuantityField
            quantity={testFlightRanges.airspeedMps}
            value={draft.airspeedMps}
            assumed={null}
            hint="if you held one"
            onChange={(airspeedMps) => set({ airspeedMps })}
          />
        </>
      )}
      <QuantityField
        quantity={testFlightRanges.heightM}
        value={draft.heightM}
        missing={sent}
        onChange={(heightM) => set({ heightM })}
      />
      <h3 className="panel-part">What you read</h3>
      <QuantityField
        first
        quantity={testFlightRanges.startCharge}
        value={draft.startCharge}
        missing={sent}
        hint="what the gauge showed, seldom 100 %"
        onChange={(startCharge) => set({ startCharge })}
      />
      <QuantityField
        quantity={testFlightRanges.durationS}
        value={draft.durationS}
        missing={sent}
        hint="as 18:06, or 18.1"
        onChange={(durationS) => set({ durationS })}
      />
      <QuantityField
        quantity={testFlightRanges.endCharge}
        value={draft.endCharge}
        missing={sent}
        onChange={(endCharge) => set({ endCharge })}
      />
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      <QuantityField
        quantity={testFlightRanges.startTemperatureC}
        value={draft.startTemperatureC}
        assumed={conditions.weather.airTemperatureC}
        onChange={(startTemperatureC) => set({ startTemperatureC })}
      />
      <TextField label="Note" value={draft.note} onChange={(note) => set({ note })} />
      <p className="panel-note test-weather">
        In the conditions of the ribbon: {write('temperature', conditions.weather.airTemperatureC)}, wind{' '}
        {write('speed', conditions.weather.wind.speedMps, 1)}, ground{' '}
        {write('distance', conditions.weather.elevationM)}. The estimate for just this flight is kept with it.
      </p>
      {questions.length > 0 && (
        <div className="field-question" role="status">
          {questions.map((question) => (
            <span key={question.code}>{say(question)}</span>
          ))}
          <span>You may keep it; it counts once you have answered.</span>
        </div>
      )}
      {trouble && (
        <p className="field-problem" role="alert">
          {trouble} Nothing you typed is lost.
        </p>
      )}
      <Button type="submit" fullWidth loading={busy}>
        Keep this test
      </Button>
    </form>
  );
}

function emptyDraft(battery: BatteryRecord, conditions: ConditionsRecord): Draft {
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
function flownBy(conditions: ConditionsRecord): string {
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
