import {
  type Fit,
  type FitPosterior,
  type FlagCode,
  type ForetoldFlight,
  flagCodes,
  type Learnable,
  type LearntPack,
  type LearntParameter,
  type LeaveOneOut,
  learnable,
  maxFlightsOfFit,
  maxPacksOfFit,
  maxTestsTold,
  type NextTest,
  type Quantity,
  rejectionReasons,
  type Style,
  styles,
  type TaughtFlight,
  type TestPattern,
  type TestTwist,
  testPatterns,
  testTwists,
  type UnknownName,
} from '@acorn-tally/core';
import { SentenceDto } from '../../http/dto/sentence.dto';
import { Id, InRange, NumberRows, Numbers, OneOf, Part, Text, Texts, YesNo } from '../../http/fields';

/** A fit as `/calibrations` answers it, so that it can be kept and sent. */
const optional = { optional: true };
const maxUnknowns = learnable.length + maxPacksOfFit;
const maxFindings = 10;

const within = (label: string, min: number, max: number): Quantity => ({
  label,
  unit: '',
  siPerUnit: 1,
  min,
  max,
  step: 1,
});
const anything = within('The value', -1e9, 1e9);
const spread = within('The spread', 0, 1e9);
const share = within('The share', 0, 1);
const seconds = within('The time', 0, 1e6);
const fraction = within('The fraction', -1, 1e6);
const count = { ...within('The number', 0, maxFlightsOfFit), whole: true };

export class LearntParameterDto implements LearntParameter {
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

export class LearntPackDto implements LearntPack {
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

export class ForetoldFlightDto implements ForetoldFlight {
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

export class TaughtFlightDto implements TaughtFlight {
  @Id() id: string;
  @InRange(seconds) flownS: number;
  @YesNo() counts: boolean;
  @OneOf(rejectionReasons, optional) aside: TaughtFlight['aside'];
  @Part(() => ForetoldFlightDto, optional) before: ForetoldFlightDto | null;
  @Part(() => AfterDto, optional) after: AfterDto | null;
  @Part(() => ForetoldFlightDto, optional) leftOut: ForetoldFlightDto | null;
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
  @Part(() => LearntParameterDto, { most: learnable.length }) parameters: LearntParameterDto[];
  @Part(() => LearntPackDto, { most: maxPacksOfFit }) batteries: LearntPackDto[];
  @Part(() => BetweenDto) between: BetweenDto;
  @Part(() => PosteriorDto) posterior: PosteriorDto;
  @InRange(count) flown: number;
  @Part(() => TaughtFlightDto, { most: maxFlightsOfFit }) flights: TaughtFlightDto[];
  @Part(() => LeaveOneOutDto, optional) leaveOneOut: LeaveOneOutDto | null;
  @Part(() => NextTestDto, { most: maxTestsTold }) nextTests: NextTestDto[];
  @Part(() => SentenceDto, { most: maxFindings }) findings: SentenceDto[];
}
