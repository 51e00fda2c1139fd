import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { startApp } from './test/app.js';

const PACKED = 'export const packed = true;';

test('the files of the page are served, and one that is not there is told as an error and not as the page', async () => {
  const webFolder = mkdtempSync(join(tmpdir(), 'ruvok-web-'));
  mkdirSync(join(webFolder, 'assets'));
  writeFileSync(join(webFolder, 'index.html'), '<!doctype html><title>Ruvok</title>');
  writeFileSync(join(webFolder, 'assets/page.js'), 'export {};');
  writeFileSync(join(webFolder, 'assets/page.js.gz'), gzipSync(PACKED));
  const running = await startApp({ webFolder });
  const got = async (path: string) => {
    const { status, headers } = await running.http.get(path);
    return [status, String(headers['content-type']).split(';')[0]];
  };
  expect(await got('/p/print-shed/stock')).toEqual([200, 'text/html']);
  expect(await got('/assets/page.js')).toEqual([200, 'text/javascript']);
  // What was packed beforehand is sent as it is to who can unpack it.
  const packed = async (accepted: string) => {
    const { headers, text } = await running.http.get('/assets/page.js').set('accept-encoding', accepted);
    return [headers['content-encoding'], headers['cache-control'], text];
  };
  expect(await packed('gzip')).toEqual(['gzip', 'public,max-age=31536000,immutable', PACKED]);
  expect((await packed('identity')).at(-1)).toBe('export {};');
  for (const path of [
    '/assets/gone.js',
    '/assets/gone',
    '/assets/',
    '/gone.png',
    '/assets/../../package.json',
    '/assets/%2e%2e/%2e%2e/package.json',
    '/index.html.bak',
  ])
    expect([path, ...(await got(path))]).toEqual([path, 404, 'application/problem+json']);
  await running.close();
  rmSync(webFolder, { recursive: true, force: true });
}, 60_000);
