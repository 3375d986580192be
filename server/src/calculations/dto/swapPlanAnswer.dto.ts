import {
  type FlightOfPlan,
  type Lane,
  maxPlanned,
  type PlanAsRead,
  type PlanCautionCode,
  type PlanFigures,
  planCautionCodes,
  ranges,
  type Sentence,
  type SpanKind,
  type SpanOfLane,
  shotRanges,
  spanKinds,
  type TakeOfPlan,
  type UnplacedCode,
  unplacedCodes,
} from '@acorn-tally/core';
import { SentenceDto } from '../../http/dto/sentence.dto';
import { InRange, Instant, many, OneOf, Part, Real, Text, Texts, Values, YesNo } from '../../http/fields';
import { within } from '../../http/within';
import { WaitDto } from './swapPlan.dto';

const optional = { optional: true };
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

export class UnplacedTakeDto {
  @Text() shotId: string;
  @InRange(shotRanges.takes) take: number;
  @OneOf(unplacedCodes) code: UnplacedCode;
  @Text() reason: string;
  @Text(optional) remedy: string | null;
}

export class RobustnessDto {
  @OneOf(['wind', 'takes', 'battery']) change: string;
  @Text(optional) batteryId?: string;
  @InRange(count) takeoffs: number;
  @Instant() endAt: string;
  @Texts(maxPlanned.shots) droppedShotIds: string[];
  @YesNo() atLeast: boolean;
}

export class PacksBroughtDto {
  @InRange(count) packs: number;
  @YesNo() charging: boolean;
  @InRange(count) shotsPlaced: number;
  @InRange(count) takeoffs: number;
  @Instant() endAt: string;
  @YesNo() atLeast: boolean;
}

export class OutlookDto {
  @InRange(count) takesPlaced: number;
  @InRange(count) takeoffs: number;
  @Instant() endAt: string;
}

export class LaterStartDto {
  @Instant() startAt: string;
  @Real() lessWaitingS: number;
}

/** What POST /swap-plans answers. */
export class SwapPlanAnswerDto {
  @Part(() => FlightOfPlanDto, many) flights: FlightOfPlanDto[];
  @Part(() => LaneDto, many) lanes: LaneDto[];
  @Part(() => UnplacedTakeDto, many) unplaced: UnplacedTakeDto[];
  @Part(() => PlanFiguresDto) figures: PlanFiguresDto;
  @Part(() => RobustnessDto, many) robustness: RobustnessDto[];
  @Part(() => PacksBroughtDto, many) packs: PacksBroughtDto[];
  @Part(() => OutlookDto, optional) withoutPins: OutlookDto | null;
  @Part(() => LaterStartDto, optional) laterStart: LaterStartDto | null;
  @Part(() => SentenceDto, many) cautions: SentenceDto[];
  @YesNo() complete: boolean;
}
