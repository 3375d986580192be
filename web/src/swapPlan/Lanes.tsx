import {
  type Coordinates,
  type FlightOfPlan,
  lightBetween,
  type PlanRequest,
  type SpanOfLane,
  type SwapPlan,
} from '@acorn-tally/core';
import { Tooltip, UnstyledButton } from '@mantine/core';
import { percent } from '../fields/percent';
import { LightBand } from '../parts/LightBand';
import { ScrollTable } from '../parts/ScrollTable';
import type { Clock } from '../state/clock';
import { useWriter } from '../state/units';
import styles from './Lanes.module.css';

interface Props {
  readonly plan: SwapPlan;
  readonly request: PlanRequest;
  readonly names: Names;
  /** The number of the flight whose card is open. */
  readonly openNumber: number | null;
  readonly onOpen: (number: number) => void;
}

/** What things of a plan are called. */
export interface Names {
  /** Of where it is flown, which may be elsewhere than what the ribbon shows. */
  readonly clock: Clock;
  battery(id: string): string;
  charger(id: string | undefined): string;
  place(id: string | null): string;
  shot(id: string): string;
  /** From 1, in the order of the list. */
  number(shotId: string): number;
}

const tickStepsMs = [300, 600, 900, 1800, 3600].map((s) => s * 1000);

/** The shoot along the clock: a lane for each battery, under the light and the wind it is flown in. */
export function Lanes({ plan, request, names, openNumber, onOpen }: Props) {
  const { clock } = names;
  const startMs = Date.parse(request.startAt);
  const doneMs = Date.parse(plan.figures.endAt);
  const stepMs = tickStepsMs.find((step) => (doneMs - startMs) / step <= 9) ?? 7_200_000;
  const untilMs = startMs + Math.max(1, Math.ceil((doneMs - startMs) / stepMs)) * stepMs;
  const place = (ms: number) => `${((ms - startMs) / (untilMs - startMs)) * 100}%`;
  const wide = (fromMs: number, toMs: number) => `${((toMs - fromMs) / (untilMs - startMs)) * 100}%`;
  const ticks = Array.from({ length: (untilMs - startMs) / stepMs + 1 }, (_, i) => startMs + i * stepMs);
  const nowMs = Date.now();
  const moves = plan.flights.filter(
    ({ launchPlaceId }, i) => i > 0 && plan.flights[i - 1]?.launchPlaceId !== launchPlaceId,
  );
  return (
    <ScrollTable label="The shoot along the clock">
      <div className={styles.board}>
        <div className={styles.scale} aria-hidden>
          {ticks.map((tick) => (
            <span key={tick} style={{ left: place(tick) }}>
              {clock.format(new Date(tick).toISOString(), 'HH:mm')}
            </span>
          ))}
        </div>
        <Light request={request} startMs={startMs} untilMs={untilMs} />
        <Wind request={request} startMs={startMs} untilMs={untilMs} />
        <ul className={styles.lanes}>
          {plan.lanes.map(({ batteryId, spans }) => (
            <li key={batteryId}>
              <b>{names.battery(batteryId)}</b>
              <div className={styles.lane}>
                {ticks.map((tick) => (
                  <i key={tick} className={styles.tick} style={{ left: place(tick) }} />
                ))}
                {spans
                  .filter(({ kind }) => kind !== 'flying')
                  .map((span) => (
                    <Rest
                      key={span.fromAt}
                      span={span}
                      names={names}
                      left={place(Date.parse(span.fromAt))}
                      width={wide(Date.parse(span.fromAt), Date.parse(span.untilAt))}
                    />
                  ))}
                {plan.flights
                  .filter((flight) => flight.batteryId === batteryId)
                  .map((flight) => (
                    <InTheAir
                      key={flight.number}
                      flight={flight}
                      names={names}
                      left={place(Date.parse(flight.takeoffAt))}
                      width={wide(Date.parse(flight.takeoffAt), Date.parse(flight.touchdownAt))}
                      isOpen={flight.number === openNumber}
                      onOpen={() => onOpen(flight.number)}
                    />
                  ))}
                {spans.every(({ kind }) => kind === 'ready') && (
                  <span className={styles.inHand}>
                    {percent(spans[0]?.chargeFrom ?? 0)}, in hand: not flown by this plan
                  </span>
                )}
              </div>
            </li>
          ))}
        </ul>
        {moves.map(({ number, takeoffAt, launchPlaceId }) => (
          <p
            key={number}
            className={styles.move}
            style={{
              paddingLeft: `calc(92px + (100% - 92px) * ${(Date.parse(takeoffAt) - startMs) / (untilMs - startMs)})`,
            }}
          >
            moved to {names.place(launchPlaceId)}
          </p>
        ))}
        <div className={styles.marks} aria-hidden>
          <i className={styles.done} style={{ left: place(doneMs) }} />
          {nowMs > startMs && nowMs < untilMs && <i className={styles.now} style={{ left: place(nowMs) }} />}
        </div>
      </div>
    </ScrollTable>
  );
}

interface OverTime {
  readonly request: PlanRequest;
  readonly startMs: number;
  readonly untilMs: number;
}

function Light({ request, startMs, untilMs }: OverTime) {
  const coordinates: Coordinates | null = request.coordinates ?? null;
  if (!coordinates) return null;
  return (
    <div className={styles.light}>
      <LightBand
        spans={lightBetween(startMs, untilMs, coordinates).map(({ fromMs, toMs, light }) => ({
          key: fromMs,
          share: (toMs - fromMs) / (untilMs - startMs),
          light,
        }))}
      />
    </div>
  );
}

/** The wind as the rows have it, where it changes over the shoot. */
function Wind({ request, startMs, untilMs }: OverTime) {
  const { write } = useWriter();
  const rows = [...(request.hours ?? [])]
    .map(({ at, wind }) => ({ ms: Date.parse(at), mps: wind.speedMps, heightM: wind.readingHeightM }))
    .filter(({ ms }) => ms > startMs - 3_600_000 && ms < untilMs + 3_600_000);
  if (rows.length < 2) return null;
  const most = Math.max(...rows.map(({ mps }) => mps));
  const least = Math.min(...rows.map(({ mps }) => mps));
  const points = rows
    .map(({ ms, mps }) => {
      const x = ((ms - startMs) / (untilMs - startMs)) * 100;
      return `${x.toFixed(2)},${(10 - (8 * mps) / Math.max(1, most)).toFixed(2)}`;
    })
    .join(' ');
  return (
    <div className={styles.wind}>
      <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden>
        <title>Wind</title>
        <polyline points={points} />
      </svg>
      <span>
        wind at {write('distance', rows[0]?.heightM ?? 0)}, {write('speed', least)}
        {write('speed', most) !== write('speed', least) && ` to ${write('speed', most)}`}
      </span>
    </div>
  );
}

interface RestProps {
  readonly span: SpanOfLane;
  readonly names: Names;
  readonly left: string;
  readonly width: string;
}

function Rest({ span, names, left, width }: RestProps) {
  const { kind, chargeFrom, chargeTo, chargerId } = span;
  return (
    <i className={styles.rest} data-kind={kind} style={{ left, width }}>
      {kind === 'charging' && (
        <span>
          {names.charger(chargerId)}, {Math.round(chargeFrom * 100)} → {percent(chargeTo)}
        </span>
      )}
    </i>
  );
}

interface InTheAirProps {
  readonly flight: FlightOfPlan;
  readonly names: Names;
  readonly left: string;
  readonly width: string;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

/** A flight in the tally's colours: takes in acorn, what lies between them pale, the way home in blue. */
function InTheAir({ flight, names, left, width, isOpen, onOpen }: InTheAirProps) {
  const fromMs = Date.parse(flight.takeoffAt);
  const lastsMs = Date.parse(flight.touchdownAt) - fromMs;
  const share = (at: string) => ((Date.parse(at) - fromMs) / lastsMs) * 100;
  const said = flight.shots.map(
    ({ shotId, take }) => `${names.shot(shotId)}${take > 1 ? `, take ${take}` : ''}`,
  );
  return (
    <Tooltip label={`Flight ${flight.number}: ${said.join(' · ')}`}>
      <UnstyledButton
        className={styles.flight}
        style={{ left, width }}
        aria-label={`Flight ${flight.number} of ${names.battery(flight.batteryId)}: ${said.join(', ')}`}
        aria-expanded={isOpen}
        onClick={onOpen}
      >
        {flight.shots.map(({ shotId, take, startAt, endAt }) => (
          <i
            key={`${shotId} ${take}`}
            className={styles.take}
            style={{ left: `${share(startAt)}%`, width: `${share(endAt) - share(startAt)}%` }}
          >
            {names.number(shotId)}
          </i>
        ))}
        <i className={styles.home} style={{ left: `${share(flight.turnBackAt)}%` }} />
      </UnstyledButton>
    </Tooltip>
  );
}
