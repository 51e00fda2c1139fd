import { toMm, type LengthUnit } from '../../length/index.js';
import { isBack, ofTwo, placingOf, type Feature, type Member } from '../../piece/index.js';
import { dot, placeOf, type Vector } from '../../solid/index.js';
import { DENSITY_PER_G, propertiesOf, type StockProperties } from '../../stock/index.js';
import {
  FULL_PENETRATION as FULL,
  KEEP,
  LEAST_PENETRATION as LEAST,
  SHORTEST,
  WOOD_SCREWS,
  rootOf,
  shankOf,
  type ScrewedWood,
  type WoodScrew,
} from '../screws.js';
import { cutsAlong, type Screwed } from './cuts.js';
import { contactOf, depthFrom, grainAlong, middleOf, nearContact, reachAlong, turned, type Contact, type Extent } from './contact.js';

const inInches = (...lengths: readonly number[]) => lengths.map((l) => l * 25.4);

/** Lengths that wood screws are sold in, by the unit of the shop, mm. */
export const SOLD: Readonly<Record<LengthUnit, readonly number[]>> = {
  mm: [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 120],
  in: inInches(5 / 8, 3 / 4, 1, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 3, 3.5, 4),
};

/** The longest wood screw that is sold and is no longer than that, mm; 0 where none is so short. @example longestSold(44, 'mm') // 40 */
export const longestSold = (most: number, unit: LengthUnit): number => SOLD[unit].filter((l) => l <= most).at(-1) ?? 0;

/** Screws for boards and sheets, the usual one first. */
const USUAL: readonly WoodScrew[] = [WOOD_SCREWS[1] as WoodScrew, WOOD_SCREWS[0] as WoodScrew];

/** Plywood as screws see it: G 0.42, as for plywood that is not graded (NDS table 12.3.3B). */
const PLYWOOD_GRAVITY = 0.42;

/**
 * Specific gravity as screws see it; undefined for boards of chips and fibres, which have no published values.
 * @example gravityOf(PROPERTIES) // 0.42
 */
export function gravityOf({ material, density }: StockProperties): number | undefined {
  if (material.form === 'solid') return density / DENSITY_PER_G;
  return material.creep === 'plywood' ? PLYWOOD_GRAVITY : undefined;
}

/** A row of screws through one member into another, not yet loaded. */
export interface Row extends Screwed {
  /** What of it is in the wood that holds it, and what is left of that before its point, mm. */
  readonly inside: number;
  readonly left: number;
  /** What is between the two, packed out or a plate that the screws go through, mm. */
  readonly gap?: number;
  /** The direction the row runs along, and what there is of it. */
  readonly along: Vector;
  readonly room: Extent;
  /** What it keeps to the nearer face beside the row, mm, where that is less than is wanted. */
  readonly tight?: { readonly has: number; readonly wanted: number };
  /** What it keeps to the end of a board that it goes through, along the grain, mm, where that is less than is wanted. */
  readonly nearEnd?: { readonly has: number; readonly wanted: number };
  /** Screws that go across with the usual distances. */
  readonly most: number;
  /** Where they go along the row, where holes are there already, mm. */
  readonly holes?: readonly number[];
}

/** Why no screw does it. */
export interface NoRow {
  readonly why: 'apart' | 'short' | 'narrow';
  /** For one that is too short: what would be in the wood, and what is the least, mm. */
  readonly inside?: number;
  readonly least?: number;
}

/** How many screws go across a joint with the usual distances to edges and to each other. @example mostAcross(300, { shank: 0.164, root: 0.131 }) // 7 */
export function mostAcross(width: number, screw: WoodScrew): number {
  const D = shankOf(screw);
  const room = width - 2 * KEEP.edge * D;
  return room < 0 ? 0 : 1 + Math.floor(room / (KEEP.between * D));
}

/** What screws along an axis find in a member. @example woodOf(SHELF, [1, 0, 0]).endGrain // true */
export function woodOf(member: Member, axis: Vector): ScrewedWood {
  const properties = propertiesOf(member.stock);
  const grain = grainAlong(member, axis);
  // The edge of a sheet holds as poorly as end grain.
  const endGrain = properties.material.form === 'solid' ? grain === 'end' : grain !== 'face';
  const gravity = gravityOf(properties);
  if (gravity !== undefined) return { gravity, endGrain };
  const { material, density } = properties;
  if (material.form !== 'sheet') return { endGrain };
  const chips = material.creep === 'osb3' || material.creep.startsWith('particleboard');
  return { endGrain, panel: { gravity: density / 1000, thick: toMm(member.thickness.value), face: grain === 'face', chips } };
}

type Hole = Extract<Feature, { kind: 'hole' }>;

/** Screw holes that are made through one member for another. */
function holesThrough(member: Member, mate: Member): readonly Hole[] {
  return member.features.filter((f): f is Hole => f.kind === 'hole' && f.mate === mate.id && f.depth >= member.thickness.value);
}

/** Where such holes are along a direction, mm. */
function holesFor(member: Member, mate: Member, along: Vector): readonly number[] {
  return holesThrough(member, mate).map(({ at }) => dot(along, placeOf(placingOf(member), [toMm(at.u), toMm(at.v), 0])));
}

/** A screw that is tried between two members. */
interface Try {
  readonly screw: WoodScrew;
  readonly length: number;
  readonly inside: number;
  readonly keeps: boolean;
  /** Less of it is in the wood than NDS asks. */
  readonly short: boolean;
}

/** The shortest screw that holds fully, or the longest that stays inside with its own thickness of wood before its point; none for one that holds too little. */
function tryScrew(
  sold: readonly number[],
  screw: WoodScrew,
  side: number,
  main: number,
  beside: number,
): Try | { readonly inside: number; readonly least: number } {
  const D = shankOf(screw);
  const most = side + main - D;
  const full = side + FULL * D;
  let length = 0;
  for (const l of sold) {
    if (l > most) break;
    length = l;
    if (l >= full) break;
  }
  const inside = length - side;
  if (inside < SHORTEST * D) return { inside: Math.max(0, inside), least: SHORTEST * D };
  // Only its thread is in that wood, in a pilot hole as wide as its root.
  return { screw, length, inside, keeps: beside / 2 >= KEEP.edge * rootOf(screw), short: inside < LEAST * D };
}

/** The first of some screws that goes deep enough and keeps from the faces, else the last that does, else one that is short. */
function bestOf(sold: readonly number[], screws: readonly WoodScrew[], side: number, main: number, beside: number): Try | NoRow {
  let found: Try | null = null;
  const shallow: Try[] = [];
  let short: { readonly inside: number; readonly least: number } | null = null;
  for (const screw of screws) {
    const tried = tryScrew(sold, screw, side, main, beside);
    if (!('screw' in tried)) short = tried;
    else if (tried.short) shallow.push(tried);
    else if (tried.keeps) return tried;
    else found = tried;
  }
  return found ?? shallow.find((s) => s.keeps) ?? shallow[0] ?? { why: 'short', ...short };
}

/** As deep as another but for rounding: places are on a grid of 1/80,000 mm. */
const ALIKE = 1e-3;

/** Which of two goes on the outside: the one with holes for it, else the one that is thinner there. */
export function outerFirst(a: Member, b: Member, contact: Contact): readonly [Member, Member, Contact] {
  const holed = (m: Member, mate: Member) => holesThrough(m, mate).length > 0;
  const [deepA, deepB] = [depthFrom(a, contact, -1), depthFrom(b, contact, 1)];
  const first = holed(a, b) || (!holed(b, a) && deepA <= deepB + ALIKE);
  return first ? [a, b, contact] : [b, a, turned(contact)];
}

/** How near a row comes to the end of a board that it goes through, along its grain; sheets do not split so. */
function nearEndOf(through: Member, beside: Vector, over: Extent, screw: WoodScrew): Row['nearEnd'] {
  if (propertiesOf(through.stock).material.form !== 'solid' || grainAlong(through, beside) !== 'end') return undefined;
  const [from, to] = reachAlong(through, beside);
  const at = middleOf(over);
  const has = Math.min(at - from, to - at);
  const wanted = KEEP.endAlongGrain * shankOf(screw);
  return has < wanted ? { has, wanted } : undefined;
}

/** Members never change, so that the row between two of them is worked out once. */
const rows = { mm: ofTwo<Member, Member, Row | NoRow>(), in: ofTwo<Member, Member, Row | NoRow>() };

/**
 * The row of screws that would hold two members that meet, the carrier given first; or why there is none.
 * @param unit that screws are sold in
 * @example rowBetween(MEMBERS.get('case/side/left'), CARRIED.member, 'mm').along // [0, 0, 1]
 */
export const rowBetween = (carrier: Member, carried: Member, unit: LengthUnit): Row | NoRow =>
  rows[unit](carrier, carried, () => newRow(carrier, carried, unit));

/** What of a joint its screws may take up: less what one of the two keeps clear for others, where the row runs up it. */
function roomFor([low, high]: Extent, along: Vector, members: readonly Member[]): Extent {
  const clear = members.find((m) => m.screwsClear)?.screwsClear;
  if (!clear || Math.abs(along[1]) < Math.SQRT1_2) return [low, high];
  const [foot, head] = along[1] > 0 ? [clear.foot, clear.head] : [clear.head, clear.foot];
  return [low + toMm(foot), high - toMm(head)];
}

function newRow(carrier: Member, carried: Member, unit: LengthUnit): Row | NoRow {
  const met = contactOf(carrier, carried) ?? nearContact(carrier, carried)?.contact;
  if (!met) return { why: 'apart' };
  const [through, into, turnedTo] = outerFirst(carrier, carried, met);
  // What is between the two is packed out, or is a plate that the screws go through.
  const { contact, gap } = nearContact(through, into) ?? { contact: turnedTo, gap: 0 };
  const { normal, over, axes } = contact;
  const [along, beside] = axes;
  const room = roomFor(over[0], along, [carrier, carried]);
  const [long, broad] = [room[1] - room[0], over[1][1] - over[1][0]];
  const side = depthFrom(through, contact, -1);
  const main = depthFrom(into, contact, 1) - gap;
  const screws = USUAL.filter((s) => mostAcross(long, s) > 0);
  if (screws.length === 0) return { why: 'narrow' };
  const best = bestOf(SOLD[unit], screws, side + gap, main, broad);
  if ('why' in best) return best;
  const { screw, length, inside, keeps } = best;
  const most = mostAcross(long, screw);
  const holes = holesFor(through, into, along);
  const nearEnd = nearEndOf(through, beside, over[1], screw);
  return {
    through,
    into,
    contact,
    screw,
    length,
    joint: {
      screw,
      length: length - gap,
      side: { thickness: side, wood: woodOf(through, normal) },
      main: { thickness: main, wood: woodOf(into, normal) },
    },
    inside,
    ...(gap > 0 ? { gap } : {}),
    left: main - inside,
    along,
    room,
    ...(keeps ? {} : { tight: { has: broad / 2, wanted: KEEP.edge * rootOf(screw) } }),
    ...(nearEnd ? { nearEnd } : {}),
    most,
    ...(holes.length > 0 ? { holes } : {}),
  };
}

/** How far the first screw is from the edge where there is room for it, mm: clear of what splits, as is usual. */
const FROM_EDGE = 37;

/** Through a back into a top or a bottom the first one is clear of the screws that come through the sides into the same edge, mm. */
const FROM_CORNER = 90;

/** How far screws keep along their row from others that come from the other side and would meet them in what they go into, mm. */
function apartFromOthers({ inside, left, through, into, screw }: Row): number {
  // What keeps clear of others by its height does so already.
  if (through.screwsClear || into.screwsClear) return 0;
  return inside > left ? KEEP.betweenRows * shankOf(screw) : 0;
}

/** Where so many screws go along their row, mm along its axis: clear of what is cut there for others, as far as there is room. @example spacedAlong({ room: [0, 300], screw: { shank: 0.164 }, through: SHELF, into: RAIL, contact: { normal: [1, 0, 0] } }, 1) // [150] */
export function spacedAlong(row: Row, count: number): readonly number[] {
  if (row.holes) return row.holes;
  const places = spacedApart(row, count);
  const cuts = cutsAlong(row);
  if (cuts(places).length === 0) return places;
  const by = setAside(row, places, (moved) => cuts(moved).length === 0);
  return by === null ? places : places.map((at) => at + by);
}

/** Screws are moved clear of something by so much at a time, mm. */
const STEP = 1;

/** The least that screws at some places along a row are moved, mm, so that something holds of where they are then and none is nearer to an edge than usual; null where nothing does. */
export function setAside({ room, screw }: Row, places: readonly number[], holds: (moved: readonly number[]) => boolean): number | null {
  const keep = KEEP.edge * shankOf(screw);
  const [down, up] = [(places[0] as number) - room[0] - keep, room[1] - keep - (places.at(-1) as number)];
  for (let by = STEP; by <= Math.max(down, up); by += STEP)
    for (const moved of [by, -by]) if (moved <= up && -moved <= down && holds(places.map((at) => at + moved))) return moved;
  return null;
}

function spacedApart(row: Row, count: number): readonly number[] {
  const { screw, contact } = row;
  const even = spacedEvenly(row, count);
  const by = apartFromOthers(row);
  if (by === 0) return even;
  const [low, high] = row.room;
  const fromOther = (contact.normal.find((c) => Math.abs(c) > 1e-9) ?? 0) < 0;
  if ((even.at(-1) as number) + by <= high - KEEP.edge * shankOf(screw)) return fromOther ? even.map((at) => at + by) : even;
  // Where there is no room to move them, each side keeps to its own part of it.
  if (high - low - by < leastRoom(screw, count)) return even;
  return spacedEvenly({ ...row, room: fromOther ? [low + by, high] : [low, high - by] }, count);
}

/** What so many screws take up along a row at the least, mm. */
const leastRoom = (screw: WoodScrew, count: number) => (2 * KEEP.edge + (count - 1) * KEEP.betweenRows) * shankOf(screw);

function spacedEvenly({ room: [low, high], screw, through, along }: Row, count: number): readonly number[] {
  const long = high - low;
  if (count === 1) return [(low + high) / 2];
  const D = shankOf(screw);
  const usual = Math.max(KEEP.edge * D, Math.min(isBack(through) && Math.abs(along[1]) < Math.SQRT1_2 ? FROM_CORNER : FROM_EDGE, long / 4));
  const inset = (long - 2 * usual) / (count - 1) >= KEEP.between * D ? usual : KEEP.edge * D;
  return Array.from({ length: count }, (_, i) => low + inset + ((long - 2 * inset) * i) / (count - 1));
}
