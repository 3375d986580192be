import {
  type CalibrationEvent,
  type CalibrationFlight,
  type CalibrationReading,
  checkpointRanges,
  drawRanges,
  type EstimateRequest,
  type GroundBelow,
  groundsBelow,
  maxCheckpoints,
  maxFlightsOfFit,
  maxLandingPlaces,
  maxLegs,
  maxObstacles,
  maxPacksOfFit,
  maxShares,
  type PackAsKept,
  type ProjectionRequest,
  type Purpose,
  positionRanges,
  purposes,
  type ReturnRequest,
  ranges,
  type SignKind,
  signKinds,
  siteRanges,
  testFlightRanges,
} from '@acorn-tally/core';
import { OmitType } from '@nestjs/swagger';
import { FitDto } from '../dtos/fit';
import {
  AircraftSpecDto,
  CoordinatesDto,
  FlightDto,
  FlightLegDto,
  LandingPlaceDto,
  ObstacleDto,
  PackDto,
  PolicyDto,
  SiteDto,
  StyleShareDto,
  WeatherDto,
} from '../dtos/parts';
import { TestDto } from '../dtos/records';
import { Id, InRange, Instant, NullAsEmpty, OneOf, Part, Text } from '../http/fields';

const optional = { optional: true };

/** The body of POST /estimates, as the contract names it. */
export class EstimateRequestDto implements EstimateRequest {
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => PackDto) battery: PackDto;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @Part(() => FlightDto) flight: FlightDto;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Part(() => SiteDto, optional) site?: SiteDto | null;
  @Id(optional) batteryId?: string | null;
  @Part(() => FitDto, optional) fit?: FitDto | null;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
}

/** The way a flight to learn from was flown, as in /estimates; where it went is no matter. */
export class FlownPlanDto {
  @InRange(ranges.flight.heightM) heightM: number;
  @InRange(ranges.flight.farthestM, optional) farthestM?: number | null;
  @InRange(ranges.flight.bearingDeg, optional) bearingDeg?: number | null;
  @InRange(ranges.flight.returnHeightM, optional) returnHeightM?: number | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @NullAsEmpty() @Part(() => StyleShareDto, { most: maxShares, optional: true }) mix: StyleShareDto[] = [];
  @Part(() => FlightLegDto, { most: maxLegs, optional: true }) legs?: FlightLegDto[] | null;
}

export class CalibrationReadingDto implements CalibrationReading {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
  @InRange(checkpointRanges.cellVoltageV, optional) cellVoltageV?: number | null;
}

export class CalibrationEventDto implements CalibrationEvent {
  @OneOf(signKinds) kind: SignKind;
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
}

export class FlightEndDto {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge) charge: number;
}

export class CalibrationFlightDto implements CalibrationFlight {
  @Id() id: string;
  @Id() batteryId: string;
  @OneOf(purposes, optional) purpose?: Purpose | null;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @InRange(testFlightRanges.startCharge) startCharge: number;
  @InRange(testFlightRanges.startTemperatureC, optional) startTemperatureC?: number | null;
  @Part(() => FlownPlanDto) flight: FlownPlanDto;
  @InRange(ranges.aircraft.addedMassKg, optional) addedMassKg?: number | null;
  @Part(() => CalibrationReadingDto, { most: maxCheckpoints }) checkpoints: CalibrationReadingDto[];
  @Part(() => CalibrationEventDto, { most: maxCheckpoints, optional: true }) events?:
    | CalibrationEventDto[]
    | null;
  @Part(() => FlightEndDto) end: FlightEndDto;
  @Text(optional) excludedReason?: string | null;
}

export class PositionDto {
  @InRange(positionRanges.distanceM) distanceM: number;
  @InRange(positionRanges.bearingDeg) bearingDeg: number;
  @InRange(positionRanges.heightM) heightM: number;
  @InRange(ranges.battery.startCharge) charge: number;
}

/** The body of POST /returns and POST /reaches, as the contract names it. */
export class ReturnRequestDto implements ReturnRequest {
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => PackDto) battery: PackDto;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @Part(() => PositionDto) position: PositionDto;
  @Part(() => PolicyDto) policy: PolicyDto;
  @InRange(positionRanges.returnHeightM, optional) returnHeightM?: number | null;
  @Part(() => StyleShareDto, { most: maxShares, optional: true }) mix?: StyleShareDto[] | null;
  @Part(() => ObstacleDto, { most: maxObstacles, optional: true }) obstacles?: ObstacleDto[] | null;
  @InRange(siteRanges.tallestM, optional) tallestM?: number | null;
  @InRange(ranges.flight.addedMassKg, optional) addedMassKg?: number | null;
  @InRange(siteRanges.ceilingM, optional) ceilingM?: number | null;
  @Part(() => LandingPlaceDto, { most: maxLandingPlaces, optional: true }) landingPlaces?:
    | LandingPlaceDto[]
    | null;
  @OneOf(groundsBelow, optional) below?: GroundBelow | null;
  @Instant(optional) at?: string | null;
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
  @Id(optional) batteryId?: string | null;
  @Part(() => FitDto, optional) fit?: FitDto | null;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
}

/** A pack as it is, whatever it is charged to. */
export class BarePackDto extends OmitType(PackDto, ['startCharge', 'startTemperatureC']) {}

/** The body of POST /projections, as the contract names it. */
export class ProjectionRequestDto implements ProjectionRequest {
  @Part(() => TestDto) test: TestDto;
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => BarePackDto) battery: BarePackDto;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @Id(optional) batteryId?: string | null;
  @Part(() => FitDto, optional) fit?: FitDto | null;
}

export class CalibrationPackDto extends BarePackDto implements PackAsKept {
  @Id() id: string;
}

/** The flight for which the next test is sought: as in /estimates, and which of the batteries flies it. */
export class PlannedFlightDto extends OmitType(EstimateRequestDto, ['batteryId', 'fit', 'draws', 'seed']) {
  @Id() batteryId: string;
}

/** The body of POST /calibrations, as the contract names it. Its bands follow from the fit, so draws and seed change nothing. */
export class CalibrationRequestDto {
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => CalibrationPackDto, { most: maxPacksOfFit }) batteries: CalibrationPackDto[];
  @Part(() => CalibrationFlightDto, { most: maxFlightsOfFit }) flights: CalibrationFlightDto[];
  @Part(() => PlannedFlightDto, optional) planned?: PlannedFlightDto | null;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
}
