import { execFileSync } from 'node:child_process';
import { ROOT } from './lib.mjs';

const git = (...args) =>
  execFileSync('git', args, { cwd: ROOT, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] })
    .split('\n')
    .filter(Boolean);

/** The files that differ from what was last taken from elsewhere, or, where there is no such place, from the last commit. */
export function changedFiles() {
  const upstream = ['@{upstream}', 'origin/HEAD', 'HEAD'].find((ref) => {
    try {
      return git('rev-parse', '--verify', '--quiet', ref).length > 0;
    } catch {
      return false;
    }
  });
  return [...git('diff', '--name-only', '--diff-filter=d', `${upstream ?? 'HEAD'}`), ...git('ls-files', '--others', '--exclude-standard')];
}
