import {
  type AircraftRecord,
  type BatteryRecord,
  confidenceOf,
  type DayAtPlace,
  defaultReserveCharge,
  type FlightOfPlan,
  type PlanRequest,
  type ShootRecord,
  type SwapPlan,
} from '@acorn-tally/core';
import '@mantine/core/styles/Progress.css';
import { Button, Progress } from '@mantine/core';
import { type ReactNode, useMemo, useState } from 'react';
import { trustInWords } from '../answers/trust';
import { comesHomeInWords } from '../fields/ComesHomeField';
import { percent, shareInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { usePhone } from '../parts/usePhone';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { type Clock, clockAt } from '../state/clock';
import {
  useAircraft,
  useBatteriesOfShoot,
  useConditionsOf,
  useDay,
  useFleet,
  useShoot,
} from '../state/current';
import { usePreferences } from '../state/preferences';
import { Cards } from './Cards';
import { ChargersTable } from './ChargersTable';
import { Contradictions } from './Contradictions';
import { FlightsTable } from './FlightsTable';
import { Helps } from './Helps';
import { KeepPlan } from './KeepPlan';
import { useKeptPlans } from './keptPlan';
import { Lanes, type Names } from './Lanes';
import { LaterStart } from './LaterStart';
import { liftOffWarnings } from './liftOffWarnings';
import { movedInto } from './moved';
import { OtherDay } from './OtherDay';
import { PinCost } from './PinCost';
import { PlanFiles } from './PlanFiles';
import { PlanSettings } from './PlanSettings';
import { headlineSoFar, placedShots, planHeadline, provedInWords } from './planWords';
import { ShotList } from './ShotList';
import { SiteDrawing } from './SiteDrawing';
import styles from './SwapPlanView.module.css';
import { splitShot } from './split';
import { useBeginShoot } from './useBeginShoot';
import { usePlan } from './usePlan';
import { useShooting } from './useShooting';

/** Which shots go on which battery, and when: take-off, turn back, touch down, swap, and what charges meanwhile. */
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
  const choose = usePreferences((state) => state.choose);
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
  const batteries = useBatteriesOfShoot(shoot);
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
          <SiteDrawing shoot={shoot} conditions={conditions} />
          {isPhone && settings}
        </>
      }
    >
      <PlanMain shoot={shoot} batteries={batteries} conditions={conditions}>
        {!isPhone && settings}
      </PlanMain>
    </Desk>
  );
}

interface MainProps extends Omit<DeskProps, 'aircraft'> {
  readonly batteries: readonly BatteryRecord[];
  /** Between the answer and the plan. */
  readonly children: ReactNode;
}

function PlanMain({ shoot, batteries, conditions, children }: MainProps) {
  const shooting = useShooting(shoot, conditions);
  const { chargers } = shooting;
  const now = usePlan(shooting);
  const { plan, refusal, request, seeking, trouble, whole } = now;
  const clock = useMemo(() => clockAt(conditions), [conditions]);
  const names = useMemo(
    () => namesOf(clock, shoot, batteries, chargers, request.launchPlaces ?? []),
    [clock, shoot, batteries, chargers, request],
  );
  const doneAt = plan ? clock.format(plan.figures.endAt, 'HH:mm') : '';
  return (
    <>
      {trouble !== null && (
        <Warning alert>
          No plan: {trouble} <LinkButton onClick={now.again}>Try again</LinkButton>
        </Warning>
      )}
      {refusal && (
        <Warning alert>
          <Say sentence={refusal} />
        </Warning>
      )}
      <Contradictions request={request} leftOut={now.leftOut} messages={now.messages} names={names} />
      <Headline title={titleOf(shoot, now, doneAt, batteries.length)} old={seeking && !now.fresh}>
        {[
          plan && provedInWords(plan, whole),
          plan && plan.figures.takeoffs > 0 && heldInWords(shoot),
          shoot.name,
          ...shooting.aircraft.map((one) => `${one.name}, ${trustInWords(one)}`),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Headline>
      {seeking && (
        <>
          <Note status>
            {plan && now.fresh ? 'Looking for a better one …' : 'Placing the shots …'}{' '}
            <LinkButton onClick={now.stop}>Stop</LinkButton>
          </Note>
          <Progress value={Math.round(now.sought * 100)} aria-label="Looked through so far" />
        </>
      )}
      {now.stopped && (
        <Note>
          Stopped{plan && ': this is the best so far'}. <LinkButton onClick={now.again}>Go on</LinkButton>
        </Note>
      )}
      <OtherDay conditions={conditions} />
      {children}
      {plan && <Flights plan={plan} now={now} shoot={shoot} names={names} conditions={conditions} />}
    </>
  );
}

function titleOf(
  { shots }: ShootRecord,
  { plan, request, refusal, trouble, seeking, whole, leftOut, messages, stopped }: ReturnType<typeof usePlan>,
  doneAt: string,
  batteries: number,
): string {
  if (shots.length === 0) return 'No shots yet';
  if (request.shots.length + leftOut.length === 0) return 'All shots are left out';
  if (batteries === 0) return 'No battery at hand';
  if (messages.length > 0 || request.shots.length === 0) return 'No plan: what is asked contradicts itself';
  if (plan) {
    const isAllPlaced = placedShots(plan, request.shots) === request.shots.length;
    const isExplained = whole || isAllPlaced || plan.unplaced.length > 0;
    if (seeking || !isExplained) return headlineSoFar(plan, request.shots, doneAt);
    return planHeadline(plan, request.shots.length, doneAt);
  }
  if (refusal || trouble !== null) return 'No plan yet';
  return stopped ? 'Stopped before a first plan' : 'Placing the shots …';
}

/** "nine in ten flights land with 25 % or more", and how they come home where somebody flies them. */
function heldInWords({ policy }: ShootRecord): string {
  const held = `${shareInWords(confidenceOf(policy))} flights land with ${percent(policy.reserveCharge ?? defaultReserveCharge)} or more`;
  return [held, comesHomeInWords(policy)].filter(Boolean).join(', ');
}

function namesOf(
  clock: Clock,
  { shots }: ShootRecord,
  batteries: readonly BatteryRecord[],
  chargers: readonly { readonly id: string; readonly name: string }[],
  places: readonly { readonly id: string; readonly name: string }[],
): Names {
  return {
    clock,
    battery: (id) => batteries.find((battery) => battery.id === id)?.label ?? 'removed battery',
    charger: (id) => chargers.find((charger) => charger.id === id)?.name ?? 'charger',
    place: (id) => places.find((place) => place.id === id)?.name ?? 'home',
    shot: (id) => shots.find((shot) => shot.id === id)?.name ?? 'removed shot',
    number: (id) => shots.findIndex((shot) => shot.id === id) + 1,
  };
}

/** What was kept may name shots and batteries that are gone. */
function withNamesOf({ shots, batteries }: PlanRequest, names: Names, shoot: ShootRecord): Names {
  const isThere = (id: string) => shoot.shots.some((shot) => shot.id === id);
  return {
    ...names,
    battery: (id) => batteries.find((battery) => battery.id === id)?.label ?? names.battery(id),
    shot: (id) => (isThere(id) ? names.shot(id) : (shots.find((shot) => shot.id === id)?.name ?? '')),
  };
}

interface FlightsProps extends Omit<DeskProps, 'aircraft'> {
  readonly plan: SwapPlan;
  readonly now: ReturnType<typeof usePlan>;
  readonly names: Names;
}

function Flights({ plan, now, shoot, names, conditions }: FlightsProps) {
  const [openNumber, setOpenNumber] = useState<number | null>(null);
  const edit = useRecords((state) => state.edit);
  const versions = useKeptPlans(shoot.id);
  const [kept] = versions;
  const { request } = now;
  const warnings = useMemo(() => liftOffWarnings(request, plan, conditions), [request, plan, conditions]);
  const setShots = (shots: ShootRecord['shots'], label: string, how = { apart: true }) =>
    edit('shoots', shoot.id, { shots }, label, how);
  const split = (id: string, parts: number) =>
    setShots(
      splitShot(shoot.shots, id, parts, () => crypto.randomUUID()),
      `splitting ${names.shot(id)}`,
      { ...comesOrGoes, apart: true },
    );
  const move = (id: string, flight: FlightOfPlan) =>
    setShots(
      movedInto(shoot.shots, id, flight, request.launchPlaces ?? []),
      `moving ${names.shot(id)} to flight ${flight.number}`,
    );
  return (
    <div data-old={!now.fresh || undefined} className={styles.plan}>
      <KeepPlan
        plan={plan}
        request={request}
        versions={versions}
        shoot={shoot}
        names={kept ? withNamesOf(kept.request, names, shoot) : names}
        isSettled={now.fresh && !now.seeking}
      />
      {plan.flights.length > 0 && (
        <>
          <Lanes
            plan={plan}
            request={request}
            names={names}
            openNumber={openNumber}
            onOpen={(number) => setOpenNumber(number === openNumber ? null : number)}
          />
          <PinCost plan={plan} />
          <LaterStart plan={plan} shoot={shoot} clock={names.clock} />
          <FlightsTable
            plan={plan}
            shoot={shoot}
            names={names}
            openNumber={openNumber}
            onOpen={setOpenNumber}
            onMove={move}
          />
          <ChargersTable plan={plan} names={names} />
        </>
      )}
      <Cards plan={plan} request={request} shoot={shoot} names={names} whole={now.whole} onSplit={split} />
      {request.shots.length > 0 && now.whole && (
        <Helps plan={now.fresh ? plan : null} request={request} names={names} />
      )}
      {(kept?.plan ?? plan).flights.length > 0 && (
        <PlanFiles
          plan={kept?.plan ?? plan}
          request={kept?.request ?? request}
          shoot={shoot}
          conditions={conditions}
        />
      )}
      <ul className={styles.cautions} aria-label="Warnings for these flights">
        {warnings.map(({ words, caution }) => (
          <li key={`${caution.code} ${words}`}>
            <Warning>
              <Say sentence={caution} />
              {words}
            </Warning>
          </li>
        ))}
        {plan.cautions.map((caution) => (
          <li key={caution.code}>
            <Note>
              <Say sentence={caution} />
            </Note>
          </li>
        ))}
      </ul>
    </div>
  );
}
