import {
  type AircraftRecord,
  chargingOf,
  type DayAtPlace,
  defaultReserveCharge,
  defaultReturnHeightM,
  type FlightOfPlan,
  type LeftOutShot,
  minutesAndSeconds,
  type PlanAsRead,
  type PlanRequest,
  type Shooting,
  type ShootRecord,
  type Shot,
  swapS,
  windowUntilMs,
} from '@acorn-tally/core';
import { Button, Table } from '@mantine/core';
import { comesHomeInWords } from '../fields/ComesHomeField';
import { percent, turnBackPercent } from '../fields/percent';
import { Say } from '../fields/Say';
import { Empty } from '../parts/Empty';
import { ScrollTable } from '../parts/ScrollTable';
import { clockAt } from '../state/clock';
import { useAircraft, useConditionsOf, useShoot } from '../state/current';
import { useWriter } from '../state/units';
import { ChargersTable } from './ChargersTable';
import { useKeptPlans } from './keptPlan';
import { liftOffWarnings } from './liftOffWarnings';
import styles from './PlanCard.module.css';
import { isFromSeveral } from './planWords';
import { lightNames } from './shotWords';
import { usePlan } from './usePlan';
import { useShooting } from './useShooting';

/** One page to print: what is flown when, with which battery, where to turn back, and room to write what was left. */
export function PlanCard() {
  const aircraft = useAircraft();
  const shoot = useShoot(aircraft?.id);
  const conditions = useConditionsOf(shoot);
  if (!aircraft || !shoot || !conditions)
    return (
      <main>
        <Empty title="No shoot to print">
          <p>Begin one in Swap plan.</p>
        </Empty>
      </main>
    );
  return <CardOf shoot={shoot} conditions={conditions} />;
}

interface Props {
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

function CardOf({ shoot, conditions }: Props) {
  const shooting = useShooting(shoot, conditions);
  const [kept] = useKeptPlans(shoot.id);
  return kept ? (
    <Sheet
      plan={kept.plan}
      request={kept.request}
      keptAt={kept.keptAt}
      leftOut={[]}
      aircraft={shooting.aircraft}
      shoot={shoot}
      conditions={conditions}
    />
  ) : (
    <CardOfNow shooting={shooting} />
  );
}

/** Of a shoot of which no plan is kept: planned now. */
function CardOfNow({ shooting }: { readonly shooting: Shooting }) {
  const { shoot, conditions } = shooting;
  const { plan, request, seeking, whole, leftOut } = usePlan(shooting);
  // Only the last plan is printed: what stands on the screen next to it must say the same.
  if (!plan || !whole)
    return (
      <main>
        <Empty title={seeking || plan ? 'Planning …' : 'There is no plan to print'}>
          <p>{shoot.name}</p>
        </Empty>
      </main>
    );
  return (
    <Sheet
      plan={plan}
      request={request}
      keptAt={null}
      leftOut={leftOut}
      aircraft={shooting.aircraft}
      shoot={shoot}
      conditions={conditions}
    />
  );
}

interface SheetProps extends Props {
  readonly plan: PlanAsRead;
  readonly request: PlanRequest;
  /** When the pilot kept it; null where it is the plan of now. */
  readonly keptAt: string | null;
  readonly aircraft: readonly AircraftRecord[];
  readonly leftOut: readonly LeftOutShot[];
}

function Sheet({ plan, request, keptAt, aircraft, leftOut, shoot, conditions }: SheetProps) {
  const warnings = liftOffWarnings(request, plan, conditions);
  const shotNames = (id: string) => shoot.shots.find((shot) => shot.id === id)?.name ?? 'A shot';
  const clock = clockAt(conditions);
  const { write } = useWriter();
  const time = (at: string) => clock.format(at, 'HH:mm');
  const shotOf = (id: string) => request.shots.find((shot) => shot.id === id);
  const labelOf = (id: string) => request.batteries.find((battery) => battery.id === id)?.label ?? '';
  const chargerOf = (id?: string) => request.chargers?.find((charger) => charger.id === id)?.name ?? '';
  const placeOf = (id: string | null) => request.launchPlaces?.find((place) => place.id === id)?.name ?? '';
  const aircraftName = (id: string) => aircraft.find((one) => one.id === id)?.name ?? '';
  const reserve = percent(request.policy.reserveCharge ?? defaultReserveCharge);
  const untilNext = (flight: FlightOfPlan, i: number) => {
    const next = plan.flights[i + 1];
    if (!next) return '–';
    if (next.wait) return `on the ground until ${time(next.takeoffAt)}`;
    return `${Math.floor((Date.parse(next.takeoffAt) - Date.parse(flight.touchdownAt)) / 60_000)} min`;
  };
  const overBy = (shot: Shot | undefined, startAt: string) => {
    const untilMs = shot ? windowUntilMs(request, shot, startAt) : null;
    if (!shot || untilMs === null) return '';
    return `, ${shot.light ? lightNames[shot.light] : 'its time'} until ${time(new Date(untilMs).toISOString())}`;
  };
  return (
    <main className={styles.card}>
      <div className={styles.print}>
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      <h1>{shoot.name}</h1>
      <p>
        {conditions.place}, {clock.format(request.startAt, 'ddd D MMM YYYY')} ·{' '}
        {request.aircraft
          .map(
            ({ id, returnHeightM }) =>
              `${aircraftName(id)}, return height ${write('distance', returnHeightM ?? defaultReturnHeightM)}`,
          )
          .join(' · ')}{' '}
        · {[`touch down with ${reserve}`, comesHomeInWords(request.policy)].filter(Boolean).join(', ')} · swap{' '}
        {minutesAndSeconds(swapS(request.swap))} min
        {keptAt && ` · kept ${clock.format(keptAt, 'D MMM, HH:mm')}`}
      </p>
      <ScrollTable label="Flights" minWidth={760} className={styles.flights}>
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Take-off</Table.Th>
              <Table.Th scope="col">Battery</Table.Th>
              <Table.Th scope="col">Shots</Table.Th>
              <Table.Th scope="col">Turn back by</Table.Th>
              <Table.Th scope="col">at</Table.Th>
              <Table.Th scope="col">Down</Table.Th>
              <Table.Th scope="col">with</Table.Th>
              <Table.Th scope="col">Then swap</Table.Th>
              <Table.Th scope="col">Was left</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {plan.flights.map((flight, i) => {
              return (
                <Table.Tr key={flight.number}>
                  <Table.Td>
                    <b>{time(flight.takeoffAt)}</b>
                    {isFromSeveral(plan) && <div>{placeOf(flight.launchPlaceId)}</div>}
                  </Table.Td>
                  <Table.Td>
                    {labelOf(flight.batteryId)}
                    <div>{percent(flight.startCharge)}</div>
                  </Table.Td>
                  <Table.Td className={styles.shots}>
                    {flight.shots.map(({ shotId, take, startAt }) => (
                      <div key={`${shotId} ${take}`}>
                        {time(startAt)} {shotOf(shotId)?.name}
                        {take > 1 && `, take ${take}`}, {minutesAndSeconds(shotOf(shotId)?.durationS ?? 0)}{' '}
                        min, {write('distance', shotOf(shotId)?.distanceM ?? 0)} out,{' '}
                        {write('distance', shotOf(shotId)?.heightM ?? 0)} up
                        {overBy(shotOf(shotId), startAt)}
                      </div>
                    ))}
                  </Table.Td>
                  <Table.Td>
                    <b className={styles.turn}>
                      {flight.turnBackCharge === null ? '–' : turnBackPercent(flight.turnBackCharge)}
                    </b>
                  </Table.Td>
                  <Table.Td>{time(flight.turnBackAt)}</Table.Td>
                  <Table.Td>{time(flight.touchdownAt)}</Table.Td>
                  <Table.Td>{percent(flight.touchdownCharge.p50)}</Table.Td>
                  <Table.Td>{untilNext(flight, i)}</Table.Td>
                  <Table.Td>______ %</Table.Td>
                </Table.Tr>
              );
            })}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      <h2>Batteries</h2>
      <p>
        {plan.lanes
          .map(({ batteryId, spans }) => `${labelOf(batteryId)} ${percent(spans[0]?.chargeFrom ?? 0)}`)
          .join(' · ')}
      </p>
      {chargingOf(plan).length > 0 && (
        <>
          <h2>On the chargers</h2>
          <ChargersTable plan={plan} names={{ clock, battery: labelOf, charger: chargerOf }} />
        </>
      )}
      <h2>Mind</h2>
      <ul>
        {warnings.map(({ words, caution }) => (
          <li key={`${caution.code} ${words}`}>
            <b>
              <Say sentence={caution} />
            </b>
            {words}
          </li>
        ))}
        {leftOut.map(({ shotId, message }) => (
          <li key={shotId}>
            <b>{shotNames(shotId)} is left out:</b> {message}
          </li>
        ))}
        {plan.cautions.map((caution) => (
          <li key={caution.code}>
            <Say sentence={caution} />
          </li>
        ))}
        <li>Times are of the flights as planned; turn back by the charge, whatever the clock says.</li>
      </ul>
    </main>
  );
}
