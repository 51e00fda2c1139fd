import { allScrews } from '../../carry/index.js';
import { applyEdit } from '../../kinds/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import { solve } from '../../solution/index.js';
import { divided, lightly, piece, space, stock, thing, workshop } from '../../testing/samples.js';
import type { PanelCase } from './spec.js';

const deal = stock({ name: 'deal 18', form: 'board', material: 'sitka-spruce', thickness: mm(18), width: mm(120) });
const shop = workshop({ stock: { deal }, things: { tin: thing() } });
const blocks = { stock: 'deal', wide: mm(30) };
const toe: PanelCase['base'] = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false };
const shelved = divided('in', 'up', 3);
const solved = (extra: Partial<PanelCase> = {}) => solve(piece(shelved, { base: toe, noHeads: true, blocks, ...extra }), shop, {});
const box = (m: Member) => {
  const b = boxOf(m);
  return [b.x0, b.x1, b.y0, b.y1, b.z0, b.z1].map((v) => toMm(v));
};
const ofBlocks = (s: ReturnType<typeof solve>) => s.shape.members.filter((m) => m.node === 'corner-blocks');

test('four of them, in the corners inside, as deep as that is', () => {
  // 1000 x 2000 x 300 of 20, on a toe of 80: clear from 20 to 980 and from 100 to 1980.
  expect(ofBlocks(solved()).map((m) => [m.id, ...box(m)])).toEqual([
    ['corner-blocks/top/left', 20, 38, 1950, 1980, 0, 300],
    ['corner-blocks/top/right', 962, 980, 1950, 1980, 0, 300],
    ['corner-blocks/bottom/left', 20, 38, 100, 130, 0, 300],
    ['corner-blocks/bottom/right', 962, 980, 100, 130, 0, 300],
  ]);
  // No deeper than a top that is less deep.
  expect(ofBlocks(solved({ topDeep: mm(120) })).map((m) => toMm(m.length.value))).toEqual([120, 120, 300, 300]);
});

test('nothing is screwed through the sides any more, and no head is seen', () => {
  const through = (s: ReturnType<typeof solve>) => allScrews(s.carried).filter((r) => r.row.through.role === 'side').length;
  const heads = (s: ReturnType<typeof solve>) => s.checks.filter((c) => c.id.startsWith('heads-')).length;
  const { blocks: _without, ...plain } = solved().piece as PanelCase;
  void _without;
  const screwed = solve(plain, shop, {});
  expect([through(screwed) > 0, heads(screwed) > 0]).toEqual([true, true]);
  expect([through(solved()), heads(solved())]).toEqual([0, 0]);
});

test('top and bottom give what they carry to the sides by the blocks', () => {
  const full = divided('in', 'up', 2);
  (full.split?.spaces[0] as { things: unknown[] }).things = [{ thing: 'tin', count: 20 }];
  const s = solve(piece(lightly(full), { blocks, hung: { keyholes: { under: mm(60) } } }), shop, {});
  // Hung, half of the bottom and of its 40 kg comes to the side by each lower block: so much besides what that weighs.
  const bottom = s.carried.members.get('case/bottom/1');
  const left = s.carried.members.get('corner-blocks/bottom/left');
  expect(left?.total).toBeCloseTo((bottom?.total ?? 0) / 2 + (left?.selfKg ?? 0) * 9.81, 3);
  expect(left?.supports.map((x) => [x.carrier, x.how])).toEqual([['case/side/left', 'glued']]);
  expect(s.carried.floor).toBeCloseTo(([...s.carried.members.values()].reduce((kg, c) => kg + c.selfKg, 0) + 40) * 9.81, 2);
});

test('a lid has none, and where nothing ends between the sides that is told with a way out', () => {
  const lid: PanelCase['lid'] = { how: 'hinged', slack: mm(2), ledge: { stock: 'deal', wide: mm(20) } };
  expect(ofBlocks(solved({ lid })).map((m) => m.id)).toEqual(['corner-blocks/bottom/left', 'corner-blocks/bottom/right']);
  const over = piece(space('in'), { blocks, top: 'over', bottom: 'over' });
  const [problem] = solve(over, shop, {}).shape.problems;
  expect(problem?.id).toBe('blocks-idle');
  expect(ofBlocks(solve(applyEdit(over, problem?.fixes[0]?.edit as never), shop, {}))).toHaveLength(2);
});

test('a shelf that is housed where a block is comes into it, and is told', () => {
  const low = space('in', {
    split: { axis: 'up', members: [{ id: 'm', at: mm(110) }], spaces: [space('a'), space('b')] },
  });
  const s = solve(piece(low, { base: toe, blocks }), shop, {});
  expect(s.checks.filter((c) => c.id.startsWith('overlap-')).map((c) => [c.id, c.severity])).toEqual([
    ['overlap-m/shelf/1-corner-blocks/bottom/left', 'stop'],
  ]);
});
