import {
  type Battery,
  type BatteryRecord,
  chemistries,
  chemistryOf,
  ranges,
  usualDaysToStorage,
} from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useClock } from '../state/clock';
import { usePackEdit } from './usePackEdit';

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
    <fieldset className="details-grid" aria-label={`${battery.label} in detail`}>
      <TextField
        stacked
        label="Charge read at"
        type="datetime-local"
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
      <TextField
        stacked
        label="Bought"
        type="date"
        value={keeping?.boughtOn ?? ''}
        onChange={(day) => changeKeeping({ boughtOn: day || null }, 'day it was bought')}
      />
      <TextField
        stacked
        label="Health measured"
        type="date"
        value={keeping?.healthMeasuredOn ?? ''}
        onChange={(day) => changeKeeping({ healthMeasuredOn: day || null }, 'day of the health test')}
      />
      <div className="details-notes">
        <TextField
          stacked
          label="Notes"
          value={keeping?.notes ?? ''}
          problem={(text) => (text.length > 2000 ? 'Notes are longer than 2000 characters.' : null)}
          onChange={(notes) => changeKeeping({ notes: notes || null }, 'notes')}
        />
      </div>
    </fieldset>
  );
}
