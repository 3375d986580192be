import type { AircraftContent } from '@acorn-tally/core';
import { AircraftSpecDto, FlightDto, PolicyDto } from '../calculations/requestDtos';
import { InRange, Instant, Name, Part } from '../http/fields';
import { versionRange } from '../http/replacement';

export class AircraftDto implements AircraftContent {
  @Name('Name of the aircraft') name: string;
  @Part(() => AircraftSpecDto) spec: AircraftSpecDto;
  @Part(() => FlightDto) flight: FlightDto;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Instant({ optional: true }) retiredOn?: string | null;
}

export class AircraftReplacementDto extends AircraftDto {
  @InRange(versionRange) version: number;
}
