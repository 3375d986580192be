import type { KeptPlanRecord, PlanAsRead, PlanRequest, ShootRecord, SwapPlan } from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import styles from './KeepPlan.module.css';
import { differencesInWords } from './keptPlan';
import type { Names } from './Lanes';

interface Props {
  readonly plan: SwapPlan;
  /** What it answers. */
  readonly request: PlanRequest;
  /** What was kept of this shoot, the last first. */
  readonly versions: readonly KeptPlanRecord[];
  readonly shoot: ShootRecord;
  /** Of what there is now, and of what there was when it was kept. */
  readonly names: Names;
  /** Whether no better one is looked for any more, so that it can be kept. */
  readonly isSettled: boolean;
}

/** More would push the plan itself off a phone. */
const maxShown = 3;

/** Keeps the plan as it was read. Once one is kept, it says what the plan of now would do otherwise, before that takes its place. */
export function KeepPlan({ plan, request, versions, shoot, names, isSettled }: Props) {
  const add = useRecords((state) => state.add);
  const removeAll = useRecords((state) => state.removeAll);
  const [kept, ...earlier] = versions;
  const keep = (what: PlanAsRead, asked: PlanRequest, label: string) => {
    const { flights, lanes, figures, cautions } = what;
    const content = { shootId: shoot.id, keptAt: new Date().toISOString(), request: asked };
    add('plans', { ...content, plan: { flights, lanes, figures, cautions } }, label);
  };
  // A plan of nothing is no plan to keep.
  const isEmpty = plan.flights.length === 0;
  const keepNow = (label: string) => (
    <Button
      variant="default"
      disabled={!isSettled || isEmpty}
      onClick={() => keep(plan, request, 'keeping the plan')}
    >
      {label}
    </Button>
  );
  if (!kept) return isEmpty ? null : <div className={styles.keep}>{keepNow('Keep this plan')}</div>;
  const differences = differencesInWords(kept.plan, plan, names);
  const at = ({ keptAt }: KeptPlanRecord) => names.clock.format(keptAt, 'D MMM, HH:mm');
  return (
    <section className={styles.keep} aria-label="Kept plan">
      {differences.length === 0 ? (
        <Note>Kept {at(kept)}: this is the plan. It is on the card, in the calendar and in CSV.</Note>
      ) : (
        <>
          <p>
            <b>The plan kept {at(kept)} is the one on the card</b>, in the calendar and in CSV. Planned now,
            this would be different:
          </p>
          <Differences list={differences} />
          {keepNow('Keep the new plan instead')}
        </>
      )}
      <Button
        variant="subtle"
        onClick={() =>
          removeAll(
            'plans',
            versions.map(({ id }) => id),
            'removing the kept plan',
          )
        }
      >
        Remove the kept plan
      </Button>
      {earlier.length > 0 && (
        <p>
          Kept before:{' '}
          {earlier.map((one) => (
            <LinkButton
              key={one.id}
              onClick={() => keep(one.plan, one.request, 'going back to an earlier plan')}
            >
              back to {at(one)}
            </LinkButton>
          ))}
        </p>
      )}
    </section>
  );
}

function Differences({ list }: { readonly list: readonly string[] }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <ul>
        {(isOpen ? list : list.slice(0, maxShown)).map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      {list.length > maxShown && (
        <p>
          <LinkButton onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Show less' : `Show all ${list.length} differences`}
          </LinkButton>
        </p>
      )}
    </>
  );
}
