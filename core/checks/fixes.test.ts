import fc from 'fast-check';
import { writeExactly } from '../figure/index.js';
import { pieceFaults } from '../formats/index.js';
import { mm } from '../length/index.js';
import { spacesOf, type Piece, type Space } from '../piece/index.js';
import { applyEdit } from '../kinds/index.js';
import { solve, type Solution } from '../solution/index.js';
import { anyPiece, random } from '../testing/every-kind.js';

/** Ways to make a piece wrong, the nth one of its spaces at fault. */
const SPOILT: readonly ((piece: Piece, space: Space, n: number) => void)[] = [
  (_, space) => (space.rule = { kind: 'fixed', size: mm(5000) }),
  (_, space) => (space.rule = { kind: 'fixed', size: mm(37.3) }),
  (_, space) => (space.least = mm(900)),
  (_, space) => (space.greatest = mm(11)),
  (_, space) => (space.things = [{ thing: 'tin', count: 500 }]),
  (piece) => [...spacesOf(piece.interior)].forEach(({ space }) => (space.rule = { kind: 'fixed', size: mm(111.1) })),
  (piece, _, n) =>
    [...spacesOf(piece.interior)].forEach(({ space }) => space.split?.members.forEach((m) => (m.at = mm(((n * 37) % 700) + 1)))),
  (piece) => (piece.width = { from: 'given', size: mm(90), of: 'overall' }),
  (piece) => (piece.height = { from: 'given', size: mm(130), of: 'overall' }),
  (piece) => (piece.panels.shelves = { ...piece.panels.shelves, fix: 'loose', looseEnd: mm(300) }),
];

function spoilt(piece: Piece, n: number): Piece {
  const next = structuredClone(piece);
  const spaces = [...spacesOf(next.interior)].map((s) => s.space);
  SPOILT[n % SPOILT.length]?.(next, spaces[n % spaces.length] as Space, n);
  return next;
}

/** What cannot be seen with a tape, and so must not be left over by a fix. */
const UNSEEN = mm(0.1);

function tryFixes(s: Solution): void {
  for (const check of s.checks) {
    for (const { label, change } of check.fixes) {
      if (change.target !== 'piece') continue;
      const next = applyEdit(s.piece, change.edit);
      const which = `${writeExactly(check.sentence)} → ${writeExactly(label)}`;
      expect([which, pieceFaults(next, s.workshop, '')]).toEqual([which, []]);
      const after = solve(next, s.workshop, s.letters);
      const off = [...after.shape.runs.values()].flatMap((r) => r.run.conflicts.map((c) => c.by)).filter((by) => by < UNSEEN);
      expect([which, off]).toEqual([which, []]);
    }
  }
}

test('every fix of every check can be made, leads to a whole piece, and leaves nothing over that no tape can see', () => {
  let n = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      n += 1;
      tryFixes(solve(spoilt(piece, n), shop, {}));
    }),
    random(10),
  );
});
