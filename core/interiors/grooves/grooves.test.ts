import { drawPiece } from '../../drawing/index.js';
import { writeExactly } from '../../figure/index.js';
import { mm, toMm, type Length } from '../../length/index.js';
import { applyEdit } from '../../kinds/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import type { InPlace, PanelCase } from '../../shells/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { panels, piece, space, stock, thing, workshop } from '../../testing/samples.js';
import { groovesIn } from './places.js';
import type { Grooves } from './spec.js';
import { asKg } from '../../measures/index.js';

const shop = workshop({
  stock: {
    side: stock({ name: 'side', thickness: mm(16) }),
    leaf: stock({ name: 'leaf', thickness: mm(4) }),
    board: stock({ name: 'board', thickness: mm(9) }),
  },
  things: {
    frame: thing({
      name: 'frame',
      shape: { kind: 'box', width: mm(200), height: mm(20), depth: mm(150) },
      mass: asKg(2),
      count: 2,
      clearance: mm(3),
    }),
  },
});

const grid: Grooves = {
  kind: 'grooves',
  wide: mm(4),
  deep: mm(5),
  first: mm(40),
  pitch: mm(30),
  last: mm(40),
  stock: 'leaf',
  slack: mm(1),
  shelves: [1, 4],
};

/** 332 x 432 x 300 outside: 300 wide and 400 high inside. */
function cabinet(grooves: Partial<Grooves> = {}, extra: Partial<PanelCase> = {}): PanelCase {
  const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;
  return piece(space('in', { filling: { ...grid, ...grooves } }), {
    width: given(332),
    height: given(432),
    depth: given(300),
    back: { kind: 'none' },
    base: { kind: 'none' },
    top: 'between',
    bottom: 'between',
    stock: { sides: 'side' },
    panels: panels(),
    fixedToWall: true,
    noOneOn: true,
    ...extra,
  });
}
const solved = (p: PanelCase): Solution => solve(p, shop, {});
const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const fact = (s: Solution, name: string) => [...s.shape.facts.values()].flat().find((f) => f.name === name);
const problems = (s: Solution) => s.shape.problems.map((p) => p.id);

test('how many grooves go in: the first and the last so far from the ends, one every pitch between', () => {
  // 875 − 48 − 48 − 5 = 774; 774 / 32 = 24.19: 24 pitches, 25 grooves.
  const job = { first: mm(48), last: mm(48), wide: mm(5), pitch: mm(32) };
  expect(groovesIn(mm(875), job)).toBe(25);
  // One pitch more just goes in, and a hair less does not.
  expect(groovesIn(mm(48 + 25 * 32 + 5 + 48), job)).toBe(26);
  expect(groovesIn((mm(48 + 25 * 32 + 5 + 48) - 1) as Length, job)).toBe(25);
  expect(groovesIn(mm(100), job)).toBe(0);
});

test('shelves lie in their grooves, with half of the slack at each end; every groove is cut into both sides', () => {
  const s = solved(cabinet());
  // 300 + 2 x 5 − 1.
  expect(toMm(member(s, 'in/shelf/1').length.value)).toBe(309);
  const box = boxOf(member(s, 'in/shelf/4'));
  // 16 of bottom, 40, and three pitches of 30.
  expect([box.x0, box.x1, box.y0, box.y1].map(toMm)).toEqual([11.5, 320.5, 146, 150]);
  // 400 − 40 − 40 − 4 = 316: ten pitches and eleven grooves; the last at 340 with 56 over it.
  expect(fact(s, 'grooves in each side')?.count?.amount).toBe(11);
  expect(toMm(fact(s, 'left over the last')?.figure?.value as Length)).toBe(56);
  for (const side of ['left', 'right']) {
    const cuts = member(s, `case/side/${side}`).features.filter((f) => f.kind === 'groove');
    expect(cuts).toHaveLength(11);
    expect(cuts.filter((f) => f.mate.startsWith('in/shelf/')).map((f) => f.mate)).toEqual(['in/shelf/1', 'in/shelf/4']);
    // From the foot of the side: 16 of bottom and 40 up.
    const [first] = cuts;
    expect(first && 'region' in first ? [first.region.u0, first.region.u1].map(toMm) : []).toEqual([56, 60]);
  }
  expect(problems(s)).toEqual([]);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
});

test('one thing lies on each shelf: half of two frames on each, and more than there are shelves is told', () => {
  const s = solved(cabinet({ thing: 'frame' }));
  const on = (id: string) => s.carried.members.get(id)?.standing.reduce((kg, x) => kg + x.kg, 0);
  expect([on('in/shelf/1'), on('in/shelf/4')]).toEqual([2, 2]);
  const supports = s.carried.members.get('in/shelf/1')?.supports.map((x) => [x.carrier, x.how]);
  expect(supports).toEqual([
    ['case/side/left', 'housed'],
    ['case/side/right', 'housed'],
  ]);
  expect(s.checks.find((c) => c.id === 'cells-room-in')).toMatchObject({ severity: 'good' });
  const one = solved(cabinet({ thing: 'frame', shelves: [2] })).checks.find((c) => c.id === 'cells-room-in');
  expect(writeExactly(one?.sentence ?? [])).toBe('inside has 1 shelf, and 2 frame are listed.');
  // 30 from shelf to shelf less 4 of it is 26; 20 and 3 go in. In the next groove over a pitch of 24 they do not.
  expect(problems(solved(cabinet({ thing: 'frame', shelves: [1, 2] })))).toEqual([]);
  expect(problems(solved(cabinet({ thing: 'frame', shelves: [1, 2], pitch: mm(24) })))).toEqual(['grooves-high-in']);
});

test('a notch for fingers is cut out of the middle of the front edge', () => {
  const s = solved(cabinet({ fingers: { wide: mm(80), deep: mm(20) } }));
  const [cut] = member(s, 'in/shelf/1').features;
  expect(cut && 'region' in cut ? Object.values(cut.region).map(toMm) : []).toEqual([114.5, 194.5, 0, 20]);
});

describe('what cannot be is named, with a way out that mends it', () => {
  const cases: readonly (readonly [string, Partial<Grooves>, string])[] = [
    ['a pitch no wider than the groove', { pitch: mm(4) }, 'grooves-pitch-in'],
    ['more grooves than can be laid out', { wide: mm(0.1), pitch: mm(0.2) }, 'grooves-many-in'],
    ['no groove goes in', { first: mm(390) }, 'grooves-none-in'],
    ['a shelf in a groove that is not there', { shelves: [1, 12] }, 'grooves-beyond-in'],
    ['two shelves in one groove', { shelves: [3, 3] }, 'grooves-twice-in'],
    ['shelves thicker than the grooves', { stock: 'board' }, 'grooves-thick-in'],
    ['shelves loose in them', { wide: mm(6) }, 'grooves-loose-in'],
    ['shelves that come out of one side', { slack: mm(5) }, 'grooves-slips-in'],
    ['grooves near the end of a side', { first: mm(8) }, 'grooves-near-end-in'],
    ['a notch as wide as the shelf', { fingers: { wide: mm(400), deep: mm(20) } }, 'grooves-fingers-in'],
  ];
  test.each(cases)('%s', (_, change, id) => {
    const bad = cabinet(change);
    const told = solved(bad).shape.problems.find((p) => p.id === id);
    const edit = told?.fixes[0]?.edit;
    if (!edit) throw new Error(`${id} is not told, or without a way out`);
    expect(solve(applyEdit(bad, edit), shop, {}).shape.problems.map((p) => p.id)).not.toContain(id);
  });

  test('grooves with no side to be cut into', () => {
    const { name, width, height, depth, edges, interior } = cabinet();
    const place: InPlace = {
      name,
      width,
      height,
      depth,
      edges,
      interior,
      panels: panels(),
      fixedToWall: true,
      shell: 'in-place',
      place: 'a wall',
    };
    expect(solve(place, shop, {}).shape.problems.map((p) => p.id)).toEqual(['grooves-sides-in']);
  });
});

describe('corners in rebates', () => {
  test('top and bottom are as much longer as they go in, and lie within the sides', () => {
    const s = solved(cabinet({}, { top: 'rebated', bottom: 'rebated', rebate: mm(7) }));
    expect(toMm(member(s, 'case/top/1').length.value)).toBe(314);
    const box = boxOf(member(s, 'case/top/1'));
    expect([box.x0, box.x1, box.y0, box.y1].map(toMm)).toEqual([9, 323, 416, 432]);
    const cuts = member(s, 'case/side/left').features.filter((f) => f.kind === 'rebate');
    expect(cuts.map((f) => [f.mate, 'region' in f ? [f.region.u0, f.region.u1].map(toMm) : []])).toEqual([
      ['case/top/1', [416, 432]],
      ['case/bottom/1', [0, 16]],
    ]);
    expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
  });

  test('half as deep as the sides where nothing is said; right through them is told', () => {
    const s = solved(cabinet({}, { top: 'rebated' }));
    expect(toMm(member(s, 'case/top/1').length.value)).toBe(316);
    expect(toMm(member(s, 'case/bottom/1').length.value)).toBe(300);
    const deep = solved(cabinet({}, { top: 'rebated', rebate: mm(16) }));
    expect(deep.checks.find((c) => c.id === 'machining-case/side/left')).toMatchObject({ severity: 'stop' });
  });

  test('a rebated case is the same inside', () => {
    const [plain, cut] = [solved(cabinet()), solved(cabinet({}, { top: 'rebated', bottom: 'rebated', rebate: mm(7) }))];
    expect(cut.shape.spaces.get('in')?.box).toEqual(plain.shape.spaces.get('in')?.box);
  });
});

test('grooves with nothing in them are drawn at both sides where they come out at the front, and those with a shelf are not', () => {
  const s = solved(cabinet());
  const empty = drawPiece(s, 'front', 'in').shapes.filter((x) => x.of.label.endsWith('empty groove'));
  // Eleven in each side, two of them with a shelf.
  expect(empty).toHaveLength(2 * 9);
  const second = empty.filter((x) => x.kind === 'rect' && x.y === 16 + 40 + 30);
  // 5 deep into sides of 16, of which the right one begins at 316.
  expect(second.map((x) => (x.kind === 'rect' ? [x.x, x.width, x.height] : []))).toEqual([
    [11, 5, 4],
    [316, 5, 4],
  ]);
  expect(drawPiece(s, 'side', 'in').shapes.some((x) => x.of.label.endsWith('empty groove'))).toBe(false);
});

/** Shelves of 9 in grooves of 9 at 40, 130 and 220: 81 clear between two. Uprights of 4 in grooves 2 deep every 50. */
describe('loose uprights between grooved shelves', () => {
  const uprights = { stock: 'leaf', deep: mm(2), pitch: mm(50), over: [{ shelf: 1, at: [2, 4] }] };
  const stood = (extra: Partial<NonNullable<Grooves['uprights']>> = {}, rest: Partial<Grooves> = {}) =>
    solved(cabinet({ stock: 'board', wide: mm(9), shelves: [1, 4, 7], uprights: { ...uprights, ...extra }, ...rest }));
  const s = stood();
  const stops = (of: Solution) => of.checks.filter((c) => c.severity === 'stop').map((c) => c.id);

  test('each is 81 and 2 in either shelf, less 1: 84 high, as deep as the shelves, at 100 and 200 from the left', () => {
    const [a, b] = ['in/upright/1-2', 'in/upright/1-4'].map((id) => member(s, id));
    expect([a, b].map((m) => m && [m.length, m.width, m.thickness].map((f) => toMm(f.value)))).toEqual([
      [84, 300, 4],
      [84, 300, 4],
    ]);
    expect([a, b].map((m) => m && toMm(boxOf(m).x0) - 16)).toEqual([100, 200]);
    expect(stops(s)).toEqual([]);
  });

  test('both shelves have all five grooves that go into 300, so that an upright can be moved; the third has none', () => {
    const across = (id: string, face: 'up' | 'down') => member(s, id).features.filter((f) => f.kind === 'groove' && f.face === face).length;
    expect([across('in/shelf/1', 'up'), across('in/shelf/4', 'down'), across('in/shelf/4', 'up'), across('in/shelf/7', 'down')]).toEqual([
      5, 5, 0, 0,
    ]);
  });

  test('what they weigh is carried by the shelf under them', () => {
    const carried = s.carried.members.get('in/shelf/1');
    expect(carried?.handed.map((h) => h.from).sort()).toEqual(['in/upright/1-2', 'in/upright/1-4']);
  });

  test('over the highest shelf, too deep, run together, past the last and slipping out: each is told with a way out', () => {
    const id = (of: Solution) => of.checks.filter((c) => c.id.startsWith('uprights-')).map((c) => c.id);
    expect(id(stood({ over: [{ shelf: 7, at: [1] }] }))).toEqual(['uprights-open-in']);
    expect(id(stood({ deep: mm(6.5) }, { slack: mm(1) }))).toEqual(['uprights-deep-in']);
    // In both faces of the middle shelf 2 x 3.5 of 9 leave 2.
    expect(
      id(
        stood({
          deep: mm(3.5),
          over: [
            { shelf: 1, at: [1] },
            { shelf: 4, at: [1] },
          ],
        }),
      ),
    ).toEqual(['uprights-deep-in']);
    expect(id(stood({ pitch: mm(4) }))).toContain('uprights-pitch-in');
    expect(id(stood({ over: [{ shelf: 1, at: [6] }] }))).toEqual(['uprights-beyond-in']);
    expect(id(stood({ deep: mm(1) }))).toEqual(['uprights-slips-in']);
  });

  test('more grooves than are laid out are told before they are: 300 every 0.5 by uprights of 0.4', () => {
    const thin = { ...shop, stock: new Map(shop.stock).set('film', stock({ name: 'film', thickness: mm(0.4) })) };
    const fine = cabinet({ stock: 'board', wide: mm(9), shelves: [1, 4], uprights: { ...uprights, stock: 'film', pitch: mm(0.5) } });
    const told = solve(fine, thin, {}).checks.find((c) => c.id === 'uprights-many-in');
    const change = told?.fixes[0]?.change;
    if (change?.target !== 'piece') throw new Error('it changes the piece');
    expect(solve(applyEdit(fine, change.edit), thin, {}).checks.some((c) => c.id === 'uprights-many-in')).toBe(false);
  });

  test('a frame of 200 lies beside uprights at 100 and 200 no more: 100, 96 and 96 are clear', () => {
    const told = (at: number[]) =>
      stood({ over: [{ shelf: 1, at }] }, { thing: 'frame' }).checks.some((c) => c.id === 'grooves-between-in');
    expect([told([2, 4]), told([1])]).toEqual([true, false]);
  });
});
