import {
  type Advice,
  type Battery,
  type BatteryRecord,
  type Caution,
  type DayAtPlace,
  type Estimate,
  keptPlaces,
  minutesAndSeconds,
  nameProblem,
  packAtTheHour,
  provisionalAdvice,
  ranges,
  takeoffCharge,
} from '@acorn-tally/core';
import { Tooltip, UnstyledButton } from '@mantine/core';
import { IconAlertTriangle, IconTrash } from '@tabler/icons-react';
import { memo } from 'react';
import { type ShownPlan, shownPlan } from '../answers/planned';
import { spansOf } from '../answers/spans';
import type { BatteryEstimate } from '../answers/useEstimates';
import { Tally } from '../charts/Tally';
import { ChoiceField } from '../fields/ChoiceField';
import { inHundred, turnBackPercent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { Fields } from '../parts/Fields';
import { IconButton } from '../parts/IconButton';
import { keptPlaceOf, placeNames } from '../parts/kitWords';
import { usePhone } from '../parts/usePhone';
import { useRemoval } from '../parts/useRemoval';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { believedHealth, likeliest } from '../state/belief';
import { unfitNow } from '../state/unfitNow';
import { useWriter, type Writer } from '../state/units';
import { usePackEdit } from '../state/usePackEdit';
import type { DrawnAnswer } from '../workers/calculator';
import styles from './BatteryRow.module.css';

interface Props {
  readonly row: BatteryEstimate;
  /** What the draws said last; nothing yet where absent. */
  readonly drawn: DrawnAnswer | undefined;
  /** Whether that belongs to what is on the screen now. */
  readonly fresh: boolean;
  readonly boxS: number;
  readonly chosen: boolean;
  readonly conditions: DayAtPlace;
  readonly onChoose: () => void;
}

/** One battery: the tally strip, minutes to spend and what to mind; the chosen one opens to be changed in place. */
export function BatteryRow({ row, drawn, fresh, boxS, chosen, conditions, onChoose }: Props) {
  const { battery, outcome } = row;
  const planned = outcome.ok ? shownPlan(outcome.value, drawn?.band ?? null, fresh) : null;
  const { write } = useWriter();
  const pack = packAtTheHour(battery, conditions);
  const isPhone = usePhone();
  const unfit = unfitNow(battery, conditions);
  return (
    <li className={styles.row} data-choosable data-chosen={chosen || undefined}>
      <UnstyledButton className={styles.line} aria-pressed={chosen} onClick={onChoose}>
        <span className={styles.name}>
          <b>{battery.label}</b>
          <small>{stateInWords(battery, pack, write)}</small>
        </span>
        {unfit ? (
          <>
            <span className={styles.minutes}>
              <b>0:00</b> <small className={styles.unsafe}>do not fly it: {unfit}</small>
            </span>
            <Flag advice={outcome.ok ? (drawn?.advice ?? provisionalAdvice(outcome.value)) : []} />
          </>
        ) : outcome.ok ? (
          <>
            <Tally spans={spansOf(outcome.value, planned, boxS)} />
            <PlanWords planned={planned} estimate={outcome.value} drawn={drawn} />
            <Flag advice={drawn?.advice ?? provisionalAdvice(outcome.value)} />
          </>
        ) : (
          <Warning className={styles.refused}>
            <Say sentence={outcome.refusal} />
          </Warning>
        )}
      </UnstyledButton>
      {chosen && !isPhone && <BatteryFields key={battery.id} battery={battery} conditions={conditions} />}
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
  const middle = <small>typical {minutesAndSeconds(estimate.usableS.p50)}</small>;
  if (!planned) {
    return (
      <span className={styles.minutes}>
        <b>–:––</b> <small>calculating …</small>
        {middle}
      </span>
    );
  }
  return (
    <span className={styles.minutes} aria-busy={!planned.fresh}>
      <b>{minutesAndSeconds(planned.usableS)}</b>
      {planned.turnBackCharge === null ? (
        <small className={styles.unsafe}>
          no safe flight: {inHundred(drawn?.band.chanceImpossible ?? 0)} fail
        </small>
      ) : (
        <small className={styles.turn}>turn back by {turnBackPercent(planned.turnBackCharge)}</small>
      )}
      {middle}
    </span>
  );
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
  if (!first) return <span className={styles.flag} />;
  return (
    <Tooltip label={`${advice.map(say).join('. ')}.`} disabled={more.length === 0}>
      <span className={styles.flag}>
        <IconAlertTriangle size={14} aria-hidden />
        <span>
          {say(first)}
          {more.length > 0 && <small> and {more.length} more</small>}
        </span>
      </span>
    </Tooltip>
  );
}

interface FieldsProps {
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
}

/** What changes from day to day; the rest of the label is in Kit. */
export const BatteryFields = memo(function BatteryFields({ battery, conditions }: FieldsProps) {
  const packNow = packAtTheHour(battery, conditions);
  const remove = useRemoval();
  const edit = useRecords((state) => state.edit);
  const { changePack, change } = usePackEdit(battery);
  const { pack, keeping } = battery;
  const fields = ranges.battery;
  const keptAt = keptPlaceOf(battery);
  return (
    <Fields className={styles.fields} label={`${battery.label} in detail`}>
      <QuantityField
        stacked
        quantity={fields.startCharge}
        value={pack.startCharge}
        onChange={(startCharge) => changePack({ startCharge }, 'start charge')}
      />
      <QuantityField
        stacked
        quantity={fields.daysSinceCharge}
        label="Days since charged"
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
      <IconButton
        icon={IconTrash}
        label={`Remove ${battery.label}`}
        onClick={() =>
          remove('batteries', [battery.id], battery.label, {
            label: `Retire ${battery.label}`,
            run: () => change({ keeping: { state: 'retired' } }, 'state'),
          })
        }
      />
    </Fields>
  );
});
