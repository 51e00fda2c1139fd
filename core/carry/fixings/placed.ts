import type { LengthUnit } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import type { Vector } from '../../solid/index.js';
import type { Carried, CarriedMember } from '../carry.js';
import { shankOf, type WoodScrew } from '../screws.js';
import { screwsAlong } from './along.js';
import { bolted } from './bolted.js';
import type { Extent, Extents } from './contact.js';
import { screwAt } from './cuts.js';
import { spacedAlong, type Row } from './driven.js';
import { screwedEnds } from './ends.js';
import type { BoltedEnd } from './fixing.js';
import { bradsBetween, type Brads } from './nailed.js';

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
  readonly head: Vector;
  readonly point: Vector;
  /** The way that it is driven. */
  readonly way: Vector;
}

/** How far straight pieces that go one way, with so much round them, reach along each axis, mm. */
function thick(places: readonly Vector[], way: Vector, radius: number): Extents {
  const on = (k: 0 | 1 | 2): Extent => {
    const all = places.map((p) => p[k]);
    const round = radius * Math.sqrt(Math.max(0, 1 - way[k] ** 2));
    return [Math.min(...all) - round, Math.max(...all) + round];
  };
  return [on(0), on(1), on(2)];
}

/** A row of screws that holds a member. */
export class PlacedRow {
  /** What all of its screws reach over together. */
  readonly reach: Extents;
  /** Where they are along it, mm. */
  readonly places: readonly number[];
  private placed: readonly PlacedScrew[] | null = null;

  constructor(
    readonly holds: string,
    readonly row: Row,
    readonly count: number,
    /** How far along it they were set from where they usually go, so that they are clear of others, mm. */
    readonly moved = 0,
  ) {
    this.places = spacedAlong(row, count).map((at) => at + moved);
    const ends = [this.places[0] as number, this.places.at(-1) as number].map((at) => screwAt(row, at));
    this.reach = thick(
      ends.flatMap(({ from, to }) => [from, to]),
      row.contact.normal,
      shankOf(row.screw) / 2,
    );
  }

  /** Its screws, each worked out when they are asked for. */
  get screws(): readonly PlacedScrew[] {
    const { through, into, screw, length, contact } = this.row;
    this.placed ??= this.places.map((at) => {
      const { from, to } = screwAt(this.row, at);
      return {
        holds: this.holds,
        through: through.id,
        into: into.id,
        screw,
        length,
        across: shankOf(screw),
        head: from,
        point: to,
        way: contact.normal,
      };
    });
    return this.placed;
  }
}

/** Rows never change, so that their screws are placed once for so many of them, so far along. */
const placed = new WeakMap<Row, readonly PlacedRow[]>();

/** So many screws of a row that hold a member, set so far along from where they usually go. */
export function placedRow(holds: string, row: Row, count: number, moved = 0): PlacedRow {
  const ways = placed.get(row) ?? [];
  const known = ways.find((p) => p.holds === holds && p.count === count && p.moved === moved);
  if (known) return known;
  const one = new PlacedRow(holds, row, count, moved);
  placed.set(row, [one, ...ways.slice(0, 3)]);
  return one;
}

/** The rows of screws that hold one member, at its ends and along what it is held to. @example rowsOfScrews(CARRIED, MEMBERS, 'mm') // [] */
export function rowsOfScrews(carried: CarriedMember, members: ReadonlyMap<string, Member>, unit: LengthUnit): readonly PlacedRow[] {
  const { member, bending } = carried;
  const ends = screwedEnds(carried, members, unit).map((e) => placedRow(member.id, e.row, e.count));
  const along = bending?.builtUp ? screwsAlong(bending.builtUp, unit) : [];
  return [...ends, ...along.flatMap((a) => (a.row ? [placedRow(a.member.id, a.row, a.count)] : []))];
}

/** The brads of a piece, where they hold something. @example allBrads(SOLVED.carried) // [] */
export function allBrads({ members, unit }: Carried): readonly Brads[] {
  return [...members.values()].flatMap(({ member, supports }) => {
    const carriers = new Set(supports.flatMap((s) => (s.how === 'nails' ? [s.carrier] : [])));
    return [...carriers].flatMap((id) => {
      const carrier = members.get(id)?.member;
      const brads = carrier && bradsBetween(member, carrier, unit);
      return brads && brads.length > 0 ? [brads] : [];
    });
  });
}

/** Bolts that hold one end of a member. */
export interface PlacedBolts {
  readonly member: Member;
  readonly carrier: Member;
  readonly end: BoltedEnd;
}

/** The bolts of a piece, where they hold something. @example allBolts(SOLVED.carried) // [] */
export function allBolts({ members }: Carried): readonly PlacedBolts[] {
  return [...members.values()].flatMap(({ member, supports }) =>
    supports.flatMap((support): PlacedBolts[] => {
      const carrier = support.how === 'bolts' ? members.get(support.carrier)?.member : undefined;
      const end = carrier && bolted(support, member, carrier).bolts;
      return carrier && end ? [{ member, carrier, end }] : [];
    }),
  );
}
