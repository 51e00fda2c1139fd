import { ZERO, mm, toMm } from '../length/index.js';
import { applyEdit } from '../kinds/index.js';
import type { Piece } from '../piece/index.js';
import { chest, drawers } from '../testing/chest.js';
import { piece, space } from '../testing/samples.js';
import { drawersOf, solve, tiedTo, withinOf } from '../solution/index.js';
import { sizesWithin } from '../shells/index.js';
import { chestShop } from '../testing/chest.js';

/** Drawers of 930 x 250 inside: 960 less 2 x 5 free and 2 x 10 of walls; 300 less a front of 20, 10 behind and 2 x 10. */
const source = chest(drawers());
const within = withinOf(source, 'd1');
const tray = (extra: object = {}): Piece => {
  if (!within) throw new Error('there is no drawer');
  const { panels, edges, fixedToWall } = piece(space('in'));
  const own = { shell: 'in-place', place: 'a drawer', name: 'tray', panels, edges, fixedToWall, interior: space('tray') };
  return { ...own, ...sizesWithin(within), tied: { piece: 'chest', space: 'd1' }, ...extra } as Piece;
};
const told = (of: Piece, now: typeof within | undefined) =>
  solve(of, { ...chestShop, ...(now === undefined ? {} : { within: now }) }, {}).checks.find((c) => c.id.startsWith('tied'));

describe('a tray made to fit a drawer of another piece', () => {
  test('the drawers of a chest are offered, each with what is clear in it: 930 x 250', () => {
    expect(drawersOf(source).map((d) => d.id)).toEqual(['d1', 'd2', 'd3']);
    expect([within?.clear.width, within?.clear.depth].map((l) => l && toMm(l))).toEqual([930, 250]);
    expect(within?.name).toBe('drawer 1 of sample');
    expect(tiedTo(tray())).toEqual({ piece: 'chest', space: 'd1' });
  });

  test('while it fits nothing is told, nor where it is not known what the drawer is', () => {
    expect(told(tray(), within)).toBeUndefined();
    expect(told(tray(), undefined)).toBeUndefined();
  });

  test('a drawer that became narrower is told, and followed by one press', () => {
    const now = withinOf(chest(drawers({ runner: { kind: 'wooden', side: mm(8), stock: 'wall', wide: mm(20) } })), 'd1');
    const check = told(tray(), now);
    expect([check?.severity, check?.about.kind]).toEqual(['look', 'space']);
    const change = check?.fixes[0]?.change;
    if (change?.target !== 'piece') throw new Error('it changes the tray');
    const followed = applyEdit(tray(), change.edit);
    expect(followed.width.from === 'given' && toMm(followed.width.size)).toBe(924);
    expect(told(followed, now)).toBeUndefined();
  });

  test('a drawer that is gone leaves it its sizes, and it can be untied', () => {
    expect(withinOf(source, 'd9')).toBeNull();
    expect(withinOf(null, 'd1')).toBeNull();
    const check = told(tray(), null);
    expect(check?.id).toBe('tied-gone');
    const change = check?.fixes[0]?.change;
    if (change?.target !== 'piece') throw new Error('it changes the tray');
    const untied = applyEdit(tray(), change.edit);
    expect([tiedTo(untied), untied.width]).toEqual([null, tray().width]);
    expect(told(tray({ width: { from: 'given', size: ZERO, of: 'overall' } }), null)?.id).toBe('tied-gone');
  });
});
