import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import helmet from 'helmet';
import { version } from '../package.json';
import { type ServerConfig, serverConfig } from './config';
import { bodyLimits, hostGuard } from './http/hostGuard';
import { pages } from './http/pages';

/** What stands around every request: who may come in, how much, the API document, and the interface on all other addresses. */
export function configure(app: NestExpressApplication): void {
  const { hosts, webFolder } = app.get<ServerConfig>(serverConfig.KEY);
  app.setGlobalPrefix('api/v1');
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
