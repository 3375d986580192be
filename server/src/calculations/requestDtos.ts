import {
  drawRanges,
  type EstimateRequest,
  type GroundBelow,
  groundsBelow,
  mostLandingPlaces,
  mostObstacles,
  mostShares,
  type ProjectionRequest,
  positionRanges,
  type ReturnRequest,
  ranges,
  siteRanges,
} from '@acorn-tally/core';
import { OmitType } from '@nestjs/swagger';
import {
  AircraftSpecDto,
  CoordinatesDto,
  FlightDto,
  LandingPlaceDto,
  ObstacleDto,
  PackDto,
  PolicyDto,
  SiteDto,
  StyleShareDto,
  WeatherDto,
} from '../dtos/parts';
import { TestDto } from '../dtos/records';
import { InRange, Instant, OneOf, Part } from '../http/fields';

const optional = { optional: true };

/** The body of POST /estimates, as the contract names it. */
export class EstimateRequestDto implements EstimateRequest {
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => PackDto) battery: PackDto;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @Part(() => FlightDto) flight: FlightDto;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Part(() => SiteDto, optional) site?: SiteDto | null;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
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
  @Part(() => StyleShareDto, { most: mostShares, optional: true }) mix?: StyleShareDto[] | null;
  @Part(() => ObstacleDto, { most: mostObstacles, optional: true }) obstacles?: ObstacleDto[] | null;
  @InRange(siteRanges.ceilingM, optional) ceilingM?: number | null;
  @Part(() => LandingPlaceDto, { most: mostLandingPlaces, optional: true }) landingPlaces?:
    | LandingPlaceDto[]
    | null;
  @OneOf(groundsBelow, optional) below?: GroundBelow | null;
  @Instant(optional) at?: string | null;
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
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
}
