import { ranges, siteRanges } from '@acorn-tally/core';
import { Type } from 'class-transformer';
import { Matches } from 'class-validator';
import { HourDto } from '../http/dto/parts.dto';
import { InRange, many, Part, Text, YesNo } from '../http/fields';

export class StationQueryDto {
  @Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, {
    message: 'day needs a date such as 2026-11-26.',
  })
  day: string;
  @Type(() => Number) @InRange(ranges.conditions.elevationM) elevationM: number;
  @Type(() => Number) @InRange(siteRanges.latitudeDeg) latitudeDeg: number;
  @Type(() => Number) @InRange(siteRanges.longitudeDeg) longitudeDeg: number;
}

/** What the practice station answers. */
export class StationReportDto {
  @YesNo() practice: boolean;
  @Text() station: string;
  @Text() metar: string;
  @Part(() => HourDto, many) hours: HourDto[];
}
