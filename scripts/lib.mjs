import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command and ends with its code when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', shell: process.platform === 'win32', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

/** Runs a command and resolves with its code and all that it printed. */
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

/** Does `work` unless it was done already for the same inputs; remembers it in a stamp file. */
export function unlessFresh(stamp, inputs, work) {
  const path = join(ROOT, stamp);
  const now = hashOf(inputs);
  if (existsSync(path) && readFileSync(path, 'utf8') === now) return false;
  work();
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, now);
  return true;
}

/** Installs the packages of the lock file when they are not there or are others. */
export function ensureInstalled() {
  unlessFresh('node_modules/.ruvok-stamp', ['package-lock.json'], () => {
    console.log('Installing packages…');
    must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { env: { ...process.env, NODE_ENV: 'development' } });
  });
}

const CORE = ['core', 'demo', 'package-lock.json', 'tsconfig.base.json'];

/** Builds what is stale: server, command and core with the TypeScript compiler, the page with Vite. */
export function ensureBuilt() {
  unlessFresh('build/.node-stamp', [...CORE, 'server', 'cli', 'print', 'bench', 'hard', 'scripts/ready-made.ts', 'tsconfig.json'], () => {
    console.log('Building server and command…');
    must('node', ['node_modules/typescript/bin/tsc', '-p', 'tsconfig.json']);
    must('node', ['node_modules/vite/bin/vite.js', 'build', '--config', 'server/vite.config.ts', '--logLevel', 'error']);
    must('node', ['node_modules/vite/bin/vite.js', 'build', '--config', 'cli/vite.config.ts', '--logLevel', 'error']);
  });
  unlessFresh('build/.seed-stamp', ['package-lock.json', 'scripts/make-seed.mjs'], () => {
    must('node', ['scripts/make-seed.mjs']);
  });
  unlessFresh('build/.web-stamp', [...CORE, 'web'], () => {
    console.log('Building the page…');
    must('node', ['node_modules/vite/bin/vite.js', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'warn']);
    must('node', ['scripts/pack-page.mjs']);
  });
}
