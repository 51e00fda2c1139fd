import { existsSync } from 'node:fs';
import pino from 'pino';
import { readConfig } from './config.js';
import { FolderInUse, holdFolder } from './data/lock.js';
import { openDatabase } from './data/database.js';
import { PAGE, WORKER } from './places.js';

const whereBuilt = (path: string) => (existsSync(path) ? path : null);

async function start(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2), { webFolder: whereBuilt(PAGE), worker: whereBuilt(WORKER) });
  const letGo = holdFolder(config.dataFolder);
  const log = pino({ level: config.logLevel });
  // The database opens while the framework is read, which together take most of a start.
  const [database, { buildApp, loadDemo }] = await Promise.all([openDatabase(config.dataFolder), import('./app.js')]);
  const app = await buildApp(config, database.db, log);
  if (config.demo) await loadDemo(app);

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
