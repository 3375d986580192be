import { ranges, siteRanges } from '@acorn-tally/core';
import { Controller, Get, Module, Query } from '@nestjs/common';
import { ApiExtraModels, ApiOkResponse, ApiOperation, ApiTags, getSchemaPath } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { Matches } from 'class-validator';
import { HourDto } from '../dtos/records';
import { InRange } from '../http/fields';
import { ProblemResponses } from '../http/openApi';
import { validated } from '../http/validated';
import { stationReport } from './weatherStation';

export class StationQueryDto {
  @Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, {
    message: 'day needs a date such as 2026-11-26.',
  })
  day: string;
  @Type(() => Number) @InRange(ranges.conditions.elevationM) elevationM: number;
  @Type(() => Number) @InRange(siteRanges.latitudeDeg) latitudeDeg: number;
  @Type(() => Number) @InRange(siteRanges.longitudeDeg) longitudeDeg: number;
}

@ApiTags('practice')
@Controller('practice')
class PracticeController {
  @Get('weather-station')
  @ApiOperation({
    summary:
      'A stand-in for a weather service: made-up hourly weather and a METAR for a place and day, always the same',
  })
  @ApiOkResponse({
    schema: {
      type: 'object',
      required: ['practice', 'station', 'metar', 'hours'],
      properties: {
        practice: { type: 'boolean' },
        station: { type: 'string' },
        metar: { type: 'string' },
        hours: { type: 'array', items: { $ref: getSchemaPath(HourDto) } },
      },
    },
  })
  @ApiExtraModels(HourDto)
  @ProblemResponses(400)
  weatherStation(@Query(validated(StationQueryDto)) query: StationQueryDto) {
    const { day, elevationM, ...coordinates } = query;
    return stationReport(day, elevationM, coordinates);
  }
}

@Module({ controllers: [PracticeController] })
export class PracticeModule {}
