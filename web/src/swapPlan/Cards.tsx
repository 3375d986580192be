import type { PlanRequest, Robustness, ShootRecord, SwapPlan, UnplacedTake } from '@acorn-tally/core';
import { Loader } from '@mantine/core';
import { countInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { LinkButton } from '../parts/LinkButton';
import { Section } from '../parts/Section';
import styles from './Cards.module.css';
import type { Names } from './Lanes';
import { PacksPlot } from './PacksPlot';
import { counted } from './planWords';
import { partsNeeded } from './split';

interface Props {
  readonly plan: SwapPlan;
  readonly request: PlanRequest;
  readonly shoot: ShootRecord;
  readonly names: Names;
  /** Whether what would be left of the plan is told already. */
  readonly whole: boolean;
  /** Makes several shots of one that is too long for any battery. */
  readonly onSplit: (shotId: string, parts: number) => void;
}

/** What to know beside the plan: whether it would still do, how many packs to bring, what has no place. */
export function Cards({ plan, request, shoot, names, whole, onSplit }: Props) {
  return (
    <div className={styles.cards}>
      <Section title="Would it still do?">
        {whole ? <StillDo plan={plan} names={names} /> : <Waiting />}
      </Section>
      <Section title="How many to bring">
        {whole ? <PacksPlot packs={plan.packs} shotCount={request.shots.length} /> : <Waiting />}
      </Section>
      <Section title="Not placed">
        <NotPlaced plan={plan} shoot={shoot} names={names} whole={whole} onSplit={onSplit} />
      </Section>
    </div>
  );
}

function Waiting() {
  return (
    <p>
      <Loader size={14} aria-hidden /> trying it …
    </p>
  );
}

function StillDo({ plan, names }: Pick<Props, 'plan' | 'names'>) {
  return (
    <ul className={styles.list}>
      {plan.robustness.map((one) => (
        <li key={`${one.change} ${one.batteryId ?? ''}`}>
          <b>{changeInWords(one, names)}</b>: {leftInWords(one, plan, names)}
          {one.takeoffs > 0 && `, done ${names.clock.format(one.endAt, 'HH:mm')}.`}
          {one.takeoffs === 0 && '.'}
        </li>
      ))}
    </ul>
  );
}

function changeInWords({ change, batteryId }: Robustness, names: Names): string {
  if (change === 'wind') return 'Wind a third stronger';
  if (change === 'takes') return 'Takes half as long again';
  return `${names.battery(batteryId ?? '')} fails`;
}

function leftInWords({ takeoffs, droppedShotIds }: Robustness, { figures }: SwapPlan, names: Names): string {
  if (takeoffs === 0) return 'nothing can be flown';
  const more = takeoffs - figures.takeoffs;
  const flights =
    more === 0
      ? 'as many take-offs'
      : counted(Math.abs(more), 'take-off', 'take-offs') + (more > 0 ? ' more' : ' less');
  if (droppedShotIds.length === 0) return `all of it, ${flights}`;
  const numbers = droppedShotIds.map((id) => names.number(id)).sort((a, b) => a - b);
  return `without ${numbers.length === 1 ? 'shot' : 'shots'} ${numbers.join(', ')}, ${flights}`;
}

function NotPlaced({ plan, shoot, names, whole, onSplit }: Omit<Props, 'request'>) {
  if (shoot.shots.length === 0) return <p>There is no shot yet: add the first.</p>;
  if (plan.unplaced.length === 0 && isPlaced(plan, shoot))
    return (
      <p>Nothing. Drag a shot to another flight, or pin it in the list: the rest is planned around it.</p>
    );
  if (!whole) return <Waiting />;
  return (
    <ul className={styles.list}>
      {byShot(plan.unplaced).map(([first, count]) => {
        const parts = partsNeeded(first.reason);
        const takes = shoot.shots.find(({ id }) => id === first.shotId)?.takes ?? 1;
        return (
          <li key={first.shotId}>
            <b>{names.shot(first.shotId)}</b>
            {takes > 1 && ` (${countInWords(count)} of ${countInWords(takes)} takes)`}:{' '}
            <Say sentence={first.reason} /> {first.remedy && <Say sentence={first.remedy} />}{' '}
            {parts !== null && (
              <LinkButton onClick={() => onSplit(first.shotId, parts)}>Split it into {parts}</LinkButton>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function isPlaced({ flights }: SwapPlan, { shots, leftOutIds }: ShootRecord): boolean {
  const flown = new Set(flights.flatMap((flight) => flight.shots.map(({ shotId }) => shotId)));
  return shots.every(({ id }) => flown.has(id) || leftOutIds?.includes(id));
}

/** One line a shot: its first take without a place, and how many there are. */
function byShot(unplaced: readonly UnplacedTake[]): [UnplacedTake, number][] {
  const ids = [...new Set(unplaced.map(({ shotId }) => shotId))];
  return ids.map((id) => {
    const takes = unplaced.filter(({ shotId }) => shotId === id);
    return [takes[0] as UnplacedTake, takes.length];
  });
}
