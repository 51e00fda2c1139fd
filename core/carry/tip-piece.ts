import { asKg, asNewtons, type Kilograms } from '../measures/index.js';
import { fromUnits, mm, sub, toMm } from '../length/index.js';
import {
  FLOOR,
  boxOf,
  hasMoved,
  massMiddleOf,
  movingOf,
  placingOf,
  posed,
  posesOf,
  type Body,
  type Box,
  type Member,
  type NamedPose,
  type PlacedSpace,
  type Shape,
} from '../piece/index.js';
import { dot, movedBy, placeOf, type Vector } from '../solid/index.js';
import type { Block } from '../things/index.js';
import type { Carried } from './carry.js';
import { tipLines, type TipLine } from './footing.js';
import { GRAVITY } from './gravity.js';
import { PERSON } from './person.js';
import { tippingOf, type Down, type Heap, type Tipping } from './tipping.js';

/** How full a piece is taken to be: `one side` is the half of it that it goes over to. */
export type Fullness = 'empty' | 'top only' | 'one side' | 'open drawers only' | 'all';

/** A state of a free-standing piece, and what tips it then. */
export interface TippingCase {
  readonly pose: NamedPose;
  readonly filling: Fullness;
  /** Which way it goes over. */
  readonly to: TipLine['to'];
  /** All of it then, kg. */
  readonly kg: Kilograms;
  readonly tipping: Tipping;
}

/** Something with a mass, and where its middle is, mm. */
interface Mass {
  readonly kg: Kilograms;
  readonly at: Vector;
}

/** What stands in a space, where it is while all is shut. */
interface Filled extends Mass {
  readonly space: PlacedSpace;
  /** How far to either side of there what has no place of its own may stand, mm. */
  readonly free: number;
}

/** Where the middle of what stands in a space is across it, and how far from there it may be moved; in units of length. */
function acrossSpace({ box, blocks }: PlacedSpace): { readonly x: number; readonly free: number } {
  const middle = (box.x0 + box.x1) / 2;
  const kgOf = (b: Block) => (b.thing.mass ?? 0) * b.count;
  const kg = blocks.reduce((sum, b) => sum + kgOf(b), 0);
  if (kg === 0) return { x: middle, free: 0 };
  const at = (b: Block) => (typeof b.at === 'number' ? Math.min(box.x0 + b.at + b.width / 2, box.x1) : middle);
  const moving = blocks.filter((b) => b.at === undefined);
  const room = box.x1 - box.x0 - moving.reduce((sum, b) => sum + b.width, 0);
  return {
    x: blocks.reduce((sum, b) => sum + kgOf(b) * at(b), 0) / kg,
    free: (Math.max(0, room) / 2) * (moving.reduce((sum, b) => sum + kgOf(b), 0) / kg),
  };
}

function filledSpaces(shape: Shape, carried: Carried): readonly Filled[] {
  const kg = new Map<string, number>();
  for (const c of carried.members.values()) c.standing.forEach((s) => kg.set(s.space, (kg.get(s.space) ?? 0) + s.kg));
  return [...kg].flatMap(([id, mass]): Filled[] => {
    const space = shape.spaces.get(id);
    if (!space) return [];
    const { box, blocks, setback, standing } = space;
    const tall = blocks.reduce((most, b) => Math.max(most, b.height), 0);
    const deep = blocks.reduce((most, b) => Math.max(most, b.depth), 0);
    // Things stand at the front of their space; what lies in cells fills it.
    const y = blocks.length > 0 ? standing + tall / 2 : (box.y0 + box.y1) / 2;
    const z = blocks.length > 0 ? box.z1 - setback - deep / 2 : (box.z0 + box.z1) / 2;
    const { x, free } = acrossSpace(space);
    const at = [x, y, z].map((u) => toMm(fromUnits(u))) as unknown as Vector;
    return [{ space, kg: asKg(mass), at, free: toMm(fromUnits(free)) }];
  });
}

/** Where the middle of a member is that was moved, by where it was in it: its mass is not worked out anew. */
function middleOfMoved(member: Member, shut: Member): Vector {
  const { middle } = massMiddleOf(shut);
  if (member === shut) return middle;
  const from = placingOf(shut);
  const way: Vector = [middle[0] - from.origin[0], middle[1] - from.origin[1], middle[2] - from.origin[2]];
  return placeOf(placingOf(member), [dot(way, from.u), dot(way, from.v), dot(way, from.n)]);
}

/** The wood of some members, each in the middle of its mass. */
const woodOf = (members: readonly Member[], carried: Carried): readonly Mass[] =>
  members.map((m) => {
    const shut = carried.members.get(m.id);
    return { kg: asKg(shut?.selfKg ?? 0), at: middleOfMoved(m, shut?.member ?? m) };
  });

/** How far a box reaches along a level direction, mm. */
const reachOfBox = ({ x0, x1, z0, z1 }: Box, [x, , z]: Vector): number => toMm(x > 0 ? x1 : x0) * x + toMm(z > 0 ? z1 : z0) * z;

/**
 * What a piece and all in it weigh, shut, and how far from its rear, and from its left, the middle of that is, mm.
 * @example massFromWall(SOLVED.shape, SOLVED.carried).kg // 32.0704
 */
export function massFromWall(shape: Shape, carried: Carried): { readonly kg: Kilograms; readonly out: number; readonly across: number } {
  const all = [...woodOf(shape.members, carried), ...filledSpaces(shape, carried)];
  const kg = asKg(all.reduce((sum, m) => sum + m.kg, 0));
  const middle = (k: 0 | 2) => (kg > 0 ? all.reduce((sum, m) => sum + m.kg * m.at[k], 0) / kg : 0);
  return { kg, out: middle(2), across: middle(0) };
}

/** What is this low is leaned and sat on, mm. */
const LEANED_ON = 1100;
/** Someone who leans on an edge, N, so far in from it, mm; and who sits takes up so much (EN 12521 and EN 12520, from memory). */
const LEANS = { newtons: asNewtons(400), in: 50 } as const;

/** Where things are kept in this height and more, a child that pulls and climbs is counted with, mm (ASTM F2057, from memory). */
export const KEPT_FROM = 686;

/**
 * Whether things are kept in a piece that is as high as a child pulls over: in spaces under its top, that stand on more than the floor.
 * @example keepsThings(SOLVED.shape) // true
 */
export function keepsThings({ spaces, overall, outside }: Shape): boolean {
  const high = overall.height.value;
  if (outside.carried || toMm(high) < KEPT_FROM) return false;
  return [...spaces.values()].some((s) => s.neighbours.below !== FLOOR && s.box.y1 < high);
}

/** Who leans or sits on what lies on top of a piece at the edge that it goes over to. */
function downsOn(shape: Shape, members: readonly Member[], { out }: TipLine, satOn: boolean): readonly Down[] {
  const high = shape.overall.height.value;
  if (toMm(high) > LEANED_ON) return [];
  const way: Vector = [out[0], 0, out[1]];
  const top = members.filter((m) => m.frame.n[1] !== 0 && sub(high, boxOf(m).y1) < mm(1)).map(boxOf);
  if (top.length === 0) return [];
  const far = Math.max(...top.map((b) => reachOfBox(b, way)));
  const near = -Math.max(...top.map((b) => reachOfBox(b, [-way[0], 0, -way[2]])));
  const inFrom = (by: number) => far - Math.min(by, (far - near) / 2);
  return [
    { is: 'leant on', newtons: LEANS.newtons, at: inFrom(LEANS.in) },
    ...(satOn ? [{ is: 'sat on', newtons: asNewtons(PERSON.kg * GRAVITY), at: inFrom(PERSON.sits / 2) } as const] : []),
  ];
}

/** How a piece is used, as far as it tips by that. */
export interface UsedSo {
  /** People sit on it. */
  readonly satOn?: boolean;
  /** Something beside and behind it keeps it from going over any way but to the front. */
  readonly between?: boolean;
}

/**
 * Every pose and filling of a free-standing piece, over every side of what it stands on; none for what stands in a place that is there already.
 * @example tippingCases(SOLVED.shape, SOLVED.carried).length // 16
 */
export function tippingCases(shape: Shape, carried: Carried, { satOn = false, between = false }: UsedSo = {}): readonly TippingCase[] {
  const { bodies, outside, overall } = shape;
  if (outside.foot === null || shape.members.length === 0) return [];
  const filled = filledSpaces(shape, carried);
  const bodyOf = new Map(bodies.flatMap((b) => b.spaces.map((id) => [id, b] as const)));
  const pullAt = toMm(overall.height.value);
  const keeps = keepsThings(shape);
  // Put away it stands on nothing.
  const away = new Set(bodies.flatMap((b) => (b.away ? [b.id] : [])));
  const stands = posesOf(bodies).filter(({ pose }) => ![...pose].some(([id, part]) => part > 0 && away.has(id)));
  return stands.flatMap((pose) => {
    const members = posed(shape.members, bodies, pose.pose);
    // What stands on feet of its own neither pulls nor is leaned on.
    const moved = bodies.filter((b) => hasMoved(b, pose.pose));
    const onFeet = (b: Body) => b.standsOut ?? bodies.some((lead) => lead.id === b.on && lead.standsOut);
    // Nobody leans on what is lifted.
    const open = new Set(moved.filter((b) => !onFeet(b) && b.motion.kind === 'slide' && b.motion.along[1] === 0).flatMap((b) => b.members));
    const byItself = new Set(moved.filter(onFeet).flatMap((b) => b.members));
    const whole = members.filter((m) => !byItself.has(m.id));
    const wood = woodOf(whole, carried);
    const opened = members.filter((m) => open.has(m.id));
    const things = filled.map((f) => {
      const body = bodyOf.get(f.space.id);
      const isOpen = body !== undefined && (pose.pose.get(body.id) ?? 0) > 0;
      return {
        kg: f.kg,
        free: f.free,
        at: body ? movedBy(movingOf(body), pose.pose.get(body.id) ?? 0, f.at) : f.at,
        high: f.at[1],
        isOpen,
      };
    });
    const round = tipLines(shape, whole);
    const front = round.filter((l) => l.to === 'front');
    const lines = between || outside.leans ? front : [...front, ...round.filter((l) => l.to !== 'front')];
    return lines.flatMap((line) => {
      const way: Vector = [line.out[0], 0, line.out[1]];
      const behind = round.find((l) => l.out[0] * line.out[0] + l.out[1] * line.out[1] < -0.99);
      const middle = behind ? (line.at - behind.at) / 2 : line.at;
      const fills: Readonly<Record<Fullness, (t: (typeof things)[number]) => boolean>> = {
        empty: () => false,
        'top only': (t) => t.high > pullAt / 2,
        'one side': (t) => dot(t.at, way) + t.free * Math.abs(way[0]) > middle,
        'open drawers only': (t) => t.isOpen,
        all: () => true,
      };
      const reach = opened.map((m) => reachOfBox(boxOf(m), way));
      const given = {
        foot: line.at,
        pullAt,
        lean: reach.length > 0 ? Math.max(...reach) : null,
        downs: downsOn(shape, whole, line, satOn),
        keeps,
      };
      const fillings = (Object.keys(fills) as Fullness[]).filter((f) => f !== 'open drawers only' || open.size > 0);
      return fillings.map((filling): TippingCase => {
        const pushed = filling === 'one side' ? Math.abs(way[0]) : 0;
        const heaps = [
          ...wood.map(({ kg, at }): Heap => ({ kg, y: at[1], z: dot(at, way) })),
          ...things.filter(fills[filling]).map(({ kg, at, free }): Heap => ({ kg, y: at[1], z: dot(at, way) + free * pushed })),
        ];
        const kg = asKg(heaps.reduce((sum, h) => sum + h.kg, 0));
        return { pose, filling, to: line.to, kg, tipping: tippingOf({ heaps, ...given }) };
      });
    });
  });
}

/** Cases that are as bad as each other but for rounding: the first of them is told, which is over the front. */
const ALIKE = 1e-9;

/** The case that tips most easily against what it should stand. @example worstTipping([]) // undefined */
export function worstTipping(cases: readonly TippingCase[]): TippingCase | undefined {
  return cases.reduce<TippingCase | undefined>((w, c) => (w && w.tipping.stands <= c.tipping.stands * (1 + ALIKE) ? w : c), undefined);
}
