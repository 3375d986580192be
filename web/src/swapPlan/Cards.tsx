import type { PlanRequest, Robustness, ShootRecord, SwapPlan, UnplacedTake } from '@acorn-tally/core';
import { Loader } from '@mantine/core';
import { countInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { LinkButton } from '../parts/LinkButton';
import { Section } from '../parts/Section';
import styles from './Cards.module.css';
import type { Names } from './Lanes';
import { PacksPlot } from './PacksPlot';
import { leftInWords } from './planWords';
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

/** What to know beside the plan: whether it would still do, how many packs to bring, what does not fit. */
export function Cards({ plan, request, shoot, names, whole, onSplit }: Props) {
  return (
    <div className={styles.cards}>
      <Section title="What if something changes?">
        {whole ? <StillDo plan={plan} names={names} /> : <Waiting />}
      </Section>
      <Section title="How many to bring">
        {whole ? <PacksPlot packs={plan.packs} shotCount={request.shots.length} /> : <Waiting />}
      </Section>
      <Section title="What does not fit">
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
  const lines = plan.robustness.map((one) => {
    const until = one.takeoffs > 0 ? `, down by ${names.clock.format(one.endAt, 'HH:mm')}` : '';
    return { one, left: `${leftInWords(one, plan, names)}${until}.` };
  });
  // Batteries that leave as much when they fail are told together.
  const kinds = [...new Set(lines.map(({ one, left }) => `${one.change} ${left}`))];
  return (
    <ul className={styles.list}>
      {kinds.map((kind) => {
        const alike = lines.filter(({ one, left }) => `${one.change} ${left}` === kind);
        return (
          <li key={kind}>
            <b>
              {changeInWords(
                alike.map(({ one }) => one),
                names,
              )}
            </b>
            : {alike[0]?.left}
          </li>
        );
      })}
    </ul>
  );
}

function changeInWords(alike: readonly Robustness[], names: Names): string {
  const [first] = alike;
  if (first?.change === 'wind') return 'Wind a third stronger';
  if (first?.change === 'takes') return 'Takes half as long again';
  const labels = alike.map(({ batteryId }) => names.battery(batteryId ?? ''));
  const last = labels.pop();
  return `${[labels.join(', '), last].filter(Boolean).join(' or ')} fails`;
}

function NotPlaced({ plan, shoot, names, whole, onSplit }: Omit<Props, 'request'>) {
  if (shoot.shots.length === 0) return <p>There is no shot yet: add the first.</p>;
  if (plan.unplaced.length === 0 && isPlaced(plan, shoot))
    return (
      <p>Nothing. Drag a shot to another flight, or pin it in the list: the rest is planned around it.</p>
    );
  if (!whole && plan.unplaced.length === 0) return <Waiting />;
  return (
    <ul className={styles.list}>
      {byReason(plan.unplaced).map((shots) => {
        const [{ first }] = shots;
        const parts = partsNeeded(first.reason);
        return (
          <li key={first.shotId}>
            {shots.map((one, i) => (
              <span key={one.first.shotId}>
                {i > 0 && ', '}
                <b>{names.shot(one.first.shotId)}</b>
                {takesInWords(one, shoot)}
              </span>
            ))}
            {shots.length > 1 && ', each by itself'}: <Say sentence={first.reason} />{' '}
            {first.remedy && (
              <>
                <Say sentence={first.remedy} />.{' '}
              </>
            )}
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

/** A shot without a place: its first take that has none, and how many have none. */
interface ShotLeft {
  readonly first: UnplacedTake;
  readonly count: number;
}

/** One line for all shots of which the same is said; one that can be split has its own. */
function byReason(unplaced: readonly UnplacedTake[]): [ShotLeft, ...ShotLeft[]][] {
  const lines = new Map<string, [ShotLeft, ...ShotLeft[]]>();
  for (const first of unplaced) {
    const takes = unplaced.filter(({ shotId }) => shotId === first.shotId);
    if (takes[0] !== first) continue;
    const left = { first, count: takes.length };
    const said = partsNeeded(first.reason) === null ? [first.reason, first.remedy] : first.shotId;
    const line = lines.get(JSON.stringify(said));
    if (line) line.push(left);
    else lines.set(JSON.stringify(said), [left]);
  }
  return [...lines.values()];
}

function takesInWords({ first, count }: ShotLeft, { shots }: ShootRecord): string {
  const takes = shots.find(({ id }) => id === first.shotId)?.takes ?? 1;
  return takes > 1 ? ` (${countInWords(count)} of ${countInWords(takes)} takes)` : '';
}
