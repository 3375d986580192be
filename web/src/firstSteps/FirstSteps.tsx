import {
  type Aircraft,
  aircraftOfClass,
  aircraftRanges,
  type Battery,
  batteryRanges,
  classTemplates,
  type DayAtPlace,
  defaultKeeping,
  estimate,
  minutesAndSeconds,
  nameProblem,
  type Quantity,
  ranges,
  type Weather,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useEffect, useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { shownPlan } from '../answers/planned';
import { spansOf } from '../answers/spans';
import { useBandsOf } from '../answers/useBands';
import { Tally, TallyLegend } from '../charts/Tally';
import { ChoiceField } from '../fields/ChoiceField';
import { inForm } from '../fields/inForm';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { FieldError } from '../parts/FieldError';
import { classInWords } from '../parts/kitWords';
import { Note } from '../parts/Note';
import { making } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { beliefAbout } from '../state/belief';
import { useDraft } from '../state/drafts';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import styles from './FirstSteps.module.css';

const packCount: Quantity = {
  label: 'How many of these',
  unit: '',
  siPerUnit: 1,
  min: 1,
  max: 20,
  step: 1,
  whole: true,
};
const stepNames = ['The box', 'The battery', 'The day'] as const;

/** What is chosen and typed on the way. */
interface Draft {
  readonly step: number;
  readonly name: string;
  readonly className: string;
  readonly spec: Aircraft | undefined;
  readonly pack: Battery | undefined;
  readonly count: number;
}

function begin(): Draft {
  const template = classTemplates[1];
  return {
    step: 0,
    name: 'My aircraft',
    className: template?.name ?? '',
    spec: template?.spec,
    pack: template?.pack,
    count: 3,
  };
}

/** An empty kit leads in three steps from the box to the first strip; what is typed stays when going back, and after a reload. */
export function FirstSteps({ conditions }: { readonly conditions: DayAtPlace }) {
  const [draft, keepDraft] = useDraft('first steps', begin);
  const form = useForm<Draft>({
    mode: 'controlled',
    initialValues: draft,
    onValuesChange: keepDraft,
    validate: { name: (name) => nameProblem('Name', name) },
  });
  const element = useRef<HTMLFormElement>(null);
  const { step, name, className, spec, pack, count } = form.values;
  const { fresh, doAll } = useRecords.getState();
  const choose = usePreferences((state) => state.choose);
  const navigate = useNavigate();
  const { write } = useWriter();
  const shownStep = useRef(step);
  useEffect(() => {
    if (shownStep.current !== step) element.current?.querySelector('input')?.focus();
    shownStep.current = step;
  }, [step]);
  if (!spec || !pack) return null;

  const pickClass = (picked: string) => {
    const template = classTemplates.find((one) => one.name === picked);
    form.setValues({ className: picked, spec: template?.spec, pack: template?.pack });
  };
  const finish = () => {
    const made = fresh('aircraft', aircraftOfClass({ spec, pack }, name));
    const batteries = Array.from({ length: count }, (_, i) =>
      fresh('batteries', { aircraftId: made.id, label: `${name} ${i + 1}`, pack, keeping: defaultKeeping }),
    );
    doAll(
      [making('aircraft', made), ...batteries.map((battery) => making('batteries', battery))],
      `setting up ${name}`,
      comesOrGoes,
    );
    keepDraft(null);
    choose({ aircraftId: made.id, batteryId: null });
    void navigate('/minutes');
  };
  /** What a field says is wrong with its text, the form does not know. */
  const firstWrong = () => element.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
  const goOn = () => {
    const wrong = firstWrong();
    if (wrong) return wrong.focus();
    if (step < stepNames.length - 1) form.setFieldValue('step', step + 1);
    else finish();
  };
  return (
    <main className={styles.first}>
      <h1>From the box to your first estimate</h1>
      <ol className={styles.steps} aria-label="Steps">
        {stepNames.map((one, i) => (
          <li key={one} aria-current={i === step ? 'step' : undefined}>
            {i + 1} {one}
          </li>
        ))}
      </ol>
      <form
        ref={element}
        noValidate
        onSubmit={form.onSubmit(goOn, () => requestAnimationFrame(() => firstWrong()?.focus()))}
      >
        {step === 0 && (
          <>
            <Note>
              Pick the nearest class, then write over it what your own box says. The figures of a class are
              only typical.
            </Note>
            <ChoiceField
              label="Class"
              value={className}
              options={classTemplates.map((one) => ({ value: one.name, label: classInWords(one, write) }))}
              onChange={pickClass}
            />
            <TextField
              label="Name"
              value={name}
              problem={(text) => nameProblem('Name', text)}
              onChange={(typed) => form.setFieldValue('name', typed)}
            />
            {(['takeoffMassKg', 'advertisedFlightTimeS', 'advertisedSpeedMps'] as const).map((one) => (
              <QuantityField
                key={`${className} ${one}`}
                quantity={aircraftRanges[one]}
                {...inForm(form, `spec.${one}`)}
              />
            ))}
          </>
        )}
        {step === 1 && (
          <>
            <Note>These numbers are on the battery’s label.</Note>
            {(['ratedCapacityMah', 'cellCount', 'nominalVoltageV', 'fullCellVoltageV'] as const).map(
              (one) => (
                <QuantityField key={one} quantity={batteryRanges[one]} {...inForm(form, `pack.${one}`)} />
              ),
            )}
            <QuantityField quantity={packCount} {...inForm(form, 'count')} />
          </>
        )}
        {step === 2 && <TheDay conditions={conditions} />}
        <FirstStrip spec={spec} pack={pack} conditions={conditions} name={name} />
        <div className={styles.buttons}>
          {step > 0 && (
            <Button variant="default" onClick={() => form.setFieldValue('step', step - 1)}>
              Back
            </Button>
          )}
          <Button type="submit">{step < stepNames.length - 1 ? 'Next' : 'Show my minutes'}</Button>
        </div>
      </form>
    </main>
  );
}

interface DayProps {
  readonly conditions: DayAtPlace;
}

function TheDay({ conditions }: DayProps) {
  const { write } = useWriter();
  const edit = useRecords((state) => state.edit);
  const { weather } = conditions;
  const change = (part: Partial<Weather>, label: string) =>
    edit('days', conditions.id, (now) => ({ weather: { ...now.weather, ...part } }), label);
  return (
    <>
      <Note>Guess now and change it any time: the conditions are on every view.</Note>
      <QuantityField
        quantity={ranges.conditions.airTemperatureC}
        value={weather.airTemperatureC}
        onChange={(airTemperatureC) => change({ airTemperatureC }, 'air temperature')}
      />
      <QuantityField
        quantity={ranges.wind.speedMps}
        value={weather.wind.speedMps}
        hint={`as a forecast gives it, at ${write('distance', weather.wind.readingHeightM)}`}
        onChange={(speedMps) => change({ wind: { ...weather.wind, speedMps } }, 'wind')}
      />
      <QuantityField
        quantity={ranges.conditions.elevationM}
        value={weather.elevationM}
        onChange={(elevationM) => edit('places', conditions.placeId, { elevationM }, 'ground elevation')}
      />
    </>
  );
}

interface StripProps {
  readonly spec: Aircraft;
  readonly pack: Battery;
  readonly conditions: DayAtPlace;
  readonly name: string;
}

/** The strip as it would be with what is typed so far. */
function FirstStrip({ spec, pack, conditions, name }: StripProps) {
  const { known, middle } = beliefAbout(null);
  const requests = useMemo(() => {
    const { flight, policy } = aircraftOfClass({ spec, pack }, name);
    return [{ aircraft: spec, battery: pack, conditions: conditions.weather, flight, policy }] as const;
  }, [spec, pack, conditions.weather, name]);
  const bands = useBandsOf(requests, known);
  const outcome = estimate(requests[0], middle);
  if (!outcome.ok) {
    return (
      <FieldError>
        <Say sentence={outcome.refusal} />
      </FieldError>
    );
  }
  const planned = shownPlan(outcome.value, bands.value?.[0] ?? null, bands.fresh);
  return (
    <section className={styles.strip} aria-label="Your first estimate">
      <Tally spans={spansOf(outcome.value, planned, spec.advertisedFlightTimeS)} />
      <p>
        <b>{planned ? minutesAndSeconds(planned.usableS) : '…'} to spend</b> of{' '}
        {minutesAndSeconds(spec.advertisedFlightTimeS)} on the box; typical{' '}
        {minutesAndSeconds(outcome.value.usableS.p50)}
      </p>
      <TallyLegend />
    </section>
  );
}
