import {
  type Advice,
  adviceMeanwhile,
  type Battery,
  type BatteryRecord,
  type Caution,
  type ConditionsRecord,
  type Estimate,
  keptPlaces,
  minutesAndSeconds,
  nameProblem,
  ranges,
  takeoffCharge,
} from '@acorn-tally/core';
import { IconAlertTriangle, IconTrash } from '@tabler/icons-react';
import { useBusy } from '../app/useBusy';
import { Tally } from '../charts/Tally';
import { ChoiceField } from '../fields/ChoiceField';
import { turnBackPercent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { keptPlaceOf, placeNames } from '../kit/kitWords';
import { usePackEdit } from '../kit/usePackEdit';
import { packAtTheHour } from '../state/atTheHour';
import { believedHealth, likeliest } from '../state/belief';
import { useRecords } from '../state/records';
import { useWriter, type Writer } from '../state/units';
import type { DrawnAnswer } from '../workers/calculator';
import { type ShownPlan, shownPlan } from './planned';
import { spansOf } from './spans';
import type { BatteryEstimate } from './useEstimates';

interface Props {
  readonly row: BatteryEstimate;
  /** What the draws said last; nothing yet where absent. */
  readonly drawn: DrawnAnswer | undefined;
  /** Whether that belongs to what is on the screen now. */
  readonly fresh: boolean;
  readonly boxS: number;
  readonly chosen: boolean;
  readonly conditions: ConditionsRecord;
  readonly onChoose: () => void;
}

/** One battery: the tally strip, minutes to spend and what to mind; the chosen one opens to be changed in place. */
export function BatteryRow({ row, drawn, fresh, boxS, chosen, conditions, onChoose }: Props) {
  const { battery, outcome } = row;
  const planned = outcome.ok ? shownPlan(outcome.value, drawn?.band ?? null, fresh) : null;
  const { write } = useWriter();
  const pack = packAtTheHour(battery, conditions);
  return (
    <li className={`row${chosen ? ' row-chosen' : ''}`}>
      <button type="button" className="row-line" aria-pressed={chosen} onClick={onChoose}>
        <span className="row-name">
          <b>{battery.label}</b>
          <small>{stateInWords(battery, pack, write)}</small>
        </span>
        {outcome.ok ? (
          <>
            <Tally spans={spansOf(outcome.value, planned, boxS)} />
            <PlanWords planned={planned} estimate={outcome.value} drawn={drawn} />
            <Flag advice={drawn?.advice ?? adviceMeanwhile(outcome.value)} />
          </>
        ) : (
          <span className="row-refused danger">
            <IconAlertTriangle size={16} aria-hidden /> <Say sentence={outcome.refusal} />
          </span>
        )}
      </button>
      {chosen && <BatteryFields key={battery.id} battery={battery} pack={pack} />}
    </li>
  );
}

/** What to be told about this battery, or about the flight whatever the battery. */
export function cautionsAbout(estimate: Estimate, about: Caution['about']): Caution[] {
  return estimate.cautions.filter((caution) => caution.about === about);
}

interface PlanProps {
  readonly planned: ShownPlan | null;
  readonly estimate: Estimate;
  readonly drawn: DrawnAnswer | undefined;
}

/** The minutes to plan on, large; the charge to turn back at; and the middle beside them, smaller. */
function PlanWords({ planned, estimate, drawn }: PlanProps) {
  const middle = (
    <small className="row-middle">{minutesAndSeconds(estimate.usableS.p50)} in the middle</small>
  );
  if (!planned) {
    return (
      <span className="row-minutes">
        <b>–:––</b> <small>reckoning …</small>
        {middle}
      </span>
    );
  }
  return (
    <span className={`row-minutes${planned.fresh ? '' : ' row-band-old'}`} aria-busy={!planned.fresh}>
      <b>{minutesAndSeconds(planned.usableS)}</b>
      {planned.turnBackCharge === null ? (
        <small className="row-unsafe">
          do not plan it: {inHundred(drawn?.band.chanceImpossible ?? 0)} fail
        </small>
      ) : (
        <small className="row-turn">turn back by {turnBackPercent(planned.turnBackCharge)}</small>
      )}
      {middle}
    </span>
  );
}

/** "36 in 100", of flights that cannot be flown or do not come home with what is held back. */
export function inHundred(chance: number): string {
  return `${Math.round(chance * 100)} in 100`;
}

function stateInWords(battery: BatteryRecord, pack: Battery, write: Writer['write']): string {
  const parts = [`${Math.round(takeoffCharge(pack, likeliest(battery.aircraftId)) * 100)} %`];
  if (pack.startTemperatureC != null) parts.push(write('temperature', pack.startTemperatureC));
  parts.push(`${battery.pack.cycles ?? 0} cycles`);
  return parts.join(' · ');
}

function Flag({ advice }: { readonly advice: readonly Advice[] }) {
  const { say } = useWriter();
  const [first, ...more] = advice;
  if (!first) return <span className="row-flag" />;
  return (
    <span className="row-flag danger" title={advice.map(say).join('. ')}>
      <IconAlertTriangle size={14} aria-hidden />
      <span>
        {say(first)}
        {more.length > 0 && <small> and {more.length} more</small>}
      </span>
    </span>
  );
}

interface FieldsProps {
  readonly battery: BatteryRecord;
  /** As it will be at the ribbon’s hour. */
  readonly pack: Battery;
}

/** What changes from day to day; the rest of the label is in Kit. */
function BatteryFields({ battery, pack: packNow }: FieldsProps) {
  const remove = useRecords((state) => state.remove);
  const edit = useRecords((state) => state.edit);
  const { changePack, change } = usePackEdit(battery);
  const { run } = useBusy();
  const { pack, keeping } = battery;
  const fields = ranges.battery;
  const keptAt = keptPlaceOf(battery);
  return (
    <fieldset className="row-fields" aria-label={`${battery.label} in detail`}>
      <QuantityField
        stacked
        quantity={fields.startCharge}
        value={pack.startCharge}
        onChange={(startCharge) => changePack({ startCharge }, 'start charge')}
      />
      <QuantityField
        stacked
        quantity={fields.daysSinceCharge}
        label="Days stood"
        value={keeping?.chargedAt ? null : (pack.daysSinceCharge ?? null)}
        assumed={Number((packNow.daysSinceCharge ?? 0).toFixed(1))}
        onChange={(daysSinceCharge) =>
          change({ pack: { daysSinceCharge }, keeping: { chargedAt: null } }, 'days since charged')
        }
      />
      <ChoiceField
        stacked
        label="Kept"
        value={keptAt}
        options={keptPlaces.map((value) => ({ value, label: placeNames[value] }))}
        onChange={(place) => change({ keeping: { keptAt: place } }, 'where it is kept')}
      />
      <QuantityField
        stacked
        quantity={fields.startTemperatureC}
        value={keptAt === 'own' ? (pack.startTemperatureC ?? null) : null}
        assumed={packNow.startTemperatureC ?? null}
        onChange={(startTemperatureC) =>
          change({ pack: { startTemperatureC }, keeping: { keptAt: 'own' } }, 'temperature')
        }
      />
      <QuantityField
        stacked
        quantity={fields.ratedCapacityMah}
        value={pack.ratedCapacityMah}
        onChange={(ratedCapacityMah) => changePack({ ratedCapacityMah }, 'capacity')}
      />
      <QuantityField
        stacked
        quantity={fields.cycles}
        value={pack.cycles ?? null}
        assumed={0}
        onChange={(cycles) => changePack({ cycles }, 'cycles')}
      />
      <QuantityField
        stacked
        quantity={fields.health}
        value={pack.health ?? null}
        assumed={Number(believedHealth({ ...battery, pack: { ...pack, health: null } }).toFixed(2))}
        onChange={(health) => changePack({ health }, 'health')}
      />
      <TextField
        stacked
        label="Label"
        value={battery.label}
        problem={(text) => nameProblem('Label', text)}
        onChange={(label) => edit('batteries', battery.id, { label }, `label of ${battery.label}`)}
      />
      <button
        type="button"
        className="icon-button"
        onClick={() => void run(() => remove('batteries', battery.id, `removing ${battery.label}`))}
        aria-label={`Remove ${battery.label}`}
      >
        <IconTrash size={16} aria-hidden />
      </button>
    </fieldset>
  );
}
