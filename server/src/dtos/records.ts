import {
  type AircraftContent,
  type BatteryContent,
  type BatteryKeeping,
  type BatteryState,
  batteryStates,
  type ChargeMark,
  type Charger,
  type ChargerContent,
  type ChargingWay,
  type Checkpoint,
  chargeMarkRanges,
  chargerRanges,
  chargingWays,
  checkpointRanges,
  type DayContent,
  type FitContent,
  type FlightLock,
  type FlightState,
  type GroundBelow,
  groundsBelow,
  type Handling,
  type HourlyWeather,
  handlings,
  type KeptPlace,
  keptPlaces,
  type LaunchPlace,
  type LeftTo,
  type LiftOffCheck,
  type LiftOffContent,
  type LightWish,
  type LogSource,
  launchPlaceRanges,
  leftTos,
  liftOffChecks,
  lightWishes,
  logSourceRanges,
  type Mode,
  type Moving,
  maxBatteriesOfShoot,
  maxChargeMarks,
  maxCheckpoints,
  maxFlightsOfFit,
  maxHours,
  maxLandingPlaces,
  maxLaunchPlaces,
  maxObstacles,
  maxPlanned,
  maxRecordings,
  maxShots,
  type PlaceContent,
  type PlanOrder,
  type PowerSource,
  type Purpose,
  planOrders,
  planRanges,
  powerSources,
  purposes,
  type Recording,
  ranges,
  type ShootContent,
  type Shot,
  type ShotNeed,
  type ShotPin,
  type SignKind,
  type Style,
  type SwapTime,
  shootRanges,
  shotNeeds,
  shotRanges,
  signKinds,
  siteRanges,
  styles,
  type TestFlight,
  type TestFlightContent,
  type TestPattern,
  type TestQuestionCode,
  type TimedChargeContent,
  testFlightRanges,
  testPatterns,
  testQuestionCodes,
  type WeatherSource,
} from '@acorn-tally/core';
import {
  Day,
  Id,
  Ids,
  InRange,
  Instant,
  Name,
  OneOf,
  Part,
  SomeOf,
  Text,
  Texts,
  TimeZone,
  YesNo,
} from '../http/fields';
import { FitDto } from './fit';
import {
  AircraftSpecDto,
  AirDto,
  CoordinatesDto,
  FlightDto,
  LandingPlaceDto,
  MannerDto,
  ObstacleDto,
  PackDto,
  PolicyDto,
  WeatherDto,
  WindDto,
} from './parts';

const optional = { optional: true };

export class LaunchPlaceDto implements LaunchPlace {
  @Text() id: string;
  @Name('Name of the launch place') name: string;
  @InRange(launchPlaceRanges.eastM) eastM: number;
  @InRange(launchPlaceRanges.northM) northM: number;
}

export class PlaceDto implements PlaceContent {
  @Name('Place') name: string;
  @InRange(ranges.conditions.elevationM) elevationM: number;
  @InRange(ranges.conditions.roughnessM, optional) roughnessM?: number | null;
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
  @TimeZone(optional) timeZone?: string | null;
  @InRange(siteRanges.tallestM, optional) tallestM?: number | null;
  @InRange(siteRanges.ceilingM, optional) ceilingM?: number | null;
  @Part(() => ObstacleDto, { most: maxObstacles, optional: true }) obstacles?: ObstacleDto[] | null;
  @Part(() => LandingPlaceDto, { most: maxLandingPlaces, optional: true })
  landingPlaces?: LandingPlaceDto[] | null;
  @Part(() => LaunchPlaceDto, { most: maxLaunchPlaces, optional: true })
  launchPlaces?: LaunchPlaceDto[] | null;
  @Part(() => LandingPlaceDto, optional) home?: LandingPlaceDto | null;
  @OneOf(groundsBelow, optional) below?: GroundBelow | null;
}

export class HourDto implements HourlyWeather {
  @Instant() at: string;
  @InRange(ranges.conditions.airTemperatureC) airTemperatureC: number;
  @InRange(ranges.conditions.relativeHumidity, optional) relativeHumidity?: number | null;
  @InRange(ranges.conditions.qnhHpa, optional) qnhHpa?: number | null;
  @Part(() => WindDto) wind: WindDto;
}

export class WeatherSourceDto implements WeatherSource {
  @Name('Source') name: string;
  @YesNo() practice: boolean;
}

export class DayDto implements DayContent {
  @Id() placeId: string;
  @Instant() at: string;
  @Part(() => AirDto) weather: AirDto;
  @Part(() => WeatherSourceDto, optional) weatherFrom?: WeatherSourceDto | null;
  @Part(() => HourDto, { most: maxHours, optional: true }) hours?: HourDto[] | null;
  @Part(() => WeatherSourceDto, optional) hoursFrom?: WeatherSourceDto | null;
}

export class RecordingDto implements Recording {
  @Name('Name of the setting') name: string;
  @InRange(ranges.flight.recordingLoadW) loadW: number;
}

export class AircraftDto implements AircraftContent {
  @Name('Name of the aircraft') name: string;
  @Part(() => AircraftSpecDto) spec: AircraftSpecDto;
  @Part(() => FlightDto) flight: FlightDto;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Instant(optional) retiredOn?: string | null;
  @Id(optional) currentFitId?: string | null;
  @YesNo(optional) takesFits?: boolean | null;
  @Part(() => RecordingDto, { most: maxRecordings, optional: true }) recordings?: RecordingDto[] | null;
}

export class KeepingDto implements BatteryKeeping {
  @OneOf(batteryStates, optional) state?: BatteryState | null;
  @Instant(optional) chargedAt?: string | null;
  @OneOf(keptPlaces, optional) keptAt?: KeptPlace | null;
  @Day(optional) boughtOn?: string | null;
  @Day(optional) healthMeasuredOn?: string | null;
  @Text(optional) notes?: string | null;
}

export class BatteryDto implements BatteryContent {
  @Id() aircraftId: string;
  @Name('Label of the battery') label: string;
  @Part(() => PackDto) pack: PackDto;
  @Part(() => KeepingDto, optional) keeping?: KeepingDto | null;
}

export class ChargerSpecDto implements Charger {
  @InRange(chargerRanges.atOnce) atOnce: number;
  @InRange(chargerRanges.emptyToFullS) emptyToFullS: number;
  @InRange(chargerRanges.timedWh, optional) timedWh?: number | null;
  @InRange(chargerRanges.powerW, optional) powerW?: number | null;
  @Ids(20, optional) aircraftIds?: string[] | null;
  @OneOf(powerSources) power: PowerSource;
  @Instant(optional) powerUntil?: string | null;
}

export class ChargerDto implements ChargerContent {
  @Name('Name of the charger') name: string;
  @Part(() => ChargerSpecDto) charger: ChargerSpecDto;
}

export class CheckpointDto implements Checkpoint {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
  @InRange(checkpointRanges.cellVoltageV, optional) cellVoltageV?: number | null;
  @InRange(checkpointRanges.lowestCellVoltageV, optional) lowestCellVoltageV?: number | null;
  @InRange(checkpointRanges.cellSpreadV, optional) cellSpreadV?: number | null;
  @InRange(checkpointRanges.leftS, optional) leftS?: number | null;
  @OneOf(signKinds, optional) kind?: SignKind | null;
  @InRange(checkpointRanges.heightM, optional) heightM?: number | null;
  @InRange(checkpointRanges.speedMps, optional) speedMps?: number | null;
}

export class TestDto implements TestFlight {
  @OneOf(testPatterns) pattern: TestPattern;
  @OneOf(
    styles.filter((style) => style !== 'hover'),
    optional,
  )
  mode?: Mode | null;
  @InRange(testFlightRanges.airspeedMps, optional) airspeedMps?: number | null;
  @InRange(testFlightRanges.reversalsPerMin, optional) reversalsPerMin?: number | null;
  @OneOf(handlings, optional) handling?: Handling | null;
  @InRange(testFlightRanges.heightM) heightM: number;
  @InRange(testFlightRanges.startCharge) startCharge: number;
  @InRange(testFlightRanges.endCharge) endCharge: number;
  @InRange(testFlightRanges.durationS) durationS: number;
  @InRange(testFlightRanges.startTemperatureC, optional) startTemperatureC?: number | null;
  @InRange(testFlightRanges.endTemperatureC, optional) endTemperatureC?: number | null;
  @Part(() => CheckpointDto, { most: maxCheckpoints, optional: true }) checkpoints?: CheckpointDto[] | null;
  @OneOf(leftTos, optional) leftTo?: LeftTo | null;
  @Text(optional) recording?: string | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @Text(optional) attached?: string | null;
  @InRange(ranges.aircraft.addedMassKg, optional) addedMassKg?: number | null;
  @YesNo(optional) freshRotors?: boolean | null;
}

export class LogSourceDto implements LogSource {
  @Text() name: string;
  @Text() hash: string;
  @InRange(logSourceRanges.flightNumber) flightNumber: number;
}

export class TestFlightDto implements TestFlightContent {
  @Id() aircraftId: string;
  @Id() batteryId: string;
  @Instant() flownAt: string;
  @OneOf(purposes, optional) purpose?: Purpose | null;
  @Part(() => TestDto) test: TestDto;
  @Part(() => WeatherDto) weather: WeatherDto;
  @Text(optional) note?: string | null;
  @Text(optional) excludedReason?: string | null;
  @SomeOf(liftOffChecks, optional) liftOff?: LiftOffCheck[] | null;
  @SomeOf(testQuestionCodes, optional) confirmed?: TestQuestionCode[] | null;
  @Part(() => LogSourceDto, optional) source?: LogSourceDto | null;
  @Instant(optional) estimatedAt?: string | null;
}

export class ChargeMarkDto implements ChargeMark {
  @InRange(chargeMarkRanges.timeS) timeS: number;
  @InRange(chargeMarkRanges.charge) charge: number;
}

export class TimedChargeDto implements TimedChargeContent {
  @Id() chargerId: string;
  @Id() batteryId: string;
  @OneOf(chargingWays) way: ChargingWay;
  @Instant() startedAt: string;
  @Part(() => ChargeMarkDto, { most: maxChargeMarks }) marks: ChargeMarkDto[];
  @Text(optional) note?: string | null;
}

export class FlightStateDto implements FlightState {
  @Id() id: string;
  @Text() state: string;
}

export class FitRecordDto implements FitContent {
  @Id() aircraftId: string;
  @Instant() madeAt: string;
  @Text() basisState: string;
  @Part(() => FlightStateDto, { most: maxFlightsOfFit }) flights: FlightStateDto[];
  @Part(() => FitDto) fit: FitDto;
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

export class ShootDto implements ShootContent {
  @Name('Name of the shoot') name: string;
  @Id() aircraftId: string;
  @Id() dayId: string;
  @Ids(maxBatteriesOfShoot) batteryIds: string[];
  @Instant() startsAt: string;
  @InRange(shootRanges.swapTimeS) swapTimeS: number;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Part(() => ShotDto, { most: maxShots }) shots: ShotDto[];
  @Instant(optional) endsAt?: string | null;
  @OneOf(planOrders, optional) order?: PlanOrder | null;
  @Ids(maxPlanned.chargers, optional) chargerIds?: string[] | null;
  @InRange(planRanges.coolingS, optional) coolingS?: number | null;
  @Id(optional) otherAircraftId?: string | null;
  @Part(() => SwapTimeDto, optional) swapParts?: SwapTimeDto | null;
  @Part(() => MovingDto, optional) moving?: MovingDto | null;
  @Part(() => FlightLockDto, { most: maxPlanned.takes, optional: true }) locks?: FlightLockDto[] | null;
  @Texts(maxShots, optional) leftOutIds?: string[] | null;
}

export class LiftOffDto implements LiftOffContent {
  @Id() batteryId: string;
  @SomeOf(liftOffChecks) ticked: LiftOffCheck[];
}
