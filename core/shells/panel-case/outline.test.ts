import { GRAVITY, massOf } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf, posed, type Member } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import { boughtFor, solve, type Solution } from '../../solution/index.js';
import { divided, lightly, panels, piece, space, workshop } from '../../testing/samples.js';
import { opensToWall } from './lid.js';
import type { Inset, PanelCase, SideOutline } from './spec.js';
import { asDegrees } from '../../measures/index.js';

const shop = workshop();
const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const box = (s: Solution, id: string) => {
  const b = boxOf(member(s, id));
  return [b.x0, b.x1, b.y0, b.y1, b.z0, b.z1].map(toMm);
};
const problems = (s: Solution) => s.shape.problems.map((p) => p.id);
const inset = (of: Partial<Inset>): Inset => ({ front: ZERO, rear: ZERO, top: ZERO, bottom: ZERO, ...of });
const round = (by: number) => ({ is: 'round', by: mm(by) }) as const;

/** A case of 1000 x 2000 x 300 of 20, without a back. */
const cased = (extra: Partial<PanelCase>, interior = space('in')) => solve(piece(interior, extra), shop, {});

describe('what is between the sides stands in from their edges', () => {
  const s = cased({ inset: inset({ front: mm(1.5), rear: mm(10), top: mm(60), bottom: mm(50) }) }, lightly(divided('in', 'up', 2)));

  test('top, bottom and shelves as far in, the sides as large as they were', () => {
    expect(box(s, 'case/side/left')).toEqual([0, 20, 0, 2000, 0, 300]);
    expect(box(s, 'case/top/1')).toEqual([20, 980, 1920, 1940, 10, 298.5]);
    expect(box(s, 'case/bottom/1')).toEqual([20, 980, 50, 70, 10, 298.5]);
    expect(box(s, 'in-m1/shelf/1').slice(4)).toEqual([10, 298.5]);
    expect(toMm(s.shape.spaces.get('in')?.clear.height.value ?? ZERO)).toBe(1850);
  });

  test('a bottom over nothing is screwed between the sides, and all comes to the floor', () => {
    expect(s.carried.members.get('case/bottom/1')?.supports.map((x) => x.carrier)).toEqual(['case/side/left', 'case/side/right']);
    expect(s.carried.floor / GRAVITY).toBeCloseTo(s.carried.massKg, 6);
  });

  test('where something goes over the edges there it is told', () => {
    expect(problems(cased({ top: 'over', inset: inset({ top: mm(10) }) }))).toContain('inset-top');
    expect(problems(cased({ bottom: 'over', inset: inset({ bottom: mm(10) }) }))).toContain('inset-bottom');
    expect(problems(cased({ back: { kind: 'applied' }, inset: inset({ rear: mm(10) }) }))).toContain('inset-rear');
  });
});

describe('sides with their corners rounded', () => {
  const corners = { frontTop: round(60), rearTop: round(60), frontBottom: round(60), rearBottom: round(60) };
  const outline: SideOutline = { corners };

  test('weigh as much less, and are edged all round where their front is', () => {
    const s = cased({ outline, inset: inset({ top: mm(60), bottom: mm(60) }), edges: { front: 'banded', banding: mm(1) } });
    expect(problems(s)).toEqual([]);
    const plain = massOf(member(cased({}), 'case/side/left'));
    expect(massOf(member(s, 'case/side/left')) / plain).toBeCloseTo(1 - ((4 - Math.PI) * 3600) / (2000 * 300), 4);
    const along = 2 * (1880 + 180) + 2 * Math.PI * 60;
    const facts = [...s.shape.facts.values()].flat();
    expect(toMm(facts.find((f) => f.name === 'along the edges of a side')?.figure?.value ?? ZERO)).toBeCloseTo(along, 3);
    // Both, the fronts of top and bottom, and a tenth more.
    const bought = boughtFor(s).find((b) => b.what.startsWith('edging'));
    expect(toMm(bought?.length ?? ZERO)).toBeCloseTo((2 * along + 2 * 960) * 1.1, 2);
  });

  test('where the top stands out past them it is told by how much, with the largest that hides it', () => {
    const s = cased({ outline: { corners: { frontTop: round(60) } }, inset: inset({ top: mm(8), front: mm(4) }) });
    const told = s.shape.problems.find((p) => p.id === 'outline-frontTop');
    // 52 and 56 from the middle of a circle of 60: √(52² + 56²) − 60.
    expect(writeExactly(told?.sentence ?? [])).toContain(`${Math.round(Math.hypot(52, 56) - 60)} mm out past the upper front corners`);
    const fix = told?.fixes[0];
    // 8 + 4 + √(2 × 8 × 4), to the half millimetre below.
    expect(writeExactly(fix?.label ?? [])).toBe(`By ${Math.floor((12 + 8) * 2) / 2} mm there`);
    expect(fix && problems(solve(applyEdit(s.piece, fix.edit), shop, {}))).toEqual([]);
  });

  test('what stands out past the side itself leaves room for no corner', () => {
    // A back over the rear edges, as high as the sides.
    const s = cased({ back: { kind: 'applied' }, outline: { corners: { rearTop: round(30) } }, inset: inset({ top: mm(0.5) }) });
    const told = s.shape.problems.find((p) => p.id === 'outline-rearTop');
    expect(told?.fixes.map((f) => writeExactly(f.label))).toEqual(['By 0.5 mm there']);
  });

  test('corners that run into each other are told, and a foot is as far in as its corner', () => {
    expect(problems(cased({ outline: { corners: { frontTop: round(160), rearTop: round(160) } } }))).toContain('outline-crosses');
    expect(cased({ outline: { corners: { frontBottom: round(40) } }, inset: inset({ bottom: mm(40) }) }).shape.outside.foot).toBe(mm(260));
  });
});

describe('sides whose front follows the shelves', () => {
  const interior = divided('in', 'up', 2);
  const [shelf] = interior.split?.members ?? [];
  if (shelf) shelf.deep = mm(200);
  const of = (front: 'stepped' | 'sloped') => cased({ outline: { front }, topDeep: mm(120) }, interior);

  test('in steps: as deep as the bottom up to the shelf, as the shelf up to the top, as the top there', () => {
    const s = of('stepped');
    const [low, high] = [box(s, 'in-m1/shelf/1')[2] ?? 0, 1980];
    expect(box(s, 'case/top/1').slice(4)).toEqual([0, 120]);
    expect(massOf(member(s, 'case/side/left'))).toBeCloseTo(
      massOf(member(cased({}), 'case/side/left')) * ((300 * low + 200 * (high - low) + 120 * 20) / (300 * 2000)),
      6,
    );
    expect(problems(s)).toEqual([]);
    expect(s.checks.filter((c) => c.id.startsWith('overlap'))).toEqual([]);
  });

  test('they have no front corners of their own, so that nothing stands out past these', () => {
    const both = cased(
      { outline: { front: 'stepped', corners: { frontTop: round(60), frontBottom: round(1500), rearTop: round(1) } } },
      interior,
    );
    expect(problems(both)).toEqual(['outline-rearTop']);
  });

  test('aslant: straight from one to the next', () => {
    const s = of('sloped');
    const y = box(s, 'in-m1/shelf/1')[2] ?? 0;
    const area = 300 * 20 + ((300 + 200) / 2) * (y - 20) + 200 * 20 + ((200 + 120) / 2) * (1980 - y - 20) + 120 * 20;
    expect(massOf(member(s, 'case/side/left'))).toBeCloseTo(massOf(member(cased({}), 'case/side/left')) * (area / (300 * 2000)), 6);
  });
});

describe('a lid', () => {
  const hinged: PanelCase['lid'] = {
    how: 'hinged',
    slack: mm(1.5),
    ledge: { stock: 'ply', wide: mm(25) },
    packed: { stock: 'ply', wide: mm(45) },
  };
  const applied = { back: { kind: 'applied' } } as const;
  const checks = (s: Solution) => s.checks.filter((c) => c.id.startsWith('lid')).map((c) => [c.id, c.state]);
  const chest = { height: { from: 'given', size: mm(600), of: 'overall' } } as const;

  test('lies on ledges with 1.5 free at each side, from the rail that it is hinged to on', () => {
    const s = cased({ ...chest, ...applied, lid: hinged });
    const back = box(s, 'case/back/1')[5] ?? 0;
    expect(box(s, 'case/top/1')).toEqual([21.5, 978.5, 580, 600, back + 21.5, 300]);
    expect(box(s, 'lid/rail/1')).toEqual([20, 980, 555, 600, back, back + 20]);
    expect(box(s, 'lid/ledge/left')).toEqual([20, 40, 555, 580, back + 20, 300]);
    expect(s.carried.members.get('case/top/1')?.supports.map((x) => x.carrier)).toEqual(['lid/ledge/left', 'lid/ledge/right']);
    expect(problems(s)).toEqual([]);
  });

  test('only so deep, it ends as much behind the front', () => {
    const [whole, s] = [cased({ ...chest, ...applied, lid: hinged }), cased({ ...chest, ...applied, lid: hinged, topDeep: mm(200) })];
    const z = (of: Solution) => box(of, 'case/top/1').slice(4);
    expect([z(whole)[1], z(s)]).toEqual([300, [z(whole)[0], 300 - (294 - 200)]]);
  });

  test('opened it stands up on its hinges: by 100° its front edge is over them and behind, the lower one of that the highest', () => {
    const s = cased({ ...chest, ...applied, lid: hinged });
    const [, , , y1 = 0, z0 = 0, z1 = 0] = box(s, 'case/top/1');
    const open = posed(s.shape.members, s.shape.bodies, new Map([['lid', 1]])).find((m) => m.id === 'case/top/1') as Member;
    const deep = z1 - z0;
    expect(toMm(boxOf(open).y1)).toBeCloseTo(y1 + deep * Math.sin((100 * Math.PI) / 180) + 20 * Math.sin((10 * Math.PI) / 180), 2);
    expect(toMm(boxOf(open).z0)).toBeCloseTo(z0 + deep * Math.cos((100 * Math.PI) / 180), 2);
    expect(s.checks.filter((c) => c.id.startsWith('hits'))).toEqual([]);
  });

  test('against a wall it opens as far as what is behind it lets it: 90° and asin of that over its depth', () => {
    expect(opensToWall(50, 100)).toBeCloseTo(120, 9);
    expect(opensToWall(0, 400)).toBe(90);
    const at = (opens: number, extra: Partial<PanelCase> = {}) =>
      checks(
        cased({
          ...chest,
          ...applied,
          lid: { ...hinged, opens: asDegrees(opens), ...extra.lid },
          ...(extra.fixedToWall === undefined ? {} : { fixedToWall: extra.fixedToWall }),
        }),
      );
    // 272.5 deep with 27.5 behind it: 95.8° at most. It stays open by itself from 95° on.
    expect(opensToWall(27.5, 272.5)).toBeCloseTo(95.79, 2);
    expect(at(95)).toEqual([['lid-opens', 'fine']]);
    expect(at(100, { fixedToWall: true })).toEqual([['lid-wall', 'fails']]);
    expect(at(100, { fixedToWall: false })).toEqual([['lid-wall', 'close']]);
    expect(at(90)).toEqual([['lid-falls', 'fails']]);
    expect(at(90, { lid: { ...hinged, stay: true } })).toEqual([['lid-opens', 'fine']]);
    // Hinged to the back itself it meets the wall before it leans back.
    const { packed: _, ...bare } = hinged;
    void _;
    expect(checks(cased({ ...chest, ...applied, lid: { ...bare, opens: asDegrees(95) }, fixedToWall: true }))).toEqual([
      ['lid-wall', 'fails'],
    ]);
  });

  test('lifted off it goes up out of what is beside it; over the sides its tabs go with it', () => {
    const s = cased({ ...chest, ...applied, top: 'over', lid: { ...hinged, how: 'lift-off' } });
    expect(s.shape.bodies.map((b) => [b.id, b.members.length])).toEqual([['lid', 3]]);
    // 1.5 in from each side and inside the back and the front.
    expect(box(s, 'lid/ledge/left').slice(0, 4)).toEqual([21.5, 41.5, 555, 580]);
    expect(s.checks.filter((c) => c.id.startsWith('hits'))).toEqual([]);
    expect(problems(s)).toEqual([]);
  });

  test('it hides in rounded corners too, though it ends a little before the sides', () => {
    const s = cased({ ...chest, ...applied, lid: hinged, outline: { corners: { frontTop: round(60) } } });
    expect(problems(s)).toEqual(['outline-frontTop']);
  });

  test('what would hold it shut is told, each with a way out that helps', () => {
    const wrong: readonly [string, Partial<PanelCase>][] = [
      ['lid-over', { top: 'over', ...applied }],
      ['lid-rebated', { top: 'rebated', ...applied }],
      ['lid-back', { back: { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) } }],
    ];
    for (const [id, extra] of wrong) {
      const s = cased({ ...chest, ...extra, lid: hinged });
      expect(problems(s)).toContain(id);
      for (const fix of s.shape.problems.find((p) => p.id === id)?.fixes ?? [])
        expect(problems(solve(applyEdit(s.piece, fix.edit), shop, {}))).not.toContain(id);
    }
    const housed = cased(
      { ...chest, ...applied, lid: hinged, panels: panels({}, { fix: 'housed', housing: mm(6) }) },
      divided('in', 'across', 2),
    );
    expect(problems(housed)).toContain('lid-housed');
  });
});
