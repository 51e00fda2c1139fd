import { SOLD, allKept } from '../core/carry/index.js';
import { holdsOf, holesOf, sortsOfHolds } from '../core/build/index.js';
import { writeExactly } from '../core/figure/index.js';
import { toMm } from '../core/length/index.js';
import { FLOOR, LETS_GO, MAY_LIE, PLACE, type PieceEdit } from '../core/piece/index.js';
import { boughtFor, fastenersOf, solve, wallFasteners, type Solution } from '../core/solution/index.js';
import { workshopOf } from '../core/formats/index.js';
import { BINDERY } from './bindery.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';

const bound = (id: string) => solve(BINDERY.pieces[id]?.piece as Solution['piece'], workshopOf(BINDERY), {});
const all: readonly (readonly [string, () => Solution])[] = [
  ...Object.keys(PRINT_SHED.pieces).map((id) => [id, () => solved(id)] as const),
  ...Object.keys(BINDERY.pieces).map((id) => [id, () => bound(id)] as const),
];

/** How many clusters the members of a piece make that hang together by what holds them; what runs or is lifted off is another. */
function apart(s: Solution): readonly string[] {
  const root = new Map(s.shape.members.map((m) => [m.id, m.id]));
  const of = (id: string): string => (root.get(id) === id ? id : of(root.get(id) ?? id));
  const join = (a: string, b: string) => root.has(a) && root.has(b) && root.set(of(a), of(b));
  for (const j of s.shape.joints) if (!LETS_GO.has(j.how)) join(j.carried, j.carrier);
  for (const k of allKept(s.carried)) if (k.way !== 'rests') join(k.held.id, k.by.id);
  const bodyOf = new Map(s.shape.bodies.flatMap((b) => b.members.map((id) => [id, b.id] as const)));
  const counts = new Map<string, Set<string>>();
  for (const m of s.shape.members) {
    const body = bodyOf.get(m.id) ?? 'still';
    counts.set(body, (counts.get(body) ?? new Set()).add(of(m.id)));
  }
  // What turns hangs on its hinges.
  for (const b of s.shape.bodies) if (b.motion.kind === 'turn') counts.delete(b.id);
  return [...counts].flatMap(([body, roots]) => (roots.size > 1 ? [...roots].map((r) => `${body}: ${r}`) : []));
}

const screwed = (s: Solution) => fastenersOf(s).filter((f) => f.what.startsWith('wood screws'));

describe.each(all)('%s', (_, solution) => {
  const s = solution();

  test('every screw that is bought has a hole in both of its parts, and a length that is sold', () => {
    const ends = holesOf(s);
    const cut = new Set(s.parts.map((p) => p.id));
    const of = (what: string) => fastenersOf(s).filter((f) => f.what === what && f.between.every((id) => cut.has(id)));
    const driven = screwed(s).filter((f) => f.between.every((id) => cut.has(id)));
    const count = (fasteners: typeof driven) => fasteners.reduce((sum, f) => sum + f.count, 0);
    // Four screws of a bracket, and two of a plate, are marked through it.
    expect(ends.filter((h) => h.use === 'pilot' && h.id.includes(' screw '))).toHaveLength(
      count(driven) - 4 * count(of('angle brackets')) - 2 * count(of('figure-eight plates')),
    );
    const sold = SOLD[s.workshop.settings.unit];
    for (const { length } of screwed(s)) expect(sold.some((l) => Math.abs(l - toMm(length ?? (0 as never))) < 1e-6)).toBe(true);
    expect(count(screwed(s)) * (s.piece.times ?? 1)).toBe(
      boughtFor(s)
        .filter((b) => b.what.startsWith('wood screws'))
        .reduce((sum, b) => sum + b.count, 0),
    );
  });

  test('all of it hangs together, but what moves, lies loose or is hung or built in', () => {
    const loose = new Set(s.shape.members.filter((m) => MAY_LIE.has(m.role)).map((m) => m.id));
    const outside = new Set(s.shape.joints.flatMap((j) => (j.carrier === PLACE || j.carrier === FLOOR ? [j.carried] : [])));
    const alone = apart(s).filter((one) => {
      const id = one.split(': ')[1] as string;
      return !loose.has(id) && !outside.has(id);
    });
    expect(alone.length).toBeLessThanOrEqual(1);
  });
});

const tell = (way: 'screws' | 'brackets' | 'glue' | 'rests' | 'bolts' | 'nails', key: string): PieceEdit => ({
  kind: 'piece',
  patch: { fastened: { [key]: way } },
});

/** Wood screws, brackets, bolts and brads of a piece, by what they are. */
const counts = (s: Solution) => {
  const sum = (what: string) => boughtFor(s).reduce((n, b) => n + (b.what.startsWith(what) ? b.count : 0), 0);
  return {
    screws: sum('wood screws'),
    plates: sum('figure-eight plates'),
    brackets: sum('angle brackets'),
    brads: sum('brads'),
    bolts: sum('bolts'),
  };
};

describe('decks of the mat stand told otherwise', () => {
  const usual = counts(solved('mat-stand'));
  const others = 24 + 8 + 4 + 2 + 2 * 4;

  test('of ash panel they move: each lies on four rails, on two plates each with two screws; two brackets keep it on its wall', () => {
    expect(usual).toEqual({ screws: others + 16 * 2, plates: 16, brackets: 2, brads: 8, bolts: 0 });
  });

  test('by screws: two to each rail, as they are held there alone', () => {
    expect(counts(solved('mat-stand', tell('screws', 'deck on rail')))).toEqual({ ...usual, screws: others + 16, plates: 0 });
  });

  test('by brackets: two to each rail, as they are longer than 120, with four screws in each', () => {
    const by = counts(solved('mat-stand', tell('brackets', 'deck on rail')));
    expect(by).toEqual({ ...usual, screws: others + 16 * 4, plates: 0, brackets: 2 + 16 });
  });

  test('one of the two alone, at one rail: two brackets there for two plates', () => {
    const one = counts(solved('mat-stand', tell('brackets', 'mat-foot/deck/1 on mat-foot/rail/1')));
    expect(one).toEqual({ ...usual, screws: usual.screws - 4 + 8, plates: 14, brackets: 2 + 2 });
  });

  test('by its weight, or by glue: none', () => {
    for (const way of ['rests', 'glue'] as const)
      expect(counts(solved('mat-stand', tell(way, 'deck on rail')))).toEqual({ ...usual, screws: others, plates: 0 });
  });

  test('screwed fast, the one that is not told to slide is told to split, and mended by what is offered', () => {
    const told = (s: Solution) => s.checks.filter((c) => c.id.startsWith('moves-') && c.fixes.length > 0);
    const fast = solved('mat-stand', tell('screws', 'deck on rail'));
    expect(told(fast)).toHaveLength(1);
    const fix = told(fast)[0]?.fixes[0]?.change;
    if (fix?.target !== 'piece') throw new Error('no fix');
    expect(told(solved('mat-stand', tell('screws', 'deck on rail'), fix.edit))).toEqual([]);
  });

  test('rails by bolts, where they are told so: no screws there, and what they hold is asked', () => {
    const bolted = solved('composing-legs', tell('bolts', 'rail on post'));
    const [before, now] = [counts(solved('composing-legs')), counts(bolted)];
    expect(now.bolts).toBeGreaterThan(0);
    expect(now.screws).toBe(before.screws - 16);
    expect(bolted.shape.joints.filter((j) => j.how === 'bolts')).toHaveLength(8);
  });

  test('corners of drawers whose shape decides are left as they are', () => {
    const told = solved('paper-chest', tell('bolts', 'drawer end on drawer side'));
    expect(counts(told)).toEqual(counts(solved('paper-chest')));
  });
});

describe('on the wall', () => {
  const wall = (way: 'studs' | 'masonry' | 'hollow', id: string) =>
    solved(id, { kind: 'piece', patch: { fixedToWall: true, fastened: { 'piece on the wall': way } } });
  const lines = (s: Solution) => wallFasteners(s).map((f) => [f.count, f.what, toMm(f.length ?? (0 as never))]);

  test('a case 800 wide is kept from being pulled over by two brackets: two short screws in each, and two into studs', () => {
    expect(lines(wall('studs', 'roller-case'))).toEqual([
      [3, 'angle brackets', 40],
      [6, 'wood screws No. 8', 16],
      [6, 'wood screws No. 8', 50],
    ]);
  });

  test('into masonry by plugs, into plaster board alone by anchors for it', () => {
    expect(lines(wall('masonry', 'roller-case'))[2]).toEqual([6, 'wall plugs 8 mm with screws', 60]);
    expect(lines(wall('hollow', 'roller-case'))[2]).toEqual([6, 'hollow-wall anchors', 0]);
  });

  test('what hangs takes the screws that were found to hold it: two No. 14 of 100, or as many plugs', () => {
    const told = solved('roller-wall-case').checks.find((c) => c.id === 'hung');
    expect(writeExactly(told?.sentence ?? [])).toContain('No. 14 x 100');
    expect(lines(solved('roller-wall-case'))).toEqual([[2, 'wood screws No. 14', 100]]);
    // Told while it stood, plaster board is no longer meant.
    expect(lines(wall('hollow', 'roller-wall-case'))).toEqual([[2, 'wood screws No. 14', 100]]);
    expect(lines(wall('masonry', 'roller-wall-case'))).toEqual([[2, 'wall plugs 8 mm with screws', 60]]);
  });

  test('a rail between the sides of a cabinet that is there: a bracket at each end; runners along it: two screws through 18 and on', () => {
    expect(lines(solved('sink-drawers'))).toEqual([
      [1, 'angle brackets', 40],
      [4, 'wood screws No. 8', 16],
      [1, 'angle brackets', 40],
      [4, 'wood screws No. 8', 16],
    ]);
    // 18 and 25: 40 is the longest sold that is no longer than 43.
    expect(lines(solved('mat-drawer'))).toEqual(Array(2).fill([2, 'wood screws No. 8', 40]));
  });
});

test('slats across solid rails are screwed alone, since glue would tear as they move; shelves of sheet into their sides are glued too', () => {
  const said = (id: string, sort: string) =>
    sortsOfHolds(holdsOf(solved(id), { glue: 'pva' })).flatMap((s) =>
      s.sort === sort && s.takes.length > 0 ? [writeExactly(s.says)] : [],
    );
  expect(said('guest-bed', 'slat on rail')).toEqual(['screwed']);
  expect(said('roller-case', 'shelf on side')).toEqual(['screwed and glued']);
  // Each two once, and as many screws as are bought for them.
  const holds = holdsOf(solved('roller-case'), { glue: 'pva' });
  expect(new Set(holds.map((h) => [h.held.id, h.by.id].sort().join())).size).toBe(holds.length);
});
