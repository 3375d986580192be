import {
  type FlightOfPlan,
  type Outlook,
  type Robustness,
  type Shot,
  type SwapPlan,
  spanInWords,
  type WaitOfPlan,
  type WaitReason,
} from '@acorn-tally/core';
import { countInWords } from '../fields/percent';
import type { Names } from './Lanes';

export function counted(count: number, one: string, many: string): string {
  return `${countInWords(count)} ${count === 1 ? one : many}`;
}

/** Whether flights take off from more than one place. */
export function isFromSeveral({ flights }: Pick<SwapPlan, 'flights'>): boolean {
  return new Set(flights.map(({ launchPlaceId }) => launchPlaceId)).size > 1;
}

/** "one take more, one take-off less, 12 minutes earlier", against another plan. */
export function againstInWords(one: Outlook, other: Outlook): string {
  const takes = one.takesPlaced - other.takesPlaced;
  const takeoffs = one.takeoffs - other.takeoffs;
  const laterS = 60 * Math.round((Date.parse(one.endAt) - Date.parse(other.endAt)) / 60_000);
  const parts = [
    takes !== 0 && `${counted(Math.abs(takes), 'take', 'takes')} ${takes > 0 ? 'more' : 'fewer'}`,
    takeoffs !== 0 &&
      `${counted(Math.abs(takeoffs), 'take-off', 'take-offs')} ${takeoffs > 0 ? 'more' : 'fewer'}`,
    laterS !== 0 && `${spanInWords(Math.abs(laterS))} ${laterS > 0 ? 'later' : 'earlier'}`,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(', ') : 'no difference';
}

/** "on the ground until 09:13: Into the milking yard begins at 09:20", where the crew was ready before. */
export function waitInWords(
  { takeoffAt, shots }: Pick<FlightOfPlan, 'takeoffAt' | 'shots'>,
  { reason, shotId }: WaitOfPlan,
  names: Pick<Names, 'shot' | 'clock'>,
): string {
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const begins = shots.find((taken) => taken.shotId === shotId)?.startAt;
  const whys: Readonly<Record<WaitReason, string>> = {
    charge: 'its battery charges until then',
    weather: 'in the weather before then no battery lasts for it',
    'weather-unknown': 'the weather before then is not known',
    window: shotId && begins ? `${names.shot(shotId)} begins at ${time(begins)}` : 'its time begins then',
  };
  return `on the ground until ${time(takeoffAt)}: ${whys[reason]}`;
}

/** Shots of which every take has a place. */
export function placedShots({ flights }: Pick<SwapPlan, 'flights'>, shots: readonly Shot[]): number {
  const placed = flights.flatMap((flight) => flight.shots.map(({ shotId }) => shotId));
  return shots.filter(({ id, takes }) => placed.filter((one) => one === id).length >= (takes ?? 1)).length;
}

/** A plan in the making, by what has a place so far. */
export function headlineSoFar(plan: SwapPlan, shots: readonly Shot[], doneAt: string): string {
  const flights = `${counted(plan.figures.takeoffs, 'take-off', 'take-offs')}, done by ${doneAt}`;
  return `So far ${countInWords(placedShots(plan, shots))} of ${counted(shots.length, 'shot has', 'shots have')} a place: ${flights}`;
}

/** The answer in a sentence: "Four batteries are enough: five take-offs, done by 09:10". */
export function planHeadline(plan: SwapPlan, shotCount: number, doneAt: string): string {
  if (shotCount === 0) return 'No shots yet';
  const { takeoffs, batteriesFlown } = plan.figures;
  const without = new Set(plan.unplaced.map(({ shotId }) => shotId)).size;
  if (takeoffs === 0) return 'None of the shots can be flown';
  const flights = `${counted(takeoffs, 'take-off', 'take-offs')}, done by ${doneAt}`;
  const sentence =
    without === 0
      ? `${counted(batteriesFlown, 'battery is', 'batteries are')} enough: ${flights}`
      : `${counted(without, 'shot does', 'shots do')} not fit; ${counted(shotCount - without, 'is', 'are')} flown in ${flights}`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

/** What is known of the number of take-offs. */
export function provedInWords({ figures, unplaced, complete }: SwapPlan, isWhole: boolean): string {
  const { takeoffs, takeoffsBound, proved } = figures;
  if (takeoffs === 0) return '';
  if (proved) return unplaced.length === 0 ? 'fewest possible, proved' : 'no plan places more, proved';
  const cut = isWhole && !complete ? 'the search stopped at its limit' : '';
  const least =
    takeoffsBound > 1 && takeoffsBound < takeoffs
      ? `at least ${countInWords(takeoffsBound)} take-offs are needed`
      : '';
  return [least, cut].filter(Boolean).join(', ');
}

/** A chance as pilots say it: "1 in 9", "2 in 3", "hardly ever". */
export function chanceInWords(chance: number): string {
  if (chance < 0.01) return 'hardly ever';
  if (chance > 0.99) return 'nearly always';
  if (chance <= 0.4) return `1 in ${Math.round(1 / chance)}`;
  return `${Math.round(chance * 10)} in 10`;
}

/** What would be left of a plan, by what is lost first: "without Yard circle, one take-off fewer"; or by the little that is left. */
export function leftInWords(
  { takeoffs, droppedShotIds, atLeast }: Robustness,
  { figures, flights }: Pick<SwapPlan, 'figures' | 'flights'>,
  names: Pick<Names, 'shot' | 'number'>,
): string {
  const inPlan = [...new Set(flights.flatMap(({ shots }) => shots.map(({ shotId }) => shotId)))];
  const dropped = inPlan.filter((id) => droppedShotIds.includes(id));
  const left = inPlan.filter((id) => !droppedShotIds.includes(id));
  const listed = (ids: readonly string[]) =>
    [...ids]
      .sort((a, b) => names.number(a) - names.number(b))
      .map((id) => names.shot(id))
      .join(', ');
  const found = atLeast ? 'as far as searched, ' : '';
  if (takeoffs === 0 || left.length === 0) return `${found}nothing can be flown`;
  if (dropped.length > left.length) return `${found}only ${listed(left)} can be flown`;
  const more = takeoffs - figures.takeoffs;
  const flown =
    more === 0
      ? 'as many take-offs'
      : `${counted(Math.abs(more), 'take-off', 'take-offs')} ${more > 0 ? 'more' : 'fewer'}`;
  return dropped.length === 0
    ? `${found}all planned shots, ${flown}`
    : `${found}without ${listed(dropped)}, ${flown}`;
}
