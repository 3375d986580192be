import {
  type Band,
  type BatteryRecord,
  type Caution,
  type Estimate,
  minutesAndSeconds,
  nameProblem,
  ranges,
  takeoffCharge,
} from '@acorn-tally/core';
import { IconAlertTriangle, IconTrash } from '@tabler/icons-react';
import { Tally } from '../charts/Tally';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useRecords } from '../state/records';
import { spansOf } from './spans';
import type { BatteryEstimate } from './useEstimates';

interface Props {
  readonly row: BatteryEstimate;
  readonly band: Band | undefined;
  /** Whether the band belongs to what is on the screen now. */
  readonly fresh: boolean;
  readonly boxS: number;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

/** One battery: the tally strip, minutes to spend and what to mind; the chosen one opens to be changed in place. */
export function BatteryRow({ row, band, fresh, boxS, chosen, onChoose }: Props) {
  const { battery, outcome } = row;
  return (
    <li className={`row${chosen ? ' row-chosen' : ''}`}>
      <button type="button" className="row-line" aria-pressed={chosen} onClick={onChoose}>
        <span className="row-name">
          <b>{battery.label}</b>
          <small>{stateInWords(battery)}</small>
        </span>
        {outcome.ok ? (
          <>
            <Tally spans={spansOf(outcome.value, boxS)} />
            <span className="row-minutes">
              <b>{minutesAndSeconds(outcome.value.usableS.p50)}</b>
              <BandWords band={band} fresh={fresh} />
            </span>
            <Flag cautions={messages(outcome.value, 'battery')} />
          </>
        ) : (
          <span className="row-refused danger">
            <IconAlertTriangle size={16} aria-hidden /> {outcome.refusal.message}
          </span>
        )}
      </button>
      {chosen && <BatteryFields key={battery.id} battery={battery} />}
    </li>
  );
}

/** What to be told about this battery, or about the flight whatever the battery. */
export function messages(estimate: Estimate, about: Caution['about']): string[] {
  return estimate.cautions.filter((caution) => caution.about === about).map(({ message }) => message);
}

/** "15:49–20:56", and what to plan with: the minute, and the gauge to turn back at. */
function BandWords({ band, fresh }: { readonly band: Band | undefined; readonly fresh: boolean }) {
  if (!band) return <small>reckoning …</small>;
  const { p10, p90, planned } = band.usableS;
  return (
    <span className={fresh ? undefined : 'row-band-old'}>
      <small className="row-range">
        {minutesAndSeconds(p10)}–{minutesAndSeconds(p90)}
      </small>
      {planned > 0 ? (
        <small>
          plan {minutesAndSeconds(planned)}, back at {Math.ceil(band.turnBackCharge.planned * 100)} %
        </small>
      ) : (
        <small className="row-unsafe">do not plan it: {inHundred(band.chanceImpossible)} fail</small>
      )}
    </span>
  );
}

/** "36 in 100", of flights that cannot be flown or do not come home with what is held back. */
export function inHundred(chance: number): string {
  return `${Math.round(chance * 100)} in 100`;
}

function stateInWords({ pack }: BatteryRecord): string {
  const parts = [`${Math.round(takeoffCharge(pack) * 100)} %`];
  if (pack.startTemperatureC != null) parts.push(`${pack.startTemperatureC} °C`);
  parts.push(`${pack.cycles ?? 0} cycles`);
  return parts.join(' · ');
}

function Flag({ cautions }: { readonly cautions: readonly string[] }) {
  const [first, ...more] = cautions;
  if (!first) return <span />;
  return (
    <span className="row-flag danger" title={cautions.join('. ')}>
      <IconAlertTriangle size={14} aria-hidden />
      <span>
        {first}
        {more.length > 0 && <small> and {more.length} more</small>}
      </span>
    </span>
  );
}

function BatteryFields({ battery }: { readonly battery: BatteryRecord }) {
  const { edit, remove } = useRecords();
  const { pack } = battery;
  const change = (part: Partial<typeof pack>, what: string) =>
    edit('batteries', battery.id, { pack: { ...pack, ...part } }, `${what} of ${battery.label}`);
  const fields = ranges.battery;
  const dropIt = () =>
    remove('batteries', battery.id, `removing ${battery.label}`).catch((error: Error) =>
      useRecords.setState({ trouble: error.message }),
    );
  return (
    <fieldset className="row-fields" aria-label={`${battery.label} in detail`}>
      <QuantityField
        stacked
        quantity={fields.startCharge}
        value={pack.startCharge}
        onChange={(startCharge) => change({ startCharge }, 'start charge')}
      />
      <QuantityField
        stacked
        quantity={fields.daysSinceCharge}
        label="Days stood"
        value={pack.daysSinceCharge ?? null}
        assumed={0}
        onChange={(daysSinceCharge) => change({ daysSinceCharge }, 'days since charged')}
      />
      <QuantityField
        stacked
        quantity={fields.startTemperatureC}
        value={pack.startTemperatureC ?? null}
        assumed={null}
        onChange={(startTemperatureC) => change({ startTemperatureC }, 'temperature')}
      />
      <QuantityField
        stacked
        quantity={fields.ratedCapacityMah}
        value={pack.ratedCapacityMah}
        onChange={(ratedCapacityMah) => change({ ratedCapacityMah }, 'capacity')}
      />
      <QuantityField
        stacked
        quantity={fields.cycles}
        value={pack.cycles ?? null}
        assumed={0}
        onChange={(cycles) => change({ cycles }, 'cycles')}
      />
      <QuantityField
        stacked
        quantity={fields.cellCount}
        value={pack.cellCount}
        onChange={(cellCount) => change({ cellCount }, 'cells')}
      />
      <QuantityField
        stacked
        quantity={fields.nominalVoltageV}
        value={pack.nominalVoltageV}
        onChange={(nominalVoltageV) => change({ nominalVoltageV }, 'voltage')}
      />
      <QuantityField
        stacked
        quantity={fields.fullCellVoltageV}
        value={pack.fullCellVoltageV}
        onChange={(fullCellVoltageV) => change({ fullCellVoltageV }, 'full cell')}
      />
      <TextField
        stacked
        label="Label"
        value={battery.label}
        problem={(text) => nameProblem('Label', text)}
        onChange={(label) => edit('batteries', battery.id, { label }, `label of ${battery.label}`)}
      />
      <button type="button" className="row-remove" onClick={dropIt} aria-label={`Remove ${battery.label}`}>
        <IconTrash size={16} aria-hidden />
      </button>
    </fieldset>
  );
}
