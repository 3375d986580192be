import {
  type AircraftRecord,
  type BatteryRecord,
  confidenceOf,
  type DayAtPlace,
  fromHome,
  fromTakeoff,
  homeName,
  minAtHome,
  minutesAndSeconds,
  numbersOf,
  type OwnReturn,
  type ReturnAnswer,
  type ReturnBand,
  type ReturnNow,
  returnRequestFor,
  spec,
} from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { useDeferredValue, useMemo } from 'react';
import { bearing } from '../answers/air';
import { trustInWords } from '../answers/trust';
import { comesHomeInWords } from '../fields/ComesHomeField';
import { inHundred, percent, shareInWords, turnBackPercent } from '../fields/percent';
import { Say } from '../fields/Say';
import { AddBattery } from '../parts/AddBattery';
import { Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { NoneFlown } from '../parts/NoneFlown';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf, useShoot } from '../state/current';
import { usePreferences } from '../state/preferences';
import { useWriter, type Writer } from '../state/units';
import { atLiftOff } from './atLiftOff';
import { LiftOffCard } from './LiftOffCard';
import { OwnActions } from './OwnActions';
import { ownCallInWords } from './ownCallWords';
import { PlacePanel } from './PlacePanel';
import { ReachView } from './ReachView';
import { SideView } from './SideView';
import { ToMind } from './ToMind';
import { TurnTableView } from './TurnTableView';
import { useWayHome, type WayHome } from './useWayHome';
import styles from './WayHomeView.module.css';
import { WaysOut } from './WaysOut';

/** Does it come home from there, and when must it turn. */
export function WayHomeView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  if (!conditions) return null;
  if (!aircraft) return <NoneFlown />;
  if (!battery)
    return (
      <main>
        <Empty title="No battery to come home with">
          <p>{aircraft.name} has none that is flown.</p>
          <AddBattery aircraft={aircraft} />
        </Empty>
      </main>
    );
  return <WayHomeDesk aircraft={aircraft} batteries={batteries} battery={battery} conditions={conditions} />;
}

interface DeskProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
}

function WayHomeDesk({ aircraft, batteries, battery, conditions }: DeskProps) {
  const charge = usePreferences((state) => state.chargeThere);
  const edit = useRecords((state) => state.edit);
  const now = useMemo(
    () => returnRequestFor(aircraft, battery, conditions, charge),
    [aircraft, battery, conditions, charge],
  );
  const request = useDeferredValue(now);
  const wayHome = useWayHome(request, beliefAbout(aircraft), conditions.site?.tallestM ?? null);
  const { flight } = aircraft;
  const shoot = useShoot(aircraft.id);
  const shots = useMemo(
    () => (shoot?.shots ?? []).map((shot) => fromHome(conditions, shot)),
    [shoot, conditions],
  );
  const move = (to: { farthestM?: number; bearingDeg?: number; heightM?: number }) =>
    edit('aircraft', aircraft.id, (now) => ({ flight: { ...now.flight, ...to } }), 'where it is');
  const moveSeen = (distanceM: number, bearingDeg: number, heightM = flight.heightM) => {
    const kept = fromTakeoff(conditions, { distanceM, bearingDeg });
    // To the metre and the tenth of a degree, as a hand drags.
    const bearingKept = Math.round(kept.bearingDeg * 10) / 10;
    move({ farthestM: Math.round(kept.distanceM), bearingDeg: bearingKept, heightM });
  };
  const { answer, band, reaches } = wayHome;
  const { say } = useWriter();
  const told = atLiftOff(aircraft, battery, conditions, wayHome, say);
  const card = (
    <LiftOffCard
      aircraft={aircraft}
      battery={battery}
      conditions={conditions}
      turnBackCharge={wayHome.turnBackCharge}
      {...told}
    />
  );
  return (
    <Desk
      label="Where you will be"
      aside={
        <PlacePanel
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          conditions={conditions}
          advice={answer.ok ? answer.value.returnHeight : null}
          onMove={move}
        />
      }
    >
      <Answer {...wayHome} aircraft={aircraft} home={homeName(conditions)} />
      {!answer.ok && card}
      {answer.ok && (
        <>
          <div className={styles.pictures} data-not-printed>
            <SideView
              request={request}
              answer={answer.value}
              belief={beliefAbout(aircraft).middle}
              onMove={(distanceM, heightM) => moveSeen(distanceM, request.position.bearingDeg, heightM)}
            />
            <ReachView
              request={request}
              reaches={reaches.value}
              fresh={reaches.fresh}
              shots={shots}
              onMove={moveSeen}
            />
          </div>
          <div className={styles.below}>
            <div className={styles.column}>
              <div data-not-printed>
                <TurnTableView table={wayHome.table} chargeNow={request.position.charge} />
              </div>
              {card}
            </div>
            <div className={styles.column} data-not-printed>
              <ToMind answer={answer.value} />
              <WaysOut
                aircraft={aircraft}
                answer={answer.value}
                reserve={reserveOf(aircraft)}
                band={band.value}
                below={request.below ?? null}
              />
              <OwnActions answer={answer.value} />
            </div>
          </div>
        </>
      )}
    </Desk>
  );
}

function reserveOf({ spec: sheet, policy }: AircraftRecord): number {
  return minAtHome(policy, spec(sheet, 'forcedLandingCharge'));
}

interface AnswerProps extends WayHome {
  readonly aircraft: AircraftRecord;
  readonly home: string;
}

/** The answer in a sentence: by what charge to turn, or that it does not come home, and how the aircraft’s own call compares. */
function Answer({ request, answer, band, turnBackCharge, aircraft, home: homeIs }: AnswerProps) {
  const { write } = useWriter();
  const { distanceM, bearingDeg } = request.position;
  const from = homeIs === 'home' ? 'out' : `from ${homeIs}`;
  const where = `${write('distance', distanceM)} ${from} at ${bearing(bearingDeg)}`;
  if (!answer.ok)
    return (
      <div data-not-printed>
        <Headline title="No answer from there">
          <Warning alert>
            <Say sentence={answer.refusal} />
          </Warning>
        </Headline>
      </div>
    );
  const { home, own } = answer.value;
  const trust = [comesHomeInWords(aircraft.policy), trustInWords(aircraft)].filter(Boolean);
  const isHeld = turnBackCharge !== null && !home.notHome && !home.forcedLanding;
  const drift = home.notHome ? numbersOf(home.notHome).driftMps : undefined;
  return (
    <div data-not-printed>
      <Headline
        title={titleOf(home, band.value, turnBackCharge)}
        old={!band.fresh}
        end={
          drift !== undefined ? (
            <Warning>so it drifts away at {write('speed', drift, 1)}</Warning>
          ) : (
            own !== null && band.value && <OwnCall own={own} band={band.value} />
          )
        }
      >
        {isHeld
          ? [
              `${where}: turned there, ${shareInWords(confidenceOf(aircraft.policy))} flights land with ${percent(reserveOf(aircraft))} or more`,
              ...trust,
            ].join(', ')
          : [where, ...trust].join(', ')}
      </Headline>
      {drift !== undefined ? (
        <div className={styles.now}>
          What still comes home, and what does not, stands below with its cautions.
        </div>
      ) : (
        <FromThereNow
          request={request}
          answer={answer.value}
          band={band.value}
          turnBackCharge={turnBackCharge}
        />
      )}
    </div>
  );
}

function OwnCall({ own, band }: { readonly own: OwnReturn; readonly band: ReturnBand }) {
  const told = ownCallInWords(own, band);
  return told && (told.isLate ? <Warning>{told.says}</Warning> : told.says);
}

interface NowProps {
  readonly request: WayHome['request'];
  readonly answer: ReturnAnswer;
  readonly band: ReturnBand | null;
  readonly turnBackCharge: number | null;
}

/** What becomes of it with the charge it has out there, turned now or left to itself. */
function FromThereNow({ request, answer: { home, own, tooLow }, band, turnBackCharge }: NowProps) {
  const { write } = useWriter();
  const { charge } = request.position;
  const isTooLate = turnBackCharge !== null && charge < turnBackCharge;
  return (
    <div className={styles.now}>
      {tooLow && (
        <b className={styles.over}>
          <IconAlertTriangle size={14} aria-hidden /> By itself <Say sentence={tooLow} />.
        </b>
      )}{' '}
      {isTooLate && (
        <b className={styles.over}>
          <IconAlertTriangle size={14} aria-hidden /> Past the turn-back charge: come home now.
        </b>
      )}{' '}
      From there now, with {percent(charge)}:{' '}
      {home.notHome ? (
        <>
          <b className={styles.over}>not home.</b> <Say sentence={home.notHome} />
        </>
      ) : (home.touchdownCharge ?? 0) <= 0 ? (
        <b className={styles.over}>home only on what the gauge never shows: do not count on it.</b>
      ) : (
        <>
          home with <b>{percent(home.touchdownCharge ?? 0)}</b>
          {band && ` (${bandOf(band)})`} after <b>{minutesAndSeconds(home.timeS)}</b>,{' '}
          {home.energyWh.toFixed(1)} Wh.
        </>
      )}
      {own && (
        <>
          {' '}
          Its automatic return <b>{ownEndInWords(own, write)}</b>.
        </>
      )}
    </div>
  );
}

/** How its own way home ends, begun when it asks for it. */
function ownEndInWords({ touchdownCharge, forcedLanding }: OwnReturn, write: Writer['write']): string {
  if (touchdownCharge !== null) return `touches down with ${percent(touchdownCharge)}`;
  if (!forcedLanding) return 'does not get home';
  const { shortM, heightM } = forcedLanding;
  return shortM < 1
    ? `is just home when its forced landing begins at ${percent(forcedLanding.charge)}, ${write('distance', heightM)} up`
    : `begins its forced landing at ${percent(forcedLanding.charge)}, ${write('distance', shortM)} short of home`;
}

function titleOf(
  { notHome, forcedLanding }: ReturnNow,
  band: ReturnBand | null,
  turnBackCharge: number | null,
): string {
  if (forcedLanding)
    return forcedLanding.shortM < 1
      ? 'Its forced landing begins over home'
      : 'Its forced landing begins on the way';
  if (notHome) return 'It does not come home from there';
  if (!band) return 'Turn back …';
  if (turnBackCharge === null) return 'Do not plan to go there';
  return `Turn back by ${turnBackPercent(turnBackCharge)}`;
}

/** Between which charges eight of ten touch down; and how many do not come home, where that is more than one in a hundred. */
function bandOf({ touchdownCharge: { p10, p90 }, chanceNotHome }: ReturnBand): string {
  const lost = `${inHundred(chanceNotHome)} do not come home`;
  if (p90 === null) return lost;
  const range = p10 === null ? `up to ${percent(p90)}` : `${Math.round(p10 * 100)}–${percent(p90)}`;
  return chanceNotHome >= 0.01 ? `${range}; ${lost}` : range;
}
