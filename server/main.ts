import { existsSync } from 'node:fs';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pino, { type Logger } from 'pino';
import { readConfig, type Config } from './config.js';
import { Backups, restore } from './data/backups.js';
import { holdFolder } from './data/lock.js';
import { openDatabase, type OpenDatabase } from './data/database.js';
import { forgetBefore } from './history/forget.js';
import { deskPath } from './shop/desk.js';
import { PAGE, WORKER } from './places.js';
import { startFault } from './start-fault.js';

const whereBuilt = (path: string) => (existsSync(path) ? path : null);

/** What a phone is opened with: the addresses of this machine, the code, and both as a picture to take. */
async function toldToPhones(app: NestExpressApplication, port: number): Promise<string> {
  const [{ ShopService, addressesHere }, { default: QRCode }] = await Promise.all([import('./shop/shop.service.js'), import('qrcode')]);
  const { code } = app.get(ShopService).makeCode();
  const [first, ...more] = addressesHere().map((a) => `http://${a}:${port}/pair`);
  if (!first) return 'No network was found that a phone could reach this machine by.\n';
  const picture = await QRCode.toString(`${first}#${code}`, { type: 'terminal', small: true });
  return `For phones in the same network: ${[first, ...more].join(', ')}\nThe code is ${code}, for ten minutes and one phone; the page of the desk makes others, under Settings. There is no TLS here: what goes over this network can be read in it.\n${picture}\n`;
}

/** It is looked so often whether the backup of the day is behind, ms. */
const BACKUP_EVERY = 3_600_000;

async function putBack({ dataFolder, restore: day }: Config): Promise<void> {
  if (day === undefined) return;
  const restored = await restore(dataFolder, day);
  process.stdout.write(
    `The backup of ${restored.day} is in its place.${restored.aside ? ` What was there before is kept in ${restored.aside}.` : ''}\n`,
  );
}

/** What is open of a store, and what is done as it is closed. */
interface Store {
  readonly database: OpenDatabase;
  readonly close: (log: Logger) => Promise<void>;
}

/** Opens the store in the data folder, which this process then holds, with its backups. */
async function openFolder(config: Config): Promise<Store> {
  const letGo = holdFolder(config.dataFolder);
  await putBack(config);
  const database = await openDatabase(config.dataFolder);
  const backups = new Backups(config.dataFolder, database);
  backups.start(BACKUP_EVERY);
  const close = async (log: Logger) => {
    backups.stop();
    await backups.backUp().catch((error: unknown) => log.error({ err: error }, 'the backup of today could not be made'));
    await database.close();
    letGo();
  };
  return { database, close };
}

/** Opens the store on a database server, which keeps its own backups. */
async function openServer(url: string, log: Logger): Promise<Store> {
  const { openDatabaseOn } = await import('./data/database-server.js');
  const database = await openDatabaseOn(url, (error) => log.warn({ err: error }, 'a connection to the database broke'));
  return { database, close: () => database.close() };
}

/** The configuration, once it was read. */
let known: Config | null = null;

async function start(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2), { webFolder: whereBuilt(PAGE), worker: whereBuilt(WORKER) });
  known = config;
  const log = pino({ level: config.logLevel });
  // The database opens while the framework is read, which together take most of a start.
  const opening = config.databaseUrl === null ? openFolder(config) : openServer(config.databaseUrl, log);
  const [{ database, close }, { buildApp, loadDemo }] = await Promise.all([opening, import('./app.js')]);
  const app = await buildApp(config, database.db, log);
  if (config.demo) await database.alone(() => loadDemo(app));

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await app.close();
    await close(log);
    process.exit(0);
  };
  process.once('SIGINT', () => void stop());
  process.once('SIGTERM', () => void stop());

  await app.listen(config.port, config.shop ? '0.0.0.0' : '127.0.0.1');
  const address = app.getHttpServer().address() as { port: number };
  const { ShopService } = await import('./shop/shop.service.js');
  const shop = app.get(ShopService);
  const here = `http://127.0.0.1:${address.port}`;
  process.stdout.write(
    shop.isOpen
      ? `Ruvok is at ${here}${deskPath(shop.deskToken)}\nWho opens this address is the desk and may do everything: keep it to yourself.\n`
      : `Ruvok is at ${here}/\n`,
  );
  if (config.shop) process.stdout.write(await toldToPhones(app, address.port));
  // Nobody waits for this, and nothing ends where it fails: it is done at the next start.
  await forgetBefore(database.db, config.historyDays).catch((error: unknown) => log.warn({ err: error }, 'old history was not forgotten'));
}

start().catch((error: unknown) => {
  const told = startFault(error, known);
  process.stderr.write(`${told ?? `Ruvok did not start, by a fault of its own: ${(error as Error).stack ?? String(error)}`}\n`);
  process.exit(told === null ? 70 : 1);
});
