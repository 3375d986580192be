import { kinds } from '@acorn-tally/core';
import { Controller, Get, Inject, Module, Param } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { Calculator } from '../calculations/calculator';
import { Stores } from '../database/stores';
import { ProblemResponses } from '../http/openApi';
import { ConditionsController } from './conditions.controller';
import { controllerOf, recordsOf } from './controller';
import { Records } from './records';
import { TelemetryController } from './telemetry.controller';

@ApiTags('records')
@Controller('test-flights')
class FrozenEstimateController {
  constructor(@Inject(recordsOf('testFlights')) private readonly flights: Records<'testFlights'>) {}

  @Get(':id/estimate')
  @ApiOperation({ summary: 'The estimate as it was when the test was recorded' })
  @ApiOkResponse({ schema: { type: 'object', required: ['request', 'answer', 'refusal'] } })
  @ProblemResponses(404)
  async estimate(@Param('id') id: string) {
    return (await this.flights.getWhole(id)).estimate;
  }
}

/** Every kind of record that the registry lists, with the same endpoints. */
@Module({
  controllers: [
    ...kinds.map((kind) => controllerOf(kind)),
    FrozenEstimateController,
    TelemetryController,
    ConditionsController,
  ],
  providers: kinds.map((kind) => ({
    provide: recordsOf(kind),
    useFactory: (stores: Stores, calculator: Calculator) => new Records(kind, stores, calculator),
    inject: [Stores, Calculator],
  })),
})
export class RecordsModule {}
