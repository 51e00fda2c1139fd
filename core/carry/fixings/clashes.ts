import { toMm } from '../../length/index.js';
import type { Feature, Member } from '../../piece/index.js';
import { extentsOf, type AxisIndex, type Extent, type Extents } from './contact.js';
import { boxOfScrew, type PlacedRow, type PlacedScrew } from './placed.js';

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

/** The room that a feature takes of its member. Holes are as long as they are deep. */
function roomOf(member: Member, feature: Feature): Extents {
  const { frame } = member;
  const t = toMm(member.thickness.value);
  const depth = Math.min(t, toMm(feature.depth));
  const n: Extent = feature.face === 'up' ? [t - depth, t] : [0, depth];
  const round = (at: number, across: number): Extent => [at - across / 2, at + across / 2];
  const [u, v]: readonly [Extent, Extent] =
    feature.kind === 'hole'
      ? [round(toMm(feature.at.u), toMm(feature.diameter)), round(toMm(feature.at.v), toMm(feature.diameter))]
      : [
          [toMm(feature.region.u0), toMm(feature.region.u1)],
          [toMm(feature.region.v0), toMm(feature.region.v1)],
        ];
  const origin = [frame.origin.x, frame.origin.y, frame.origin.z].map((l) => toMm(l));
  const parts: readonly (readonly [readonly number[], Extent])[] = [
    [frame.u, u],
    [frame.v, v],
    [frame.n, n],
  ];
  const end = (k: AxisIndex, far: boolean) =>
    parts.reduce((sum, [d, [low, high]]) => sum + (d[k] as number) * ((d[k] as number) > 0 === far ? high : low), origin[k] as number);
  const on = (k: AxisIndex): Extent => [end(k, false), end(k, true)];
  return [on(0), on(1), on(2)];
}

/** What a head needs outside, mm. */
const HEAD_ROOM = 5;

/** The place just outside the head of a screw, as wide as a head. */
function outsideHead({ head, point, axis, across }: PlacedScrew): Extents {
  const out = head[axis] < point[axis] ? -1 : 1;
  const at = (k: AxisIndex): Extent =>
    k === axis
      ? out < 0
        ? [head[k] - HEAD_ROOM, head[k] - 0.5]
        : [head[k] + 0.5, head[k] + HEAD_ROOM]
      : [head[k] - across, head[k] + across];
  return [at(0), at(1), at(2)];
}

/** Whether the heads of a row are under what another one holds. */
function under(row: PlacedRow, other: PlacedRow): boolean {
  return row.screws.some((s) => overlap(outsideHead(s), extentsOf(other.row.into)));
}

/** How far a screw reaches along an axis, without its thickness, mm. */
const reach = ({ head, point }: PlacedScrew, k: AxisIndex): Extent => [Math.min(head[k], point[k]), Math.max(head[k], point[k])];

/** How far the axes of two screws are apart, mm: the distance of two stretches square to the piece. */
function between(a: PlacedScrew, b: PlacedScrew): number {
  const gap = (k: AxisIndex) => {
    const [[a0, a1], [b0, b1]] = [reach(a, k), reach(b, k)];
    return Math.max(0, a0 - b1, b0 - a1);
  };
  return Math.hypot(gap(0), gap(1), gap(2));
}

/** Wood that has to stay between two screws, mm. */
const WOOD_BETWEEN = 1.5;

/** Rows that lie in one member and come too near to each other, each pair once. */
function meetings(rows: readonly PlacedRow[]): Clash[] {
  const inMember = new Map<string, PlacedRow[]>();
  for (const row of rows) {
    for (const id of [row.row.through.id, row.row.into.id]) {
      const list = inMember.get(id);
      if (list) list.push(row);
      else inMember.set(id, [row]);
    }
  }
  const known = new Set<string>();
  const found: Clash[] = [];
  for (const list of inMember.values()) {
    list.forEach((row, i) =>
      list.slice(i + 1).forEach((other) => {
        if (!overlap(row.reach, other.reach, HEAD_ROOM)) return;
        const key = `${rows.indexOf(row)} ${rows.indexOf(other)}`;
        if (known.has(key)) return;
        known.add(key);
        const apart = nearest(row, other);
        if (under(row, other) && under(other, row)) found.push({ kind: 'facing', row, other });
        else if (apart < WOOD_BETWEEN) found.push({ kind: 'meets', row, other, apart: Math.max(0, apart) });
      }),
    );
  }
  return found;
}

/** The least wood between two rows, mm; without end where they are far apart. */
function nearest(row: PlacedRow, other: PlacedRow): number {
  let least = Infinity;
  for (const a of row.screws) for (const b of other.screws) least = Math.min(least, between(a, b) - (a.across + b.across) / 2);
  return least;
}

/** Where a screw lands in what is cut into its members for others. */
function landings(row: PlacedRow): Clash[] {
  const { through, into } = row.row;
  const own = (id: string) => id === through.id || id === into.id || id === row.holds;
  return [through, into].flatMap((member): Clash[] => {
    const cut = member.features.find((f) => {
      if (own(f.mate)) return false;
      const room = roomOf(member, f);
      return overlap(row.reach, room) && row.screws.some((s) => overlap(boxOfScrew(s), room));
    });
    return cut ? [{ kind: 'lands', row, in: cut.kind, member: member.id, mate: cut.mate }] : [];
  });
}

/** What is wrong with where screws go: rows that face each other, screws that meet, and those that land in what is cut for others. */
export function clashesOf(rows: readonly PlacedRow[]): readonly Clash[] {
  return [...meetings(rows), ...rows.flatMap(landings)];
}
