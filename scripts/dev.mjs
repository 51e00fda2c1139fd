import { spawn } from 'node:child_process';
import { ROOT, TSC, ensureInstalled, must } from './lib.mjs';

// The compiler and node both watch, so that a saved file restarts the server; the page is served by Vite on 5173.
ensureInstalled();
must('node', [TSC, '-p', 'tsconfig.json']);
const running = [
  ['node', [TSC, '-p', 'tsconfig.json', '--watch', '--preserveWatchOutput']],
  ['node', ['--watch', 'build/node/server/main.js', ...process.argv.slice(2)]],
  ['node', ['node_modules/vite/bin/vite.js', '--config', 'web/vite.config.ts']],
].map(([command, args]) => spawn(command, args, { cwd: ROOT, stdio: 'inherit' }));
process.once('SIGINT', () => running.forEach((child) => child.kill('SIGINT')));
