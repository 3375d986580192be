import {
  type FlightOfPlan,
  type KeptPlanContent,
  type Lane,
  maxPlanned,
  type PlanAsRead,
  type PlanCautionCode,
  type PlanFigures,
  planCautionCodes,
  type Quantity,
  ranges,
  type Sentence,
  type SpanKind,
  type SpanOfLane,
  shotRanges,
  spanKinds,
  type TakeOfPlan,
} from '@acorn-tally/core';
import { Id, InRange, Instant, OneOf, Part, Text, Values, YesNo } from '../http/fields';
import { SwapPlanRequestDto, WaitDto } from './swapPlan';

/** A plan as `/swap-plans` answers it, so that it can be kept. */
const optional = { optional: true };
const within = (label: string, min: number, max: number): Quantity => ({
  label,
  unit: '',
  siPerUnit: 1,
  min,
  max,
  step: 1,
});
const charge = within('The charge', -0.2, 1);
const count = { ...within('The number', 0, 1000), whole: true };

export class TakeOfPlanDto implements TakeOfPlan {
  @Text() shotId: string;
  @InRange(shotRanges.takes) take: number;
  @Instant() startAt: string;
  @Instant() endAt: string;
  @InRange(charge) chargeAfter: number;
}

export class ChargeAtTouchdownDto {
  @InRange(charge) p10: number;
  @InRange(charge) p50: number;
}

export class FlightOfPlanDto implements FlightOfPlan {
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
  @Part(() => ChargeAtTouchdownDto) touchdownCharge: ChargeAtTouchdownDto;
  @InRange(within('The time left over', 0, 86_400)) spareS: number;
  @InRange(within('The chance', 0, 1)) chanceEarly: number;
  @Part(() => TakeOfPlanDto, { most: maxPlanned.takes }) shots: TakeOfPlanDto[];
  @Part(() => WaitDto, optional) wait?: WaitDto | null;
}

export class SpanOfLaneDto implements SpanOfLane {
  @OneOf(spanKinds) kind: SpanKind;
  @Instant() fromAt: string;
  @Instant() untilAt: string;
  @InRange(charge) chargeFrom: number;
  @InRange(charge) chargeTo: number;
  @Text(optional) chargerId?: string;
}

export class LaneDto implements Lane {
  @Text() batteryId: string;
  @Part(() => SpanOfLaneDto, { most: 8 * maxPlanned.takes }) spans: SpanOfLaneDto[];
}

export class PlanFiguresDto implements PlanFigures {
  @InRange(count) takeoffs: number;
  @InRange(count) takeoffsBound: number;
  @OneOf(['columns', 'packing']) boundBy: 'columns' | 'packing';
  @YesNo() proved: boolean;
  @InRange(count) batteriesFlown: number;
  @Instant() endAt: string;
  @InRange(count) mustsPlaced: number;
  @InRange(count) nicesPlaced: number;
}

export class PlanCautionDto implements Sentence<PlanCautionCode> {
  @OneOf(planCautionCodes) code: PlanCautionCode;
  @Text() template: string;
  @Values() values: Sentence['values'];
}

export class PlanAsReadDto implements PlanAsRead {
  @Part(() => FlightOfPlanDto, { most: maxPlanned.takes }) flights: FlightOfPlanDto[];
  @Part(() => LaneDto, { most: maxPlanned.batteries }) lanes: LaneDto[];
  @Part(() => PlanFiguresDto) figures: PlanFiguresDto;
  @Part(() => PlanCautionDto, { most: planCautionCodes.length }) cautions: PlanCautionDto[];
}

export class KeptPlanDto implements KeptPlanContent {
  @Id() shootId: string;
  @Instant() keptAt: string;
  @Part(() => SwapPlanRequestDto) request: SwapPlanRequestDto;
  @Part(() => PlanAsReadDto) plan: PlanAsReadDto;
}
