import type { OpenAPIObject } from '@nestjs/swagger';
import pino from 'pino';
import { buildApp, contractOf } from './app.js';
import { openDatabase } from './data/database.js';

/** The contract of the server, as it is published: what it is asked, what it answers, and how it tells an error. */
export async function contract(): Promise<OpenAPIObject> {
  const database = await openDatabase(null);
  const config = {
    dataFolder: '',
    port: 0,
    demo: false,
    webFolder: null,
    worker: null,
    leastFree: 0,
    perMinute: 1,
    logLevel: 'silent',
    shop: false,
    historyDays: 730,
    databaseUrl: null,
    device: 'desk',
    hosts: new Set<string>(),
    trusted: [],
  };
  const app = await buildApp(config, database.db, pino({ level: 'silent' }));
  await app.init();
  const document = contractOf(app);
  await app.close();
  await database.close();
  return document;
}
