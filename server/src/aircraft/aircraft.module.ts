import { type AircraftContent, flightProblem, toldInSi } from '@acorn-tally/core';
import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Stores } from '../database/stores';
import { invalid } from '../http/problem';
import { recordController } from '../http/recordController';
import { StoredRecords } from '../http/storedRecords';
import { AircraftDto, AircraftReplacementDto } from './aircraft.dto';

@Injectable()
export class AircraftService extends StoredRecords<AircraftContent> {
  constructor(private readonly stores: Stores) {
    super(stores.aircraft);
  }

  protected override async check({ flight }: AircraftContent): Promise<void> {
    const problem = flightProblem(flight);
    if (problem) throw invalid([{ path: 'flight.mix', message: toldInSi(problem) }]);
  }

  protected override usersOf(id: string) {
    return this.stores.references.toAircraft(id);
  }
}

@ApiTags('records')
@Controller('aircraft')
class AircraftController extends recordController<AircraftContent>(AircraftDto, AircraftReplacementDto) {
  constructor(readonly service: AircraftService) {
    super();
  }
}

@Module({ controllers: [AircraftController], providers: [AircraftService] })
export class AircraftModule {}
