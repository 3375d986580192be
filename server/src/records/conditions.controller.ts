import { type DayAtPlace, dayAtPlace, maxHours } from '@acorn-tally/core';
import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { Stores } from '../database/stores';
import { HourDto, SiteDto, WeatherDto } from '../http/dto/parts.dto';
import { PageQueryDto } from '../http/dto/queries.dto';
import { Id, Instant, many, Part, Text } from '../http/fields';
import { ProblemResponses } from '../http/openApi';
import { validatedQuery } from '../http/validated';
import { WeatherSourceDto } from './dto/contents.dto';

const optional = { optional: true };

class DayAtPlaceDto {
  @Id() id: string;
  @Id() placeId: string;
  @Text() place: string;
  @Instant() at: string;
  @Part(() => WeatherDto) weather: WeatherDto;
  @Part(() => SiteDto) site: SiteDto;
  @Part(() => WeatherSourceDto, optional) weatherFrom: WeatherSourceDto | null;
  @Part(() => HourDto, { most: maxHours, optional: true }) hours: HourDto[] | null;
  @Part(() => WeatherSourceDto, optional) hoursFrom: WeatherSourceDto | null;
}

class ConditionsPage {
  @Part(() => DayAtPlaceDto, many) items: object[];
  @Text(optional) nextCursor: string | null;
}

/** Days at their places as one, as a calculation wants its conditions. They are kept, and written, as days and places. */
@ApiTags('records')
@Controller('conditions')
export class ConditionsController {
  constructor(private readonly stores: Stores) {}

  @Get()
  @ApiOperation({ summary: 'Days at their places, to read; they are written as days and as places' })
  @ApiOkResponse({ type: ConditionsPage })
  @ProblemResponses(400, 404)
  list(@Query(validatedQuery(PageQueryDto)) { limit, cursor }: PageQueryDto) {
    return this.stores.database.read(async (reader) => {
      const { items, nextCursor } = await this.stores.of('days').list(reader, limit, cursor ?? null);
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
