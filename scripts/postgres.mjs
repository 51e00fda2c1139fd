// The tests of the server once more, on a PostgreSQL server of their own in place of the embedded one.
import { join } from 'node:path';
import { ROOT, ensureBuilt, ensureInstalled, installed, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const { postgresHere, startCluster } = await import('../build/node/hard/postgres.js');
if (postgresHere() === null) installed('postgresql', () => postgresHere() !== null);
const bin = postgresHere();
if (bin === null) {
  console.log(
    'PostgreSQL is not here and could not be installed, so the server was not tried on it. On Debian: apt-get install postgresql.',
  );
  process.exit(0);
}
console.log(`The server on ${bin}`);
const cluster = await startCluster(bin);
const code = run(
  'node',
  [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${join(ROOT, 'build/jest-postgres.json')}`,
    '--selectProjects',
    'server',
    // What is about the folder of the embedded one.
    '--testPathIgnorePatterns',
    'data/(power-cut|backups|lock)|config|page',
    '--testPathPatterns',
    process.argv[2] ?? '.',
  ],
  { env: { ...process.env, RUVOK_TEST_POSTGRES: cluster.url } },
);
await cluster.stop();
const { shareDatabase } = await import('../build/node/hard/shared.js');
const shared = await shareDatabase(40, (text) => console.log(text));
console.log(`Two processes on one database: ${shared.acknowledged} edits acknowledged, ${shared.refused} refused, ${shared.lost} lost`);
process.exit(code !== 0 ? code : shared.lost === 0 && shared.acknowledged > 0 ? 0 : 1);
