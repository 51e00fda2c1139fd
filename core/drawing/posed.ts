import { LONGEST, ZERO, add, type Length } from '../length/index.js';
import { shiftBox, shiftOf, type Foot, type PlacedSpace, type Pose, type Shape } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { blockIn, type Block, type Thing } from '../things/index.js';

/** A space that is as much deeper as a body is drawn out, with what stands in it laid out anew. */
function grown(space: PlacedSpace, out: Length, { things }: Solution['workshop']): PlacedSpace {
  const box = { ...space.box, z1: add(space.box.z1, out) };
  const room = { width: space.clear.width.value, height: LONGEST, depth: add(space.clear.depth.value, out) };
  const blocks = space.blocks.map((b) => {
    const thing = things.get(b.thingId);
    return thing ? flattest(b.thingId, thing, b.count, room) : b;
  });
  return { ...space, box, blocks };
}

/** Things laid beside each other from the front to the rear rather than on each other, where there is room to. */
function flattest(id: string, thing: Thing, count: number, room: { width: Length; height: Length; depth: Length }): Block {
  const flat = blockIn(id, { ...thing, stack: 1 }, count, room);
  return flat.width <= room.width && flat.depth <= room.depth ? flat : blockIn(id, thing, count, room);
}

/** Spaces where they are in a pose. @example posedSpaces(SOLVED, new Map()).length // 3 */
export function posedSpaces(solution: Solution, pose: Pose): readonly PlacedSpace[] {
  const { spaces, bodies } = solution.shape;
  // Nothing stands on what is put away.
  const away = bodies.some((b) => b.away && (pose.get(b.id) ?? 0) > 0);
  if (away) return [...spaces.values()].map((space) => ({ ...space, blocks: [] }));
  // What lay on it is taken off before it is lifted.
  const lifted = new Set(bodies.flatMap((b) => (b.byItself && b.on && (pose.get(b.id) ?? 0) > 0 ? [b.on] : [])));
  const shifts = new Map(bodies.flatMap((body) => body.spaces.map((id) => [id, shiftOf(body, pose)] as const)));
  return [...spaces.values()].map((space) => {
    const grows = space.growsWith ? bodies.find((b) => b.id === space.growsWith) : undefined;
    if (grows && lifted.has(grows.id)) return { ...space, blocks: [] };
    const out = grows ? shiftOf(grows, pose).z : ZERO;
    if (out > ZERO) return grown(space, out, solution.workshop);
    const by = shifts.get(space.id);
    return by ? { ...space, box: shiftBox(space.box, by) } : space;
  });
}

/** Feet and castors where they are in a pose, with what they are under. @example posedFeet(SOLVED.shape, new Map()) // [] */
export function posedFeet({ feet = [], bodies }: Shape, pose: Pose): readonly Foot[] {
  return feet.map((foot) => {
    const body = bodies.find((b) => b.members.includes(foot.under));
    return body ? { ...foot, box: shiftBox(foot.box, shiftOf(body, pose)) } : foot;
  });
}
