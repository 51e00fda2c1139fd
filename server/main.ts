import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import pino from 'pino';
import { buildApp } from './app.js';
import { readConfig } from './config.js';
import { FolderInUse, holdFolder } from './data/lock.js';
import { openDatabase } from './data/database.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { DEMO_ID } from './projects/projects.controller.js';
import { ProjectsService } from './projects/projects.service.js';

async function start(): Promise<void> {
  const web = fileURLToPath(new URL('../../web', import.meta.url));
  const config = readConfig(process.env, process.argv.slice(2), existsSync(web) ? web : null);
  const letGo = holdFolder(config.dataFolder);
  const log = pino({ level: config.logLevel });
  const database = await openDatabase(config.dataFolder);
  const app = await buildApp(config, database.db, log);
  const projects = app.get(ProjectsService);
  if (config.demo && (await projects.isEmpty())) await projects.store(DEMO_ID, PRINT_SHED);

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await app.close();
    await database.close();
    letGo();
    process.exit(0);
  };
  process.once('SIGINT', () => void stop());
  process.once('SIGTERM', () => void stop());

  await app.listen(config.port, '127.0.0.1');
  const address = app.getHttpServer().address() as { port: number };
  process.stdout.write(`Ruvok is at http://127.0.0.1:${address.port}/\n`);
}

start().catch((error: unknown) => {
  const known = error instanceof FolderInUse || error instanceof RangeError || (error as { code?: string }).code === 'EADDRINUSE';
  process.stderr.write(`${known ? (error as Error).message : ((error as Error).stack ?? String(error))}\n`);
  process.exit(1);
});
