import {
  chargerRanges,
  drawRanges,
  type FlightOfPlan,
  mostPlanned,
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
  type TakeOfPlan,
  type WeatherFrom,
} from '@acorn-tally/core';
import { FitDto } from '../dtos/fit';
import { AircraftSpecDto, CoordinatesDto, PackDto, PolicyDto, WeatherDto } from '../dtos/parts';
import { FlightLockDto, LaunchPlaceDto, MovingDto, ShotDto, SwapTimeDto } from '../dtos/records';
import { InRange, Instant, Name, OneOf, Part, Text, Texts } from '../http/fields';

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
const share = { ...ranges.battery.startCharge, label: 'Chance', unit: '' };
const seconds = { label: 'Seconds', unit: 's', siPerUnit: 1, min: 0, max: 86_400, step: 1 };

export class TakeDoneDto implements TakeOfPlan {
  @Text() shotId: string;
  @InRange(shotRanges.takes) take: number;
  @Instant() startAt: string;
  @Instant() endAt: string;
  @InRange(charge) chargeAfter: number;
}

export class TouchdownChargeDto {
  @InRange(charge) p10: number;
  @InRange(charge) p50: number;
}

export class FlightDoneDto implements FlightOfPlan {
  @InRange(shotRanges.flightNumber) number: number;
  @Text() aircraftId: string;
  @Text() batteryId: string;
  @Text(optional) launchPlaceId: string | null;
  @Instant() takeoffAt: string;
  @Instant() turnBackAt: string;
  @Instant() touchdownAt: string;
  @InRange(charge) startCharge: number;
  @InRange(ranges.battery.startTemperatureC) startTemperatureC: number;
  @InRange(charge, optional) turnBackCharge: number | null;
  @Part(() => TouchdownChargeDto) touchdownCharge: TouchdownChargeDto;
  @InRange(seconds) spareS: number;
  @InRange(share) chanceEarly: number;
  @Part(() => TakeDoneDto, { most: mostPlanned.takes }) shots: TakeDoneDto[];
}

export class SwapPlanRequestDto implements PlanRequest {
  @Instant() startAt: string;
  @Instant(optional) endAt?: string | null;
  @OneOf(planOrders) order: PlanOrder;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
  @OneOf(planEfforts, optional) effort?: PlanEffort | null;
  @Part(() => PlanAircraftDto, { most: mostPlanned.aircraft }) aircraft: PlanAircraftDto[];
  @Part(() => PlanBatteryDto, { most: mostPlanned.batteries }) batteries: PlanBatteryDto[];
  @Part(() => PlanChargerDto, { most: mostPlanned.chargers, optional: true }) chargers?:
    | PlanChargerDto[]
    | null;
  @InRange(planRanges.coolingS, optional) coolingS?: number | null;
  @Part(() => LaunchPlaceDto, { most: mostPlanned.places, optional: true }) launchPlaces?:
    | LaunchPlaceDto[]
    | null;
  @Part(() => MovingDto, optional) moving?: MovingDto | null;
  @Part(() => SwapTimeDto) swap: SwapTimeDto;
  @Part(() => ShotDto, { most: mostPlanned.shots }) shots: ShotDto[];
  @Part(() => FlightLockDto, { most: mostPlanned.takes, optional: true }) locks?: FlightLockDto[] | null;
  @Part(() => FlightDoneDto, { most: mostPlanned.takes, optional: true }) flown?: FlightDoneDto[] | null;
  @Part(() => CoordinatesDto, optional) coordinates?: CoordinatesDto | null;
  @InRange(siteRanges.tallestM, optional) tallestM?: number | null;
  @Part(() => WeatherDto, optional) conditions?: WeatherDto | null;
  @Part(() => WeatherFromDto, { most: mostPlanned.hours, optional: true }) hours?: WeatherFromDto[] | null;
  @Part(() => PolicyDto) policy: PolicyDto;
}
