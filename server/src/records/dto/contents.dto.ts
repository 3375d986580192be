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
  chargeMarkRanges,
  chargerRanges,
  chargingWays,
  type DayContent,
  type FitContent,
  type FlightState,
  type GroundBelow,
  groundsBelow,
  type KeptPlace,
  type KeptPlanContent,
  keptPlaces,
  type LiftOffCheck,
  type LiftOffContent,
  type LogSource,
  liftOffChecks,
  logSourceRanges,
  maxBatteriesOfShoot,
  maxChargeMarks,
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
  shootRanges,
  siteRanges,
  type TestFlightContent,
  type TestQuestionCode,
  type TimedChargeContent,
  testQuestionCodes,
  type WeatherSource,
} from '@acorn-tally/core';
import { FitDto } from '../../calculations/dto/fit.dto';
import { TestDto } from '../../calculations/dto/projection.dto';
import {
  FlightLockDto,
  LaunchPlaceDto,
  MovingDto,
  ShotDto,
  SwapTimeDto,
} from '../../calculations/dto/shot.dto';
import { SwapPlanRequestDto } from '../../calculations/dto/swapPlan.dto';
import { PlanAsReadDto } from '../../calculations/dto/swapPlanAnswer.dto';
import {
  AircraftSpecDto,
  AirDto,
  CoordinatesDto,
  FlightDto,
  HourDto,
  LandingPlaceDto,
  ObstacleDto,
  PackDto,
  PolicyDto,
  WeatherDto,
} from '../../http/dto/parts.dto';
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
} from '../../http/fields';

const optional = { optional: true };

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

export class KeptPlanDto implements KeptPlanContent {
  @Id() shootId: string;
  @Instant() keptAt: string;
  @Part(() => SwapPlanRequestDto) request: SwapPlanRequestDto;
  @Part(() => PlanAsReadDto) plan: PlanAsReadDto;
}
