import {
  type BatteryContent,
  type BatteryKeeping,
  type BatteryState,
  batteryStates,
  type KeptPlace,
  keptPlaces,
} from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { PackDto } from '../calculations/requestDtos';
import { Stores } from '../database/stores';
import { Day, InRange, Instant, Name, OneOf, Part, Text } from '../http/fields';
import { recordController } from '../http/recordController';
import { versionRange } from '../http/replacement';
import { StoredRecords } from '../http/storedRecords';

const optional = { optional: true };

export class KeepingDto implements BatteryKeeping {
  @OneOf(batteryStates, optional) state?: BatteryState | null;
  @Instant(optional) chargedAt?: string | null;
  @OneOf(keptPlaces, optional) keptAt?: KeptPlace | null;
  @Day(optional) boughtOn?: string | null;
  @Day(optional) healthMeasuredOn?: string | null;
  @Text(optional) notes?: string | null;
}

export class BatteryDto implements BatteryContent {
  @Text() aircraftId: string;
  @Name('Label of the battery') label: string;
  @Part(() => PackDto) pack: PackDto;
  @Part(() => KeepingDto, optional) keeping?: KeepingDto | null;
}

export class BatteryReplacementDto extends BatteryDto {
  @InRange(versionRange) version: number;
}

@Injectable()
export class BatteriesService extends StoredRecords<BatteryContent> {
  constructor(private readonly stores: Stores) {
    super(stores.batteries);
  }

  protected override check(battery: BatteryContent) {
    return this.stores.references.requireAircraft(battery.aircraftId);
  }

  protected override usersOf(id: string) {
    return this.stores.references.toBattery(id);
  }
}

@ApiTags('records')
@Controller('batteries')
class BatteriesController extends recordController<BatteryContent>(BatteryDto, BatteryReplacementDto) {
  constructor(readonly service: BatteriesService) {
    super();
  }
}

@Module({ controllers: [BatteriesController], providers: [BatteriesService] })
export class BatteriesModule {}
