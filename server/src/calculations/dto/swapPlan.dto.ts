import {
  chargerRanges,
  drawRanges,
  type FlownFlight,
  maxPlanned,
  type PlanAircraft,
  type PlanBattery,
  type PlanCharger,
  type PlanEffort,
  type PlanOrder,
  type PlanRequest,
  planEfforts,
  planOrders,
  planRanges,
  positionRanges,
  ranges,
  shotRanges,
  siteRanges,
  type WaitReason,
  type WeatherFrom,
  waitReasons,
} from '@acorn-tally/core';
import { AircraftSpecDto, CoordinatesDto, PackDto, PolicyDto, WeatherDto } from '../../http/dto/parts.dto';
import { InRange, Instant, Name, OneOf, Part, Text, Texts } from '../../http/fields';
import { FitDto } from './fit.dto';
import { FlightLockDto, LaunchPlaceDto, MovingDto, ShotDto, SwapTimeDto } from './shot.dto';

/** The body of POST /swap-plans, as the contract names it. */
const optional = { optional: true };

export class PlanAircraftDto implements PlanAircraft {
  @Text() id: string;
  @Part(() => AircraftSpecDto) spec: AircraftSpecDto;
  @InRange(positionRanges.returnHeightM, optional) returnHeightM?: number | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @InRange(ranges.flight.addedMassKg, optional) addedMassKg?: number | null;
  @Part(() => FitDto, optional) fit?: FitDto | null;
}

export class PlanBatteryDto extends PackDto implements PlanBattery {
  @Text() id: string;
  @Text() aircraftId: string;
  @Name('Label of the battery') label: string;
  @InRange(ranges.battery.startTemperatureC, optional) waitingTemperatureC?: number | null;
}

export class PlanChargerDto implements PlanCharger {
  @Text() id: string;
  @Name('Name of the charger') name: string;
  @InRange(planRanges.packsAtOnce) packsAtOnce: number;
  @InRange(planRanges.emptyToFullS) emptyToFullS: number;
  @InRange(chargerRanges.timedWh, optional) timedWh?: number | null;
  @InRange(chargerRanges.powerW, optional) powerW?: number | null;
  @Texts(20, optional) aircraftIds?: string[] | null;
  @InRange(planRanges.handlingS, optional) handlingS?: number | null;
  @Instant(optional) fromAt?: string | null;
  @Instant(optional) untilAt?: string | null;
}

export class WeatherFromDto extends WeatherDto implements WeatherFrom {
  @Instant() at: string;
}

const charge = { ...ranges.battery.startCharge, min: -0.2, label: 'Charge' };

export class TakeDoneDto {
  @Text() shotId: string;
  @InRange(shotRanges.takes) take: number;
  @Instant(optional) startAt?: string | null;
  @Instant(optional) endAt?: string | null;
  @InRange(charge, optional) chargeAfter?: number | null;
}

export class TouchdownChargeDto {
  @InRange(charge, optional) p10?: number | null;
  @InRange(charge) p50: number;
}

const share = { ...ranges.battery.startCharge, label: 'Chance', unit: '' };
const seconds = { label: 'Seconds', unit: 's', siPerUnit: 1, min: 0, max: 86_400, step: 1 };

export class WaitDto {
  @Instant() fromAt: string;
  @OneOf(waitReasons) reason: WaitReason;
  @Text(optional) shotId: string | null;
}

/** What is optional is not read; a flight may be sent as it was answered. */
export class FlightDoneDto implements FlownFlight {
  @InRange(shotRanges.flightNumber) number: number;
  @Text(optional) aircraftId?: string | null;
  @Text() batteryId: string;
  @Text(optional) launchPlaceId?: string | null;
  @Instant() takeoffAt: string;
  @Instant(optional) turnBackAt?: string | null;
  @Instant() touchdownAt: string;
  @InRange(charge, optional) startCharge?: number | null;
  @InRange(ranges.battery.startTemperatureC, optional) startTemperatureC?: number | null;
  @InRange(charge, optional) turnBackCharge?: number | null;
  @Part(() => TouchdownChargeDto) touchdownCharge: TouchdownChargeDto;
  @InRange(seconds, optional) spareS?: number | null;
  @InRange(share, optional) chanceEarly?: number | null;
  @Part(() => TakeDoneDto, { most: maxPlanned.takes }) shots: TakeDoneDto[];
  @Part(() => WaitDto, optional) wait?: WaitDto | null;
}

export class SwapPlanRequestDto implements PlanRequest {
  @Instant() startAt: string;
  @Instant(optional) endAt?: string | null;
  @OneOf(planOrders) order: PlanOrder;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
  @OneOf(planEfforts, optional) effort?: PlanEffort | null;
  @Part(() => PlanAircraftDto, { most: maxPlanned.aircraft }) aircraft: PlanAircraftDto[];
  @Part(() => PlanBatteryDto, { most: maxPlanned.batteries }) batteries: PlanBatteryDto[];
  @Part(() => PlanChargerDto, { most: maxPlanned.chargers, optional: true }) chargers?:
    | PlanChargerDto[]
    | null;
  @InRange(planRanges.coolingS, optional) coolingS?: number | null;
  @Part(() => LaunchPlaceDto, { most: maxPlanned.places, optional: true }) launchPlaces?:
    | LaunchPlaceDto[]
    | null;
  @Part(() => MovingDto, optional) moving?: MovingDto | null;
  @Part(() => SwapTimeDto) swap: SwapTimeDto;
  @Part(() => ShotDto, { most: maxPlanned.shots }) shots: ShotDto[];
  @Part(() => FlightLockDto, { most: maxPlanned.takes, optional: true }) locks?: FlightLockDto[] | null;
  @Part(() => FlightDoneDto, { most: maxPlanned.takes, optional: true }) flown?: FlightDoneDto[] | null;
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
  @InRange(siteRanges.tallestM, optional) tallestM?: number | null;
  @Part(() => WeatherDto, optional) conditions?: WeatherDto | null;
  @Part(() => WeatherFromDto, { most: maxPlanned.hours, optional: true }) hours?: WeatherFromDto[] | null;
  @Part(() => PolicyDto) policy: PolicyDto;
}
