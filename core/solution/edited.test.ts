import fc from 'fast-check';
import { Figure } from '../figure/index.js';
import { EditError, applyEdit } from '../kinds/index.js';
import { mm } from '../length/index.js';
import { spacesOf, type Piece, type PieceEdit } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { anyPiece, random } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';
import { solve } from './index.js';

/** Each is solved some thirty times. */
const PIECES = 10;

/** Figures by what they come to and what they are called, the rest as it is. */
const plain = (_: string, value: unknown) =>
  value instanceof Figure ? [value.amount, value.label] : value instanceof Map ? [...value.entries()] : value;

/** Everything that is laid out in a piece, part by part. */
function laidOut(piece: Piece, shop: Workshop): readonly string[] {
  const { shape } = solve(piece, shop, {});
  const { spaces, runs, members, joints, bodies, problems, facts } = shape;
  return [...spaces.values(), ...runs.values(), ...members, ...joints, ...bodies, ...problems, facts].map((one) =>
    JSON.stringify(one, plain),
  );
}

/** The piece as one reads it from a file: nothing of it was ever seen. */
const unseen = (piece: Piece): Piece => JSON.parse(JSON.stringify(piece)) as Piece;

/** What is tried while a size or a list of things is typed: in one space, and of the whole. */
function editsOf(piece: Piece, at: number): readonly PieceEdit[] {
  const all = [...spacesOf(piece.interior)].map((path) => path.space);
  const space = all[at % all.length]?.id ?? piece.interior.id;
  const { width } = piece as { width?: { from: string; size?: number } };
  return [
    { kind: 'rule', space, rule: { kind: 'fixed', size: mm(90) } },
    { kind: 'bounds', space, least: mm(120) },
    { kind: 'things', space, things: [{ thing: 'tin', count: 2 }] },
    ...(width?.from === 'given' ? [{ kind: 'piece', patch: { width: { ...width, size: mm(730) } } } as PieceEdit] : []),
  ];
}

const inExact = (shop: Workshop): Workshop => ({
  ...shop,
  settings: { ...shop.settings, rounding: { ...shop.settings.rounding, set: 'exact' } },
});

test('what an edit leaves as it was is laid out as in a piece that was never seen', () => {
  let tried = 0;
  fc.assert(
    fc.property(anyPiece, fc.nat(1000), ({ piece, shop }, at) => {
      laidOut(piece, shop);
      for (const edit of editsOf(piece, at)) {
        let edited: Piece;
        try {
          edited = applyEdit(piece, edit);
        } catch (error) {
          if (error instanceof EditError) continue;
          throw error;
        }
        for (const where of [shop, inExact(shop)]) {
          tried += 1;
          const [now, anew] = [laidOut(edited, where), laidOut(unseen(edited), where)];
          expect(now).toHaveLength(anew.length);
          now.forEach((one, i) => {
            if (one !== anew[i]) expect(one).toEqual(anew[i]);
          });
        }
      }
      // And back: the piece itself was not changed by any of them.
      expect(laidOut(piece, shop)).toEqual(laidOut(unseen(piece), shop));
    }),
    random(PIECES),
  );
  expect(tried).toBeGreaterThan(runs(2));
}, 120_000);
