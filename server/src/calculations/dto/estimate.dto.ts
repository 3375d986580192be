import { drawRanges, type EstimateRequest } from '@acorn-tally/core';
import {
  AircraftSpecDto,
  FlightDto,
  PackDto,
  PolicyDto,
  SiteDto,
  WeatherDto,
} from '../../http/dto/parts.dto';
import { SentenceDto } from '../../http/dto/sentence.dto';
import { Id, InRange, many, OneOf, Part, Real, Text } from '../../http/fields';
import { FitDto } from './fit.dto';

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

export class MomentDto {
  @Real() timeS: number;
  @Real() charge: number;
  @Real() cellVoltageV: number;
}

export class EventDto extends MomentDto {
  @Text() kind: string;
}

export class CurvePointDto extends MomentDto {
  @Real() packTemperatureC: number;
  @Real() powerW: number;
}

export class CurveBandDto {
  @Real() charge: number;
  @Real() p10S: number;
  @Real() p90S: number;
}

export class BandDto {
  @Real() p10: number;
  @Real() p50: number;
  @Real() p90: number;
}

export class PlannedBandDto extends BandDto {
  @Real() planned: number;
}

export class MiddleDto {
  @Real() p50: number;
}

export class MiddleAndPlannedDto extends MiddleDto {
  @Real(optional) planned: number | null;
}

export class LedgerLineDto {
  @Text() cause: string;
  @Real() seconds: number;
}

export class SensitivityDto {
  @Text() input: string;
  @Real() seconds: number;
}

export class PowerDto {
  @Real() hoverW: number;
  @Real() meanW: number;
}

export class AirAtHeightDto {
  @Real() densityKgm3: number;
  @Real() windAtHeightMps: number;
  @Real() gustAtHeightMps: number;
  @Real() densityAltitudeM: number;
}

export class BasisDto {
  @OneOf(['box', 'fit']) source: string;
  @Real() flights: number;
  /** “not kept” for a fit that was sent without an id. */
  @Text(optional) fitId?: string | null;
}

export class EstimateCautionDto extends SentenceDto {
  /** This battery, or the flight whatever the battery. */
  @OneOf(['battery', 'flight']) about: string;
}

/** What POST /estimates answers. */
export class EstimateAnswerDto {
  @Part(() => PlannedBandDto) usableS: PlannedBandDto;
  @Part(() => BandDto) touchdownS: BandDto;
  @Part(() => MiddleAndPlannedDto) turnBackCharge: MiddleAndPlannedDto;
  @Part(() => MiddleDto) touchdownCharge: MiddleDto;
  @Real() chanceBelowReserve: number;
  @Real() chanceImpossible: number;
  @Part(() => LedgerLineDto, many) ledger: LedgerLineDto[];
  @Part(() => EventDto, many) events: EventDto[];
  @Part(() => CurvePointDto, many) curve: CurvePointDto[];
  @Part(() => CurveBandDto, many) curveBand: CurveBandDto[];
  @Part(() => PowerDto) power: PowerDto;
  @Part(() => AirAtHeightDto) air: AirAtHeightDto;
  @Real() health: number;
  @Real() takeoffCharge: number;
  @Part(() => SensitivityDto, many) sensitivity: SensitivityDto[];
  @Part(() => EstimateCautionDto, many) cautions: EstimateCautionDto[];
  @Part(() => BasisDto) basis: BasisDto;
}
