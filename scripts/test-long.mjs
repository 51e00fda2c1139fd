// What takes longer than a change should wait for and proves something all the same: random pieces ten times as often, all that
// tries to break the product, the whole server on PostgreSQL, by keyboard what goes by pointer too, and lint by all its rules. With --times: where it went.
import { ensureBuilt, ensureInstalled, run } from './lib.mjs';
import { serverOnPostgres, twoProcesses } from './on-postgres.mjs';
import { browserRun, count, end, jestRun } from './runs.mjs';
import { timed, timesTable } from './times.mjs';

/** So many times as often as in `npm test` a test tries what it makes at random. */
const TIMES = '10';

/** The share that is tried of what `npm run hard` tries in full, which takes hours. */
const SHARE = '0.05';

ensureInstalled();
await ensureBuilt();

console.log('\n== Lint, with what the compiler of React objects to');
await timed('Lint', async () => count(run('node', ['node_modules/eslint/bin/eslint.js', '.']) === 0, 'lint'));

console.log('\n== Random pieces, and sweeps');
await timed('Random pieces, and sweeps', async () =>
  jestRun('random pieces and sweeps', ['-c', 'jest.suites.config.mjs', '--testTimeout', '1800000'], { RUVOK_LONG: TIMES }),
);

console.log('\n== Server tests on PostgreSQL');
await timed('Server tests on PostgreSQL', async () => {
  await serverOnPostgres('server/');
  await twoProcesses(40);
});

console.log('\n== What tries to break it');
await timed('What tries to break it', async () => count(run('node', ['scripts/hard.mjs', SHARE]) === 0, 'npm run hard'));

console.log('\n== Browser tests by keyboard, and those that take long');
await timed('Browser tests', async () => browserRun('long browser tests', ['--grep', '@long']));

if (process.argv.includes('--times')) console.log(`\n${timesTable()}`);
end();
