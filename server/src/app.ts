import { Module, type Type } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import helmet from 'helmet';
import { version } from '../package.json';
import { AircraftModule } from './aircraft/aircraft.module';
import { BatteriesModule } from './batteries/batteries.module';
import { CalculationsModule } from './calculations/calculations.module';
import { ChargersModule } from './chargers/chargers.module';
import { ConditionsModule } from './conditions/conditions.module';
import type { Database } from './database/database';
import { databaseModule } from './database/database.module';
import { HealthController } from './health.controller';
import { pages } from './http/pages';
import { ProblemFilter } from './http/problemFilter';
import { PracticeModule } from './practice/practice.module';
import { ShootsModule } from './shoots/shoots.module';
import { TestFlightsModule } from './testFlights/testFlights.module';

/** The whole server on an open database; with a web folder it serves the interface as well. */
export async function createApp(
  database: Database,
  webFolder: string | null,
): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(rootModule(database), {
    logger: ['warn', 'error'],
    forceCloseConnections: true,
  });
  app.setGlobalPrefix('api/v1');
  app.useGlobalFilters(new ProblemFilter());
  app.useBodyParser('json', { limit: '2mb' });
  app.use(helmet({ contentSecurityPolicy: contentPolicy, strictTransportSecurity: false }));
  SwaggerModule.setup('api/docs', app, SwaggerModule.createDocument(app, openApi()), {
    jsonDocumentUrl: 'api/v1/openapi.json',
  });
  if (webFolder) app.use(pages(webFolder));
  return app;
}

function rootModule(database: Database): Type {
  @Module({
    imports: [
      databaseModule(database),
      CalculationsModule,
      AircraftModule,
      BatteriesModule,
      ChargersModule,
      ConditionsModule,
      TestFlightsModule,
      ShootsModule,
      PracticeModule,
    ],
    controllers: [HealthController],
  })
  class RootModule {}
  return RootModule;
}

const contentPolicy = {
  directives: {
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    workerSrc: ["'self'", 'blob:'],
    upgradeInsecureRequests: null,
  },
};

function openApi() {
  return new DocumentBuilder()
    .setTitle('Acorn Tally')
    .setDescription(
      'Usable flight time per battery. JSON in SI, the unit in each name; charges and shares are fractions 0–1; errors are problem+json (RFC 9457).',
    )
    .setVersion(version)
    .build();
}
