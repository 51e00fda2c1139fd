import type { Member } from '../../piece/index.js';
import type { Carried, CarriedMember } from '../carry.js';
import { shankOf, type WoodScrew } from '../screws.js';
import { screwsAlong } from './along.js';
import type { AxisIndex, Extent, Extents } from './contact.js';
import { spacedAlong, type Row } from './driven.js';
import { screwedEnds } from './ends.js';

/** A place in a piece, mm: across from the left, up from the floor, out from the back. */
export type ScrewPlace = readonly [x: number, y: number, z: number];

/** A screw in its place. */
export interface PlacedScrew {
  /** The member that it holds. */
  readonly holds: string;
  readonly through: string;
  readonly into: string;
  readonly screw: WoodScrew;
  readonly length: number;
  /** Its shank, mm across. */
  readonly across: number;
  readonly head: ScrewPlace;
  readonly point: ScrewPlace;
  /** The axis that it lies along. */
  readonly axis: AxisIndex;
}

/** A row of screws that holds a member. */
export interface PlacedRow {
  readonly holds: string;
  readonly row: Row;
  readonly screws: readonly PlacedScrew[];
  /** What all of them reach over together. */
  readonly reach: Extents;
}

/** How far a screw reaches along each axis, its thickness included, mm. */
export function boxOfScrew({ head, point, across, axis }: PlacedScrew): Extents {
  const extent = (k: AxisIndex): Extent => {
    const [a, b] = [Math.min(head[k], point[k]), Math.max(head[k], point[k])];
    return k === axis ? [a, b] : [a - across / 2, b + across / 2];
  };
  return [extent(0), extent(1), extent(2)];
}

/** What the first and the last screw of a row reach over together. */
function reachOf(first: PlacedScrew, last: PlacedScrew): Extents {
  const [a, b] = [boxOfScrew(first), boxOfScrew(last)];
  const both = (k: AxisIndex): Extent => [Math.min(a[k][0], b[k][0]), Math.max(a[k][1], b[k][1])];
  return [both(0), both(1), both(2)];
}

function place(holds: string, row: Row, count: number): PlacedRow {
  const { contact, along, through, into, screw, length, joint } = row;
  const { axis, way, over, plane } = contact;
  const beside = ([0, 1, 2] as const).find((k) => k !== axis && k !== along) as AxisIndex;
  // Into the edge of a sheet or board a row goes along the middle of that, however far what it comes through reaches over it.
  const [low, high] = over[beside];
  const head = plane - way * joint.side.thickness;
  const at = (lengthwise: number, depth: number): ScrewPlace => {
    const spot: [number, number, number] = [0, 0, 0];
    spot[axis] = depth;
    spot[along] = lengthwise;
    spot[beside] = (low + high) / 2;
    return spot;
  };
  const screws = spacedAlong(row, count).map((lengthwise) => ({
    holds,
    through: through.id,
    into: into.id,
    screw,
    length,
    across: shankOf(screw),
    head: at(lengthwise, head),
    point: at(lengthwise, head + way * length),
    axis,
  }));
  const ends = [screws[0], screws.at(-1)] as [PlacedScrew, PlacedScrew];
  return { holds, row, screws, reach: reachOf(...ends) };
}

/** The rows of screws that hold one member, at its ends and along what it is held to. */
export function rowsOfScrews(carried: CarriedMember, members: ReadonlyMap<string, Member>): readonly PlacedRow[] {
  const { member, bending } = carried;
  const ends = screwedEnds(carried, members).map((e) => place(member.id, e.row, e.count));
  const along = bending?.builtUp ? screwsAlong(bending.builtUp) : [];
  return [...ends, ...along.flatMap((a) => (a.row ? [place(a.member.id, a.row, a.count)] : []))];
}

/** Every row of screws of a piece. */
export function allScrews(carried: Carried): readonly PlacedRow[] {
  const members = new Map([...carried.members].map(([id, c]) => [id, c.member]));
  return [...carried.members.values()].flatMap((c) => rowsOfScrews(c, members));
}
