import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuilt, ensureInstalled, installed, run, said } from './lib.mjs';

let passed = 0;
let failed = 0;

function count(ok, name) {
  if (ok) passed += 1;
  else {
    failed += 1;
    console.error(`FAILED: ${name}`);
  }
}

/** Runs checks two at a time, one for each core, and prints what each said when it is done. */
async function runChecks(checks) {
  const waiting = [...checks];
  const worker = async () => {
    for (let check = waiting.shift(); check; check = waiting.shift()) {
      const [name, ...args] = check;
      const { code, text } = await said('node', args);
      console.log(`\n== ${name}\n${text}`);
      count(code === 0, name);
    }
  };
  await Promise.all([worker(), worker()]);
}

function readJson(path) {
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
}

/** Adds what a run of tests came to. */
function countReport(path, code, name) {
  const report = readJson(path);
  const bad = report ? report.numFailedTests + report.numRuntimeErrorTestSuites : 0;
  passed += report?.numPassedTests ?? 0;
  failed += bad;
  if (!report || (code !== 0 && bad === 0)) count(false, name);
}

/** Debian's Chromium for the browser tests: installed when it is missing and that is allowed. */
function ensureChromium() {
  const isThere = () => existsSync('/usr/bin/chromium');
  if (process.env.RUVOK_CHROMIUM || isThere() || installed('chromium', isThere)) return true;
  console.error('The browser tests need Chromium. On Debian: apt-get install chromium. Elsewhere set RUVOK_CHROMIUM to its program.');
  return false;
}

ensureInstalled();
mkdirSync(join(ROOT, 'build'), { recursive: true });
const TSC = 'node_modules/typescript/bin/tsc';
await runChecks([
  ['Types: page', TSC, '-p', 'web/tsconfig.json', '--noEmit'],
  ['Lint', 'node_modules/eslint/bin/eslint.js', '.'],
  ['Types: core, server, command', TSC, '-p', 'tsconfig.json', '--noEmit'],
  ['Types: browser tests', TSC, '-p', 'e2e/tsconfig.json', '--noEmit'],
  [
    'Import rule',
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    '--config',
    '.dependency-cruiser.cjs',
    'core',
    'server',
    'web',
    'cli',
    'demo',
    'print',
    'hard',
  ],
]);
ensureBuilt();

console.log('\n== Unit and server tests');
const unitReport = join(ROOT, 'build/jest.json');
const unitCode = run('node', [
  '--experimental-vm-modules',
  '--no-warnings',
  'node_modules/jest/bin/jest.js',
  '--json',
  `--outputFile=${unitReport}`,
  '--silent=false',
]);
countReport(unitReport, unitCode, 'unit and server tests');

console.log('\n== Server tests on PostgreSQL');
const postgresReport = join(ROOT, 'build/jest-postgres.json');
rmSync(postgresReport, { force: true });
const postgresCode = run('node', ['scripts/postgres.mjs']);
if (existsSync(postgresReport) || postgresCode !== 0) countReport(postgresReport, postgresCode, 'server tests on PostgreSQL');

console.log('\n== Browser tests');
if (ensureChromium()) {
  console.log('A little of what tries to break it (npm run hard)');
  count(
    run('node', ['scripts/hard.mjs', '0.02', 'kills', 'cuts', 'folder', 'tabs', 'requests', 'load']) === 0,
    'npm run hard, a little of it',
  );
  const browserReport = join(ROOT, 'build/playwright.json');
  const code = run('node', ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts'], {
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
  });
  const stats = readJson(browserReport)?.stats;
  if (stats) {
    passed += stats.expected + stats.flaky;
    failed += stats.unexpected;
  }
  if (!stats || (code !== 0 && stats.unexpected === 0)) count(false, 'browser tests');
} else count(false, 'browser tests: no Chromium');

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
