import { type FlightOfPlan, minutesAndSeconds, type ShootRecord } from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { percent, turnBackPercent } from '../fields/percent';
import { useRecords } from '../records/records';
import { useBatteriesOfShoot } from '../state/current';
import { useWriter } from '../state/units';
import styles from './FlightDetail.module.css';
import type { Names } from './Lanes';

interface Props {
  readonly flight: FlightOfPlan;
  readonly shoot: ShootRecord;
  readonly names: Names;
}

const anyBattery = 'any';

/** One flight from take-off to touch-down, and which battery it is kept to. */
export function FlightDetail({ flight, shoot, names }: Props) {
  const { write } = useWriter();
  const edit = useRecords((state) => state.edit);
  const batteries = useBatteriesOfShoot(shoot).filter(({ id }) => shoot.batteryIds.includes(id));
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const lastsS = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 1000;
  const lock = shoot.locks?.find(({ flightNumber }) => flightNumber === flight.number);
  const keepTo = (batteryId: string) => {
    const others = (shoot.locks ?? []).filter(({ flightNumber }) => flightNumber !== flight.number);
    const locks = batteryId === anyBattery ? others : [...others, { flightNumber: flight.number, batteryId }];
    edit('shoots', shoot.id, { locks }, `battery of flight ${flight.number}`, { apart: true });
  };
  return (
    <div className={styles.flight}>
      <ol>
        <li>
          <b>{time(flight.takeoffAt)}</b> lifts off with {percent(flight.startCharge)}, pack at{' '}
          {write('temperature', flight.startTemperatureC)}
        </li>
        {flight.shots.map((taken, i) => {
          const before = flight.shots[i - 1]?.endAt ?? flight.takeoffAt;
          return (
            <li key={`${taken.shotId} ${taken.take}`}>
              <b>{time(taken.startAt)}</b> after {minutesAndSeconds(lastsS(before, taken.startAt))}:{' '}
              {names.number(taken.shotId)} {names.shot(taken.shotId)}
              {taken.take > 1 && `, take ${taken.take}`},{' '}
              {minutesAndSeconds(lastsS(taken.startAt, taken.endAt))} min, then {percent(taken.chargeAfter)}
            </li>
          );
        })}
        <li>
          <b>{time(flight.turnBackAt)}</b> turns back
          {flight.turnBackCharge !== null && (
            <>
              ; by <b className={styles.turn}>{turnBackPercent(flight.turnBackCharge)}</b> at the latest
            </>
          )}
        </li>
        <li>
          <b>{time(flight.touchdownAt)}</b> touches down with {percent(flight.touchdownCharge.p50)}
        </li>
      </ol>
      <ChoiceField
        stacked
        label="Battery of this flight"
        value={lock?.batteryId ?? anyBattery}
        options={[
          { value: anyBattery, label: 'whichever is best' },
          ...batteries.map(({ id, label }) => ({ value: id, label })),
        ]}
        onChange={keepTo}
      />
    </div>
  );
}
