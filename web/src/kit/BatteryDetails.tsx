import {
  type Battery,
  type BatteryRecord,
  chemistries,
  chemistryOf,
  ranges,
  usualDaysToStorage,
} from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Fields } from '../parts/Fields';
import { useClock } from '../state/clock';
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
        assumed={usualDaysToStorage}
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
      <div className={styles.notes}>
        <TextField
          stacked
          label="Notes"
          value={keeping?.notes ?? ''}
          problem={(text) => (text.length > 2000 ? 'Notes are longer than 2000 characters.' : null)}
          onChange={(notes) => changeKeeping({ notes: notes || null }, 'notes')}
        />
      </div>
    </Fields>
  );
}
