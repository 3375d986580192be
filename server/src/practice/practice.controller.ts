import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ProblemResponses } from '../http/openApi';
import { validated } from '../http/validated';
import { StationQueryDto, StationReportDto } from './station.dto';
import { stationReport } from './weatherStation';

@ApiTags('practice')
@Controller('practice')
export class PracticeController {
  @Get('weather-station')
  @ApiOperation({
    summary:
      'A stand-in for a weather service: made-up hourly weather and a METAR for a place and day, always the same',
  })
  @ApiOkResponse({ type: StationReportDto })
  @ProblemResponses(400)
  weatherStation(@Query(validated(StationQueryDto)) query: StationQueryDto) {
    const { day, elevationM, ...coordinates } = query;
    return stationReport(day, elevationM, coordinates);
  }
}
