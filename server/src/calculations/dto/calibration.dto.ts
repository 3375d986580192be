import {
  type CalibrationEvent,
  type CalibrationFlight,
  type CalibrationReading,
  checkpointRanges,
  drawRanges,
  maxCheckpoints,
  maxFlightsOfFit,
  maxLegs,
  maxPacksOfFit,
  maxShares,
  type PackAsKept,
  type Purpose,
  purposes,
  ranges,
  type SignKind,
  signKinds,
  testFlightRanges,
} from '@acorn-tally/core';
import { OmitType } from '@nestjs/swagger';
import { AircraftSpecDto, FlightLegDto, StyleShareDto, WeatherDto } from '../../http/dto/parts.dto';
import { Id, InRange, NullAsEmpty, OneOf, Part, Text } from '../../http/fields';
import { EstimateRequestDto } from './estimate.dto';
import { BarePackDto } from './projection.dto';

const optional = { optional: true };

/** The way a flight to learn from was flown, as in /estimates; where it went is no matter. */
export class FlownPlanDto {
  @InRange(ranges.flight.heightM) heightM: number;
  @InRange(ranges.flight.farthestM, optional) farthestM?: number | null;
  @InRange(ranges.flight.bearingDeg, optional) bearingDeg?: number | null;
  @InRange(ranges.flight.returnHeightM, optional) returnHeightM?: number | null;
  @InRange(ranges.flight.recordingLoadW, optional) recordingLoadW?: number | null;
  @NullAsEmpty() @Part(() => StyleShareDto, { most: maxShares, optional: true }) mix: StyleShareDto[] = [];
  @Part(() => FlightLegDto, { most: maxLegs, optional: true }) legs?: FlightLegDto[] | null;
}

export class CalibrationReadingDto implements CalibrationReading {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
  @InRange(checkpointRanges.cellVoltageV, optional) cellVoltageV?: number | null;
}

export class CalibrationEventDto implements CalibrationEvent {
  @OneOf(signKinds) kind: SignKind;
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge, optional) charge?: number | null;
}

export class FlightEndDto {
  @InRange(checkpointRanges.timeS) timeS: number;
  @InRange(checkpointRanges.charge) charge: number;
}

export class CalibrationFlightDto implements CalibrationFlight {
  @Id() id: string;
  @Id() batteryId: string;
  @OneOf(purposes, optional) purpose?: Purpose | null;
  @Part(() => WeatherDto) conditions: WeatherDto;
  @InRange(testFlightRanges.startCharge) startCharge: number;
  @InRange(testFlightRanges.startTemperatureC, optional) startTemperatureC?: number | null;
  @Part(() => FlownPlanDto) flight: FlownPlanDto;
  @InRange(ranges.aircraft.addedMassKg, optional) addedMassKg?: number | null;
  @Part(() => CalibrationReadingDto, { most: maxCheckpoints }) checkpoints: CalibrationReadingDto[];
  @Part(() => CalibrationEventDto, { most: maxCheckpoints, optional: true }) events?:
    | CalibrationEventDto[]
    | null;
  @Part(() => FlightEndDto) end: FlightEndDto;
  @Text(optional) excludedReason?: string | null;
}

export class CalibrationPackDto extends BarePackDto implements PackAsKept {
  @Id() id: string;
}

/** The flight for which the next test is sought: as in /estimates, and which of the batteries flies it. */
export class PlannedFlightDto extends OmitType(EstimateRequestDto, ['batteryId', 'fit', 'draws', 'seed']) {
  @Id() batteryId: string;
}

/** The body of POST /calibrations, as the contract names it. Its bands follow from the fit, so draws and seed change nothing. */
export class CalibrationRequestDto {
  @Part(() => AircraftSpecDto) aircraft: AircraftSpecDto;
  @Part(() => CalibrationPackDto, { most: maxPacksOfFit }) batteries: CalibrationPackDto[];
  @Part(() => CalibrationFlightDto, { most: maxFlightsOfFit }) flights: CalibrationFlightDto[];
  @Part(() => PlannedFlightDto, optional) planned?: PlannedFlightDto | null;
  @InRange(drawRanges.draws, optional) draws?: number | null;
  @InRange(drawRanges.seed, optional) seed?: number | null;
}
