import {
  isTestOnly,
  type ShootContent,
  type Shot,
  type Style,
  shootRanges,
  shotRanges,
  styles,
} from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { PolicyDto } from '../calculations/requestDtos';
import { Stores } from '../database/stores';
import { InRange, Instant, Name, OneOf, Part, Text, Texts } from '../http/fields';
import { invalid } from '../http/problem';
import { recordController } from '../http/recordController';
import { versionRange } from '../http/replacement';
import { StoredRecords } from '../http/storedRecords';

export class ShotDto implements Shot {
  @Text() id: string;
  @Name('Name of the shot') name: string;
  @InRange(shotRanges.durationS) durationS: number;
  @OneOf(styles) style: Style;
  @InRange(shotRanges.distanceM) distanceM: number;
  @InRange(shotRanges.bearingDeg) bearingDeg: number;
  @InRange(shotRanges.heightM) heightM: number;
}

export class ShootDto implements ShootContent {
  @Name('Name of the shoot') name: string;
  @Text() aircraftId: string;
  @Texts() batteryIds: string[];
  @Instant() startsAt: string;
  @InRange(shootRanges.swapTimeS) swapTimeS: number;
  @Part(() => PolicyDto) policy: PolicyDto;
  @Part(() => ShotDto, { list: true }) shots: ShotDto[];
}

export class ShootReplacementDto extends ShootDto {
  @InRange(versionRange) version: number;
}

@Injectable()
export class ShootsService extends StoredRecords<ShootContent> {
  constructor(private readonly stores: Stores) {
    super(stores.shoots);
  }

  protected override async check(shoot: ShootContent): Promise<void> {
    if (isTestOnly(shoot.policy)) {
      const message = 'A plan never flies down to the forced landing or to empty: choose a reserve.';
      throw invalid([{ path: 'policy.kind', message, received: shoot.policy.kind }]);
    }
    const { references } = this.stores;
    await references.requireAircraft(shoot.aircraftId);
    await references.requireBatteriesOf(shoot.aircraftId, shoot.batteryIds, 'batteryIds');
  }
}

@ApiTags('records')
@Controller('shoots')
class ShootsController extends recordController<ShootContent>(ShootDto, ShootReplacementDto) {
  constructor(readonly service: ShootsService) {
    super();
  }
}

@Module({ controllers: [ShootsController], providers: [ShootsService] })
export class ShootsModule {}
