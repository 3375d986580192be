import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type ShootRecord,
  type SwapPlan,
  usualReserveCharge,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { Say } from '../fields/Say';
import { useChosen } from '../state/chosen';
import { useAircraft, useBatteriesOf, useConditions, useFlownBatteriesOf, useShoot } from '../state/current';
import { useRecords } from '../state/records';
import { FlightTable } from './FlightTable';
import { planHeadline } from './headline';
import { PlanSettings } from './PlanSettings';
import { ShotList } from './ShotList';
import { Tidings } from './Tidings';
import { Timeline } from './Timeline';
import { usePlan } from './usePlan';
import './swapPlan.css';

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
    <main className="empty">
      <h1>No shoot yet</h1>
      <p>
        List the shots in the order you want them; the plan says which battery flies which, and when to swap.
      </p>
      {aircraft ? (
        <Button onClick={() => void start()}>Start a shoot with {aircraft.name}</Button>
      ) : (
        <p>Add an aircraft in Kit first.</p>
      )}
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
  if (!aircraft) return <NoShoot />;
  return (
    <div className="desk">
      <aside className="desk-left" aria-label="Shots">
        <ShotList shoot={shoot} />
      </aside>
      <PlanMain shoot={shoot} aircraft={aircraft} batteries={batteries} conditions={conditions} />
    </div>
  );
}

interface MainProps extends DeskProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
}

function PlanMain({ shoot, aircraft, batteries, conditions }: MainProps) {
  const plan = usePlan(shoot, aircraft, batteries, conditions);
  return (
    <main className="desk-main">
      {plan.trouble !== null && (
        <p className="danger" role="alert">
          <IconAlertTriangle size={16} aria-hidden /> No plan: {plan.trouble}
        </p>
      )}
      {plan.value?.ok === false && (
        <p className="danger" role="alert">
          <IconAlertTriangle size={16} aria-hidden /> <Say sentence={plan.value.refusal} />
        </p>
      )}
      <div className={`headline${plan.fresh ? '' : ' plan-old'}`} aria-busy={!plan.fresh}>
        <h1>{plan.value?.ok ? planHeadline(plan.value.value, shoot.shots.length) : 'Placing the shots …'}</h1>
        <p>
          {shoot.name} · {aircraft.name}
        </p>
      </div>
      <PlanSettings shoot={shoot} batteries={batteries} conditions={conditions} />
      {plan.value?.ok && (
        <div className={plan.fresh ? undefined : 'plan-old'}>
          <Flights plan={plan.value.value} shoot={shoot} batteries={batteries} />
        </div>
      )}
    </main>
  );
}

interface FlightsProps {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly batteries: readonly BatteryRecord[];
}

function Flights({ plan, shoot, batteries }: FlightsProps) {
  const labelOf = (id: string) => batteries.find((battery) => battery.id === id)?.label ?? 'removed battery';
  const shotOf = (id: string) => shoot.shots.find((shot) => shot.id === id);
  const numberOf = (id: string) => shoot.shots.findIndex((shot) => shot.id === id) + 1;
  return (
    <>
      {plan.flights.length > 0 && (
        <>
          <Timeline
            plan={plan}
            startsAt={shoot.startsAt}
            labelOf={labelOf}
            shotOf={shotOf}
            numberOf={numberOf}
          />
          <FlightTable plan={plan} startsAt={shoot.startsAt} labelOf={labelOf} shotOf={shotOf} />
        </>
      )}
      <Tidings plan={plan} shoot={shoot} labelOf={labelOf} shotOf={shotOf} />
    </>
  );
}
