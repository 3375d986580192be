import { type DynamicModule, Module } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import helmet from 'helmet';
import { version } from '../package.json';
import { CalculationsModule } from './calculations/calculations.module';
import { Calculator } from './calculations/calculator';
import { Stores } from './database/stores';
import { HealthController } from './health.controller';
import { bodyLimits, hostGuard } from './http/hostGuard';
import { pages } from './http/pages';
import { ProblemFilter } from './http/problemFilter';
import { PracticeModule } from './practice/practice.module';
import { RecordsModule } from './records/records.module';

export interface Parts {
  readonly stores: Stores;
  readonly calculator: Calculator;
  /** Where the built interface is; null to serve none. */
  readonly webFolder: string | null;
  /** Names of this machine besides localhost. */
  readonly hosts: readonly string[];
}

/** The whole server on an open database; with a web folder it serves the interface as well. */
export async function createApp({
  stores,
  calculator,
  webFolder,
  hosts,
}: Parts): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(rootModule(stores, calculator), {
    logger: ['warn', 'error'],
    forceCloseConnections: true,
  });
  app.setGlobalPrefix('api/v1');
  app.useGlobalFilters(new ProblemFilter());
  app.use(helmet({ contentSecurityPolicy: contentPolicy, strictTransportSecurity: false }));
  app.use(hostGuard(hosts));
  app.useBodyParser('json', { limit: '2mb' });
  app.use(bodyLimits);
  // Made when it is first asked for: it takes a tenth of the start.
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, openApi()), {
    jsonDocumentUrl: 'api/v1/openapi.json',
    raw: ['json'],
  });
  if (webFolder) app.use(pages(webFolder));
  return app;
}

function rootModule(stores: Stores, calculator: Calculator): DynamicModule {
  @Module({})
  class RootModule {}
  const shared = [
    { provide: Stores, useValue: stores },
    { provide: Calculator, useValue: calculator },
  ];
  return {
    module: RootModule,
    global: true,
    imports: [CalculationsModule, RecordsModule, PracticeModule],
    controllers: [HealthController],
    providers: shared,
    exports: shared,
  };
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
