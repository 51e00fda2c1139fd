import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './server.js';

const ROOT = join(import.meta.dirname, '..');

test('the built command reads what the server writes, and names every fault of a file as the sources do', async ({ shed }) => {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-command-'));
  const file = (await (await fetch(`${shed.url}/api/projects/print-shed/file`)).json()) as {
    stock: Record<string, { thickness: number }>;
    things: Record<string, object>;
  };
  const command = (name: string, content: unknown) => {
    const path = join(folder, name);
    writeFileSync(path, JSON.stringify(content));
    const { status, stdout, stderr } = spawnSync('node', ['cli/ruvok.mjs', 'check', path, '--piece', 'ink-case'], {
      cwd: ROOT,
      encoding: 'utf8',
    });
    return { status, stdout, stderr: stderr.replaceAll(path, 'FILE') };
  };
  const good = command('good.json', file);
  expect([good.status, good.stderr]).toEqual([1, '']);
  expect(good.stdout).toContain('cannot be tipped upright');
  Object.assign(file.things['bottle'] as object, { colour: 'red' });
  (file.stock['birch-18'] as { thickness: number }).thickness = -1;
  expect(command('bad.json', file)).toMatchObject({
    status: 2,
    stderr:
      'FILE: /things/bottle/colour: this field is not known here, given "red"; accepted: no other fields than those of the format\n' +
      'FILE: /stock/birch-18/thickness: this is too small, given -1; accepted: >= 1\n',
  });
  rmSync(folder, { recursive: true, force: true });
});
