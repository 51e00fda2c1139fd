// Runs of tests, and what they came to.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { JEST, ROOT, installed, run } from './lib.mjs';

const total = { passed: 0, failed: 0 };

/** Adds what was tried once to the sum. */
export function count(ok, name) {
  if (ok) total.passed += 1;
  else {
    total.failed += 1;
    console.error(`FAILED: ${name}`);
  }
}

/** Prints the sum, and ends with what it says. */
export function end() {
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  process.exit(total.failed === 0 ? 0 : 1);
}

/** Runs something that reports to a file, and gives what it reported. */
function reported(name, work) {
  const file = join(ROOT, `build/${name.replaceAll(/\W+/g, '-')}.json`);
  rmSync(file, { force: true });
  const code = work(file);
  return { code, report: existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null };
}

function add(name, code, passed, failed) {
  total.passed += passed;
  total.failed += failed;
  if (passed + failed === 0 || (code !== 0 && failed === 0)) count(false, name);
}

/** Runs unit and server tests. @returns each with how long it took, s */
export function jestRun(name, args, env = {}) {
  const { code, report } = reported(name, (file) =>
    run('node', [...JEST, '--json', `--outputFile=${file}`, ...args], { env: { ...process.env, ...env } }),
  );
  add(name, code, report?.numPassedTests ?? 0, report ? report.numFailedTests + report.numRuntimeErrorTestSuites : 0);
  return (report?.testResults ?? []).flatMap(({ name: file, assertionResults }) =>
    assertionResults.map((a) => ({
      name: [...(file.includes('/build/suites') ? [] : [relative(ROOT, file)]), ...a.ancestorTitles, a.title].join(' › '),
      took: (a.duration ?? 0) / 1000,
    })),
  );
}

/** Debian's browser, with a window or without: installed when it is missing and that is allowed. */
export function ensureBrowser(name) {
  const isThere = () => existsSync(`/usr/bin/${name}`);
  if (process.env.RUVOK_CHROMIUM || isThere() || installed(name, isThere)) return true;
  console.error(`The browser tests need Chromium. On Debian: apt-get install ${name}. Elsewhere set RUVOK_CHROMIUM to its program.`);
  return false;
}

const specsOf = ({ file, title, suites = [], specs = [] }) => [
  ...specs.map((s) => ({
    name: `e2e/${s.file ?? file} › ${title === s.file ? '' : `${title} › `}${s.title}`,
    took: s.tests.flatMap((t) => t.results).reduce((sum, r) => sum + r.duration, 0) / 1000,
  })),
  ...suites.flatMap(specsOf),
];

/** Runs browser tests. @returns each with how long it took, s */
export function browserRun(name, args) {
  if (!ensureBrowser('chromium-headless-shell') || !ensureBrowser('chromium')) {
    count(false, `${name}: no Chromium`);
    return [];
  }
  const { code, report } = reported(name, (file) =>
    run('node', ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts', ...args], {
      env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: file },
    }),
  );
  add(name, code, report?.stats.expected ?? 0, report ? report.stats.unexpected + report.stats.flaky : 0);
  return (report?.suites ?? []).flatMap(specsOf);
}
