import type { ConditionsContent } from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { WeatherDto } from '../calculations/requestDtos';
import { Stores } from '../database/stores';
import { InRange, Instant, Name, Part } from '../http/fields';
import { recordController } from '../http/recordController';
import { versionRange } from '../http/replacement';
import { StoredRecords } from '../http/storedRecords';

export class ConditionsDto implements ConditionsContent {
  @Name('Place') place: string;
  @Instant() at: string;
  @Part(() => WeatherDto) weather: WeatherDto;
}

export class ConditionsReplacementDto extends ConditionsDto {
  @InRange(versionRange) version: number;
}

@Injectable()
export class ConditionsService extends StoredRecords<ConditionsContent> {
  constructor(stores: Stores) {
    super(stores.conditions);
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
