import {
  type Charger,
  type ChargerContent,
  chargerRanges,
  type PowerSource,
  powerSources,
} from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Stores } from '../database/stores';
import { InRange, Instant, Name, OneOf, Part } from '../http/fields';
import { recordController } from '../http/recordController';
import { versionRange } from '../http/replacement';
import { StoredRecords } from '../http/storedRecords';

export class ChargerSpecDto implements Charger {
  @InRange(chargerRanges.atOnce) atOnce: number;
  @InRange(chargerRanges.emptyToFullS) emptyToFullS: number;
  @OneOf(powerSources) power: PowerSource;
  @Instant({ optional: true }) powerUntil?: string | null;
}

export class ChargerDto implements ChargerContent {
  @Name('Name of the charger') name: string;
  @Part(() => ChargerSpecDto) charger: ChargerSpecDto;
}

export class ChargerReplacementDto extends ChargerDto {
  @InRange(versionRange) version: number;
}

@Injectable()
export class ChargersService extends StoredRecords<ChargerContent> {
  constructor(stores: Stores) {
    super(stores.chargers);
  }
}

@ApiTags('records')
@Controller('chargers')
class ChargersController extends recordController<ChargerContent>(ChargerDto, ChargerReplacementDto) {
  constructor(readonly service: ChargersService) {
    super();
  }
}

@Module({ controllers: [ChargersController], providers: [ChargersService] })
export class ChargersModule {}
