import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type ShootRecord,
  type SwapPlan,
  usualReserveCharge,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { Say } from '../fields/Say';
import { Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { usePhone } from '../parts/usePhone';
import { Warning } from '../parts/Warning';
import { useChosen } from '../state/chosen';
import { useAircraft, useBatteriesOf, useConditions, useFlownBatteriesOf, useShoot } from '../state/current';
import { useRecords } from '../state/records';
import { planHeadline } from './headline';
import { PlanSettings } from './PlanSettings';
import { PlanTable } from './PlanTable';
import { ShotList } from './ShotList';
import styles from './SwapPlanView.module.css';
import { splitShot } from './split';
import { Tidings } from './Tidings';
import { Timeline } from './Timeline';
import { usePlan } from './usePlan';

/** Which shots go on which battery, and when: take-off, turn back, touch down and swap. */
export function SwapPlanView() {
  const shoot = useShoot();
  const conditions = useConditions();
  if (!shoot || !conditions) return <NoShoot />;
  return <ShootDesk key={shoot.id} shoot={shoot} conditions={conditions} />;
}

function NoShoot() {
  const aircraft = useAircraft();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const conditions = useConditions();
  const add = useRecords((state) => state.add);
  const choose = useChosen((state) => state.choose);
  const start = async () => {
    if (!aircraft || !conditions) return;
    const content = {
      name: 'My shoot',
      aircraftId: aircraft.id,
      batteryIds: batteries.map(({ id }) => id),
      startsAt: conditions.at,
      swapTimeS: 270,
      policy: { kind: 'touch-down-charge' as const, reserveCharge: usualReserveCharge },
      shots: [],
    };
    try {
      choose({ shootId: (await add('shoots', content, 'starting a shoot')).id });
    } catch (error) {
      useRecords.setState({ trouble: (error as Error).message });
    }
  };
  return (
    <main>
      <Empty title="No shoot yet">
        <p>
          List the shots in the order you want them; the plan says which battery flies which, and when to
          swap.
        </p>
        {aircraft ? (
          <Button onClick={() => void start()}>Start a shoot with {aircraft.name}</Button>
        ) : (
          <p>Add an aircraft in Kit first.</p>
        )}
      </Empty>
    </main>
  );
}

interface DeskProps {
  readonly shoot: ShootRecord;
  readonly conditions: ConditionsRecord;
}

function ShootDesk({ shoot, conditions }: DeskProps) {
  const aircraft = useRecords((state) => state.aircraft.find(({ id }) => id === shoot.aircraftId));
  const batteries = useBatteriesOf(shoot.aircraftId);
  const isPhone = usePhone();
  if (!aircraft) return <NoShoot />;
  const settings = <PlanSettings shoot={shoot} batteries={batteries} conditions={conditions} />;
  return (
    <Desk
      label="Shots and shoot"
      aside={
        <>
          <ShotList shoot={shoot} />
          {isPhone && settings}
        </>
      }
    >
      <PlanMain shoot={shoot} aircraft={aircraft} batteries={batteries} conditions={conditions}>
        {!isPhone && settings}
      </PlanMain>
    </Desk>
  );
}

interface MainProps extends DeskProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  /** Between the answer and the plan. */
  readonly children: ReactNode;
}

function PlanMain({ shoot, aircraft, batteries, conditions, children }: MainProps) {
  const plan = usePlan(shoot, aircraft, batteries, conditions);
  return (
    <>
      {plan.trouble !== null && <Warning alert>No plan: {plan.trouble}</Warning>}
      {plan.value?.ok === false && (
        <Warning alert>
          <Say sentence={plan.value.refusal} />
        </Warning>
      )}
      <Headline
        title={plan.value?.ok ? planHeadline(plan.value.value, shoot.shots.length) : 'Placing the shots …'}
        old={!plan.fresh}
      >
        {shoot.name} · {aircraft.name}
      </Headline>
      {children}
      {plan.value?.ok && (
        <div data-old={!plan.fresh || undefined} className={styles.plan}>
          <Flights plan={plan.value.value} shoot={shoot} batteries={batteries} conditions={conditions} />
        </div>
      )}
    </>
  );
}

interface FlightsProps {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly conditions: ConditionsRecord;
}

function Flights({ plan, shoot, batteries, conditions }: FlightsProps) {
  const edit = useRecords((state) => state.edit);
  const labelOf = (id: string) => batteries.find((battery) => battery.id === id)?.label ?? 'removed battery';
  const shotOf = (id: string) => shoot.shots.find((shot) => shot.id === id);
  const split = (id: string, parts: number) =>
    edit(
      'shoots',
      shoot.id,
      { shots: splitShot(shoot.shots, id, parts, () => crypto.randomUUID()) },
      `splitting ${shotOf(id)?.name}`,
      { offered: true },
    );
  const numberOf = (id: string) => shoot.shots.findIndex((shot) => shot.id === id) + 1;
  return (
    <>
      {plan.flights.length > 0 && (
        <>
          <Timeline
            plan={plan}
            startsAt={shoot.startsAt}
            coordinates={conditions.site?.coordinates ?? null}
            labelOf={labelOf}
            shotOf={shotOf}
            numberOf={numberOf}
          />
          <PlanTable plan={plan} startsAt={shoot.startsAt} labelOf={labelOf} shotOf={shotOf} />
        </>
      )}
      <Tidings plan={plan} shoot={shoot} labelOf={labelOf} shotOf={shotOf} onSplit={split} />
    </>
  );
}
