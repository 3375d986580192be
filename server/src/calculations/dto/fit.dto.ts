import {
  type EstimatedPack,
  type EstimatedParameter,
  type Fit,
  type FitPosterior,
  type FlagCode,
  type FlightResult,
  flagCodes,
  type Learnable,
  type LeaveOneOut,
  learnable,
  maxFlightsOfFit,
  maxPacksOfFit,
  maxTestsTold,
  type NextTest,
  type PredictedFlight,
  rejectionReasons,
  type Style,
  styles,
  type TestPattern,
  type TestTwist,
  testPatterns,
  testTwists,
  type UnknownName,
} from '@acorn-tally/core';
import { SentenceDto } from '../../http/dto/sentence.dto';
import { Id, InRange, NumberRows, Numbers, OneOf, Part, Text, Texts, YesNo } from '../../http/fields';
import { within } from '../../http/within';

/** A fit as `/calibrations` answers it, so that it can be kept and sent. */
const optional = { optional: true };
const maxUnknowns = learnable.length + maxPacksOfFit;
const maxFindings = 10;

const anything = within('The value', -1e9, 1e9);
const spread = within('The spread', 0, 1e9);
const share = within('The share', 0, 1);
const seconds = within('The time', 0, 1e6);
const fraction = within('The fraction', -1, 1e6);
const count = { ...within('The number', 0, maxFlightsOfFit), whole: true };

export class EstimatedParameterDto implements EstimatedParameter {
  @OneOf(learnable) name: Learnable;
  @InRange(anything) value: number;
  @InRange(spread) spread: number;
  @InRange(anything) priorValue: number;
  @InRange(spread) priorSpread: number;
  @InRange(share) learned: number;
}

export class ValueAndSpreadDto {
  @InRange(anything) value: number;
  @InRange(spread) spread: number;
}

export class AgainstOthersDto extends ValueAndSpreadDto {
  @InRange(anything) priorValue: number;
  @InRange(spread) priorSpread: number;
}

export class EstimatedPackDto implements EstimatedPack {
  @Id() id: string;
  @Part(() => ValueAndSpreadDto) health: ValueAndSpreadDto;
  @Part(() => ValueAndSpreadDto) priorHealth: ValueAndSpreadDto;
  @InRange(share) learned: number;
  @Part(() => AgainstOthersDto, optional) againstOthers: AgainstOthersDto | null;
}

export class BetweenDto {
  @InRange(spread) flightSpread: number;
}

export class PosteriorDto implements FitPosterior {
  @Texts(maxUnknowns) names: UnknownName[];
  @Numbers(maxUnknowns) mean: number[];
  @NumberRows(maxUnknowns) covariance: number[][];
  @NumberRows(maxUnknowns) factor: number[][];
}

export class PredictedFlightDto implements PredictedFlight {
  @InRange(seconds) estimatedS: number;
  @InRange(seconds) p10S: number;
  @InRange(seconds) p90S: number;
  @InRange(fraction) missFraction: number;
  @YesNo() insideBand: boolean;
}

export class AfterDto {
  @InRange(seconds) estimatedS: number;
  @InRange(fraction) missFraction: number;
}

export class FlagDto extends SentenceDto {
  @OneOf(flagCodes) declare code: FlagCode;
  @InRange(anything) deviations: number;
}

export class FlightResultDto implements FlightResult {
  @Id() id: string;
  @InRange(seconds) flownS: number;
  @YesNo() counts: boolean;
  @OneOf(rejectionReasons, optional) aside: FlightResult['aside'];
  @Part(() => PredictedFlightDto, optional) before: PredictedFlightDto | null;
  @Part(() => AfterDto, optional) after: AfterDto | null;
  @Part(() => PredictedFlightDto, optional) leftOut: PredictedFlightDto | null;
  @Part(() => FlagDto, optional) flagged: FlagDto | null;
}

export class MedianMissDto {
  @InRange(fraction) medianMissFraction: number;
  @InRange(seconds) medianMissS: number;
}

export class LeaveOneOutDto extends MedianMissDto implements LeaveOneOut {
  @InRange(count) flights: number;
  @InRange(share) insideBandFraction: number;
  @Part(() => MedianMissDto) fromTheBox: MedianMissDto;
}

export class NextTestDto implements NextTest {
  @OneOf(testPatterns) pattern: TestPattern;
  @OneOf(styles) style: Style;
  @Id() batteryId: string;
  @OneOf(testTwists, optional) twist: TestTwist | null;
  @InRange(seconds) gainsS: number;
  @YesNo() tied: boolean;
}

export class FitDto implements Fit {
  @Id(optional) id?: string | null;
  @Text() modelVersion: string;
  @Part(() => EstimatedParameterDto, { most: learnable.length }) parameters: EstimatedParameterDto[];
  @Part(() => EstimatedPackDto, { most: maxPacksOfFit }) batteries: EstimatedPackDto[];
  @Part(() => BetweenDto) between: BetweenDto;
  @Part(() => PosteriorDto) posterior: PosteriorDto;
  @InRange(count) flown: number;
  @Part(() => FlightResultDto, { most: maxFlightsOfFit }) flights: FlightResultDto[];
  @Part(() => LeaveOneOutDto, optional) leaveOneOut: LeaveOneOutDto | null;
  @Part(() => NextTestDto, { most: maxTestsTold }) nextTests: NextTestDto[];
  @Part(() => SentenceDto, { most: maxFindings }) findings: SentenceDto[];
}
