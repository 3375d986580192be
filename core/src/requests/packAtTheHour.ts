import type { Battery } from '../battery/battery';
import { packAt } from '../battery/keeping';
import type { DayAtPlace } from '../records/day';
import type { BatteryRecord } from '../records/records';

/** A battery as it will be at the day's hour: how long it has stood, and how warm it is where it waits. */
export function packAtTheHour(battery: BatteryRecord, conditions: DayAtPlace): Battery {
  return packAt(battery.pack, battery.keeping, conditions.at, conditions.weather.airTemperatureC);
}
