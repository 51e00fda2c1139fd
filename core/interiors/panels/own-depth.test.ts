import { mm, toMm, type Length } from '../../length/index.js';
import { applyEdit } from '../../kinds/index.js';
import { boxOf, type Member, type Piece } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { divided, piece, thing, workshop } from '../../testing/samples.js';

const shop = workshop({ things: { tin: thing({ shape: { kind: 'box', width: mm(100), height: mm(100), depth: mm(100) } }) } });
const shelved = (): Piece => {
  const inside = divided('in', 'up', 3);
  for (const space of inside.split?.spaces ?? []) space.things = [{ thing: 'tin', count: 1 }];
  return piece(inside);
};
const deepened = (deep: Length | null) => applyEdit(shelved(), { kind: 'own-depth', member: 'in-m1', deep });
const shelf = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const zs = (m: Member) => [toMm(boxOf(m).z0), toMm(boxOf(m).z1)];

test('a shelf of its own depth begins at the rear like the others and ends before them; its neighbours stay', () => {
  const [plain, s] = [solve(shelved(), shop, {}), solve(deepened(mm(150)), shop, {})];
  const [z0, z1] = zs(shelf(plain, 'in-m1/shelf/1')) as [number, number];
  expect(z1 - z0).toBeGreaterThan(150);
  expect(zs(shelf(s, 'in-m1/shelf/1'))).toEqual([z0, z0 + 150]);
  expect(zs(shelf(s, 'in-m2/shelf/1'))).toEqual([z0, z1]);
  // Of as much less wood.
  expect(toMm(shelf(s, 'in-m1/shelf/1').width.value)).toBe(150);
});

test('what stands on it stands at its front, and what does not go on it is told', () => {
  const s = solve(deepened(mm(150)), shop, {});
  const over = s.shape.spaces.get('in-2');
  expect(toMm(((over?.box.z1 ?? 0) - (over?.setback ?? 0)) as Length)).toBe(zs(shelf(s, 'in-m1/shelf/1'))[1]);
  expect(s.shape.spaces.get('in-3')?.setback).toBe(0);
  expect(s.checks.filter((c) => c.id.startsWith('deep-'))).toEqual([]);
  const small = solve(deepened(mm(60)), shop, {});
  const told = small.checks.find((c) => 'id' in c.about && c.about.id === 'in-2' && c.state === 'fails');
  expect(told?.severity).toBe('look');
});

test('deeper than there is room for is told, with the way back; taken out it is as deep as the others', () => {
  const bad = deepened(mm(900));
  const problem = solve(bad, shop, {}).shape.problems.find((p) => p.id === 'deep-in-m1');
  const edit = problem?.fixes[0]?.edit;
  expect(edit && applyEdit(bad, edit)).toEqual(shelved());
});

test('it weighs and sags by its own depth: half as deep, twice the sag under the same tin', () => {
  const at = (deep: Length) => solve(deepened(deep), shop, {}).carried.members.get('in-m1/shelf/1');
  const [full, half] = [at(mm(240)), at(mm(120))];
  expect((half?.selfKg ?? 0) * 2).toBeCloseTo(full?.selfKg ?? 0, 6);
  const tin = (c: typeof full) => (c?.bending?.sag.mm ?? 0) * 1;
  // Its own weight sags both alike; the tin the narrow one twice as much.
  expect(tin(half)).toBeGreaterThan(tin(full));
  expect(tin(half)).toBeLessThan(2 * tin(full));
});
