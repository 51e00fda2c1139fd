import { solve, type Solution } from '../core/solution/index.js';
import { collisions, shutOut } from '../core/testing/replay.js';
import { workshopOf } from '../core/formats/index.js';
import { BINDERY } from './bindery.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';

const all: readonly (readonly [string, () => Solution])[] = [
  ...Object.keys(PRINT_SHED.pieces).map((id) => [id, () => solved(id)] as const),
  ...Object.entries(BINDERY.pieces).map(([id, { piece }]) => [id, () => solve(piece, workshopOf(BINDERY), {})] as const),
];
/** More than this takes long, and is replayed in steps that are as much larger. */
const MANY = 60;

test.each(all)('%s goes together step by step, and no part goes through another', (_, solution) => {
  const s = solution();
  expect(shutOut(s)).toEqual([]);
  expect(collisions(s, s.parts.length > MANY ? 133 : 13)).toEqual([]);
});
