import {
  type Aircraft,
  type AircraftKind,
  aircraftKinds,
  type Battery,
  type Chemistry,
  type ComesHome,
  type Conditions,
  type Coordinates,
  chemistries,
  comesHomeWays,
  type FlightLeg,
  type FlightPlan,
  type GroundBelow,
  groundsBelow,
  type Handling,
  type HourlyWeather,
  handlings,
  type LandingPlace,
  type Manner,
  type Mode,
  maxAirspeedRange,
  maxLandingPlaces,
  maxLegs,
  maxObstacles,
  maxShares,
  type Obstacle,
  obstacleRanges,
  type Policy,
  type PolicyKind,
  policyKinds,
  positionRanges,
  type ReturnHolds,
  ranges,
  returnHoldings,
  type Site,
  type Style,
  type StyleShare,
  siteRanges,
  styles,
  type Weather,
} from '@acorn-tally/core';
import { InRange, Instant, Name, OneOf, Part, TimeZone } from '../fields';

/** What both requests and records are made of. */
const optional = { optional: true };

export class ModeDto {
  @InRange(maxAirspeedRange) maxAirspeedMps: number;
}

export class ModesDto implements Partial<Record<Mode, ModeDto | null>> {
  @Part(() => ModeDto, optional) slow?: ModeDto | null;
  @Part(() => ModeDto, optional) normal?: ModeDto | null;
  @Part(() => ModeDto, optional) fast?: ModeDto | null;
  @Part(() => ModeDto, optional) manual?: ModeDto | null;
}

const spec = ranges.aircraft;

export class AircraftSpecDto implements Aircraft {
  @Name('Name', optional) name?: string | null;
  @OneOf(aircraftKinds) kind: AircraftKind;
  @InRange(spec.takeoffMassKg) takeoffMassKg: number;
  @InRange(spec.rotorCount) rotorCount: number;
  @InRange(spec.rotorDiameterM, optional) rotorDiameterM?: number | null;
  @InRange(spec.advertisedFlightTimeS) advertisedFlightTimeS: number;
  @InRange(spec.advertisedSpeedMps) advertisedSpeedMps: number;
  @InRange(spec.advertisedHoverTimeS, optional) advertisedHoverTimeS?: number | null;
  @InRange(spec.advertisedCapacityMah, optional) advertisedCapacityMah?: number | null;
  @Part(() => ModesDto, optional) modes?: ModesDto | null;
  @InRange(spec.climbSpeedMps, optional) climbSpeedMps?: number | null;
  @InRange(spec.descentSpeedMps, optional) descentSpeedMps?: number | null;
  @InRange(spec.returnSpeedMps, optional) returnSpeedMps?: number | null;
  @InRange(spec.returnSpeedPushedMps, optional) returnSpeedPushedMps?: number | null;
  @OneOf(returnHoldings, optional) returnHolds?: ReturnHolds | null;
  @InRange(spec.maxWindMps, optional) maxWindMps?: number | null;
  @InRange(spec.maxElevationM, optional) maxElevationM?: number | null;
  @InRange(spec.lowWarningCharge, optional) lowWarningCharge?: number | null;
  @InRange(spec.forcedLandingCharge, optional) forcedLandingCharge?: number | null;
  @InRange(spec.ownCallMarginCharge, optional) ownCallMarginCharge?: number | null;
  @InRange(spec.hiddenCharge, optional) hiddenCharge?: number | null;
  @InRange(spec.landInPlaceRadiusM, optional) landInPlaceRadiusM?: number | null;
  @InRange(spec.lowReturnRadiusM, optional) lowReturnRadiusM?: number | null;
  @InRange(spec.lowReturnHeightM, optional) lowReturnHeightM?: number | null;
  @InRange(spec.dragAreaM2, optional) dragAreaM2?: number | null;
  @InRange(spec.auxiliaryPowerW, optional) auxiliaryPowerW?: number | null;
  @InRange(spec.addedMassKg, optional) addedMassKg?: number | null;
}

export class PackDto implements Battery {
  @InRange(ranges.battery.ratedCapacityMah) ratedCapacityMah: number;
  @InRange(ranges.battery.nominalVoltageV) nominalVoltageV: number;
  @InRange(ranges.battery.cellCount) cellCount: number;
  @InRange(ranges.battery.fullCellVoltageV) fullCellVoltageV: number;
  @InRange(ranges.battery.massKg, optional) massKg?: number | null;
  @OneOf(chemistries, optional) chemistry?: Chemistry | null;
  @InRange(ranges.battery.cycles, optional) cycles?: number | null;
  @InRange(ranges.battery.ageYears, optional) ageYears?: number | null;
  @InRange(ranges.battery.health, optional) health?: number | null;
  @InRange(ranges.battery.startCharge) startCharge: number;
  @InRange(ranges.battery.daysSinceCharge, optional) daysSinceCharge?: number | null;
  @InRange(ranges.battery.daysToStorage, optional) daysToStorage?: number | null;
  @InRange(ranges.battery.landCellVoltageV, optional) landCellVoltageV?: number | null;
  @InRange(ranges.battery.neverCellVoltageV, optional) neverCellVoltageV?: number | null;
  @InRange(ranges.battery.startTemperatureC, optional) startTemperatureC?: number | null;
}

export class WindDto {
  @InRange(ranges.wind.speedMps) speedMps: number;
  @InRange(ranges.wind.gustMps, optional) gustMps?: number | null;
  @InRange(ranges.wind.fromDeg) fromDeg: number;
  @InRange(ranges.wind.readingHeightM) readingHeightM: number;
}

/** What the air does; over which ground is the place's. */
export class AirDto implements Weather {
  @InRange(ranges.conditions.airTemperatureC) airTemperatureC: number;
  @InRange(ranges.conditions.qnhHpa, optional) qnhHpa?: number | null;
  @InRange(ranges.conditions.relativeHumidity, optional) relativeHumidity?: number | null;
  @Part(() => WindDto) wind: WindDto;
}

export class WeatherDto extends AirDto implements Conditions {
  @InRange(ranges.conditions.elevationM) elevationM: number;
  @InRange(ranges.conditions.roughnessM, optional) roughnessM?: number | null;
}

export class MannerDto implements Manner {
  @InRange(ranges.styleShare.airspeedMps, optional) airspeedMps?: number | null;
  @InRange(ranges.styleShare.reversalsPerMin, optional) reversalsPerMin?: number | null;
  @InRange(ranges.styleShare.circleRadiusM, optional) circleRadiusM?: number | null;
  @OneOf(handlings, optional) handling?: Handling | null;
}

export class StyleShareDto extends MannerDto implements StyleShare {
  @OneOf(styles) style: Style;
  @InRange(ranges.styleShare.share) share: number;
}

export class FlightLegDto extends MannerDto implements FlightLeg {
  @OneOf(styles) style: Style;
  @InRange(ranges.flightLeg.durationS) durationS: number;
  @InRange(ranges.flightLeg.trackDeg, optional) trackDeg?: number | null;
  @InRange(ranges.flight.heightM, optional) heightM?: number | null;
}

export class FlightDto implements FlightPlan {
  @InRange(ranges.flight.heightM) heightM: number;
  @InRange(ranges.flight.farthestM) farthestM: number;
  @InRange(ranges.flight.bearingDeg) bearingDeg: number;
  @InRange(ranges.flight.returnHeightM, optional) returnHeightM?: number | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @InRange(ranges.flight.addedMassKg, optional) addedMassKg?: number | null;
  @Part(() => StyleShareDto, { most: maxShares }) mix: StyleShareDto[];
  @Part(() => FlightLegDto, { most: maxLegs, optional: true }) legs?: FlightLegDto[] | null;
}

export class PolicyDto implements Policy {
  @OneOf(policyKinds) kind: PolicyKind;
  @InRange(ranges.policy.reserveCharge, optional) reserveCharge?: number | null;
  @InRange(ranges.policy.confidence, optional) confidence?: number | null;
  @OneOf(comesHomeWays, optional) comesHome?: ComesHome | null;
}

export class CoordinatesDto implements Coordinates {
  @InRange(siteRanges.latitudeDeg) latitudeDeg: number;
  @InRange(siteRanges.longitudeDeg) longitudeDeg: number;
}

export class ObstacleDto implements Obstacle {
  @Name('Name') name: string;
  @InRange(obstacleRanges.distanceM) distanceM: number;
  @InRange(positionRanges.bearingDeg, optional) bearingDeg?: number | null;
  @InRange(obstacleRanges.widthM) widthM: number;
  @InRange(obstacleRanges.heightM) heightM: number;
}

export class LandingPlaceDto implements LandingPlace {
  @Name('Name') name: string;
  @InRange(positionRanges.distanceM) distanceM: number;
  @InRange(positionRanges.bearingDeg) bearingDeg: number;
}

export class SiteDto implements Site {
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
  @TimeZone(optional) timeZone?: string | null;
  @InRange(siteRanges.tallestM, optional) tallestM?: number | null;
  @InRange(siteRanges.ceilingM, optional) ceilingM?: number | null;
  @Part(() => ObstacleDto, { most: maxObstacles, optional: true }) obstacles?: ObstacleDto[] | null;
  @Part(() => LandingPlaceDto, { most: maxLandingPlaces, optional: true }) landingPlaces?:
    | LandingPlaceDto[]
    | null;
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
