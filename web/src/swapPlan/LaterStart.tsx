import { type ShootRecord, type SwapPlan, spanInWords } from '@acorn-tally/core';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import type { Clock } from '../state/clock';

interface Props {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly clock: Clock;
}

/** Offers to begin later where a plan only waits on the ground: as much is done, and as soon. */
export function LaterStart({ plan, shoot, clock }: Props) {
  const edit = useRecords((state) => state.edit);
  if (!plan.laterStart) return null;
  const { startAt, lessWaitingS } = plan.laterStart;
  const time = clock.format(startAt, 'HH:mm');
  return (
    <Note>
      Begun at {time}, it is all down at the same time, with {spanInWords(lessWaitingS)} less waiting.{' '}
      <LinkButton
        onClick={() => edit('shoots', shoot.id, { startsAt: startAt }, 'start of the shoot', { apart: true })}
      >
        Begin at {time}
      </LinkButton>
    </Note>
  );
}
