import {
  drawRanges,
  type GroundBelow,
  groundsBelow,
  maxLandingPlaces,
  maxObstacles,
  maxShares,
  positionRanges,
  type ReturnRequest,
  ranges,
  siteRanges,
} from '@acorn-tally/core';
import {
  AircraftSpecDto,
  CoordinatesDto,
  LandingPlaceDto,
  ObstacleDto,
  PackDto,
  PolicyDto,
  StyleShareDto,
  WeatherDto,
} from '../../http/dto/parts.dto';
import { SentenceDto } from '../../http/dto/sentence.dto';
import {
  Id,
  InRange,
  Instant,
  many,
  Numbers,
  OneOf,
  Part,
  Real,
  Text,
  Values,
  YesNo,
} from '../../http/fields';
import { FitDto } from './fit.dto';

const optional = { optional: true };

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

export class ForcedLandingDto {
  @Real() charge: number;
  @Real() timeS: number;
  @Text() during: string;
  @Real() shortM: number;
  @Real() heightM: number;
  @Real() heldS: number;
  @Real(optional) heldCharge: number | null;
}

export class ReturnLegDto {
  @Text() kind: string;
  @Real() durationS: number;
  @Real() powerW: number;
  @Real() fromHeightM: number;
  @Real() heightM: number;
  @Real() groundMps: number;
  @Real() chargeAfter: number;
}

export class ReturnEndDto {
  @Real() timeS: number;
  @Real(optional) touchdownCharge: number | null;
  @Part(() => ForcedLandingDto, optional) forcedLanding: ForcedLandingDto | null;
}

export class NotHomeDto extends SentenceDto {
  @Values() numbers: Record<string, number>;
}

export class ReturnNowDto extends ReturnEndDto {
  @Part(() => ReturnLegDto, many) legs: ReturnLegDto[];
  @Real() energyWh: number;
  @Part(() => NotHomeDto, optional) notHome: NotHomeDto | null;
}

export class OwnReturnDto extends ReturnEndDto {
  @Real() charge: number;
  @YesNo() isMarginKnown: boolean;
}

export class WayOutDto extends ReturnEndDto {
  @Text() kind: string;
  @Text() action: string;
  @Text() caution: string;
}

export class OwnActionDto {
  @Text() kind: string;
  @Real(optional) timeS: number | null;
  @Real(optional) charge: number | null;
  @Text() says: string;
  @Text(optional) caution: string | null;
}

export class HeightCostDto {
  @Real() seconds: number;
  @Real() charge: number;
}

export class ReturnHeightDto {
  @Real() tallestM: number;
  @Real() suggestedM: number;
  @YesNo() isClear: boolean;
  @Part(() => HeightCostDto, optional) perTenMetres: HeightCostDto | null;
}

export class ReturnChargeBandDto {
  @Real(optional) p10: number | null;
  @Real(optional) p50: number | null;
  @Real(optional) p90: number | null;
}

export class ReturnTurnBackDto {
  @Real(optional) p50: number | null;
  @Real(optional) planned: number | null;
}

/** What POST /returns answers. */
export class ReturnAnswerDto {
  @YesNo() feasible: boolean;
  @Real() timeS: number;
  @Real() energyWh: number;
  @Part(() => ReturnChargeBandDto) touchdownCharge: ReturnChargeBandDto;
  @Part(() => ReturnTurnBackDto) turnBackCharge: ReturnTurnBackDto;
  @Real(optional) stillAirTurnBackCharge: number | null;
  @Real(optional) turnBackS: number | null;
  @Real(optional) lateByS: number | null;
  @Real(optional) chanceOwnLate: number | null;
  @Real() chanceNotHome: number;
  @Part(() => ReturnNowDto) home: ReturnNowDto;
  @Part(() => OwnReturnDto, optional) own: OwnReturnDto | null;
  @Part(() => ReturnHeightDto, optional) returnHeight: ReturnHeightDto | null;
  @Part(() => WayOutDto, many) waysOut: WayOutDto[];
  @Part(() => OwnActionDto, many) timetable: OwnActionDto[];
  @Part(() => SentenceDto, many) mind: SentenceDto[];
  @Text(optional) tooLow: string | null;
}

/** Every five degrees. */
const bearings = 72;

export class ReachDto {
  @Numbers(bearings) bearingsDeg: number[];
  @Numbers(bearings) fromChargeM: number[];
  @Numbers(bearings) outAndBackM: number[];
}

/** What POST /reaches answers: with the wind there is, and without. */
export class ReachesAnswerDto {
  @Part(() => ReachDto) inWind: ReachDto;
  @Part(() => ReachDto) inStillAir: ReachDto;
}
