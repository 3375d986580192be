import {
  type ConditionsContent,
  type ConditionsRecord,
  type HourlyWeather,
  type LiftOffCard,
  type LiftOffCheck,
  liftOffChecks,
  ranges,
  timeZoneAt,
  type WeatherSource,
} from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { IsBoolean } from 'class-validator';
import { SiteDto, WeatherDto, WindDto } from '../calculations/requestDtos';
import { Stores } from '../database/stores';
import { InRange, Instant, Name, Part, SomeOf, Text } from '../http/fields';
import { recordController } from '../http/recordController';
import { versionRange } from '../http/replacement';
import { StoredRecords } from '../http/storedRecords';

const optional = { optional: true };

export class HourDto implements HourlyWeather {
  @Instant() at: string;
  @InRange(ranges.conditions.airTemperatureC) airTemperatureC: number;
  @InRange(ranges.conditions.relativeHumidity, optional) relativeHumidity?: number | null;
  @InRange(ranges.conditions.qnhHpa, optional) qnhHpa?: number | null;
  @Part(() => WindDto) wind: WindDto;
}

export class WeatherSourceDto implements WeatherSource {
  @Name('Source') name: string;
  @IsBoolean({ message: 'practice needs true or false.' }) practice: boolean;
}

export class LiftOffDto implements LiftOffCard {
  @Text() batteryId: string;
  @SomeOf(liftOffChecks) ticked: LiftOffCheck[];
}

export class ConditionsDto implements ConditionsContent {
  @Name('Place') place: string;
  @Instant() at: string;
  @Part(() => WeatherDto) weather: WeatherDto;
  @Part(() => SiteDto, optional) site?: SiteDto | null;
  @Part(() => WeatherSourceDto, optional) weatherFrom?: WeatherSourceDto | null;
  @Part(() => HourDto, { list: true, optional: true }) hours?: HourDto[] | null;
  @Part(() => WeatherSourceDto, optional) hoursFrom?: WeatherSourceDto | null;
  @Part(() => LiftOffDto, optional) liftOff?: LiftOffDto | null;
}

export class ConditionsReplacementDto extends ConditionsDto {
  @InRange(versionRange) version: number;
}

@Injectable()
export class ConditionsService extends StoredRecords<ConditionsContent> {
  constructor(stores: Stores) {
    super(stores.conditions);
  }

  /** The zone its coordinates lie in, which takes a large map to find. */
  protected override told({ site }: ConditionsRecord) {
    return site?.coordinates ? { timeZone: timeZoneAt(site.coordinates) } : null;
  }
}

@ApiTags('records')
@Controller('conditions')
class ConditionsController extends recordController<ConditionsContent>(
  ConditionsDto,
  ConditionsReplacementDto,
) {
  constructor(readonly service: ConditionsService) {
    super();
  }
}

@Module({ controllers: [ConditionsController], providers: [ConditionsService] })
export class ConditionsModule {}
