import { toInches, type Length } from '../core/length/index.js';
import { readProject, workshopOf } from '../core/formats/index.js';
import { solve } from '../core/solution/index.js';
import { BINDERY } from './bindery.js';

const workshop = workshopOf(BINDERY);
const solved = (id: string) => solve(BINDERY.pieces[id]?.piece as never, workshop, {});
const inches = (length: Length | undefined) => length && toInches(length);

test('the bindery is a project file that its own reader takes', () => {
  expect(readProject(BINDERY)).toEqual({ ok: true, file: BINDERY });
});

test.each(Object.keys(BINDERY.pieces))('nothing stops the build of %s', (id) => {
  expect(solved(id).checks.filter((c) => c.severity === 'stop')).toEqual([]);
});

test('the paper case by hand: 47 1/2 less 1/8 at each side; three uprights of 23/32; shelves 1/32 short at each end', () => {
  const { shape, parts } = solved('paper-case');
  expect(inches(shape.overall.width.value)).toBe(47.25);
  // The divider stands in housings 1/4 deep above and below; bays are (47 1/4 - 3 x 23/32) / 2.
  expect(inches(shape.spaces.get('left')?.clear.width.value)).toBe((47.25 - 3 * (23 / 32)) / 2);
  expect(inches(parts.find((p) => p.id === 'left-shelf-1/shelf/1')?.length.value)).toBe((47.25 - 3 * (23 / 32)) / 2 - 1 / 16);
});

test('the cutter stand by hand: rails between posts of 3 1/2 are 36 - 2 x 1/2 - 2 x 3 1/2 long', () => {
  const rail = solved('cutter-stand').shape.members.find((m) => m.label.includes('rail'));
  expect(inches(rail?.length.value)).toBe(28);
});
