import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pino from 'pino';
import request from 'supertest';
import { PRINT_SHED } from '../../demo/print-shed.js';
import { buildApp } from '../app.js';
import type { Config } from '../config.js';
import type { OpenDatabase } from '../data/database.js';
import { openTestDatabase } from './database.js';
import { ProjectsService } from '../projects/projects.service.js';

/** The application over a database in memory, with the print shed in it. */
export interface TestApp {
  readonly app: NestExpressApplication;
  readonly database: OpenDatabase;
  readonly http: ReturnType<typeof request>;
  readonly close: () => Promise<void>;
}

/** How a server is run in tests. */
export const configForTests = (): Config => ({
  dataFolder: mkdtempSync(join(tmpdir(), 'ruvok-server-')),
  port: 0,
  demo: true,
  webFolder: null,
  worker: null,
  leastFree: 0,
  perMinute: 1500,
  logLevel: 'silent',
  shop: false,
  historyDays: 730,
  databaseUrl: null,
  device: 'Desk in the shed',
  hosts: new Set(),
  trusted: [],
});

export async function startApp(extra: Partial<Config> = {}): Promise<TestApp> {
  const database = await openTestDatabase();
  const config = { ...configForTests(), ...extra };
  const app = await buildApp(config, database.db, pino({ level: 'silent' }));
  await app.init();
  await app.get(ProjectsService).store('print-shed', PRINT_SHED);
  return {
    app,
    database,
    http: request(app.getHttpServer()),
    close: async () => {
      await app.close();
      await database.close();
      rmSync(config.dataFolder, { recursive: true, force: true });
    },
  };
}
