import {
  type LiftOffCheck,
  liftOffChecks,
  type Mode,
  styles,
  type TestFlight,
  type TestFlightContent,
  type TestPattern,
  type TestQuestionCode,
  testFlightRanges,
  testPatterns,
  testQuestionCodes,
} from '@acorn-tally/core';
import { WeatherDto } from '../calculations/requestDtos';
import { InRange, Instant, OneOf, Part, SomeOf, Text } from '../http/fields';
import { versionRange } from '../http/replacement';

const optional = { optional: true };

export class TestDto implements TestFlight {
  @OneOf(testPatterns) pattern: TestPattern;
  @OneOf(
    styles.filter((style) => style !== 'hover'),
    optional,
  )
  mode?: Mode | null;
  @InRange(testFlightRanges.airspeedMps, optional) airspeedMps?: number | null;
  @InRange(testFlightRanges.heightM) heightM: number;
  @InRange(testFlightRanges.startCharge) startCharge: number;
  @InRange(testFlightRanges.endCharge) endCharge: number;
  @InRange(testFlightRanges.durationS) durationS: number;
  @InRange(testFlightRanges.startTemperatureC, optional) startTemperatureC?: number | null;
}

export class TestFlightDto implements TestFlightContent {
  @Text() aircraftId: string;
  @Text() batteryId: string;
  @Instant() flownAt: string;
  @Part(() => TestDto) test: TestDto;
  @Part(() => WeatherDto) weather: WeatherDto;
  @Text(optional) note?: string | null;
  @Text(optional) excludedReason?: string | null;
  @SomeOf(liftOffChecks, optional) liftOff?: LiftOffCheck[] | null;
  @SomeOf(testQuestionCodes, optional) confirmed?: TestQuestionCode[] | null;
}

export class TestFlightReplacementDto extends TestFlightDto {
  @InRange(versionRange) version: number;
}
