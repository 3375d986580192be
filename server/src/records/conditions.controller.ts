import { type DayAtPlace, dayAtPlace } from '@acorn-tally/core';
import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiProperty, ApiQuery, ApiTags } from '@nestjs/swagger';
import { Stores } from '../database/stores';
import { ProblemResponses } from '../http/openApi';
import { oneText, pageSize } from '../http/queries';

class ConditionsPage {
  @ApiProperty({ type: 'array', items: { type: 'object' } }) items: object[];
  @ApiProperty({ type: String, nullable: true }) nextCursor: string | null;
}

/** Days at their places as one, as a calculation wants its conditions. They are kept, and written, as days and places. */
@ApiTags('records')
@Controller('conditions')
export class ConditionsController {
  constructor(private readonly stores: Stores) {}

  @Get()
  @ApiOperation({ summary: 'Days at their places, to read; they are written as days and as places' })
  @ApiQuery({ name: 'limit', required: false })
  @ApiQuery({ name: 'cursor', required: false })
  @ApiOkResponse({ type: ConditionsPage })
  @ProblemResponses(400, 404)
  list(@Query('limit') limit?: unknown, @Query('cursor') cursor?: unknown) {
    return this.stores.database.read(async (reader) => {
      const { items, nextCursor } = await this.stores
        .of('days')
        .list(reader, pageSize(limit), oneText('cursor', cursor));
      const places = await this.stores.of('places').getMany(
        reader,
        items.map(({ placeId }) => placeId),
      );
      const whole = items.flatMap((day): DayAtPlace[] => {
        const place = places.find(({ id }) => id === day.placeId);
        return place ? [dayAtPlace(day, place)] : [];
      });
      return { items: whole, nextCursor };
    });
  }
}
