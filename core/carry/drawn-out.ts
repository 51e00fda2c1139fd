import { keptMembers, membersMovedBy, posed, type Body, type Shape } from '../piece/index.js';

/**
 * A piece with one of its bodies at its limit, on what holds it there; null for a body that is held as it is when it
 * is shut.
 * @example drawnOut(SOLVED.shape, TRAY) // null
 */
export function drawnOut(shape: Shape, body: Body): Shape | null {
  if (!body.heldOut) return null;
  const own = new Set(membersMovedBy(body, shape.bodies));
  return {
    ...shape,
    members: keptMembers(posed(shape.members, shape.bodies, new Map([[body.id, 1]]))),
    joints: [...shape.joints.filter((j) => !own.has(j.carried)), ...body.heldOut],
  };
}
