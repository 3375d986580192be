import {
  confidenceOf,
  minutesAndSeconds,
  type ShootRecord,
  type Shot,
  type SwapPlan,
} from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { shareInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { useClock } from '../state/clock';
import { after, earlyInWords } from './headline';

interface Props {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
}

/** What to mind: the tightest flight, what stays in hand, and the shots that found no battery, each with the reason. */
export function Tidings({ plan, shoot, labelOf, shotOf }: Props) {
  const clock = useClock();
  const tightest = [...plan.flights].sort((a, b) => a.spareS - b.spareS)[0];
  return (
    <div className="tidings">
      <section>
        <h2 className="section-title">Tightest flight</h2>
        {tightest ? (
          <p>
            <b>{labelOf(tightest.batteryId)}</b> has {minutesAndSeconds(tightest.spareS)} min left over,{' '}
            {shareInWords(confidenceOf(shoot.policy))}. {earlyInWords(tightest.chanceEarly)} Clock times are
            of the flight as planned.
          </p>
        ) : (
          <p>Nothing is flown yet.</p>
        )}
      </section>
      <section>
        <h2 className="section-title">In hand</h2>
        <p>
          {plan.unusedBatteryIds.length > 0
            ? `${plan.unusedBatteryIds.map(labelOf).join(', ')} ${plan.unusedBatteryIds.length === 1 ? 'is' : 'are'} not flown.`
            : 'No battery is left over.'}
          {plan.flights.length > 0 &&
            ` Down for the last time at ${clock.format(after(shoot.startsAt, plan.doneS), 'HH:mm')}.`}
        </p>
      </section>
      <section>
        <h2 className="section-title">Not placed</h2>
        {plan.unplaced.length === 0 ? (
          <p>Nothing. Every shot is on a battery.</p>
        ) : (
          <ul>
            {plan.unplaced.map(({ shotId, reason }) => (
              <li key={shotId}>
                <span className="danger">
                  <IconAlertTriangle size={14} aria-hidden />
                  <b>{shotOf(shotId)?.name}</b>
                </span>{' '}
                <Say sentence={reason} />
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
