import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import { json } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { AppModule } from './app.module.js';
import type { Config } from './config.js';
import type { Database } from './data/database.js';
import { ProblemFilter } from './problems/problem.filter.js';

const SELF = ["'self'"];

/** Nothing from elsewhere, no inline script, no inline style sheet. */
const PAGE_POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'none'"],
    scriptSrc: [...SELF, "'wasm-unsafe-eval'"],
    styleSrc: SELF,
    fontSrc: SELF,
    imgSrc: [...SELF, 'data:', 'blob:'],
    connectSrc: SELF,
    workerSrc: [...SELF, 'blob:'],
    baseUri: SELF,
    formAction: SELF,
    frameAncestors: ["'none'"],
  },
};

const DOCS = '/api/docs';

/** Builds the application; it does not listen yet. */
export async function buildApp(config: Config, db: Database, log: Logger): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config, db), { logger: false, bodyParser: false, abortOnError: false });
  app.setGlobalPrefix('api');
  app.use(pinoHttp({ logger: log, autoLogging: { ignore: (req) => req.method === 'GET' } }));
  app.use(DOCS, helmet({ contentSecurityPolicy: { useDefaults: false, directives: { ...PAGE_POLICY.directives, styleSrc: [...SELF, "'unsafe-inline'"] } } }));
  app.use((req: { path: string }, res: never, next: () => void) =>
    req.path.startsWith(DOCS) ? next() : helmet({ contentSecurityPolicy: PAGE_POLICY, strictTransportSecurity: false })(req as never, res, next),
  );
  app.use(compression());
  app.use('/api/projects/files', json({ limit: '12mb' }));
  app.useBodyParser('json', { limit: '2mb' });
  app.useGlobalFilters(new ProblemFilter(log));
  const document = SwaggerModule.createDocument(app, new DocumentBuilder().setTitle('Ruvok').setVersion('1').build());
  SwaggerModule.setup('api/docs', app, document);
  return app;
}
