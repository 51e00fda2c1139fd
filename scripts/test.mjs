import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuilt, ensureInstalled, run } from './lib.mjs';

let passed = 0;
let failed = 0;

function count(ok, name) {
  if (ok) passed += 1;
  else {
    failed += 1;
    console.error(`FAILED: ${name}`);
  }
}

function step(name, command, args, options) {
  console.log(`\n== ${name}`);
  count(run(command, args, options) === 0, name);
}

function readJson(path) {
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
}

/** Debian's Chromium for the browser tests: installed when it is missing and that is allowed. */
function ensureChromium() {
  if (process.env.RUVOK_CHROMIUM || existsSync('/usr/bin/chromium')) return true;
  const root = typeof process.getuid === 'function' && process.getuid() === 0;
  if (root && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium…');
    const options = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] };
    run('apt-get', ['update', '-qq'], options);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], options);
    if (existsSync('/usr/bin/chromium')) return true;
  }
  console.error('The browser tests need Chromium. On Debian: apt-get install chromium. Elsewhere set RUVOK_CHROMIUM to its program.');
  return false;
}

ensureInstalled();
mkdirSync(join(ROOT, 'build'), { recursive: true });
const node = (...args) => ['node', args];

step('Types: core, server, command', ...node('node_modules/typescript/bin/tsc', '-p', 'tsconfig.json', '--noEmit'));
step('Types: page', ...node('node_modules/typescript/bin/tsc', '-p', 'web/tsconfig.json', '--noEmit'));
step('Types: browser tests', ...node('node_modules/typescript/bin/tsc', '-p', 'e2e/tsconfig.json', '--noEmit'));
step('Lint', ...node('node_modules/eslint/bin/eslint.js', '.'));
step(
  'Import rule',
  ...node(
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    '--config',
    '.dependency-cruiser.cjs',
    'core',
    'server',
    'web',
    'cli',
    'demo',
  ),
);
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
const unit = readJson(unitReport);
if (unit) {
  passed += unit.numPassedTests;
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
}
if (!unit || (unitCode !== 0 && unit.numFailedTests + unit.numRuntimeErrorTestSuites === 0)) count(false, 'unit and server tests');

console.log('\n== Browser tests');
if (ensureChromium()) {
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
