import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf } from '../../piece/index.js';
import { namedIn } from '../../kinds/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { piece, space, workshop } from '../../testing/samples.js';
import type { Slats } from './index.js';

/** Six slats from the rear to the front of a case of 300 deep inside, on two supports of 20 that stand 60 in: 140 between them. */
const slats = (deal: Partial<NonNullable<Slats['deal']>> = {}, extra: Partial<Slats> = {}): Slats => ({
  kind: 'slats',
  stock: 'ply',
  wide: mm(60),
  ends: 'flush',
  supports: { stock: 'ply', count: 2, wide: mm(50), inset: mm(60), trim: ZERO },
  deal: { pattern: 'fs', stroke: mm(120), shorter: mm(10), frame: { stock: 'ply', wide: mm(40) }, ...deal },
  ...extra,
});

function deck(making: Slats): Solution {
  const split = {
    axis: 'across' as const,
    making,
    members: [1, 2, 3, 4].map((n) => ({ id: `m${n}` })),
    spaces: [1, 2, 3, 4, 5].map((n) => space(`g${n}`)),
  };
  return solve(piece(space('in', { split })), workshop(), {});
}
const of = (s: Solution, id: string) => boxOf(s.shape.members.find((m) => m.id === id) as never);
const told = (s: Solution) => s.checks.filter((c) => c.severity === 'stop').map((c) => c.id);

describe('a frame under sliding slats', () => {
  const s = deck(slats());
  const z0 = of(s, 'in/slat/first').z0;

  test('the front rail is under the front ends of the sliding slats of 290, the rear one in the bay of 140, 40 high under them', () => {
    expect([of(s, 'in/rail/front').z0, of(s, 'in/rail/front').z1].map((z) => toMm(z) - toMm(z0))).toEqual([270, 290]);
    expect([of(s, 'in/rail/rear').z0, of(s, 'in/rail/rear').z1].map((z) => toMm(z) - toMm(z0))).toEqual([80, 100]);
    expect(of(s, 'in/rail/rear').y1).toBe(of(s, 'in/slat/first').y0);
    expect(told(s)).toEqual([]);
  });

  test('they go with the slats, which lie on the supports and are held by none', () => {
    const [body] = s.shape.bodies;
    expect(body?.members).toEqual(expect.arrayContaining(['in/rail/front', 'in/rail/rear', 'm1/slat/1']));
    const how = (slat: string) => new Set(s.shape.joints.filter((j) => j.carried === slat).map((j) => j.how));
    expect([how('in/slat/first'), how('m1/slat/1')]).toEqual([new Set(['screws']), new Set(['bearing'])]);
    expect(namedIn(s.piece.interior).filter((n) => n.id === 'ply')).toHaveLength(3);
  });

  test('140 less the rail of 20 is 120 of way: drawn out by that the rear rail is the stop, and no more goes', () => {
    const stop = s.shape.facts.get('in')?.find((f) => f.name === 'sliding frame')?.remark;
    expect(JSON.stringify(stop)).toContain('that is the stop');
    const more = deck(slats({ stroke: mm(121) }));
    expect(told(more)).toContain('slide-frame-way-in');
    const fix = more.checks.find((c) => c.id === 'slide-frame-way-in')?.fixes[0]?.change;
    expect(JSON.stringify(fix)).toContain(`"stroke":${mm(120)}`);
  });

  test('rails higher than the supports, supports under the front ends and no supports at all are told', () => {
    expect(told(deck(slats({ frame: { stock: 'ply', wide: mm(51) } })))).toContain('slide-frame-high-in');
    const near = slats();
    // The front rail takes the last 10 and 20 of the deck: supports stand 30 in at least.
    const under = deck({ ...near, supports: { ...near.supports, inset: mm(20) } }).checks.find((c) => c.id === 'slide-frame-front-in');
    expect(JSON.stringify(under?.fixes[0]?.change)).toContain(`"inset":${mm(30)}`);
    expect(told(deck({ ...near, supports: { ...near.supports, inset: mm(30) } }))).not.toContain('slide-frame-front-in');
    expect(told(deck({ ...near, supports: { ...near.supports, count: 0 } }))).toContain('slide-frame-none-in');
  });
});

test('slats cut 20 long are told so, and are bought so', () => {
  const s = deck(slats({}, { trim: mm(20) }));
  const part = s.parts.find((p) => p.member.id === 'in/slat/first');
  expect([part?.cut.length.set, part?.length.value].map((l) => l && toMm(l))).toEqual([320, 300]);
});
