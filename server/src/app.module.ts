import { Module } from '@nestjs/common';
import { ConfigModule } from '@nestjs/config';
import { APP_FILTER } from '@nestjs/core';
import { ScheduleModule } from '@nestjs/schedule';
import { CalculationsModule } from './calculations/calculations.module';
import { serverConfig } from './config';
import { DatabaseModule } from './database/database.module';
import { HealthController } from './health.controller';
import { ProblemFilter } from './http/problemFilter';
import { PracticeModule } from './practice/practice.module';
import { checks } from './records/checks';
import { RecordsModule } from './records/records.module';

/** The whole server. */
@Module({
  imports: [
    ConfigModule.forRoot({ isGlobal: true, ignoreEnvFile: true, load: [serverConfig] }),
    ScheduleModule.forRoot(),
    DatabaseModule.withChecks(checks),
    CalculationsModule,
    RecordsModule,
    PracticeModule,
  ],
  controllers: [HealthController],
  providers: [{ provide: APP_FILTER, useClass: ProblemFilter }],
})
export class AppModule {}
