import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type ShootRecord,
  usualConfidence,
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
  const { plan, chancesEarly } = usePlan(shoot, aircraft, batteries, conditions);
  const chances = chancesEarly.fresh ? chancesEarly.value : null;
  const labelOf = (id: string) => batteries.find((battery) => battery.id === id)?.label ?? 'removed battery';
  const shotOf = (id: string) => shoot.shots.find((shot) => shot.id === id);
  const numberOf = (id: string) => shoot.shots.findIndex((shot) => shot.id === id) + 1;
  return (
    <main className="desk-main">
      {plan.ok ? (
        <>
          <div className="headline">
            <h1>{planHeadline(plan.value, shoot.shots.length)}</h1>
            <p>
              {shoot.name} · {aircraft.name}
            </p>
          </div>
          <PlanSettings shoot={shoot} batteries={batteries} conditions={conditions} />
          {plan.value.flights.length > 0 && (
            <>
              <Timeline
                plan={plan.value}
                startsAt={shoot.startsAt}
                labelOf={labelOf}
                shotOf={shotOf}
                numberOf={numberOf}
              />
              <FlightTable
                plan={plan.value}
                chances={chances}
                startsAt={shoot.startsAt}
                confidence={shoot.policy.confidence ?? usualConfidence}
                labelOf={labelOf}
                shotOf={shotOf}
              />
            </>
          )}
          <Tidings plan={plan.value} chances={chances} shoot={shoot} labelOf={labelOf} shotOf={shotOf} />
        </>
      ) : (
        <p className="danger">
          <IconAlertTriangle size={16} aria-hidden /> <Say sentence={plan.refusal} />
        </p>
      )}
    </main>
  );
}
