import type { PlannedFlight, Shot, SwapPlan } from '@acorn-tally/core';
import { Wide } from '../app/Wide';
import { useClock } from '../state/clock';
import { after } from './headline';

interface Props {
  readonly plan: SwapPlan;
  readonly startsAt: string;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
  readonly numberOf: (shotId: string) => number;
}

const tickStepsS = [300, 600, 900, 1800, 3600];

/** The shoot along the clock, one lane a flight: out and between in pale, shots in acorn, way home in blue, swap hatched. */
export function Timeline({ plan, startsAt, labelOf, shotOf, numberOf }: Props) {
  const clock = useClock();
  const lastS = plan.doneS;
  const stepS = tickStepsS.find((step) => lastS / step <= 9) ?? 7200;
  const spanS = Math.ceil(lastS / stepS) * stepS;
  const place = (seconds: number) => `${(seconds / spanS) * 100}%`;
  const ticks = Array.from({ length: spanS / stepS + 1 }, (_, i) => i * stepS);
  return (
    <Wide label="The shoot along the clock">
      <div className="timeline">
        <div className="timeline-scale" aria-hidden>
          {ticks.map((tick) => (
            <span key={tick} style={{ left: place(tick) }}>
              {clock.format(after(startsAt, tick), 'HH:mm')}
            </span>
          ))}
        </div>
        <ul>
          {plan.flights.map((flight, index) => (
            <li key={flight.batteryId}>
              <b>{labelOf(flight.batteryId)}</b>
              <div className="lane">
                {ticks.map((tick) => (
                  <i key={tick} className="lane-tick" style={{ left: place(tick) }} />
                ))}
                <Bar flight={flight} place={place} shotOf={shotOf} numberOf={numberOf} />
                {index < plan.flights.length - 1 && (
                  <i
                    className="lane-swap"
                    title="swap"
                    style={{
                      left: place(flight.touchdownS),
                      width: place(flight.swappedS - flight.touchdownS),
                    }}
                  />
                )}
              </div>
            </li>
          ))}
          {plan.unusedBatteryIds.map((id) => (
            <li key={id}>
              <b>{labelOf(id)}</b>
              <div className="lane lane-idle">in hand</div>
            </li>
          ))}
        </ul>
      </div>
    </Wide>
  );
}

interface BarProps {
  readonly flight: PlannedFlight;
  readonly place: (seconds: number) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
  readonly numberOf: (shotId: string) => number;
}

function Bar({ flight, place, shotOf, numberOf }: BarProps) {
  const { takeoffS, turnBackS, touchdownS, shots } = flight;
  return (
    <>
      <i className="lane-out" style={{ left: place(takeoffS), width: place(turnBackS - takeoffS) }} />
      {shots.map(({ shotId, startS, endS }) => (
        <span
          key={shotId}
          className="lane-shot"
          style={{ left: place(takeoffS + startS), width: place(endS - startS) }}
          title={shotOf(shotId)?.name}
        >
          <b>{numberOf(shotId)}</b>
          <span>{shotOf(shotId)?.name}</span>
        </span>
      ))}
      <i
        className="lane-home"
        title="way home"
        style={{ left: place(turnBackS), width: place(touchdownS - turnBackS) }}
      />
    </>
  );
}
