/** @jest-environment node */
import { readFileSync } from 'node:fs';
import { asc, eq } from 'drizzle-orm';
import { VERSION, readProjectFile, type ProjectFile } from '../../core/formats/index.js';
import { openTestDatabase } from '../test/database.js';
import { acrossChange, sidesOf } from './difference.js';
import type { OpenDatabase } from './database.js';
import { changes, folder, pieces, projects, readings } from './schema.js';
import { upgrade } from './upgrade.js';

const first = JSON.parse(readFileSync('core/formats/versions/kept/1.json', 'utf8')) as ProjectFile;

let open: OpenDatabase;

/** A folder as the program of the first version left it: the tube rack, and the edit that made it. */
beforeEach(async () => {
  open = await openTestDatabase();
  const { db } = open;
  await db.delete(folder);
  await db.insert(projects).values({ id: 'shed', version: 1, data: first.project });
  const data = first.pieces['tube-rack'];
  await db.insert(pieces).values({ projectId: 'shed', id: 'tube-rack', version: 7, data });
  await db
    .insert(changes)
    .values({ projectId: 'shed', kind: 'pieces', recordId: 'tube-rack', label: 'Made it', before: null, after: data });
});
afterEach(() => open.close());

const now = () => {
  const reading = readProjectFile(JSON.stringify(first));
  return reading.ok ? reading.file.pieces['tube-rack'] : null;
};

test('every document is brought up, with what undo would bring back, and its version stays', async () => {
  await upgrade(open.db);
  const [piece] = await open.db.select().from(pieces).where(eq(pieces.id, 'tube-rack'));
  expect(piece).toMatchObject({ version: 7, data: now() });
  expect(JSON.stringify(piece?.data)).toContain('"filling":{');
  const [change] = await open.db.select().from(changes);
  expect(change).toMatchObject({ before: null, after: now() });
  expect(await open.db.select().from(folder)).toEqual([{ id: 1, documents: VERSION }]);
});

test('what the tape said of a space in the plan is a reading of its own after that', async () => {
  const second = JSON.parse(readFileSync('core/formats/versions/kept/2.json', 'utf8')) as ProjectFile;
  await open.db.insert(folder).values({ id: 1, documents: 2 });
  await open.db.insert(pieces).values({ projectId: 'shed', id: 'composing-table', version: 3, data: second.pieces['composing-table'] });
  await upgrade(open.db);
  const kept = await open.db.select().from(readings);
  expect(kept.map(({ id, data }) => [id, data])).toEqual(
    ['rear-end', 'front-end'].map((space, i) => [
      `found-${i + 1}`,
      { piece: 'composing-table', space, reach: 'width', value: 561.5 * 80_000 },
    ]),
  );
  const [table] = await open.db.select().from(pieces).where(eq(pieces.id, 'composing-table'));
  expect(JSON.stringify(table?.data)).not.toContain('measured');
});

test('edits of which only the difference was kept are brought up by walking them, done and taken back', async () => {
  const { db } = open;
  const was = first.pieces['tube-rack'] as { piece: { name: string } };
  const named = (name: string) => ({ ...was, piece: { ...was.piece, name } });
  const edit = (before: string, after: string, undone: boolean) => ({
    ...sidesOf('pieces', named(before), named(after)),
    projectId: 'shed',
    kind: 'pieces',
    recordId: 'tube-rack',
    label: after,
    undone,
  });
  await db.update(pieces).set({ data: named('B') });
  await db.insert(changes).values([edit(was.piece.name, 'A', false), edit('A', 'B', false), edit('B', 'C', true)]);
  await upgrade(db);
  const [piece] = await db.select().from(pieces);
  const rows = (await db.select().from(changes).orderBy(asc(changes.seq))).slice(1);
  const nameOf = (document: unknown) => (document as { piece: { name: string } }).piece.name;
  const [toA, toB, toC] = rows;
  if (!toA || !toB || !toC) throw new Error('the changes are gone');
  const a = acrossChange('pieces', toB, piece?.data, false);
  const begun = acrossChange('pieces', toA, a, false);
  const c = acrossChange('pieces', toC, piece?.data, true);
  expect([begun, a, c].map(nameOf)).toEqual([was.piece.name, 'A', 'C']);
  // What undo ends at is in the words of today, but for its name as it was.
  expect((begun as { piece: object }).piece).toEqual(now()?.piece);
});

test('what was brought up already is left alone', async () => {
  await upgrade(open.db);
  await open.db.update(pieces).set({ data: { piece: { interior: { cells: 'as it is' } } } });
  await upgrade(open.db);
  const [piece] = await open.db.select().from(pieces);
  expect(piece?.data).toEqual({ piece: { interior: { cells: 'as it is' } } });
});

test('a folder of a newer program is not touched', async () => {
  await open.db.insert(folder).values({ id: 1, documents: VERSION + 1 });
  await expect(upgrade(open.db)).rejects.toThrow(`its documents are version ${VERSION + 1}`);
  const [piece] = await open.db.select().from(pieces);
  expect(piece?.data).toEqual(first.pieces['tube-rack']);
});
