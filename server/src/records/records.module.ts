import { kinds } from '@acorn-tally/core';
import { Module } from '@nestjs/common';
import { CalculationsModule } from '../calculations/calculations.module';
import { Calculator } from '../calculations/calculator';
import { Stores } from '../database/stores';
import { ConditionsController } from './conditions.controller';
import { controllerOf, recordsOf } from './controller';
import { FrozenEstimateController } from './frozenEstimate.controller';
import { Records } from './records';
import { TelemetryController } from './telemetry.controller';

/** Every kind of record that the registry lists, with the same endpoints. */
@Module({
  imports: [CalculationsModule],
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
