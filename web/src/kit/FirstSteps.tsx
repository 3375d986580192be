import {
  type Aircraft,
  aircraftOfClass,
  aircraftRanges,
  type Battery,
  batteryRanges,
  type ConditionsRecord,
  classTemplates,
  estimate,
  minutesAndSeconds,
  nameProblem,
  type Quantity,
  ranges,
  usualKeeping,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { type FormEvent, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useBusy } from '../app/useBusy';
import { Tally, TallyLegend } from '../charts/Tally';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { shownPlan } from '../minutes/planned';
import { spansOf } from '../minutes/spans';
import { useBandsOf } from '../minutes/useBands';
import { beliefAbout } from '../state/belief';
import { useChosen } from '../state/chosen';
import { useDraft } from '../state/drafts';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { classInWords } from './kitWords';
import './kit.css';

const packCount: Quantity = {
  label: 'How many like it',
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
export function FirstSteps({ conditions }: { readonly conditions: ConditionsRecord }) {
  const [draft, keepDraft] = useDraft('first steps', begin);
  const { step, name, className, spec, pack, count } = draft;
  const set = (part: Partial<Draft>) => keepDraft({ ...draft, ...part });
  const { add, edit } = useRecords();
  const choose = useChosen((state) => state.choose);
  const navigate = useNavigate();
  const { busy, run } = useBusy();
  const { write } = useWriter();
  if (!spec || !pack) return null;

  const pickClass = (picked: string) => {
    const template = classTemplates.find((one) => one.name === picked);
    set({ className: picked, spec: template?.spec, pack: template?.pack });
  };
  const finish = () =>
    run(async () => {
      const content = aircraftOfClass({ spec, pack }, name);
      const made = await add('aircraft', content, `adding ${name}`);
      for (let i = 1; i <= count; i++) {
        const label = `${name} ${i}`;
        await add(
          'batteries',
          { aircraftId: made.id, label, pack, keeping: usualKeeping },
          `adding ${label}`,
        );
      }
      keepDraft(null);
      choose({ aircraftId: made.id, batteryId: null });
      void navigate('/minutes');
    });
  const goOn = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const wrong = event.currentTarget.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (wrong) return wrong.focus();
    if (step < stepNames.length - 1) set({ step: step + 1 });
    else void finish();
  };
  return (
    <main className="first">
      <h1>From the box to the first strip</h1>
      <ol className="first-steps" aria-label="Steps">
        {stepNames.map((one, i) => (
          <li key={one} aria-current={i === step ? 'step' : undefined}>
            {i + 1} {one}
          </li>
        ))}
      </ol>
      <form onSubmit={goOn} noValidate>
        {step === 0 && (
          <>
            <p className="panel-note">
              Pick the nearest class, then write over it what your own box says. The figures of a class are
              only typical.
            </p>
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
              onChange={(typed) => set({ name: typed })}
            />
            {(['takeoffMassKg', 'advertisedFlightTimeS', 'advertisedSpeedMps'] as const).map((field) => (
              <QuantityField
                key={`${className} ${field}`}
                quantity={aircraftRanges[field]}
                value={spec[field]}
                onChange={(value) => set({ spec: { ...spec, [field]: value } })}
              />
            ))}
          </>
        )}
        {step === 1 && (
          <>
            <p className="panel-note">These numbers stand on the pack’s own label.</p>
            {(['ratedCapacityMah', 'cellCount', 'nominalVoltageV', 'fullCellVoltageV'] as const).map(
              (field) => (
                <QuantityField
                  key={field}
                  quantity={batteryRanges[field]}
                  value={pack[field]}
                  onChange={(value) => set({ pack: { ...pack, [field]: value } })}
                />
              ),
            )}
            <QuantityField quantity={packCount} value={count} onChange={(many) => set({ count: many })} />
          </>
        )}
        {step === 2 && <TheDay conditions={conditions} edit={edit} />}
        <FirstStrip spec={spec} pack={pack} conditions={conditions} name={name} />
        <div className="first-buttons">
          {step > 0 && (
            <button type="button" className="button-quiet" onClick={() => set({ step: step - 1 })}>
              Back
            </button>
          )}
          <Button type="submit" loading={busy}>
            {step < stepNames.length - 1 ? 'Next' : 'Show my minutes'}
          </Button>
        </div>
      </form>
    </main>
  );
}

interface DayProps {
  readonly conditions: ConditionsRecord;
  readonly edit: ReturnType<typeof useRecords.getState>['edit'];
}

function TheDay({ conditions, edit }: DayProps) {
  const { write } = useWriter();
  const { weather } = conditions;
  const change = (part: Partial<typeof weather>, label: string) =>
    edit('conditions', conditions.id, { weather: { ...weather, ...part } }, label);
  return (
    <>
      <p className="panel-note">Guess now, and change it any time: the conditions stand on every view.</p>
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
        onChange={(elevationM) => change({ elevationM }, 'ground elevation')}
      />
    </>
  );
}

interface StripProps {
  readonly spec: Aircraft;
  readonly pack: Battery;
  readonly conditions: ConditionsRecord;
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
      <p className="field-problem" role="alert">
        <Say sentence={outcome.refusal} />
      </p>
    );
  }
  const planned = shownPlan(outcome.value, bands.value?.[0] ?? null, bands.fresh);
  return (
    <section className="first-strip" aria-label="Your first strip">
      <Tally spans={spansOf(outcome.value, planned, spec.advertisedFlightTimeS)} />
      <p>
        <b>{planned ? minutesAndSeconds(planned.usableS) : '…'} to spend</b> of{' '}
        {minutesAndSeconds(spec.advertisedFlightTimeS)} on the box;{' '}
        {minutesAndSeconds(outcome.value.usableS.p50)} in the middle
      </p>
      <TallyLegend />
    </section>
  );
}
