import {
  type Battery,
  type BatteryRecord,
  chemistries,
  chemistryOf,
  defaultDaysToStorage,
  defaultVoltRule,
  lineThrough,
  packAdvice,
  packMassKg,
  ranges,
} from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { MomentField } from '../fields/MomentField';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Fields } from '../parts/Fields';
import { healthInWords } from '../parts/kitWords';
import { useRecords } from '../records/records';
import { learntOf } from '../state/belief';
import { useClock } from '../state/clock';
import { useWriter } from '../state/units';
import { usePackEdit } from '../state/usePackEdit';
import styles from './BatteryDetails.module.css';

interface Props {
  readonly battery: BatteryRecord;
  readonly packNow: Battery;
}

const chemistryNames: Record<(typeof chemistries)[number], string> = {
  'lithium-polymer': 'LiPo, 4.20 V',
  'high-voltage lithium-polymer': 'LiPo, high-voltage',
  'lithium-ion': 'Li-ion',
};

/** What is seldom changed: the label’s other numbers, dates and notes. */
export function BatteryDetails({ battery, packNow }: Props) {
  const { changePack, changeKeeping, change } = usePackEdit(battery);
  const clock = useClock();
  const { pack, keeping } = battery;
  const fields = ranges.battery;
  return (
    <Fields className={styles.grid} label={`${battery.label} in detail`}>
      <MomentField
        stacked
        withTime
        optional
        label="Charge read at"
        hint={(keeping?.chargedAt && clock.note(keeping.chargedAt)) || undefined}
        value={keeping?.chargedAt ? clock.field(keeping.chargedAt) : ''}
        onChange={(at) =>
          change(
            {
              pack: { daysSinceCharge: null },
              keeping: { chargedAt: clock.read(at) },
            },
            'hour of the charge',
          )
        }
      />
      <QuantityField
        stacked
        quantity={fields.startTemperatureC}
        label="Temperature measured"
        value={pack.startTemperatureC ?? null}
        assumed={packNow.startTemperatureC ?? null}
        onChange={(startTemperatureC) =>
          change({ pack: { startTemperatureC }, keeping: { keptAt: 'own' } }, 'temperature')
        }
      />
      <QuantityField
        stacked
        quantity={fields.daysToStorage}
        value={pack.daysToStorage ?? null}
        assumed={defaultDaysToStorage(pack)}
        hint="0: keeps its charge"
        onChange={(daysToStorage) => changePack({ daysToStorage }, 'days to storage')}
      />
      <QuantityField
        stacked
        quantity={fields.cellCount}
        value={pack.cellCount}
        onChange={(cellCount) => changePack({ cellCount }, 'cells')}
      />
      <QuantityField
        stacked
        quantity={fields.nominalVoltageV}
        value={pack.nominalVoltageV}
        onChange={(nominalVoltageV) => changePack({ nominalVoltageV }, 'voltage')}
      />
      <QuantityField
        stacked
        quantity={fields.fullCellVoltageV}
        value={pack.fullCellVoltageV}
        onChange={(fullCellVoltageV) => changePack({ fullCellVoltageV }, 'full cell')}
      />
      <QuantityField<number | null>
        stacked
        quantity={fields.massKg}
        value={pack.massKg ?? null}
        assumed={packMassKg({ ...pack, massKg: null })}
        onChange={(massKg) => changePack({ massKg }, 'mass')}
      />
      <ChoiceField
        stacked
        label="Chemistry"
        value={pack.chemistry ?? 'told'}
        options={[
          {
            value: 'told',
            label: `by its volts: ${chemistryNames[chemistryOf({ ...pack, chemistry: null })]}`,
          },
          ...chemistries.map((value) => ({ value, label: chemistryNames[value] })),
        ]}
        onChange={(value) =>
          changePack({ chemistry: value === 'told' ? null : (value as Battery['chemistry']) }, 'chemistry')
        }
      />
      <QuantityField<number | null>
        stacked
        quantity={fields.landCellVoltageV}
        hint="under load, whatever the gauge shows"
        value={pack.landCellVoltageV ?? null}
        assumed={defaultVoltRule(pack).landCellVoltageV}
        onChange={(landCellVoltageV) => changePack({ landCellVoltageV }, 'volts to land at')}
      />
      <QuantityField<number | null>
        stacked
        quantity={fields.neverCellVoltageV}
        value={pack.neverCellVoltageV ?? null}
        assumed={defaultVoltRule(pack).neverCellVoltageV}
        onChange={(neverCellVoltageV) => changePack({ neverCellVoltageV }, 'least volts')}
      />
      <MomentField
        stacked
        optional
        label="Bought"
        value={keeping?.boughtOn ?? ''}
        onChange={(day) => changeKeeping({ boughtOn: day || null }, 'day it was bought')}
      />
      <MomentField
        stacked
        optional
        label="Health measured"
        value={keeping?.healthMeasuredOn ?? ''}
        onChange={(day) => changeKeeping({ healthMeasuredOn: day || null }, 'day of the health test')}
      />
      <EstimatedHealth battery={battery} />
      <div className={styles.notes}>
        <TextField
          stacked
          label="Notes"
          value={keeping?.notes ?? ''}
          onChange={(notes) => changeKeeping({ notes: notes || null }, 'notes')}
        />
      </div>
    </Fields>
  );
}

const maxTold = 6;
const monthMs = 30 * 86_400_000;

/** What each fit said of the pack, by its date, and how that went on; nothing where none did. */
function EstimatedHealth({ battery }: { readonly battery: BatteryRecord }) {
  const fits = useRecords((state) => state.fits);
  const clock = useClock();
  const { say } = useWriter();
  const learnt = learntOf(battery);
  const advice = learnt && packAdvice(learnt);
  const told = fits
    .filter(({ aircraftId }) => aircraftId === battery.aircraftId)
    .flatMap(({ id, madeAt, fit }) => {
      const pack = fit.batteries.find((one) => one.id === battery.id);
      return pack && pack.learned > 0 ? [{ id, madeAt, health: pack.health }] : [];
    });
  if (told.length === 0) return null;
  const points = told.map(({ madeAt, health }) => [Date.parse(madeAt) / monthMs, health.value] as const);
  const isLong = (points.at(-1)?.[0] ?? 0) - (points[0]?.[0] ?? 0) > 1;
  const slope = points.length > 2 && isLong ? (lineThrough(points)?.slope ?? null) : null;
  return (
    <div className={styles.notes}>
      <small>
        Health from test flights:{' '}
        {told
          .slice(-maxTold)
          .map(({ madeAt, health }) => `${clock.format(madeAt, 'D MMM')} ${healthInWords(health)}`)
          .join(' · ')}
        {slope !== null && `; ${percent(slope)} a month`}. {advice && `${say(advice)}. `}
        {battery.pack.health != null && 'A health you enter counts instead.'}
      </small>
    </div>
  );
}
