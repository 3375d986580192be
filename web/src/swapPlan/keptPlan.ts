import type { FlightOfPlan, KeptPlanRecord, PlanAsRead } from '@acorn-tally/core';
import { useMemo } from 'react';
import { percent, turnBackPercent } from '../fields/percent';
import { capitalize } from '../parts/capitalize';
import { useRecords } from '../records/records';
import { shotsOf } from './flightShots';
import type { Names } from './Lanes';
import { counted } from './planWords';

/** The plans of a shoot that were kept, the last first: that one holds. */
export function useKeptPlans(shootId: string): readonly KeptPlanRecord[] {
  const plans = useRecords((state) => state.plans);
  return useMemo(
    () =>
      plans
        .filter((plan) => plan.shootId === shootId)
        .sort((a, b) => Date.parse(b.keptAt) - Date.parse(a.keptAt)),
    [plans, shootId],
  );
}

/** What a plan would do otherwise than the one that was kept, most important first; nothing where a pilot would do the same. */
export function differencesInWords(
  kept: PlanAsRead,
  now: PlanAsRead,
  names: Pick<Names, 'battery' | 'shot' | 'clock'>,
): string[] {
  if (now.flights.length === 0) return kept.flights.length > 0 ? ['Nothing could be flown.'] : [];
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const shots = (plan: PlanAsRead) => [...new Set(plan.flights.flatMap(shotsOf))];
  const listed = (ids: readonly string[]) => ids.map((id) => names.shot(id)).join(', ');
  const lost = shots(kept).filter((id) => !shots(now).includes(id));
  const gained = shots(now).filter((id) => !shots(kept).includes(id));
  const [before, after] = [kept.figures, now.figures];
  const both = now.flights.flatMap((flight, i) =>
    kept.flights[i] ? [{ flight, was: kept.flights[i] }] : [],
  );
  return [
    lost.length > 0 && `${listed(lost)} would not be flown.`,
    gained.length > 0 && `${listed(gained)} would be flown as well.`,
    after.takeoffs !== before.takeoffs &&
      `${capitalize(counted(after.takeoffs, 'take-off', 'take-offs'))} instead of ${before.takeoffs}.`,
    ...both.map(({ flight, was }) => flightInWords(was, flight, names)),
    time(after.endAt) !== time(before.endAt) &&
      `Done by ${time(after.endAt)} instead of ${time(before.endAt)}.`,
  ].filter((one) => typeof one === 'string');
}

function flightInWords(
  was: FlightOfPlan,
  now: FlightOfPlan,
  names: Pick<Names, 'battery' | 'shot' | 'clock'>,
): string | false {
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const turn = ({ turnBackCharge }: FlightOfPlan) =>
    turnBackCharge === null ? '–' : turnBackPercent(turnBackCharge);
  const shots = (flight: FlightOfPlan) =>
    shotsOf(flight)
      .map((id) => names.shot(id))
      .join(', ');
  const changed = (one: string, other: string, said = one) => one !== other && `${said} instead of ${other}`;
  const parts = [
    changed(names.battery(now.batteryId), names.battery(was.batteryId)),
    changed(percent(now.startCharge), percent(was.startCharge), `with ${percent(now.startCharge)}`),
    changed(time(now.takeoffAt), time(was.takeoffAt), `at ${time(now.takeoffAt)}`),
    changed(shots(now), shots(was)),
    changed(turn(now), turn(was), `turning back by ${turn(now)}`),
  ].filter(Boolean);
  return parts.length > 0 && `Flight ${now.number}: ${parts.join('; ')}.`;
}
