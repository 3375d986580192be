import {
  type Checkpoint,
  checkpointRanges,
  type Handling,
  handlings,
  type LeftTo,
  leftTos,
  type Mode,
  maxCheckpoints,
  type ProjectionRequest,
  ranges,
  type SignKind,
  signKinds,
  styles,
  type TestFlight,
  type TestPattern,
  testFlightRanges,
  testPatterns,
} from '@acorn-tally/core';
import { OmitType } from '@nestjs/swagger';
import { AircraftSpecDto, PackDto, WeatherDto } from '../../http/dto/parts.dto';
import { Id, InRange, many, OneOf, Part, Real, Text, YesNo } from '../../http/fields';
import { FitDto } from './fit.dto';

const optional = { optional: true };

export class CheckpointDto implements Checkpoint {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
  @InRange(checkpointRanges.cellVoltageV, optional) cellVoltageV?: number | null;
  @InRange(checkpointRanges.lowestCellVoltageV, optional) lowestCellVoltageV?: number | null;
  @InRange(checkpointRanges.cellSpreadV, optional) cellSpreadV?: number | null;
  @InRange(checkpointRanges.leftS, optional) leftS?: number | null;
  @OneOf(signKinds, optional) kind?: SignKind | null;
  @InRange(checkpointRanges.heightM, optional) heightM?: number | null;
  @InRange(checkpointRanges.speedMps, optional) speedMps?: number | null;
}

export class TestDto implements TestFlight {
  @OneOf(testPatterns) pattern: TestPattern;
  @OneOf(
    styles.filter((style) => style !== 'hover'),
    optional,
  )
  mode?: Mode | null;
  @InRange(testFlightRanges.airspeedMps, optional) airspeedMps?: number | null;
  @InRange(testFlightRanges.reversalsPerMin, optional) reversalsPerMin?: number | null;
  @OneOf(handlings, optional) handling?: Handling | null;
  @InRange(testFlightRanges.heightM) heightM: number;
  @InRange(testFlightRanges.startCharge) startCharge: number;
  @InRange(testFlightRanges.endCharge) endCharge: number;
  @InRange(testFlightRanges.durationS) durationS: number;
  @InRange(testFlightRanges.startTemperatureC, optional) startTemperatureC?: number | null;
  @InRange(testFlightRanges.endTemperatureC, optional) endTemperatureC?: number | null;
  @Part(() => CheckpointDto, { most: maxCheckpoints, optional: true }) checkpoints?: CheckpointDto[] | null;
  @OneOf(leftTos, optional) leftTo?: LeftTo | null;
  @Text(optional) recording?: string | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @Text(optional) attached?: string | null;
  @InRange(ranges.aircraft.addedMassKg, optional) addedMassKg?: number | null;
  @YesNo(optional) freshRotors?: boolean | null;
}

/** A pack as it is, whatever it is charged to. */
export class BarePackDto extends OmitType(PackDto, ['startCharge', 'startTemperatureC']) {}

/** The body of POST /projections, as the contract names it. */
export class ProjectionRequestDto implements ProjectionRequest {
  @Part(() => TestDto) test: TestDto;
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => BarePackDto) battery: BarePackDto;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @Id(optional) batteryId?: string | null;
  @Part(() => FitDto, optional) fit?: FitDto | null;
}

export class ProjectionDto {
  @Text() kind: string;
  @Real() toZeroS: number;
  @Real() ofBoxFraction: number;
  @Real(optional) missFraction: number | null;
}

/** What POST /projections answers: one projection by each school. */
export class ProjectionsAnswerDto {
  @Part(() => ProjectionDto, many) schools: ProjectionDto[];
}
