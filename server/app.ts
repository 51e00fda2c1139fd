import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { NestFactory } from '@nestjs/core';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import { json, raw, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import sirv from 'sirv';
import { keepQuick } from '../core/formats/index.js';
import { pieceSchema } from '../core/kinds/index.js';
import { AppModule } from './app.module.js';
import { pieceCheck } from './compiled.js';
import type { Config } from './config.js';
import type { Database } from './data/database.js';
import { noFile, policy, servePage } from './page.js';
import { PROBLEM } from './problems/answers.js';
import { ownPagesOnly } from './problems/same-place.js';
import { MOST_BYTES } from './photos/picture.js';
import { gate } from './shop/gate.js';
import { ShopService } from './shop/shop.service.js';
import { ProblemFilter } from './problems/problem.filter.js';

const DOCS = '/api/docs';

export { loadDemo } from './projects/demo.js';

if (pieceCheck) keepQuick(pieceSchema(), pieceCheck);

/** Builds the application; it does not listen yet. */
export async function buildApp(config: Config, db: Database, log: Logger): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config, db), {
    logger: false,
    bodyParser: false,
    abortOnError: false,
  });
  app.setGlobalPrefix('api');
  // Of who asks a proxy is believed where it is said whom to believe.
  app.set('trust proxy', config.trusted.length > 0 ? config.trusted : false);
  app.use(pinoHttp({ logger: log, autoLogging: { ignore: (req) => req.method === 'GET' } }));
  app.use(DOCS, helmet({ contentSecurityPolicy: policy("'unsafe-inline'"), strictTransportSecurity: false }));
  app.use((req: Request, res: Response, next: NextFunction) => {
    if (req.path.startsWith(DOCS)) return next();
    const nonce = randomBytes(16).toString('base64');
    res.locals['nonce'] = nonce;
    return helmet({ contentSecurityPolicy: policy(`'nonce-${nonce}'`), strictTransportSecurity: false })(req, res, next);
  });
  app.use(ownPagesOnly(config.hosts));
  app.use(gate(app.get(ShopService), config.device));
  app.use(compression());
  app.use('/api', (_req: Request, res: Response, next: NextFunction) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  if (config.webFolder) {
    app.use(servePage(config.webFolder));
    // Files of the page are packed when it is built.
    app.use(sirv(config.webFolder, { brotli: true, gzip: true, etag: true, maxAge: 31_536_000, immutable: true }));
    app.use(noFile);
  }
  // An archive is no body: it is put on the disk as it comes.
  app.use('/api/projects/files', json({ limit: '12mb' }));
  app.use(/^\/api\/projects\/[^/]+\/photos$/, raw({ type: () => true, limit: MOST_BYTES }));
  app.useBodyParser('json', { limit: '2mb' });
  app.useGlobalFilters(new ProblemFilter(log));
  // The document is made when it is first asked for, not at every start.
  SwaggerModule.setup('api/docs', app, () => contractOf(app));
  return app;
}

/** What the server is asked, what it answers, and how it tells an error (OpenAPI 3). */
export function contractOf(app: NestExpressApplication): OpenAPIObject {
  const document = SwaggerModule.createDocument(app, new DocumentBuilder().setTitle('Ruvok').setVersion('1').build());
  const { components } = document;
  return { ...document, components: { ...components, schemas: { ...components?.schemas, Problem: PROBLEM } } };
}
