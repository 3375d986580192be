import {
  beliefFrom,
  type FrozenEstimate,
  fromTheBox,
  frozenEstimate,
  requestForTest,
  type TestFlightContent,
  type TestFlightRecord,
  testFlightProblem,
  testOutcome,
  usualDraws,
} from '@acorn-tally/core';
import { Controller, Get, Injectable, Module, Param } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Stores } from '../database/stores';
import { invalid } from '../http/problem';
import { recordController } from '../http/recordController';
import { StoredRecords } from '../http/storedRecords';
import { TestFlightDto, TestFlightReplacementDto } from './testFlights.dto';

@Injectable()
export class TestFlightsService extends StoredRecords<
  TestFlightContent,
  { readonly estimate: FrozenEstimate }
> {
  constructor(private readonly stores: Stores) {
    super(stores.testFlights);
  }

  /** The estimate, some kilobytes, comes with the flight; a list tells what came of it. */
  protected override listed({ estimate: _, ...record }: TestFlightRecord) {
    return record;
  }

  protected override told(record: TestFlightRecord) {
    return testOutcome(record, Date.now());
  }

  /** Estimates the flight as it was flown and keeps that answer with it for good, whatever is learned later. */
  protected override async complete(content: TestFlightContent) {
    const [aircraft, battery] = await Promise.all([
      this.stores.aircraft.get(content.aircraftId),
      this.stores.batteries.get(content.batteryId),
    ]);
    const request = requestForTest(content.test, aircraft.spec, battery.pack, content.weather);
    return { ...content, estimate: frozenEstimate(request, beliefFrom(fromTheBox, usualDraws)) };
  }

  protected override async check(content: TestFlightContent): Promise<void> {
    const message = testFlightProblem(content.test);
    if (message) throw invalid([{ path: 'test.endCharge', message, received: content.test.endCharge }]);
    const { references } = this.stores;
    await references.requireAircraft(content.aircraftId);
    await references.requireBatteriesOf(content.aircraftId, [content.batteryId], 'batteryId');
  }
}

@ApiTags('records')
@Controller('test-flights')
class TestFlightsController extends recordController<TestFlightContent>(
  TestFlightDto,
  TestFlightReplacementDto,
) {
  constructor(readonly service: TestFlightsService) {
    super();
  }

  @Get(':id/estimate')
  @ApiOperation({ summary: 'The estimate as it was when the test was recorded' })
  async estimate(@Param('id') id: string) {
    return (await this.service.get(id)).estimate;
  }
}

@Module({ controllers: [TestFlightsController], providers: [TestFlightsService] })
export class TestFlightsModule {}
