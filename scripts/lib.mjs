import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** The compiler, what bundles, and what runs tests. */
export const TSC = 'node_modules/typescript-native/bin/tsc';
const VITE = 'node_modules/vite/bin/vite.js';
export const JEST = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];

/** Runs a command and gives the code that it ended with. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', shell: process.platform === 'win32', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

/** Runs a command beside others, and resolves with its code and all that it printed. */
export function said(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT });
    let text = '';
    child.stdout.on('data', (chunk) => (text += chunk));
    child.stderr.on('data', (chunk) => (text += chunk));
    child.once('close', (code) => resolve({ code, text }));
  });
}

/** Installs a package of Debian where that is allowed. @returns whether it is there by then */
export function installed(name, isThere) {
  const isRoot = typeof process.getuid === 'function' && process.getuid() === 0;
  if (!isRoot || !existsSync('/usr/bin/apt-get')) return isThere();
  console.log(`Installing ${name}…`);
  const options = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', ['update', '-qq'], options);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], options);
  return isThere();
}

export function must(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) process.exit(status);
}

function* filesIn(path) {
  if (!existsSync(path)) return;
  if (statSync(path).isFile()) {
    yield path;
    return;
  }
  for (const name of readdirSync(path).sort()) yield* filesIn(join(path, name));
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) for (const file of filesIn(join(ROOT, path))) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

const isFresh = (stamp, now) => existsSync(join(ROOT, stamp)) && readFileSync(join(ROOT, stamp), 'utf8') === now;

function mark(stamp, now) {
  const path = join(ROOT, stamp);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, now);
}

const ALL_INSTALLED = 'node_modules/.ruvok-stamp';
const RUN_INSTALLED = 'node_modules/.ruvok-run-stamp';

/** Installs the packages of the lock file when they are not there or are others: those that build and run, or with them those that test. */
export function ensureInstalled({ toTest = true } = {}) {
  const now = hashOf(['package-lock.json']);
  if (isFresh(ALL_INSTALLED, now) || (!toTest && isFresh(RUN_INSTALLED, now))) return;
  console.log('Installing packages…');
  must('npm', ['ci', toTest ? '--include=dev' : '--omit=dev', '--no-audit', '--no-fund', '--loglevel=error']);
  mark(toTest ? ALL_INSTALLED : RUN_INSTALLED, now);
}

const CORE = ['core', 'demo', 'package-lock.json', 'tsconfig.base.json'];
const bundle = (config) => [VITE, 'build', '--config', config, '--logLevel', 'error'];

/** What is built: from what, by which programs one after another, and after what else. */
const BUILDS = {
  node: {
    from: [...CORE, 'server', 'cli', 'print', 'bench', 'hard', 'tsconfig.json'],
    by: [[TSC, '-p', 'tsconfig.json', '--noCheck']],
  },
  bundles: {
    from: [...CORE, 'server', 'cli', 'print', 'scripts/ready-made.ts'],
    by: [bundle('server/vite.config.ts'), bundle('cli/vite.config.ts')],
    after: 'node',
  },
  page: { from: [...CORE, 'web'], by: [bundle('web/vite.config.ts'), ['scripts/pack-page.mjs']] },
  seed: { from: ['package-lock.json', 'scripts/make-seed.mjs', 'server/data/migrations'], by: [['scripts/make-seed.mjs']] },
};

/** Builds one of these where it is stale. @param checked by what else than it is built otherwise @throws where that fails */
export async function build(name, checked = null) {
  const { from, by, after } = BUILDS[name];
  const stamp = `build/.${name}-stamp`;
  const now = hashOf(from);
  if (isFresh(stamp, now) && !checked) return;
  rmSync(join(ROOT, stamp), { force: true });
  if (after) await build(after);
  for (const args of checked ?? by) {
    const { code, text } = await said('node', args);
    if (code !== 0) throw new Error(`Building ${name} failed.\n${text}`);
    if (text.trim()) console.log(text);
  }
  mark(stamp, now);
}

/** Builds what is stale, the server beside the page. */
export async function ensureBuilt() {
  await Promise.all([build('node').then(() => build('bundles')), build('page').then(() => build('seed'))]);
}
