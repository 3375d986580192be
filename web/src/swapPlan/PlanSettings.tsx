import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  isFlown,
  nameProblem,
  type Policy,
  type PolicyKind,
  ranges,
  type ShootRecord,
  shootRanges,
  takeoffCharge,
  usualReserveCharge,
} from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { ChoiceField } from '../fields/ChoiceField';
import { MomentField } from '../fields/MomentField';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useRecords } from '../records/records';
import { packAtTheHour } from '../state/atTheHour';
import { likeliest } from '../state/belief';
import { clockAt } from '../state/clock';
import styles from './PlanSettings.module.css';
import { WhichShoot } from './WhichShoot';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly shoot: ShootRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly conditions: DayAtPlace;
}

const schools: readonly { value: PolicyKind; label: string }[] = [
  { value: 'touch-down-charge', label: 'touch down with' },
  { value: 'half-out-half-home', label: 'half out, half home' },
];

/** What holds for the whole shoot: when it starts, how long a swap takes, what is held back, and which batteries are at hand. */
export function PlanSettings({ aircraft, shoot, batteries, conditions }: Props) {
  const edit = useRecords((state) => state.edit);
  const clock = clockAt(conditions);
  const change = (part: Partial<ShootRecord>, label: string) => edit('shoots', shoot.id, part, label);
  const changePolicy = (part: Partial<Policy>, label: string) =>
    edit('shoots', shoot.id, (now) => ({ policy: { ...now.policy, ...part } }), label);
  const atHand = (ids: string[]) =>
    change(
      { batteryIds: batteries.map(({ id }) => id).filter((id) => ids.includes(id)) },
      'batteries at hand',
    );
  return (
    <section className={styles.settings} aria-label="The shoot">
      <TextField
        stacked
        label="Shoot"
        value={shoot.name}
        problem={(text) => nameProblem('Name of the shoot', text)}
        onChange={(name) => change({ name }, 'name of the shoot')}
      />
      <MomentField
        stacked
        withTime
        label="First take-off"
        hint={clock.note(shoot.startsAt) ?? undefined}
        value={clock.field(shoot.startsAt)}
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
        onChange={(kind) => changePolicy({ kind }, 'what is held back')}
      />
      <QuantityField
        stacked
        quantity={ranges.policy.reserveCharge}
        value={shoot.policy.reserveCharge ?? usualReserveCharge}
        onChange={(reserveCharge) => changePolicy({ reserveCharge }, 'charge at touch-down')}
      />
      <Checkbox.Group
        label="Batteries at hand"
        value={batteries
          .filter(({ id, keeping }) => isFlown(keeping) && shoot.batteryIds.includes(id))
          .map(({ id }) => id)}
        onChange={atHand}
        className={styles.atHand}
      >
        <div className={styles.boxes}>
          {batteries.map((battery) => {
            const { id, label, keeping, aircraftId } = battery;
            const charge = takeoffCharge(packAtTheHour(battery, conditions), likeliest(aircraftId));
            return (
              <Checkbox
                key={id}
                value={id}
                disabled={!isFlown(keeping)}
                label={`${label} ${isFlown(keeping) ? percent(charge) : keeping?.state}`}
              />
            );
          })}
        </div>
      </Checkbox.Group>
      <WhichShoot aircraft={aircraft} shoot={shoot} conditions={conditions} />
    </section>
  );
}
