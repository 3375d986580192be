import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  defaultReserveCharge,
  duskAfter,
  isFlown,
  nameProblem,
  type PlanOrder,
  type Policy,
  type PolicyKind,
  packAtTheHour,
  ranges,
  type ShootRecord,
  shootRanges,
  takeoffCharge,
} from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { ComesHomeField } from '../fields/ComesHomeField';
import { MomentField } from '../fields/MomentField';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { LinkButton } from '../parts/LinkButton';
import { useRecords } from '../records/records';
import { likeliest } from '../state/belief';
import { clockAt } from '../state/clock';
import { CrewSettings } from './CrewSettings';
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
  const chargers = useRecords((state) => state.chargers);
  const [isOpen, setOpen] = useState(false);
  const clock = clockAt(conditions);
  const change = (part: Partial<ShootRecord>, label: string) => edit('shoots', shoot.id, part, label);
  const dusk = duskAfter(shoot.startsAt, conditions);
  const changePolicy = (part: Partial<Policy>, label: string) =>
    edit('shoots', shoot.id, (now) => ({ policy: { ...now.policy, ...part } }), label);
  const atHand = (ids: string[]) =>
    change(
      { batteryIds: batteries.map(({ id }) => id).filter((id) => ids.includes(id)) },
      'batteries at hand',
    );
  return (
    <section className={styles.settings} aria-label="The shoot">
      <div className={styles.wide}>
        <TextField
          stacked
          label="Shoot"
          value={shoot.name}
          problem={(text) => nameProblem('Name of the shoot', text)}
          onChange={(name) => change({ name }, 'name of the shoot')}
        />
      </div>
      <div className={styles.moment}>
        <MomentField
          stacked
          withTime
          label="First take-off"
          hint={clock.note(shoot.startsAt) ?? undefined}
          value={clock.field(shoot.startsAt)}
          onChange={(text) => change({ startsAt: clock.read(text) ?? shoot.startsAt }, 'first take-off')}
        />
      </div>
      <div className={styles.moment}>
        <MomentField
          stacked
          withTime
          optional
          label="All down by"
          hint={dusk && !shoot.endsAt ? `dusk, ${clock.format(dusk, 'HH:mm')}` : undefined}
          value={shoot.endsAt ? clock.field(shoot.endsAt) : ''}
          onChange={(text) => change({ endsAt: text ? clock.read(text) : null }, 'end of the shoot')}
        />
      </div>
      <div className={styles.choice}>
        <ChoiceField<PlanOrder>
          stacked
          label="Order"
          value={shoot.order ?? 'kept'}
          options={[
            { value: 'kept', label: 'as listed' },
            { value: 'free', label: 'whatever is best' },
          ]}
          onChange={(order) => change({ order }, 'order')}
        />
      </div>
      <div className={styles.number}>
        <QuantityField
          stacked
          quantity={shootRanges.swapTimeS}
          value={shoot.swapTimeS}
          onChange={(swapTimeS) => change({ swapTimeS, swapParts: null }, 'swap time')}
        />
      </div>
      <div className={styles.choice}>
        <ChoiceField
          stacked
          label="Held back"
          value={shoot.policy.kind}
          options={schools}
          onChange={(kind) => changePolicy({ kind }, 'what is held back')}
        />
      </div>
      <div className={styles.number}>
        <QuantityField
          stacked
          quantity={ranges.policy.reserveCharge}
          value={shoot.policy.reserveCharge ?? defaultReserveCharge}
          onChange={(reserveCharge) => changePolicy({ reserveCharge }, 'charge at touch-down')}
        />
      </div>
      <div className={styles.home}>
        <ComesHomeField
          stacked
          policy={shoot.policy}
          onChange={(part) => changePolicy(part, 'how it comes home')}
        />
      </div>
      <Checkbox.Group
        label="Batteries at hand"
        value={batteries
          .filter(({ id, keeping }) => isFlown(keeping) && shoot.batteryIds.includes(id))
          .map(({ id }) => id)}
        onChange={atHand}
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
      {chargers.length > 0 && (
        <Checkbox.Group
          label="Charged meanwhile with"
          value={chargers.filter(({ id }) => shoot.chargerIds?.includes(id)).map(({ id }) => id)}
          onChange={(chargerIds) => change({ chargerIds }, 'chargers of the shoot')}
        >
          <div className={styles.boxes}>
            {chargers.map(({ id, name, charger }) => (
              <Checkbox
                key={id}
                value={id}
                label={`${name}, empty to full in ${Math.round(charger.emptyToFullS / 60)} min`}
              />
            ))}
          </div>
        </Checkbox.Group>
      )}
      <div className={styles.which}>
        <LinkButton expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Fewer settings' : 'Swap in parts, second aircraft, launch places'}
        </LinkButton>
        <WhichShoot aircraft={aircraft} shoot={shoot} conditions={conditions} />
      </div>
      {isOpen && <CrewSettings aircraft={aircraft} shoot={shoot} conditions={conditions} />}
    </section>
  );
}
