import { ensureBuilt, ensureInstalled } from './lib.mjs';
import { serverOnPostgres, twoProcesses } from './on-postgres.mjs';
import { end } from './runs.mjs';

ensureInstalled();
await ensureBuilt();
await serverOnPostgres(process.argv[2] ?? 'server/');
await twoProcesses(40);
end();
