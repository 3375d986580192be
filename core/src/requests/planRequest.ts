import type { Conditions } from '../air/conditions';
import { weatherAtHour } from '../air/hours';
import { type LaunchPlace, tallestThingM } from '../air/site';
import { sunTimes } from '../air/sun';
import { isFlown, keptTemperatureC, packAt } from '../battery/keeping';
import type { DayAtPlace } from '../records/day';
import type { AircraftRecord, BatteryRecord, ChargerRecord, ShootRecord } from '../records/records';
import type { PlanRequest } from '../swapPlan/request/request';
import type { Shot, ShotPin } from '../swapPlan/request/shot';
import { fromHome } from './home';

/** What a plan of a shoot is made from. */
export interface Shooting {
  readonly shoot: ShootRecord;
  /** The first, and the one that flies in turn with it. */
  readonly aircraft: readonly AircraftRecord[];
  readonly batteries: readonly BatteryRecord[];
  readonly chargers: readonly ChargerRecord[];
  readonly conditions: DayAtPlace;
  readonly launchPlaces: readonly LaunchPlace[];
}

/** Where shots are flown from that name no launch place. */
export const homePlaceId = 'home';

/** A shoot as it is asked to be planned: packs as they will be at its first take-off, in the weather of its hours where it is known. */
export function planRequestFor(shooting: Shooting): PlanRequest {
  const { shoot, aircraft, conditions, launchPlaces } = shooting;
  const places = [{ id: homePlaceId, name: conditions.place, eastM: 0, northM: 0 }, ...launchPlaces];
  const isThere = (id: string | null | undefined) => places.some((place) => place.id === id);
  const shots = shotsOf(shoot).map((shot) => {
    const launchPlaceId = isThere(shot.launchPlaceId) ? shot.launchPlaceId : null;
    const aircraftId = aircraft.some(({ id }) => id === shot.aircraftId) ? shot.aircraftId : null;
    return launchPlaceId
      ? { ...shot, aircraftId, launchPlaceId }
      : { ...fromHome(conditions, shot), aircraftId, launchPlaceId: null };
  });
  const batteries = batteriesOf(shooting);
  return {
    startAt: shoot.startsAt,
    endAt: shoot.endsAt ?? duskAfter(shoot.startsAt, conditions),
    order: shoot.order ?? 'kept',
    aircraft: aircraft.map(({ id, spec, flight }) => ({
      id,
      spec,
      returnHeightM: flight.returnHeightM ?? null,
      recordingLoadW: flight.recordingLoadW ?? null,
      addedMassKg: flight.addedMassKg ?? null,
    })),
    batteries,
    chargers: chargersOf(shooting),
    coolingS: shoot.coolingS ?? null,
    launchPlaces: places,
    moving: shoot.moving ?? null,
    swap: shoot.swapParts ?? { landToLiftOffS: shoot.swapTimeS },
    shots,
    locks: (shoot.locks ?? []).filter(({ batteryId }) => batteries.some(({ id }) => id === batteryId)),
    coordinates: conditions.site.coordinates ?? null,
    tallestM: tallestThingM(conditions.site),
    ...weatherOf(shooting),
    policy: shoot.policy,
  };
}

/** When a shoot that names no end is over: at the end of civil twilight, where the sun is known; many rules ask for more after it. */
export function duskAfter(startsAt: string, { site }: Pick<DayAtPlace, 'site'>): string | null {
  const dusk = site.coordinates ? sunTimes(startsAt, site.coordinates).dusk : null;
  return dusk !== null && Date.parse(dusk) - Date.parse(startsAt) > minShootMs ? dusk : null;
}
const minShootMs = 1_800_000;

/** The shots to be planned, asking only for what there is. */
function shotsOf({ shots, leftOutIds, batteryIds }: ShootRecord): Shot[] {
  const planned = shots.filter(({ id }) => !leftOutIds?.includes(id));
  const ids = planned.map(({ id }) => id);
  return planned.map((shot) => ({
    ...shot,
    after: (shot.after ?? []).filter((id) => ids.includes(id)),
    pin: shot.pin ? pinToWhatIsThere(shot.pin, ids, batteryIds) : null,
  }));
}

function pinToWhatIsThere(
  { batteryId, withShotId, ...pin }: ShotPin,
  shotIds: readonly string[],
  batteryIds: readonly string[],
): ShotPin | null {
  const there = {
    ...pin,
    batteryId: batteryId != null && batteryIds.includes(batteryId) ? batteryId : null,
    withShotId: withShotId != null && shotIds.includes(withShotId) ? withShotId : null,
  };
  return Object.values(there).some((one) => one != null) ? there : null;
}

function batteriesOf({ shoot, batteries, conditions }: Shooting): PlanRequest['batteries'] {
  const flown = batteries.filter(({ keeping }) => isFlown(keeping));
  const atHand = shoot.batteryIds.flatMap((id) => flown.filter((battery) => battery.id === id));
  const { airTemperatureC } = conditionsAtStart(shoot, conditions);
  return atHand.map(({ id, aircraftId, label, pack, keeping }) => ({
    ...packAt(pack, keeping, shoot.startsAt, airTemperatureC),
    id,
    aircraftId,
    label,
    waitingTemperatureC: keeping?.keptAt ? keptTemperatureC(keeping.keptAt, airTemperatureC) : null,
  }));
}

function chargersOf({ shoot, chargers }: Shooting): PlanRequest['chargers'] {
  const used = (shoot.chargerIds ?? []).flatMap((id) => chargers.filter((charger) => charger.id === id));
  if (used.length === 0) return null;
  return used.map(({ id, name, charger }) => ({
    id,
    name,
    packsAtOnce: charger.atOnce,
    emptyToFullS: charger.emptyToFullS,
    timedWh: charger.timedWh ?? null,
    powerW: charger.powerW ?? null,
    aircraftIds: charger.aircraftIds ?? null,
    untilAt: charger.powerUntil ?? null,
  }));
}

/** The hours of the day where they know the first take-off; else the one weather that is set. */
function weatherOf({ shoot, conditions }: Shooting): Pick<PlanRequest, 'conditions' | 'hours'> {
  const { hours, weather } = conditions;
  if (!hours || !weatherAtHour(hours, shoot.startsAt, weather)) return { conditions: weather };
  return { hours: hours.map((hour) => ({ ...weather, ...hour })) };
}

export function conditionsAtStart(shoot: Pick<ShootRecord, 'startsAt'>, conditions: DayAtPlace): Conditions {
  return weatherAtHour(conditions.hours ?? [], shoot.startsAt, conditions.weather) ?? conditions.weather;
}
