// The tests of the server on a PostgreSQL server of their own, in place of the embedded database.
import { installed } from './lib.mjs';
import { count, jestRun } from './runs.mjs';

/** Where what the two keep, lock and answer could differ; all others are tried on it by `npm run test:long`. */
export const DIFFERS = 'server/(shared|history|photos|data/upgrade)';

/** Runs those of a path. @returns each with how long it took, s; none where no PostgreSQL is to be had, which is told */
export async function serverOnPostgres(path) {
  const { postgresHere, startCluster } = await import('../build/node/hard/postgres.js');
  if (postgresHere() === null) installed('postgresql', () => postgresHere() !== null);
  const bin = postgresHere();
  if (bin === null) {
    console.log(
      'PostgreSQL is not here and could not be installed, so the server was not tried on it. On Debian: apt-get install postgresql.',
    );
    return [];
  }
  const cluster = await startCluster(bin);
  // What is about the folder of the embedded one is left out.
  const ours = [
    '--selectProjects',
    'server',
    '--testPathIgnorePatterns',
    'data/(power-cut|backups|lock)|config|page',
    '--testPathPatterns',
    path,
  ];
  const tests = jestRun('server tests on PostgreSQL', ours, { RUVOK_TEST_POSTGRES: cluster.url });
  await cluster.stop();
  return tests;
}

/** Edits by two processes on one database while both and the database fall over. */
export async function twoProcesses(edits) {
  const { shareDatabase } = await import('../build/node/hard/shared.js');
  const came = await shareDatabase(edits, (text) => console.log(text));
  if (came === null) return;
  console.log(`Two processes on one database: ${came.acknowledged} edits acknowledged, ${came.refused} refused, ${came.lost} lost`);
  count(came.lost === 0 && came.acknowledged > 0, 'two processes on one database');
}
