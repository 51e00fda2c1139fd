import { writeExactly } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import { applyEdit } from '../../kinds/index.js';
import { framePiece, level, NO_OVER, shop } from '../../testing/frame-samples.js';
import { space, stock, workshop } from '../../testing/samples.js';
import { remediesFor, solve, triedFixes, type Solution } from '../index.js';

describe('fixes of a frame that leans', () => {
  const before = solve(framePiece(space('in'), { top: { level: level('deal21', 70), over: NO_OVER } }), shop, {});
  const tried = triedFixes(before, shop, before.letters, 'racking');
  const fixes = before.checks.find((c) => c.id === 'racking')?.fixes ?? [];
  const said = (start: string) => tried.find((t) => writeExactly(fixes[t.at]?.label ?? []).startsWith(start));

  test('it leans both ways before', () => expect(before.checks.find((c) => c.id === 'racking')?.state).toBe('fails'));

  test('those that mend both ways come before those that leave it leaning one way, which say so', () => {
    expect(tried.map((t) => t.mends)).toEqual([...tried].map((t) => t.mends).sort((a, b) => Number(b) - Number(a)));
    expect(said('Sheets at its rear and its ends')?.mends).toBe(true);
    expect(said('It will be fixed to the wall')?.mends).toBe(true);
    const rear = said('A sheet at its rear');
    expect(rear?.mends).toBe(false);
    expect(writeExactly(rear?.why ?? [])).toMatch(/its sheet takes .* sideways.*nothing keeps it from leaning to the front/);
  });

  test('each mends as it says, weighs what it adds, and what only decides weighs nothing', () => {
    // The thinnest sheet there is, of 5.9: one of 1000 by 700, and two of 500 by 700, at 680 kg/m³.
    expect(said('Sheets at its rear and its ends')?.addedKg).toBeCloseTo(680 * 0.0059 * 0.7 * (1 + 2 * 0.5), 1);
    expect(said('It will be fixed to the wall')?.addedKg).toBe(0);
    expect(tried.map((t) => t.at).sort((a, b) => a - b)).toEqual(fixes.map((_, i) => i));
    for (const { at, mends } of tried) {
      const change = fixes[at]?.change;
      const after = change?.target === 'piece' ? solve(applyEdit(before.piece, change.edit), shop, before.letters) : before;
      if (mends) expect(after.checks.find((c) => c.id === 'racking')?.state).not.toBe('fails');
    }
  });

  test('nothing is tried for a check that is not there', () => expect(triedFixes(before, shop, before.letters, 'gone')).toEqual([]));
});

describe('rails of a frame', () => {
  const angle = stock({ name: 'steel angle', form: 'board', material: 'steel', thickness: mm(5), width: mm(60), length: mm(3000) });
  const withAngle = workshop({ stock: { ...Object.fromEntries(shop.stock), angle }, things: Object.fromEntries(shop.things) });
  const front = 'frame-top/rail/1';
  /** A top of 1300 on rails of so much, for so many people. */
  const benchOf = (rails: string, wide: number, people: number) =>
    solve(
      framePiece(space('in'), {
        width: { from: 'given', size: mm(1300), of: 'overall' },
        top: { level: level(rails, wide, { stock: 'ply12', goes: 'over', gap: mm(0) }), over: NO_OVER, people },
      }),
      withAngle,
      {},
    );
  const mending = (s: Solution) => remediesFor(s, withAngle, s.letters, front);
  const labels = (s: Solution) => mending(s).map((r) => writeExactly(r.label));

  test('that break are mended by a bar of metal along them, where its screws hold', () => {
    const s = benchOf('deal42', 45, 3);
    expect(s.carried.members.get(front)?.state).toBe('fails');
    expect(labels(s)).toContain('steel angle, 45 mm high, along the rails across');
  });

  test('whose ends do not hold are mended by bolts, by shoulders in the posts, and by posts under them, and by no deeper rail', () => {
    const s = benchOf('deal42', 70, 2);
    expect(s.carried.members.get(front)?.state).toBe('fine');
    expect(s.checks.some((c) => c.id === `ends-${front}`)).toBe(true);
    // Two thirds of posts of 45 stay; between them rails of 42 would meet in each post.
    expect(labels(s)).toEqual(
      expect.arrayContaining(['Hold the rails by bolts', 'Lap the rails on the posts, let in 15 mm', 'Carry the rails on inner posts']),
    );
    expect(labels(s).some((l) => l.startsWith('Rails '))).toBe(false);
  });
});
