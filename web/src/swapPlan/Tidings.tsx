import {
  confidenceOf,
  minutesAndSeconds,
  type ShootRecord,
  type Shot,
  type SwapPlan,
} from '@acorn-tally/core';
import { shareInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { LinkButton } from '../parts/LinkButton';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { useClock } from '../state/clock';
import { after, earlyInWords } from './headline';
import { partsNeeded } from './split';
import styles from './Tidings.module.css';

interface Props {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
  /** Makes several shots of one that is too long for any battery. */
  readonly onSplit: (shotId: string, parts: number) => void;
}

/** What to mind: the tightest flight, what stays in hand, and the shots that found no battery, each with the reason. */
export function Tidings({ plan, shoot, labelOf, shotOf, onSplit }: Props) {
  const clock = useClock();
  const tightest = [...plan.flights].sort((a, b) => a.spareS - b.spareS)[0];
  return (
    <div className={styles.tidings}>
      <Section title="Tightest flight">
        {tightest ? (
          <p>
            <b>{labelOf(tightest.batteryId)}</b> has {minutesAndSeconds(tightest.spareS)} min left over,{' '}
            {shareInWords(confidenceOf(shoot.policy))}. {earlyInWords(tightest.chanceEarly)} Clock times are
            of the flight as planned.
          </p>
        ) : (
          <p>Nothing is flown yet.</p>
        )}
      </Section>
      <Section title="In hand">
        <p>
          {plan.unusedBatteryIds.length > 0
            ? `${plan.unusedBatteryIds.map(labelOf).join(', ')} ${plan.unusedBatteryIds.length === 1 ? 'is' : 'are'} not flown.`
            : 'No battery is left over.'}
          {plan.flights.length > 0 &&
            ` Down for the last time at ${clock.format(after(shoot.startsAt, plan.doneS), 'HH:mm')}.`}
        </p>
      </Section>
      <Section title="Not placed">
        {plan.unplaced.length === 0 ? (
          <p>
            {shoot.shots.length === 0
              ? 'There is no shot yet: add the first.'
              : 'Nothing. Every shot is on a battery.'}
          </p>
        ) : (
          <ul className={styles.list}>
            {plan.unplaced.map(({ shotId, reason }) => {
              const parts = partsNeeded(reason);
              return (
                <li key={shotId}>
                  <Warning>
                    <b>{shotOf(shotId)?.name}</b> <Say sentence={reason} />{' '}
                    {parts !== null && (
                      <LinkButton onClick={() => onSplit(shotId, parts)}>Split it into {parts}</LinkButton>
                    )}
                  </Warning>
                </li>
              );
            })}
          </ul>
        )}
      </Section>
    </div>
  );
}
