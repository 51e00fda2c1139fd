import { readFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { endpoints, send, sentBy } from './requests.js';
import { ROOT, startServer } from './server.js';

/** What came of asking a server that others reach, as a stranger and as a phone. */
export interface DoorsTried {
  readonly tried: number;
  /** Requests that were let in and should not have been, or met a fault. */
  readonly wrong: number;
}

interface Contract {
  readonly paths: Readonly<Record<string, Readonly<Record<string, { readonly 'x-for-phones'?: boolean }>>>>;
}

/** Pairs a phone, and gives the cookie that it is known by. */
async function pairedWith(url: string, desk: string): Promise<string> {
  const headers = { cookie: `ruvok_desk=${desk}`, 'content-type': 'application/json' };
  const { code } = (await (await fetch(`${url}/api/shop/code`, { method: 'POST', headers })).json()) as { code: string };
  const paired = await fetch(`${url}/api/shop/pair`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ code, name: 'Phone' }),
  });
  return (paired.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}

/** The ways in which one path may be written. */
const written = (path: string, seed: number): string =>
  [path, path, path.replace('/api', '/API'), path.replace('/api', '/%61pi'), `/.${path}`, `/x/..${path}`][seed % 6] ?? path;

/** Sends requests that nearly fit to a server that others reach: a stranger gets nothing of it, and a phone what is for phones. */
export async function askAtTheDoor(count: number, told: (text: string) => void): Promise<DoorsTried> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-doors-'));
  const running = await startServer(folder, ['--shop']);
  const contract = JSON.parse(readFileSync(join(ROOT, 'docs/api.json'), 'utf8')) as Contract;
  const known = endpoints(join(ROOT, 'docs/api.json'));
  const desk = readFileSync(join(folder, 'desk-token'), 'utf8').trim();
  const cookie = await pairedWith(running.url, desk);
  const asDesk = { headers: { cookie: `ruvok_desk=${desk}` } };
  const project = (await (await fetch(`${running.url}/api/projects/print-shed/file`, asDesk)).json()) as Record<string, unknown>;
  let [tried, wrong] = [0, 0];
  for (let seed = 1; seed <= count; seed += 1)
    for (const who of ['a stranger', 'a phone'] as const) {
      const asked = sentBy(seed, known, project);
      const sent = { ...asked, path: written(asked.path, seed), headers: who === 'a phone' ? { cookie } : {} };
      const answer = await send(running.url, sent, 60_000);
      tried += 1;
      const isDoor = sent.method === 'POST' && sent.path === '/api/shop/pair';
      // The page itself is a phone's as well: nothing of any project stands in it.
      const isPage = /^text\/html/.test(answer?.type ?? '');
      const may = who === 'a phone' && (isPage || contract.paths[asked.known]?.[asked.method.toLowerCase()]?.['x-for-phones'] === true);
      const isFault = answer === null || (answer.status >= 500 && answer.status !== 507);
      if (!isFault && (may || isDoor || answer.status >= 300)) continue;
      wrong += 1;
      told(`request ${seed} of ${who}, ${sent.method} ${sent.path}: ${answer?.status ?? 'no answer'}`);
    }
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
  return { tried, wrong };
}
