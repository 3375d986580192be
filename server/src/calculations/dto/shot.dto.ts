import {
  type FlightLock,
  type LaunchPlace,
  type LightWish,
  launchPlaceRanges,
  lightWishes,
  type Moving,
  maxShots,
  planRanges,
  ranges,
  type Shot,
  type ShotNeed,
  type ShotPin,
  type Style,
  type SwapTime,
  shotNeeds,
  shotRanges,
  styles,
} from '@acorn-tally/core';
import { MannerDto } from '../../http/dto/parts.dto';
import { InRange, Instant, Name, OneOf, Part, Text, Texts } from '../../http/fields';

const optional = { optional: true };

export class LaunchPlaceDto implements LaunchPlace {
  @Text() id: string;
  @Name('Name of the launch place') name: string;
  @InRange(launchPlaceRanges.eastM) eastM: number;
  @InRange(launchPlaceRanges.northM) northM: number;
}

export class ShotPinDto implements ShotPin {
  @Text(optional) batteryId?: string | null;
  @InRange(shotRanges.flightNumber, optional) flightNumber?: number | null;
  @Text(optional) withShotId?: string | null;
}

export class ShotDto extends MannerDto implements Shot {
  @Text() id: string;
  @Name('Name of the shot') name: string;
  @InRange(shotRanges.durationS) durationS: number;
  @OneOf(styles) style: Style;
  @InRange(shotRanges.addedMassKg, optional) addedMassKg?: number | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @InRange(shotRanges.distanceM) distanceM: number;
  @InRange(shotRanges.bearingDeg) bearingDeg: number;
  @InRange(shotRanges.heightM) heightM: number;
  @Text(optional) aircraftId?: string | null;
  @Text(optional) launchPlaceId?: string | null;
  @InRange(shotRanges.takes, optional) takes?: number | null;
  @InRange(shotRanges.setUpS, optional) setUpS?: number | null;
  @OneOf(shotNeeds, optional) need?: ShotNeed | null;
  @Instant(optional) earliestAt?: string | null;
  @Instant(optional) latestAt?: string | null;
  @OneOf(lightWishes, optional) light?: LightWish | null;
  @Texts(maxShots, optional) after?: string[] | null;
  @Part(() => ShotPinDto, optional) pin?: ShotPinDto | null;
}

export class FlightLockDto implements FlightLock {
  @InRange(shotRanges.flightNumber) flightNumber: number;
  @Text() batteryId: string;
}

export class MovingDto implements Moving {
  @InRange(planRanges.speedMps, optional) speedMps?: number | null;
  @InRange(planRanges.packUpS, optional) packUpS?: number | null;
}

export class SwapTimeDto implements SwapTime {
  @InRange(planRanges.landToLiftOffS, optional) landToLiftOffS?: number | null;
  @InRange(planRanges.landS, optional) landS?: number | null;
  @InRange(planRanges.changeS, optional) changeS?: number | null;
  @InRange(planRanges.satellitesS, optional) satellitesS?: number | null;
}
