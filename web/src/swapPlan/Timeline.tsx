import type { Coordinates, PlannedFlight, Shot, SwapPlan } from '@acorn-tally/core';
import { Tooltip } from '@mantine/core';
import { lightBetween } from '../answers/light';
import { LightBand } from '../parts/LightBand';
import { Wide } from '../parts/Wide';
import { useClock } from '../state/clock';
import { after } from './headline';
import styles from './Timeline.module.css';

interface Props {
  readonly plan: SwapPlan;
  readonly startsAt: string;
  /** Where it is flown, for the sun; null where that is not known. */
  readonly coordinates: Coordinates | null;
  readonly labelOf: (batteryId: string) => string;
  readonly shotOf: (shotId: string) => Shot | undefined;
  readonly numberOf: (shotId: string) => number;
}

const tickStepsS = [300, 600, 900, 1800, 3600];

/** The shoot along the clock, one lane a flight: out and between in pale, shots in acorn, way home in blue, swap hatched. */
export function Timeline({ plan, startsAt, coordinates, labelOf, shotOf, numberOf }: Props) {
  const clock = useClock();
  const lastS = plan.doneS;
  const stepS = tickStepsS.find((step) => lastS / step <= 9) ?? 7200;
  const spanS = Math.ceil(lastS / stepS) * stepS;
  const place = (seconds: number) => `${(seconds / spanS) * 100}%`;
  const startMs = Date.parse(startsAt);
  const lights = coordinates ? lightBetween(startMs, startMs + spanS * 1000, coordinates) : [];
  const ticks = Array.from({ length: spanS / stepS + 1 }, (_, i) => i * stepS);
  return (
    <Wide label="The shoot along the clock">
      <div className={styles.timeline}>
        <div className={styles.scale} aria-hidden>
          {ticks.map((tick) => (
            <span key={tick} style={{ left: place(tick) }}>
              {clock.format(after(startsAt, tick), 'HH:mm')}
            </span>
          ))}
        </div>
        {lights.length > 0 && (
          <div className={styles.light}>
            <LightBand
              spans={lights.map(({ fromMs, toMs, light }) => ({
                key: fromMs,
                share: (toMs - fromMs) / (spanS * 1000),
                light,
              }))}
            />
          </div>
        )}
        <ul className={styles.lanes}>
          {plan.flights.map((flight, index) => (
            <li key={flight.batteryId}>
              <b>{labelOf(flight.batteryId)}</b>
              <div className={styles.lane}>
                {ticks.map((tick) => (
                  <i key={tick} className={styles.tick} style={{ left: place(tick) }} />
                ))}
                <Bar flight={flight} place={place} shotOf={shotOf} numberOf={numberOf} />
                {index < plan.flights.length - 1 && (
                  <i
                    className={styles.swap}
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
              <div className={`${styles.lane} ${styles.idle}`}>in hand</div>
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
      <i className={styles.out} style={{ left: place(takeoffS), width: place(turnBackS - takeoffS) }} />
      {shots.map(({ shotId, startS, endS }) => (
        <Tooltip key={shotId} label={shotOf(shotId)?.name}>
          <span
            className={styles.shot}
            style={{ left: place(takeoffS + startS), width: place(endS - startS) }}
          >
            <b>{numberOf(shotId)}</b>
            <span>{shotOf(shotId)?.name}</span>
          </span>
        </Tooltip>
      ))}
      <i className={styles.home} style={{ left: place(turnBackS), width: place(touchdownS - turnBackS) }} />
    </>
  );
}
