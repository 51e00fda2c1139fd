import { mm } from '../../length/index.js';
import type { DividingMember, Space } from '../../piece/index.js';
import type { PanelCase } from '../../shells/index.js';
import { screwChecks } from '../../checks/screws.js';
import { writeExactly } from '../../figure/index.js';
import { solve } from '../../solution/index.js';
import { space, piece, stock, workshop } from '../../testing/samples.js';
import { allScrews, clashesOf } from '../index.js';

/** Two bays beside a divider, each with one shelf at a height of its own, all butted. */
function bays(left: number, right: number, extra: Partial<PanelCase> = {}, fix: DividingMember['fix'] = 'butted', shop = workshop()) {
  const bay = (id: string, low: number): Space =>
    space(id, {
      split: {
        axis: 'up',
        members: [{ id: `${id}-shelf`, fix }],
        spaces: [space(`${id}-low`, { rule: { kind: 'fixed', size: mm(low) } }), space(`${id}-high`)],
      },
    });
  const inside = space('in', { split: { axis: 'across', members: [{ id: 'mid' }], spaces: [bay('l', left), bay('r', right)] } });
  return solve(piece(inside, extra), shop, {});
}

const clashes = (s: ReturnType<typeof solve>) => clashesOf(allScrews(s.carried));

describe('screws in their places', () => {
  const rows = allScrews(bays(500, 900).carried);
  const of = (holds: string, through: string) => rows.find((r) => r.holds === holds && r.row.through.id === through);

  test('begin at the outside of what they go through, at half the height of the shelf', () => {
    const [first] = of('l-shelf/shelf/1', 'case/side/left')?.screws ?? [];
    // The bottom is 20 thick and the space over it 500: the shelf of 20 has its middle at 530; No. 8 x 70.
    expect(first?.head.slice(0, 2)).toEqual([0, 530]);
    expect(first?.point.slice(0, 2)).toEqual([70, 530]);
    expect(first?.across).toBeCloseTo(4.1656, 4);
  });

  test('go from the far side of a divider, which they come through', () => {
    // The divider stands at 490 to 510: the screws of the left shelf come from its right face.
    const [left] = of('l-shelf/shelf/1', 'mid/divider/1')?.screws ?? [];
    const [right] = of('r-shelf/shelf/1', 'mid/divider/1')?.screws ?? [];
    expect([left?.head[0], left?.point[0], right?.head[0], right?.point[0]]).toEqual([510, 440, 490, 560]);
  });
});

describe('shelves on both sides of a divider', () => {
  test('at one height only one of them can be screwed', () => {
    const s = bays(500, 500);
    const found = clashes(s);
    expect(found.map((c) => c.kind)).toEqual(['facing']);
    const [check] = screwChecks(s.piece, s.carried, s.letters, s.workshop.settings);
    expect(check && writeExactly(check.sentence)).toMatch(/^Shelf \w+ and shelf \w+ meet divider \w+ from both sides at one height/);
    // Housing one of them, or putting it on pins, mends it.
    expect(check?.fixes.map((f) => writeExactly(f.label))).toEqual([
      expect.stringMatching(/^House shelf/),
      expect.stringMatching(/^Put shelf \w+ on pins/),
    ]);
  });

  test.each([
    ['a shelf and a half apart', 530],
    ['housed, whatever their height', 500],
  ])('%s nothing is in the way', (what, right) => {
    expect(clashes(bays(500, right, {}, what.startsWith('housed') ? 'housed' : 'butted'))).toEqual([]);
  });

  test('half covered is covered: 8 apart in height', () => expect(clashes(bays(500, 508))[0]?.kind).toBe('facing'));

  test('far enough for the heads, and still the wood between their shafts counts', () => {
    // 16 apart the shelf of 20 begins 6 below the middle of the other: its heads of 8.3 reach 4.2, so that they are free.
    expect(clashes(bays(500, 516)).map((c) => c.kind)).toEqual([]);
  });
});

describe('what is cut for others', () => {
  const grooved = (inset: number) => bays(500, 900, { back: { kind: 'groove', depth: mm(8), inset: mm(inset), slack: mm(1) } });

  test('a back in its groove is kept clear of by 37 mm', () => {
    expect(clashes(grooved(10)).filter((c) => c.kind === 'lands')).toEqual([]);
  });

  test('screws go clear of the pins of a neighbour at the same place in a thin divider', () => {
    const shop = workshop({ stock: { ply: stock({ thickness: mm(20) }) } });
    const loose = bays(500, 500, {}, 'loose', shop);
    expect(clashes(loose)).toEqual([]);
    // One on pins of 10 deep, 2.5 under it, the other screwed: its screws go 12.5 over the holes.
    const inside = bays(500, 500).piece.interior;
    const [left] = inside.split?.spaces ?? [];
    const [member] = left?.split?.members ?? [];
    if (member) Object.assign(member, { fix: 'loose' });
    expect(clashes(solve(piece(inside), shop, {}))).toEqual([]);
    // Raised by 12.5 the shelf on pins has its holes at the height of the screws.
    const raised = bays(512.5, 500).piece.interior;
    Object.assign(raised.split?.spaces[0]?.split?.members[0] ?? {}, { fix: 'loose' });
    const among = solve(piece(raised), shop, {});
    expect(clashes(among)).toEqual([]);
    // The holes are 5 across at 37 from the edges, as the screws of 4.17 would be: those go 5 aside, by whole millimetres.
    const through = (s: ReturnType<typeof solve>) =>
      allScrews(s.carried).find((r) => r.holds === 'r-shelf/shelf/1' && r.row.through.id === 'mid/divider/1')?.places ?? [];
    const usual = through(bays(512.5, 500, {}, 'butted', shop));
    expect(usual.length).toBeGreaterThan(1);
    expect(through(among).map((at, i) => Math.abs(at - (usual[i] as number)))).toEqual(usual.map(() => 5));
  });
});
