// All that a change must pass; what takes longer and proves something is in `npm run test:long`. With --times: where the time went.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { changedFiles } from './changed.mjs';
import { ROOT, TSC, build, ensureInstalled, said } from './lib.mjs';
import { DIFFERS, serverOnPostgres } from './on-postgres.mjs';
import { browserRun, count, end, jestRun } from './runs.mjs';
import { overShare, timed, timedBeside, timesTable } from './times.mjs';

await timed('Packages', async () => ensureInstalled());
mkdirSync(join(ROOT, 'build'), { recursive: true });

const checks = [];
const check = (name, work) => checks.push({ name, work });
const program = (name, ...args) =>
  check(name, async () => {
    const { code, text } = await said('node', args);
    if (code !== 0) throw new Error(text);
  });

// What is not touched is linted where it lands. It takes as long as all else, and goes beside it.
if (process.env.CI) process.env.RUVOK_LINT = 'quick';
const linted = process.env.CI ? ['.'] : changedFiles().filter((f) => /\.(tsx?|m?js|cjs)$/.test(f));
if (linted.length > 0) program('Lint', 'node_modules/eslint/bin/eslint.js', ...linted);
check('Types: core, server, command', () => build('node', [[TSC, '-p', 'tsconfig.json']]));
check('The page', () => build('page'));
if (linted.length > 0) program('Lint by types', 'node_modules/oxlint/bin/oxlint', '--type-aware', '-c', '.oxlintrc.json', ...linted);
check('Server and command', () => build('bundles'));
program('Types: page', TSC, '-p', 'web/tsconfig.json', '--noEmit');
program('Types: browser tests', TSC, '-p', 'e2e/tsconfig.json', '--noEmit');
program(
  'Import rule',
  'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
  ...['--config', '.dependency-cruiser.cjs'],
  ...['core', 'server', 'web', 'cli', 'demo', 'print', 'hard'],
);
check('An empty database', () => build('seed'));

/** Takes checks as they come, one for each core. */
async function takeChecks() {
  for (let next = checks.shift(); next; next = checks.shift()) {
    const { name, work } = next;
    await timedBeside(name, async () => {
      try {
        await work();
        console.log(`== ${name}: passed`);
        count(true, name);
      } catch (error) {
        console.log(`== ${name}\n${error.message}`);
        count(false, name);
      }
    });
  }
}
await timed('Types, lint and builds', () => Promise.all([takeChecks(), takeChecks()]));

console.log('\n== Unit and server tests');
const unit = await timed('Unit and server tests', () => jestRun('unit and server tests', ['-c', 'jest.suites.config.mjs']));

console.log('\n== Server tests on PostgreSQL');
await timed('Server tests on PostgreSQL', () => serverOnPostgres(DIFFERS));

console.log('\n== Browser tests');
const browser = await timed('Browser tests', () => browserRun('browser tests', ['--grep-invert', '@long']));

if (process.argv.includes('--times')) console.log(`\n${timesTable()}\n${overShare('unit', unit)}\n${overShare('browser', browser)}`);
end();
