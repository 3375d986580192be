import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  type ShootRecord,
  type SwapPlan,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { trustInWords } from '../answers/trust';
import { Say } from '../fields/Say';
import { Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { LinkButton } from '../parts/LinkButton';
import { usePhone } from '../parts/usePhone';
import { Warning } from '../parts/Warning';
import { comesOrGoes } from '../records/history';
import { useRecords } from '../records/records';
import { useChosen } from '../state/chosen';
import { useAircraft, useBatteriesOf, useConditionsOf, useDay, useFleet, useShoot } from '../state/current';
import { planHeadline } from './headline';
import { OtherDay } from './OtherDay';
import { PlanSettings } from './PlanSettings';
import { PlanTable } from './PlanTable';
import { ShotList } from './ShotList';
import styles from './SwapPlanView.module.css';
import { splitShot } from './split';
import { Tidings } from './Tidings';
import { Timeline } from './Timeline';
import { useBeginShoot } from './useBeginShoot';
import { usePlan } from './usePlan';

/** Which shots go on which battery, and when: take-off, turn back, touch down and swap. */
export function SwapPlanView() {
  const aircraft = useAircraft();
  const shoot = useShoot(aircraft?.id);
  const conditions = useConditionsOf(shoot);
  if (!aircraft || !shoot || !conditions) return <NoShoot />;
  return <ShootDesk key={shoot.id} aircraft={aircraft} shoot={shoot} conditions={conditions} />;
}

function NoShoot() {
  const aircraft = useAircraft();
  const day = useDay();
  const begin = useBeginShoot();
  return (
    <main>
      <Empty title={aircraft ? `No shoot with ${aircraft.name} yet` : 'No shoot yet'}>
        <p>
          List the shots in the order you want them; the plan says which battery flies which, and when to
          swap.
        </p>
        {aircraft && day ? (
          <Button onClick={() => begin(aircraft, day)}>Start a shoot with {aircraft.name}</Button>
        ) : (
          <p>Add an aircraft in Kit first.</p>
        )}
        <OtherShoots />
      </Empty>
    </main>
  );
}

/** Shoots of other aircraft, which would else be out of sight. */
function OtherShoots() {
  const shoots = useRecords((state) => state.shoots);
  const fleet = useFleet();
  const choose = useChosen((state) => state.choose);
  const others = shoots.flatMap((shoot) => {
    const aircraft = fleet.find(({ id }) => id === shoot.aircraftId);
    return aircraft ? [{ shoot, aircraft }] : [];
  });
  return others.map(({ shoot, aircraft }) => (
    <p key={shoot.id}>
      <LinkButton onClick={() => choose({ aircraftId: aircraft.id, batteryId: null, shootId: shoot.id })}>
        Open {shoot.name}, with {aircraft.name}
      </LinkButton>
    </p>
  ));
}

interface DeskProps {
  readonly aircraft: AircraftRecord;
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

function ShootDesk({ aircraft, shoot, conditions }: DeskProps) {
  const batteries = useBatteriesOf(shoot.aircraftId);
  const isPhone = usePhone();
  const settings = (
    <PlanSettings aircraft={aircraft} shoot={shoot} batteries={batteries} conditions={conditions} />
  );
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
        {shoot.name} · {aircraft.name}, {trustInWords(aircraft)}
      </Headline>
      <OtherDay conditions={conditions} />
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
  readonly conditions: DayAtPlace;
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
      comesOrGoes,
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
