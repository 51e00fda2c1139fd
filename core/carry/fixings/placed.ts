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

/** How far a screw reaches along each axis, its thickness included, mm. */
export function boxOfScrew({ head, point, across, axis }: PlacedScrew): Extents {
  const extent = (k: AxisIndex): Extent => {
    const [a, b] = [Math.min(head[k], point[k]), Math.max(head[k], point[k])];
    return k === axis ? [a, b] : [a - across / 2, b + across / 2];
  };
  return [extent(0), extent(1), extent(2)];
}

/** A row of screws that holds a member. */
export class PlacedRow {
  /** What all of its screws reach over together. */
  readonly reach: Extents;
  private readonly lengthwise: readonly number[];
  private placed: readonly PlacedScrew[] | null = null;

  constructor(
    readonly holds: string,
    readonly row: Row,
    count: number,
  ) {
    this.lengthwise = spacedAlong(row, count);
    const radius = shankOf(row.screw) / 2;
    const { head, point, middle } = this;
    const [first, last] = [this.lengthwise[0] as number, this.lengthwise.at(-1) as number];
    const on = (k: AxisIndex): Extent => {
      if (k === row.contact.axis) return [Math.min(head, point), Math.max(head, point)];
      return k === row.along ? [first - radius, last + radius] : [middle - radius, middle + radius];
    };
    this.reach = [on(0), on(1), on(2)];
  }

  /** Where the heads are along the axis of the screws, mm. */
  private get head(): number {
    const { contact, joint } = this.row;
    return contact.plane - contact.way * joint.side.thickness;
  }

  private get point(): number {
    return this.head + this.row.contact.way * this.row.length;
  }

  private get beside(): AxisIndex {
    return ([0, 1, 2] as const).find((k) => k !== this.row.contact.axis && k !== this.row.along) as AxisIndex;
  }

  /** Into an edge the row goes along the middle of it, however far what it comes through reaches over that. */
  private get middle(): number {
    const [low, high] = this.row.contact.over[this.beside];
    return (low + high) / 2;
  }

  private at(lengthwise: number, depth: number): ScrewPlace {
    const spot: [number, number, number] = [0, 0, 0];
    spot[this.row.contact.axis] = depth;
    spot[this.row.along] = lengthwise;
    spot[this.beside] = this.middle;
    return spot;
  }

  /** Its screws, each worked out when they are asked for. */
  get screws(): readonly PlacedScrew[] {
    const { through, into, screw, length, contact } = this.row;
    this.placed ??= this.lengthwise.map((lengthwise) => ({
      holds: this.holds,
      through: through.id,
      into: into.id,
      screw,
      length,
      across: shankOf(screw),
      head: this.at(lengthwise, this.head),
      point: this.at(lengthwise, this.point),
      axis: contact.axis,
    }));
    return this.placed;
  }
}

/** The rows of screws that hold one member, at its ends and along what it is held to. */
export function rowsOfScrews(carried: CarriedMember, members: ReadonlyMap<string, Member>): readonly PlacedRow[] {
  const { member, bending } = carried;
  const ends = screwedEnds(carried, members).map((e) => new PlacedRow(member.id, e.row, e.count));
  const along = bending?.builtUp ? screwsAlong(bending.builtUp) : [];
  return [...ends, ...along.flatMap((a) => (a.row ? [new PlacedRow(a.member.id, a.row, a.count)] : []))];
}

/** Every row of screws of a piece. */
export function allScrews(carried: Carried): readonly PlacedRow[] {
  const members = new Map([...carried.members].map(([id, c]) => [id, c.member]));
  return [...carried.members.values()].flatMap((c) => rowsOfScrews(c, members));
}
