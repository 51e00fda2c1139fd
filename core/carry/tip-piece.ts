import { asKg, type Kilograms } from '../measures/index.js';
import { fromUnits, toMm } from '../length/index.js';
import {
  boxOf,
  hasMoved,
  massMiddleOf,
  movingOf,
  posed,
  posesOf,
  type Body,
  type Member,
  type NamedPose,
  type PlacedSpace,
  type Shape,
} from '../piece/index.js';
import { movedBy } from '../solid/index.js';
import type { Carried } from './carry.js';
import { tippingOf, type Heap, type Tipping } from './tipping.js';

/** How full a piece is taken to be. */
export type Fullness = 'empty' | 'top only' | 'open drawers only' | 'all';

/** A state of a free-standing piece, and what tips it then. */
export interface TippingCase {
  readonly pose: NamedPose;
  readonly filling: Fullness;
  /** All of it then, kg. */
  readonly kg: Kilograms;
  readonly tipping: Tipping;
}

/** What stands in a space, where it is while all is shut. */
interface Filled {
  readonly space: PlacedSpace;
  readonly heap: Heap;
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
    return [{ space, heap: { kg: asKg(mass), y: toMm(fromUnits(y)), z: toMm(fromUnits(z)) } }];
  });
}

function isFilled({ heap }: Filled, filling: Fullness, body: Body | undefined, pose: NamedPose, half: number): boolean {
  if (filling === 'all') return true;
  if (filling === 'open drawers only') return body !== undefined && (pose.pose.get(body.id) ?? 0) > 0;
  return filling === 'top only' && heap.y > half;
}

/** The wood of some members, each in the middle of its mass. */
const woodOf = (members: readonly Member[], carried: Carried): readonly Heap[] =>
  members.map((m) => {
    const [, y, z] = massMiddleOf(m).middle;
    return { kg: asKg(carried.members.get(m.id)?.selfKg ?? 0), y, z };
  });

/**
 * What a piece and all in it weigh, shut, and how far from its rear the middle of that is, mm.
 * @example massFromWall(SOLVED.shape, SOLVED.carried).kg // 32.0704
 */
export function massFromWall(shape: Shape, carried: Carried): { readonly kg: Kilograms; readonly out: number } {
  const heaps = [...woodOf(shape.members, carried), ...filledSpaces(shape, carried).map((f) => f.heap)];
  const kg = asKg(heaps.reduce((sum, h) => sum + h.kg, 0));
  return { kg, out: kg > 0 ? heaps.reduce((sum, h) => sum + h.kg * h.z, 0) / kg : 0 };
}

/**
 * Every pose and filling of a free-standing piece; none for what stands in a place that is there already.
 * @example tippingCases(SOLVED.shape, SOLVED.carried).length // 3
 */
export function tippingCases(shape: Shape, carried: Carried): readonly TippingCase[] {
  if (shape.outside.foot === null || shape.members.length === 0) return [];
  const foot = toMm(shape.outside.foot);
  const filled = filledSpaces(shape, carried);
  const bodyOf = new Map(shape.bodies.flatMap((b) => b.spaces.map((id) => [id, b] as const)));
  const pullAt = toMm(shape.overall.height.value);
  const fillings: readonly Fullness[] = ['empty', 'top only', 'open drawers only', 'all'];
  // Put away it stands on nothing.
  const away = new Set(shape.bodies.flatMap((b) => (b.away ? [b.id] : [])));
  const stands = posesOf(shape.bodies).filter(({ pose }) => ![...pose].some(([id, part]) => part > 0 && away.has(id)));
  return stands.flatMap((pose) => {
    const members = posed(shape.members, shape.bodies, pose.pose);
    // What stands on feet of its own neither pulls nor is leaned on.
    const out = shape.bodies.filter((b) => hasMoved(b, pose.pose));
    const onFeet = (b: Body) => b.standsOut ?? shape.bodies.some((lead) => lead.id === b.on && lead.standsOut);
    // Nobody leans on what is lifted.
    const open = new Set(out.filter((b) => !onFeet(b) && b.motion.kind === 'slide' && b.motion.along[1] === 0).flatMap((b) => b.members));
    const byItself = new Set(out.filter(onFeet).flatMap((b) => b.members));
    const wood = woodOf(
      members.filter((m) => !byItself.has(m.id)),
      carried,
    );
    const lean = open.size > 0 ? Math.max(...members.filter((m) => open.has(m.id)).map((m) => toMm(boxOf(m).z1))) : null;
    return fillings
      .filter((f) => f !== 'open drawers only' || open.size > 0)
      .map((filling): TippingCase => {
        const things = filled.flatMap((f): Heap[] => {
          const body = bodyOf.get(f.space.id);
          if (!isFilled(f, filling, body, pose, pullAt / 2)) return [];
          if (!body) return [f.heap];
          const [, y, z] = movedBy(movingOf(body), pose.pose.get(body.id) ?? 0, [0, f.heap.y, f.heap.z]);
          return [{ ...f.heap, y, z }];
        });
        const heaps = [...wood, ...things];
        return { pose, filling, kg: asKg(heaps.reduce((sum, h) => sum + h.kg, 0)), tipping: tippingOf({ heaps, foot, pullAt, lean }) };
      });
  });
}

/** The case that tips most easily: the least pull against what it should stand. @example worstTipping([]) // undefined */
export function worstTipping(cases: readonly TippingCase[]): TippingCase | undefined {
  const load = ({ tipping }: TippingCase) => tipping.onDrawer ?? Infinity;
  return [...cases].sort((a, b) => a.tipping.pull - b.tipping.pull || load(a) - load(b))[0];
}
