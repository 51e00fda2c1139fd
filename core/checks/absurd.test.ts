import { writeExactly, type Figure } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { Member, PlacedSpace } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { divided, panels, piece, space, workshop } from '../testing/samples.js';
import { absurdChecks } from './absurd.js';

const told = (s: ReturnType<typeof solve>) =>
  s.checks.filter((c) => /^(no-space|sliver|stray-hole)/.test(c.id)).map((c) => `${c.severity}: ${writeExactly(c.sentence)}`);

test('a shelf that is set back until a sliver is left stops the build', () => {
  // 300 deep, set back by 298.8.
  const thin = piece(divided('in', 'up', 2), { panels: panels({ setback: mm(298.8) }) });
  expect(told(solve(thin, workshop(), {}))).toEqual([
    'stop: Shelf E would be 1.2 mm wide: that cannot be sawn and held.',
    // Its pins would stand 0.3 from the edges of the sides.
    expect.stringContaining('A hole of 5 mm in side A would go over its edge'),
    expect.stringContaining('A hole of 5 mm in side B would go over its edge'),
  ]);
});

test('a space of less than nothing stops the build, once', () => {
  const s = solve(piece(space('in')), workshop(), {});
  const [inside] = s.shape.spaces.values();
  if (!inside) throw new Error('there is no space');
  const shut: PlacedSpace = { ...inside, clear: { ...inside.clear, depth: { ...inside.clear.depth, value: mm(-2.93) } as Figure } };
  const shape = { ...s.shape, spaces: new Map<string, PlacedSpace>([['in', shut]]) };
  const [found, ...more] = absurdChecks(shape, [], s.letters);
  expect([found?.severity, found?.about, more]).toEqual(['stop', { kind: 'space', id: 'in' }, []]);
  expect(found && writeExactly(found.sentence)).toMatch(/would be -2\.93 mm in depth: what bounds it meets\.$/);
  // Where the kind itself stops on that space, it is not told again.
  const problem = { id: 'shut', about: 'in', stops: true, sentence: ['Shut.'], fixes: [] };
  expect(absurdChecks({ ...shape, problems: [problem] }, [], s.letters)).toEqual([]);
  // 18 deep, less a back of 6 in a groove that is 15 in from the rear: nothing is clear, and nothing is worked out.
  const shallow = piece(space('in'), {
    depth: { from: 'given', size: mm(18), of: 'overall' },
    back: { kind: 'groove', inset: mm(15), depth: mm(6), slack: mm(1) },
  });
  expect(solve(shallow, workshop(), {}).checks.map((c) => [c.id, c.severity])).toEqual([['inside-depth', 'stop']]);
});

test('a hole that goes over the edge of its part stops the build; one that just stays in does not', () => {
  const s = solve(piece(divided('in', 'up', 1)), workshop(), {});
  const [member] = s.shape.members as [Member, ...Member[]];
  const withHole = (u: number, v: number) => {
    const hole = { kind: 'hole', face: 'up', at: { u: mm(u), v: mm(v) }, diameter: mm(10), depth: mm(8), mate: member.id } as const;
    return absurdChecks({ ...s.shape, members: [{ ...member, features: [hole] }] }, [], s.letters).map((c) => c.id);
  };
  const stray = [`stray-hole-${member.id}`];
  const [long, wide] = [member.length.value / 80_000, member.width.value / 80_000];
  expect([withHole(5, 5), withHole(long - 5, wide - 5)]).toEqual([[], []]);
  expect([withHole(4.9, 5), withHole(5, 4.9), withHole(long - 4.9, 20), withHole(20, wide + 30)]).toEqual([stray, stray, stray, stray]);
});
