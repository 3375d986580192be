import {
  type BatteryRecord,
  type ConditionsRecord,
  isFlown,
  nameProblem,
  type PolicyKind,
  ranges,
  type ShootRecord,
  shootRanges,
  takeoffCharge,
  usualReserveCharge,
} from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { packAtTheHour } from '../state/atTheHour';
import { likeliest } from '../state/belief';
import { clockAt } from '../state/clock';
import { useRecords } from '../state/records';

interface Props {
  readonly shoot: ShootRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly conditions: ConditionsRecord;
}

const schools: readonly { value: PolicyKind; label: string }[] = [
  { value: 'touch-down-charge', label: 'touch down with' },
  { value: 'half-out-half-home', label: 'half out, half home' },
];

/** What holds for the whole shoot: when it starts, how long a swap takes, what is held back, and which batteries are at hand. */
export function PlanSettings({ shoot, batteries, conditions }: Props) {
  const edit = useRecords((state) => state.edit);
  const clock = clockAt(conditions);
  const change = (part: Partial<ShootRecord>, label: string) => edit('shoots', shoot.id, part, label);
  const toggle = (id: string) => {
    const batteryIds = batteries
      .map((battery) => battery.id)
      .filter((other) => shoot.batteryIds.includes(other) !== (other === id));
    change({ batteryIds }, 'batteries at hand');
  };
  return (
    <section className="plan-settings" aria-label="The shoot">
      <TextField
        stacked
        label="Shoot"
        value={shoot.name}
        problem={(text) => nameProblem('Name of the shoot', text)}
        onChange={(name) => change({ name }, 'name of the shoot')}
      />
      <TextField
        stacked
        label="First take-off"
        type="datetime-local"
        hint={clock.note(shoot.startsAt) ?? undefined}
        value={clock.field(shoot.startsAt)}
        problem={(text) => (clock.read(text) ? null : 'First take-off is empty.')}
        onChange={(text) => change({ startsAt: clock.read(text) ?? shoot.startsAt }, 'first take-off')}
      />
      <QuantityField
        stacked
        quantity={shootRanges.swapTimeS}
        value={shoot.swapTimeS}
        onChange={(swapTimeS) => change({ swapTimeS }, 'swap time')}
      />
      <ChoiceField
        stacked
        label="Held back"
        value={shoot.policy.kind}
        options={schools}
        onChange={(kind) => change({ policy: { ...shoot.policy, kind } }, 'what is held back')}
      />
      <QuantityField
        stacked
        quantity={ranges.policy.reserveCharge}
        value={shoot.policy.reserveCharge ?? usualReserveCharge}
        onChange={(reserveCharge) =>
          change({ policy: { ...shoot.policy, reserveCharge } }, 'charge at touch-down')
        }
      />
      <fieldset className="at-hand">
        <legend>Batteries at hand</legend>
        {batteries.map((battery) => {
          const { id, label, keeping } = battery;
          const flown = isFlown(keeping);
          return (
            <label key={id}>
              <input
                type="checkbox"
                checked={flown && shoot.batteryIds.includes(id)}
                disabled={!flown}
                onChange={() => toggle(id)}
              />{' '}
              {label}{' '}
              <small>
                {flown
                  ? `${Math.round(takeoffCharge(packAtTheHour(battery, conditions), likeliest(battery.aircraftId)) * 100)} %`
                  : keeping?.state}
              </small>
            </label>
          );
        })}
      </fieldset>
    </section>
  );
}
