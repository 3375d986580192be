import { Controller, Get, Inject, Param } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ProblemResponses } from '../http/openApi';
import { recordsOf } from './controller';
import { FrozenEstimateDto } from './dto/frozenEstimate.dto';
import { Records } from './records';

@ApiTags('records')
@Controller('test-flights')
export class FrozenEstimateController {
  constructor(@Inject(recordsOf('testFlights')) private readonly flights: Records<'testFlights'>) {}

  @Get(':id/estimate')
  @ApiOperation({ summary: 'The estimate as it was when the test was recorded' })
  @ApiOkResponse({ type: FrozenEstimateDto })
  @ProblemResponses(404)
  async estimate(@Param('id') id: string) {
    return (await this.flights.getWhole(id)).estimate;
  }
}
