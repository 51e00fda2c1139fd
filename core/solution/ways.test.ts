import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { PieceEdit } from '../piece/index.js';
import { chest, drawers } from '../testing/chest.js';
import type { PanelCase } from '../shells/index.js';
import { divided, panels, piece, space, stock, workshop } from '../testing/samples.js';
import { solve, waysCompared, type Solution, type WayCosts } from './index.js';

const said = (costs: WayCosts | undefined) => (costs?.differs ?? []).map(writeExactly);

/** A case of 1000 x 2000 x 300 in birch plywood of 20 at 680 kg/m³, with one shelf of 960 x 300 between its sides. */
const caseWith = (fix: 'housed' | 'loose' | 'butted', price?: number) => {
  const ply = stock(price === undefined ? {} : { price });
  const shop = workshop({ stock: { ply } });
  const shelves = { fix, housing: mm(5), looseEnd: mm(1) };
  return { shop, solved: solve(piece(divided('in', 'up', 2), { panels: panels(shelves) }), shop, {}) };
};

/** The edit that fixes its shelves another way. */
const fixed = ({ piece: { panels: now } }: Solution, fix: 'housed' | 'loose' | 'butted'): PieceEdit => ({
  kind: 'piece',
  patch: { panels: { ...now, shelves: { ...now.shelves, fix } } },
});

test('a shelf that is loose in place of housed: shorter by both housings and both clearances, two housings for four holes and their pins', () => {
  const { solved, shop } = caseWith('housed', 1000);
  const [loose] = waysCompared(solved, shop, solved.letters, [{ id: 'loose', edit: fixed(solved, 'loose') }]);
  const shelf = solved.parts.find((p) => p.member.role === 'shelf');
  expect(shelf?.length.value).toBe(mm(970));
  expect(shelf?.width.value).toBe(mm(300));
  // 970 − 958 = 12 by 300 by 20 at 680 kg/m³ less, and two housings of 5 by 300 by 20 that stay in the sides more; of a sheet of 2500 x 1250 for 1000 that is 12 x 300.
  expect(said(loose)).toEqual(['0.00816 kg lighter', 'its wood 1.15 cheaper', '2 housings fewer', '4 holes more', '4 shelf pins Ø5 more']);
  expect([loose?.fails, loose?.mends]).toEqual([[], 0]);
});

test('there and back differ by the same, the other way', () => {
  const { solved, shop } = caseWith('housed', 1000);
  const there = waysCompared(solved, shop, solved.letters, [{ id: 'loose', edit: fixed(solved, 'loose') }])[0];
  const { solved: other } = caseWith('loose', 1000);
  const back = waysCompared(other, shop, other.letters, [{ id: 'housed', edit: fixed(other, 'housed') }])[0];
  const turned = said(back).map((one) =>
    one
      .replace('heavier', 'lighter')
      .replace('dearer', 'cheaper')
      .replace(/more$/, 'x')
      .replace(/fewer$/, 'more')
      .replace(/x$/, 'fewer'),
  );
  expect(turned).toEqual(said(there));
});

test('where the wood has no price that is said, and what is as it is now differs by nothing', () => {
  const { solved, shop } = caseWith('housed');
  const [loose, same] = waysCompared(solved, shop, solved.letters, [
    { id: 'loose', edit: fixed(solved, 'loose') },
    { id: 'housed', edit: fixed(solved, 'housed') },
  ]);
  expect(said(loose)).toContain('what its wood costs is not known');
  expect(same).toEqual({ id: 'housed', differs: [], fails: [], mends: 0 });
});

test('what makes the whole larger is told, and the parts that come with it', () => {
  const { solved, shop } = caseWith('housed');
  const base = { kind: 'plinth' as const, height: mm(80), setback: mm(50), bearers: false };
  const [plinth] = waysCompared(solved, shop, solved.letters, [{ id: 'plinth', edit: { kind: 'piece', patch: { base } } }]);
  // Two rails and two ends, under a case that is 2000 high as it was.
  expect(said(plinth)).toContain('4 parts more');
  const { stock: of } = solved.piece as PanelCase;
  const back = { kind: 'applied' as const };
  const [backed] = waysCompared(solved, shop, solved.letters, [{ id: 'back', edit: { kind: 'piece', patch: { back, stock: of } } }]);
  // 1000 x 2000 x 6 behind it; sides, top, bottom and shelf are 6 less deep, and 20 thick: (12 000 000 − 825 600) mm³ at 680 kg/m³.
  expect(said(backed)).toContain('7.6 kg heavier');
  expect(said(backed)).toContain('1 part more');
});

test('screws of a box are told by their size', () => {
  const walls = workshop({
    stock: { wall: stock({ name: 'wall', thickness: mm(15) }), bottom: stock({ name: 'bottom', thickness: mm(5) }) },
  });
  const before = chest(drawers(), 3, {}, walls);
  const box = { ...drawers().box, join: 'pocket' as const };
  const edit: PieceEdit = { kind: 'making', space: 'in', making: drawers({ box }) };
  const [pocket] = waysCompared(before, walls, before.letters, [{ id: 'pocket', edit }]);
  // Three boxes of four corners with three screws each.
  expect(said(pocket)).toEqual(['36 pocket screws x 25 mm more', '36 wood screws No. 6 x 60 mm fewer']);
});

test('what fails then is told once, and what fails now and does not then is counted', () => {
  // 160 kg on a shelf of 360: each of its ends gives 80 kg on, more than two pins hold and less than a housing does.
  const loaded = (fix: 'housed' | 'loose') => {
    const shop = workshop();
    const interior = divided('in', 'up', 2);
    interior.split?.spaces.splice(1, 1, space('in-2', { things: [{ thing: 'tin', count: 80, at: 'spread' }] }));
    const width = { from: 'given', size: mm(400), of: 'overall' } as const;
    return { shop, solved: solve(piece(interior, { width, panels: panels({ fix, looseEnd: mm(1) }) }), shop, {}) };
  };
  const [housed, loose] = [loaded('housed'), loaded('loose')];
  const [toPins] = waysCompared(housed.solved, housed.shop, housed.solved.letters, [{ id: 'l', edit: fixed(housed.solved, 'loose') }]);
  expect(toPins?.fails.map(writeExactly)).toEqual([expect.stringMatching(/gives .* on at one end, more than that holds/)]);
  const [toHousing] = waysCompared(loose.solved, loose.shop, loose.solved.letters, [{ id: 'h', edit: fixed(loose.solved, 'housed') }]);
  expect([toHousing?.fails, toHousing?.mends]).toEqual([[], 1]);
});

test('an edit that cannot be made is an error, as anywhere', () => {
  const { solved, shop } = caseWith('housed');
  const edit: PieceEdit = { kind: 'clear', space: 'gone' };
  expect(() => waysCompared(solved, shop, solved.letters, [{ id: 'x', edit }])).toThrow(/gone|no space/);
});
