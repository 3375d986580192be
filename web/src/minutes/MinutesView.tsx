import {
  type Aircraft,
  type AircraftRecord,
  type BatteryRecord,
  confidenceOf,
  type DayAtPlace,
  type Estimate,
  estimateRequestFor,
  type FlightRemedy,
  isTestOnly,
  minAtTouchdown,
  minutesAndSeconds,
  type Outcome,
  type Policy,
  spec,
} from '@acorn-tally/core';
import { memo, Suspense, useDeferredValue, useMemo } from 'react';
import { shownPlan } from '../answers/planned';
import { trustInWords } from '../answers/trust';
import { type DrawnAnswers, useDrawnAnswers, useFlightRemedies } from '../answers/useBands';
import { type BatteryEstimate, useEstimates } from '../answers/useEstimates';
import { TallyLegend } from '../charts/Tally';
import { comesHomeInWords } from '../fields/ComesHomeField';
import { inHundred, percent, shareInWords } from '../fields/percent';
import { AddBattery } from '../parts/AddBattery';
import { AsideSection, Desk } from '../parts/Desk';
import { Headline } from '../parts/Headline';
import { useKeys } from '../parts/keys';
import { usePhone } from '../parts/usePhone';
import { Warning } from '../parts/Warning';
import { beliefAbout } from '../state/belief';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import { unfitNow } from '../state/unfitNow';
import { useWriter } from '../state/units';
import type { DrawnAnswer } from '../workers/calculator';
import type { Calculated } from '../workers/useCalculated';
import { BatteryFields, BatteryRow, cautionsAbout } from './BatteryRow';
import { Below } from './Below';
import { FlightPanel } from './FlightPanel';
import styles from './MinutesView.module.css';

/** Each is fetched when it is first needed: once there is a band, the others hardly ever. */
const Trust = lazyPart(async () => (await import('./Trust')).Trust);
const NoneFlown = lazyPart(async () => (await import('../parts/NoneFlown')).NoneFlown);
const HoldBackMore = lazyPart(async () => (await import('../parts/HoldBackMore')).HoldBackMore);
const FlyHomeByHand = lazyPart(async () => (await import('./FlyHomeByHand')).FlyHomeByHand);

/** Every battery of the chosen aircraft with its minutes to spend, and where the minutes of the chosen one go. */
export function MinutesView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  if (!conditions) return null;
  if (!aircraft)
    return (
      <Suspense fallback={null}>
        <NoneFlown />
      </Suspense>
    );
  return <MinutesDesk aircraft={aircraft} conditions={conditions} />;
}

interface DeskProps {
  readonly aircraft: AircraftRecord;
  readonly conditions: DayAtPlace;
}

/** What is chosen on the left follows the hand at once; what follows from it, on the right, may come a moment later. */
function MinutesDesk({ aircraft, conditions }: DeskProps) {
  const batteries = useFlownBatteriesOf(aircraft.id);
  const now = useMemo(() => ({ aircraft, batteries, conditions }), [aircraft, batteries, conditions]);
  const shown = useDeferredValue(now);
  const battery = useBattery(shown.batteries);
  const isPhone = usePhone();
  const choose = usePreferences((state) => state.choose);
  const drawn = useDrawnAnswers(shown.aircraft, shown.batteries, shown.conditions);
  const band = battery ? drawn.value?.get(battery.id)?.band : undefined;
  const keys = useMemo(() => {
    const next = (step: number) => () => {
      const at = batteries.findIndex(({ id }) => id === battery?.id);
      const to = batteries[(at + step + batteries.length) % batteries.length];
      if (to) choose({ batteryId: to.id });
    };
    return { b: next(1) };
  }, [batteries, battery, choose]);
  useKeys(keys);
  const trust = useMemo(
    () =>
      band && battery ? (
        <Suspense fallback={null}>
          <Trust battery={battery} band={band} aircraft={aircraft} conditions={conditions} />
        </Suspense>
      ) : null,
    [band, battery, aircraft, conditions],
  );
  return (
    <Desk
      label={isPhone && battery ? `Flight and ${battery.label}` : 'Flight'}
      aside={
        <>
          <FlightPanel key={aircraft.id} aircraft={aircraft} trust={trust} />
          {isPhone && battery && (
            <AsideSection title={battery.label}>
              <BatteryFields key={battery.id} battery={battery} conditions={conditions} />
            </AsideSection>
          )}
        </>
      }
    >
      <Answers {...shown} battery={battery} drawn={drawn} />
    </Desk>
  );
}

interface AnswersProps extends DeskProps {
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord | null;
  readonly drawn: Calculated<DrawnAnswers>;
}

const Answers = memo(function Answers({ aircraft, batteries, battery, conditions, drawn }: AnswersProps) {
  const choose = usePreferences((state) => state.choose);
  const estimates = useEstimates(aircraft, batteries, conditions);
  const request = useMemo(
    () => (battery ? estimateRequestFor(aircraft, battery, conditions) : null),
    [aircraft, battery, conditions],
  );
  const chosen = estimates.find((row) => row.battery.id === battery?.id)?.outcome;
  const band = battery ? drawn.value?.get(battery.id)?.band : undefined;
  const totalS = plannedInAllS(estimates, drawn, conditions);
  const ofChosen = battery ? drawn.value?.get(battery.id) : undefined;
  const isUnplanned = chosen !== undefined && (!chosen.ok || (drawn.fresh && band?.usableS.planned === 0));
  const remedies = useFlightRemedies(isUnplanned ? request : null, beliefAbout(aircraft).known);
  const isPhone = usePhone();
  return (
    <>
      <Headline title={titleOf(totalS)} old={!drawn.fresh} end={!isPhone && <TallyLegend />}>
        {drawn.trouble
          ? `No band: ${drawn.trouble}`
          : [
              totalS !== 0 && sureInWords(aircraft.policy, aircraft.spec),
              comesHomeInWords(aircraft.policy),
              trustInWords(aircraft),
            ]
              .filter(Boolean)
              .join(', ')}
      </Headline>
      <FlightCautions
        aircraft={aircraft}
        outcome={estimates.find(({ outcome }) => outcome.ok)?.outcome}
        drawn={ofChosen}
        label={battery?.label ?? ''}
        isUnplanned={isUnplanned}
        remedies={remedies}
      />
      <ul className={styles.rows} aria-label="Batteries">
        {estimates.map((row) => (
          <BatteryRow
            key={row.battery.id}
            row={row}
            drawn={drawn.value?.get(row.battery.id)}
            fresh={drawn.fresh}
            boxS={aircraft.spec.advertisedFlightTimeS}
            conditions={conditions}
            chosen={row.battery.id === battery?.id}
            onChoose={() => choose({ batteryId: row.battery.id })}
          />
        ))}
      </ul>
      {isPhone && <TallyLegend />}
      <AddBattery aircraft={aircraft} quiet />
      {battery && request && chosen?.ok && (
        <Below
          aircraft={aircraft}
          battery={battery}
          conditions={conditions}
          request={request}
          estimate={chosen.value}
          band={band ?? null}
          fresh={drawn.fresh}
        />
      )}
    </>
  );
});

function titleOf(totalS: number | null): string {
  if (totalS === null) return 'Minutes to spend';
  return totalS === 0 ? 'No minutes to spend' : `${Math.floor(totalS / 60)} minutes to spend`;
}

/** What all batteries that may be flown as they are give together to plan on; null until it is known. */
function plannedInAllS(
  estimates: readonly BatteryEstimate[],
  drawn: Calculated<DrawnAnswers>,
  conditions: DayAtPlace,
): number | null {
  if (!drawn.value) return null;
  return estimates.reduce((sum, { battery, outcome }) => {
    const band = drawn.value?.get(battery.id)?.band ?? null;
    if (unfitNow(battery, conditions)) return sum;
    return sum + ((outcome.ok && shownPlan(outcome.value, band, drawn.fresh)?.usableS) || 0);
  }, 0);
}

/** "9 in 10 flights land with 25 % or more". */
function sureInWords(policy: Policy, sheet: Aircraft): string {
  const flights = `${shareInWords(confidenceOf(policy))} flights`;
  if (isTestOnly(policy)) return `${flights} last so long; for a test only, never a plan`;
  return `${flights} land with ${percent(minAtTouchdown(policy, spec(sheet, 'forcedLandingCharge')))} or more`;
}

/** What was tried and makes it a flight to plan, what gives most first. */
function helpInWords(
  label: string,
  { value, fresh, trouble }: Calculated<readonly FlightRemedy[]>,
  say: (sentence: FlightRemedy) => string,
): string {
  if (trouble !== null) return `What would help could not be tried: ${trouble}`;
  if (!value || !fresh) return 'Trying what would help …';
  if (value.length === 0)
    return `Nothing that was tried makes it a flight to plan with ${label}: nearer, lower, upwind, a warm and full pack`;
  const ways = value.map((remedy) => `${say(remedy)} (${minutesAndSeconds(remedy.plannedS)} min to spend)`);
  return `What helps, tried one by one: ${ways.join('; ')}`;
}

interface CautionsProps {
  readonly aircraft: AircraftRecord;
  readonly outcome: Outcome<Estimate> | undefined;
  readonly drawn: DrawnAnswer | undefined;
  /** Of the chosen battery. */
  readonly label: string;
  readonly isUnplanned: boolean;
  readonly remedies: Calculated<readonly FlightRemedy[]>;
}

function FlightCautions({ aircraft, outcome, drawn, label, isUnplanned, remedies }: CautionsProps) {
  const { say } = useWriter();
  const cautions = outcome?.ok ? cautionsAbout(outcome.value, 'flight') : [];
  const found = [
    ...(isUnplanned && drawn
      ? [`${label}: ${inHundred(drawn.band.chanceImpossible)} of these flights would not come home`]
      : []),
    ...(isUnplanned ? [helpInWords(label, remedies, say)] : []),
    ...cautions.map(say),
    ...(drawn?.cautions ?? []).map(say),
  ];
  if (found.length === 0) return null;
  return (
    <Warning className={styles.cautions}>
      {found.join('. ')}.{' '}
      <Suspense fallback={null}>
        {cautions.some(({ code }) => code === 'frost') && <HoldBackMore aircraft={aircraft} />}
        {isUnplanned && remedies.value && <FlyHomeByHand aircraft={aircraft} remedies={remedies.value} />}
      </Suspense>
    </Warning>
  );
}
