import { allScrews, type Carried, type PlacedRow } from '../carry/index.js';
import { say } from '../figure/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { toMm } from '../length/index.js';
import { boxOf, type Box, type Letters, type Member, type Piece, type Shape } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import type { Vector } from '../solid/index.js';
import { capital, listed, nameOf } from './names.js';
import { otherWays } from './screws.js';

/** A screw is driven from where it comes most of its way from. */
const MOSTLY = Math.SQRT1_2;

/** From where a piece is looked at: along which axis, and which way one looks. */
const SEEN_FROM = [
  { axis: 0, way: 1 },
  { axis: 0, way: -1 },
  { axis: 1, way: -1 },
  { axis: 2, way: -1 },
] as const;

/** The sides of a box along each axis, mm. */
const extents = ({ x0, x1, y0, y1, z0, z1 }: Box) => [
  [toMm(x0), toMm(x1)],
  [toMm(y0), toMm(y1)],
  [toMm(z0), toMm(z1)],
];

/** Whether nothing stands between a place on a face and someone who looks along an axis. */
function isOpen(head: Vector, { axis, way }: (typeof SEEN_FROM)[number], others: readonly ReturnType<typeof extents>[]): boolean {
  return !others.some((box) =>
    box.every(([low = 0, high = 0], k) => {
      const at = head[k as 0 | 1 | 2];
      if (k !== axis) return low < at && at < high;
      return way === 1 ? low < at : high > at;
    }),
  );
}

/** Whether a head of a row is seen from the left, the right, the front or above, and has no plug over it. */
function isSeen({ row, screws }: PlacedRow, members: readonly Member[]): boolean {
  if (row.through.features.some((f) => f.kind === 'hole' && f.plugged && f.mate === row.into.id)) return false;
  const others = members.filter((m) => m.id !== row.through.id).map((m) => extents(boxOf(m)));
  return screws.some(({ head, way }) => SEEN_FROM.some((from) => way[from.axis] * from.way > MOSTLY && isOpen(head, from, others)));
}

/**
 * Screws whose heads are seen from outside, where none is to be: by the member that they go through.
 * @example seenScrewChecks(CASE, SOLVED.shape, SOLVED.carried, {}, SHOP.settings) // []
 */
export function seenScrewChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, settings: Settings): readonly Check[] {
  if (!piece.noHeads) return [];
  const seen = allScrews(carried).filter((row) => isSeen(row, shape.members));
  const through = [...new Set(seen.map((r) => r.row.through.id))];
  return through.map((id): Check => {
    const rows = seen.filter((r) => r.row.through.id === id);
    const held = [...new Set(rows.map((r) => (r.row.into.id === id ? r.holds : r.row.into.id)))];
    const name = (of: string) => {
      const member = carried.members.get(of)?.member;
      return member ? nameOf(member, letters) : of;
    };
    return {
      id: `heads-${id}`,
      joint: 'screws',
      severity: 'look',
      state: 'fails',
      about: { kind: 'member', id },
      sentence: say`${capital(name(id))} is screwed from outside to ${listed(held.map(name))}: the heads are seen there. House what can be housed, or put plugs over them.`,
      fixes: [
        ...held.flatMap((of) => otherWays(piece, carried, of, letters, settings)),
        pieceFix(say`They may be seen`, { kind: 'piece', patch: { noHeads: false } }),
      ],
    };
  });
}
