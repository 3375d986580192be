import {
  type AircraftRecord,
  type DayRecord,
  defaultReserveCharge,
  isFlown,
  type ShootRecord,
} from '@acorn-tally/core';
import { useRecords } from '../records/records';
import { usePreferences } from '../state/preferences';

const defaultSwapTimeS = 270;

/** Begins a shoot on a day, with all batteries of an aircraft that are flown, and shows it. */
export function useBeginShoot() {
  const choose = usePreferences((state) => state.choose);
  return (aircraft: AircraftRecord, day: DayRecord): void => {
    const { add, batteries, shoots } = useRecords.getState();
    const own = batteries.filter((one) => one.aircraftId === aircraft.id && isFlown(one.keeping));
    const content = {
      name: freeName(shoots),
      aircraftId: aircraft.id,
      dayId: day.id,
      batteryIds: own.map(({ id }) => id),
      startsAt: day.at,
      swapTimeS: defaultSwapTimeS,
      policy: { kind: 'touch-down-charge' as const, reserveCharge: defaultReserveCharge },
      shots: [],
    };
    choose({ shootId: add('shoots', content, 'starting a shoot').id, shotId: null });
  };
}

function freeName(shoots: readonly ShootRecord[]): string {
  const taken = new Set(shoots.map(({ name }) => name));
  for (let number = 1; ; number++) {
    const name = number === 1 ? 'My shoot' : `My shoot ${number}`;
    if (!taken.has(name)) return name;
  }
}
