import { allScrews, fixingsOf, type CarriedMember } from '../../carry/index.js';
import { writeSentence, type Sentence } from '../../figure/index.js';
import { applyEdit } from '../../kinds/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf, massMiddleOf, type Member } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { panels, opening, space, stock, thing, workshop } from '../../testing/samples.js';
import type { WallBoard } from './spec.js';
import { asKg } from '../../measures/index.js';

const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;
const ash = stock({ name: 'ash 20', form: 'board', material: 'white-ash', length: mm(3000), width: mm(500) });
const bay = (id: string, tins: number, extra: object = {}) =>
  space(id, {
    split: {
      axis: 'up',
      members: [{ id: `${id}-s` }],
      spaces: [space(`${id}-under`), space(`${id}-over`, tins > 0 ? { things: [{ thing: 'tin', count: tins }] } : {})],
    },
    ...extra,
  });

/** A board of 1000 x 600, bare by 50 all round; three fins of ash that stand out by 200, and a shelf in each of the two bays. */
function board(extra: Partial<WallBoard> = {}): WallBoard {
  return {
    name: 'wall board',
    shell: 'wall-board',
    width: given(1000),
    height: given(600),
    depth: given(220),
    opening: 'wall',
    board: { stock: 'ply', bare: { ends: mm(50), above: mm(50), below: mm(50) } },
    fins: { stock: 'ash' },
    panels: { ...panels({ fix: 'housed', housing: mm(5) }, { fix: 'butted', housing: mm(5) }), stock: { shelves: 'ash', dividers: 'ash' } },
    edges: { front: 'square', banding: ZERO },
    fixedToWall: true,
    interior: space('in', { split: { axis: 'across', members: [{ id: 'fin' }], spaces: [bay('a', 4), bay('b', 4)] } }),
    ...extra,
  };
}

/** A wall with studs so far from the left end of the board, and a board so thick. */
function shop(studs: readonly number[] = [110, 500, 950], thick = 20): Workshop {
  const wall = opening({ studs: studs.map(mm) });
  const ply = stock({ thickness: mm(thick) });
  return { ...workshop({ stock: { ply, ash }, things: { tin: thing() } }), openings: new Map([['wall', wall]]) };
}

const solved = (piece = board(), at = shop()) => solve(piece, at, {});
const checked = (s: Solution, id: string) => s.checks.filter((c) => c.id === id);
const about = (s: Solution, id: string, member: string) => checked(s, id).find((c) => c.about.kind === 'member' && c.about.id === member);
const plain = (sentence: Sentence) => writeSentence(sentence, { unit: 'mm', step: mm(0.1) });
const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const DIVIDER = 'fin/divider/1';

test('sizes follow from the board, what is bare of it, and its fins', () => {
  const s = solved();
  const size = (id: string) => {
    const { length, width } = member(s, id);
    return [length, width].map((f) => toMm(f.value)).sort((a, b) => b - a);
  };
  expect(size('wall-board/board')).toEqual([1000, 600]);
  // 600 less 50 above and below; 220 less the board of 20.
  expect(size('wall-board/fin/left')).toEqual([500, 200]);
  expect(size(DIVIDER)).toEqual([500, 200]);
  // 1000 less 2 x 50 and three fins of 20 leaves 420 a bay; housed 5 at each end.
  expect(size('a-s/shelf/1')).toEqual([430, 200]);
  const at = (id: string) => toMm(boxOf(member(s, id)).x0);
  expect([at('wall-board/fin/left'), at(DIVIDER), at('wall-board/fin/right')]).toEqual([50, 490, 930]);
  expect(s.shape.problems).toEqual([]);
  expect(s.shape.outside.foot).toBeNull();
});

test('all of it comes to the wall', () => {
  const { carried } = solved();
  // What stands in it and all that it is made of, by its volumes and what a cubic metre of each weighs.
  const own = [...carried.members.values()].reduce((kg, c) => kg + c.selfKg, 0);
  expect(carried.members.get('wall-board/board')?.total).toBeCloseTo((own + 16) * 9.81, 1);
});

test('the uppermost screw of a fin is pulled by the turn of its load, worked by moments about the foot of the row', () => {
  const { carried } = solved();
  const fin = carried.members.get('wall-board/fin/left') as CarriedMember;
  const members = new Map([...carried.members].map(([id, c]) => [id, c.member]));
  const [fixing] = fixingsOf(fin, members, shop().settings);
  // Two rows of tins fill the 200 of the shelf, so that the load is in the middle: 100 out.
  const turning = fin.total * 100;
  // Screws at 37, 250 and 463 over the foot: pulls a, b and c go as their heights and turn as much as the load does.
  const c = turning / (463 + 250 ** 2 / 463 + 37 ** 2 / 463);
  const text = plain(fixing?.sentence() ?? []);
  expect(text).toContain('Takes 3 screws');
  const [pulled, down] = (/takes ([\d.]+) kg outward and ([\d.]+) kg down/.exec(text) ?? []).slice(1).map(Number);
  expect(pulled).toBeCloseTo(c / 9.81, 2);
  expect(down).toBeCloseTo(fin.total / 3 / 9.81, 2);
});

test('more on a fin takes more screws, and a fin that is low and far out takes more than go in', () => {
  const heavy = { ...shop(), things: new Map([['tin', thing({ mass: asKg(60) })]]) };
  const screws = ({ carried }: Solution) =>
    allScrews(carried)
      .filter((r) => r.row.through.id === 'wall-board/board')
      .reduce((n, r) => n + r.count, 0);
  expect(screws(solve(board(), heavy, {}))).toBeGreaterThan(screws(solved()));
  const low = board({ height: given(180), depth: given(420) });
  const fails = checked(solve(low, heavy, {}), `ends-${DIVIDER}`)[0];
  expect(fails?.severity).toBe('stop');
  expect(plain(fails?.sentence ?? [])).toContain('Make it higher');
});

test('screws into the edge of a sheet are not checked where they are pulled', () => {
  const s = solved(board({ fins: { stock: 'ply' } }));
  const fin = s.carried.members.get('wall-board/fin/left') as CarriedMember;
  const members = new Map([...s.carried.members].map(([id, c]) => [id, c.member]));
  expect(fixingsOf(fin, members, shop().settings).map((f) => f.state)).toEqual(['not checked']);
});

test('a fin on a stud is told so, and one on none by what that bends the board to', () => {
  const s = solved();
  expect(plain(about(s, 'fin-on-stud', DIVIDER)?.sentence ?? [])).toContain('on the stud 500 mm from the left end');
  const thin = solved(board(), shop([110, 700], 6));
  const fin = thin.carried.members.get(DIVIDER) as CarriedMember;
  const out = fin.supports[0]?.out ?? 0;
  // At 500 between studs at 110 and 700, by its upper 250: M = P a b / L, σ = 6 M / (b t²), against 32 MPa x 0.7 / 1.2 / 1.5: its grain is upright, and it bends across that.
  const pull = (fin.total * out) / ((2 / 3) * 500);
  const stress = (6 * pull * 390 * 200) / 590 / (250 * 6 ** 2);
  expect(plain(about(thin, 'fin-on-stud', DIVIDER)?.sentence ?? [])).toContain(
    `${Math.round((100 * stress) / (32 * (0.7 / 1.2 / 1.5)))} % of what is safe`,
  );
});

test.each([
  ['heavy between far studs on a thin board', [30, 970], 4, 60, 'fails'],
  ['past the last stud', [110], 4, 60, 'fails'],
] as const)('a fin on no stud, %s', (_, studs, thick, mass, state) => {
  const at = { ...shop(studs, thick), things: new Map([['tin', thing({ mass: asKg(mass) })]]) };
  expect(about(solve(board(), at, {}), 'fin-on-stud', DIVIDER)?.state).toBe(state);
});

test('with no stud known fins are not checked, in one line', () => {
  const lines = checked(solved(board(), shop([])), 'fin-on-stud');
  expect(lines.map((c) => [c.state, c.about])).toEqual([['not checked', { kind: 'member', id: 'wall-board/board' }]]);
});

test('a fin that fails on no stud is set over one that is between its neighbours', () => {
  const at = { ...shop([30, 420, 970], 4), things: new Map([['tin', thing({ mass: asKg(60) })]]) };
  const fails = about(solve(board(), at, {}), 'fin-on-stud', DIVIDER);
  const change = fails?.fixes[0]?.change;
  const mended = change?.target === 'piece' ? solve(applyEdit(board(), change.edit), at, {}) : null;
  expect(mended && about(mended, 'fin-on-stud', DIVIDER)?.state).toBe('fine');
  expect(mended && toMm(boxOf(member(mended, DIVIDER)).x0)).toBe(410);
});

test('on one stud, or anchors alone, it must not hang', () => {
  expect(checked(solved(board({ width: given(400) }), shop([])), 'hung')[0]?.state).toBe('fails');
  expect(checked(solved(board(), shop([500])), 'hung')[0]?.state).toBe('close');
});

test('things need a shelf under them', () => {
  const low = bay('a', 0);
  const piece = board({
    interior: space('in', {
      split: { axis: 'across', members: [{ id: 'fin' }], spaces: [low, space('b', { things: [{ thing: 'tin', count: 1 }] })] },
    }),
  });
  const [problem] = solved(piece).shape.problems;
  expect(problem).toMatchObject({ id: 'on-nothing-b', stops: true });
  const mended = applyEdit(piece, problem?.fixes[0]?.edit as never) as WallBoard;
  expect(solved(mended).shape.problems).toEqual([]);
});

test('fins follow the shelves on both sides of them', () => {
  const at = (deep: number) => ({
    axis: 'up' as const,
    members: [{ id: `m${deep}a` }, { id: `m${deep}b`, deep: mm(deep) }],
    spaces: [space(`u${deep}`), space(`s${deep}`), space(`o${deep}`)],
  });
  const interior = space('in', {
    split: { axis: 'across', members: [{ id: 'fin' }], spaces: [space('a', { split: at(100) }), space('b', { split: at(150) })] },
  });
  const s = solved(board({ interior, fins: { stock: 'ash', front: 'stepped' } }));
  const area = (id: string) => massMiddleOf({ ...member(s, id), features: [] }).volume / 20;
  // Shelves of 20 at 153.3 and 326.7 over the foot of fins 500 high: 200 deep under the upper one, then as deep as that is.
  const [lower, rest] = [toMm(boxOf(member(s, 'm100b/shelf/1')).y0) - 50, 500];
  expect(area('wall-board/fin/left')).toBeCloseTo(lower * 200 + (rest - lower) * 100, -1);
  expect(area('wall-board/fin/right')).toBeCloseTo(lower * 200 + (rest - lower) * 150, -1);
  // Between two bays it is as deep as the deeper.
  expect(area(DIVIDER)).toBeCloseTo(lower * 200 + (rest - lower) * 150, -1);
});

test('set along its wall, its studs move with it, and it stays on the wall', () => {
  const at = (left: number) => board({ width: given(800), board: { ...board().board, left: mm(left), above: mm(1200) } });
  const s = solved(at(150), shop([250, 700]));
  const fact = (name: string) => [...s.shape.facts.values()].flat().find((f) => f.name === name)?.figure?.value;
  expect([fact('stud 1 behind it'), fact('stud 2 behind it')]).toEqual([mm(100), mm(550)]);
  expect(fact('mark on the wall: right end of the board')).toBe(mm(950));
  expect(fact('mark on the wall: upper edge of the board')).toBe(mm(1800));
  expect(s.shape.problems).toEqual([]);
  // The wall is 1000 wide.
  const [problem] = solved(at(250), shop([250])).shape.problems;
  expect(plain(problem?.sentence ?? [])).toContain('50 mm past the end');
  expect(applyEdit(at(250), problem?.fixes[0]?.edit as never)).toMatchObject({ board: { left: mm(200) } });
});
