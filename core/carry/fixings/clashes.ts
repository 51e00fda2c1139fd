import { ofTwo, type Feature } from '../../piece/index.js';
import { dot, minus, plus, scaled } from '../../solid/index.js';
import { ownExtents, type Extents } from './contact.js';
import { cutsAlong, isRodIn, type Rod } from './cuts.js';
import type { PlacedRow, PlacedScrew } from './placed.js';

/** What is wrong with where a row of screws goes. */
export type Clash =
  /** Two rows through one member from both sides, each with its heads under what the other holds: only one of them can be driven. */
  | { readonly kind: 'facing'; readonly row: PlacedRow; readonly other: PlacedRow }
  /** One of them meets a screw of another row, or comes within so little of it, mm. */
  | { readonly kind: 'meets'; readonly row: PlacedRow; readonly other: PlacedRow; readonly apart: number }
  /** One of them lands in a groove, a housing or a hole that is there for another member. */
  | { readonly kind: 'lands'; readonly row: PlacedRow; readonly in: Feature['kind']; readonly member: string; readonly mate: string };

const AXES = [0, 1, 2] as const;

/** Whether two boxes have room in common, or come within so much of it, mm. */
function overlap(a: Extents, b: Extents, within = -1e-6): boolean {
  return AXES.every((k) => Math.min(a[k][1], b[k][1]) - Math.max(a[k][0], b[k][0]) > -within);
}

/** What a head needs outside, mm. */
const HEAD_ROOM = 5;

/** The room just outside the head of a screw, as wide as a head. */
function outsideHead({ head, way, across }: PlacedScrew): Rod {
  return { from: plus(head, scaled(way, -HEAD_ROOM)), to: plus(head, scaled(way, -0.5)), radius: across };
}

/** Whether the heads of a row are under what another one holds. */
function under(row: PlacedRow, other: PlacedRow): boolean {
  const { into } = other.row;
  const block = ownExtents(into);
  return row.screws.some((s) => isRodIn(outsideHead(s), into, block));
}

/**
 * How far the axes of two screws are apart, mm: the least distance of two straight stretches. Where the nearest places of their
 * lines are past an end of one, that end decides.
 */
function between(a: PlacedScrew, b: PlacedScrew): number {
  const [p, q, r] = [minus(a.point, a.head), minus(b.point, b.head), minus(a.head, b.head)];
  const [pp, qq, pq, pr, qr] = [dot(p, p), dot(q, q), dot(p, q), dot(p, r), dot(q, r)];
  const within = (part: number) => Math.min(1, Math.max(0, part));
  const apart = pp * qq - pq * pq;
  const first = apart > 1e-9 * pp * qq ? within((pq * qr - qq * pr) / apart) : 0;
  const second = within((pq * first + qr) / qq);
  const back = within((pq * second - pr) / pp);
  return Math.hypot(...minus(plus(a.head, scaled(p, back)), plus(b.head, scaled(q, second))));
}

/** Wood that has to stay between two screws, mm. */
const WOOD_BETWEEN = 1.5;

const meetingsOfTwo = ofTwo<PlacedRow, PlacedRow, readonly Clash[]>();

/** What is wrong with two rows that come near each other. */
const meeting = (row: PlacedRow, other: PlacedRow) =>
  meetingsOfTwo(row, other, () => {
    if (under(row, other) && under(other, row)) return [{ kind: 'facing', row, other }];
    const apart = nearest(row, other);
    return apart < WOOD_BETWEEN ? [{ kind: 'meets', row, other, apart: Math.max(0, apart) }] : [];
  });

/** Whether screws of two rows would be as near to each other as no wood should be. @example comeTooNear({ reach: [[0, 5], [0, 5], [0, 5]] }, { reach: [[50, 55], [0, 5], [0, 5]] }) // false */
export const comeTooNear = (row: PlacedRow, other: PlacedRow): boolean =>
  overlap(row.reach, other.reach, HEAD_ROOM) && nearest(row, other) < WOOD_BETWEEN;

/** Rows that lie in one member and come too near to each other, each pair once. @example meetings([]) // [] */
export function meetings(rows: readonly PlacedRow[]): Clash[] {
  const inMember = new Map<string, PlacedRow[]>();
  for (const row of rows) {
    for (const id of [row.row.through.id, row.row.into.id]) {
      const list = inMember.get(id);
      if (list) list.push(row);
      else inMember.set(id, [row]);
    }
  }
  const places = new Map(rows.map((row, i) => [row, i]));
  const known = new Set<string>();
  const found: Clash[] = [];
  for (const list of inMember.values()) {
    list.forEach((row, i) => {
      for (let k = i + 1; k < list.length; k += 1) {
        const other = list[k] as PlacedRow;
        if (!overlap(row.reach, other.reach, HEAD_ROOM)) continue;
        const key = `${places.get(row)} ${places.get(other)}`;
        if (known.has(key)) continue;
        known.add(key);
        found.push(...meeting(row, other));
      }
    });
  }
  return found;
}

/** Whether a row meets none of some others, faces none, and lands in nothing that is cut for others. */
export const isClear = (row: PlacedRow, others: readonly PlacedRow[]): boolean =>
  landings(row).length === 0 && !others.some((o) => overlap(row.reach, o.reach, HEAD_ROOM) && meeting(row, o).length > 0);

/** The least wood between two rows, mm; without end where they are far apart. */
function nearest(row: PlacedRow, other: PlacedRow): number {
  let least = Infinity;
  for (const a of row.screws) for (const b of other.screws) least = Math.min(least, between(a, b) - (a.across + b.across) / 2);
  return least;
}

const landed = new WeakMap<PlacedRow, readonly Clash[]>();

/** Where a screw lands in what is cut into its members for others; found out once, since neither changes. */
function landings(row: PlacedRow): readonly Clash[] {
  const known = landed.get(row) ?? landingsOf(row);
  landed.set(row, known);
  return known;
}

const landingsOf = (row: PlacedRow): readonly Clash[] =>
  cutsAlong(
    row.row,
    row.holds,
  )(row.places).map(({ member, cut }) => ({
    kind: 'lands',
    row,
    in: cut.kind,
    member: member.id,
    mate: cut.mate,
  }));

/** Rows of screws never change. */
const clashes = new WeakMap<readonly PlacedRow[], readonly Clash[]>();

/**
 * What is wrong with where screws go: rows that face each other, screws that meet, and those that land in what is cut for others.
 * @example clashesOf([]) // []
 */
export function clashesOf(rows: readonly PlacedRow[]): readonly Clash[] {
  const found = clashes.get(rows) ?? [...meetings(rows), ...rows.flatMap(landings)];
  clashes.set(rows, found);
  return found;
}
