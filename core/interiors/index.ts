import { spacesOf, type Body, type Piece, type PlacedSpace, type Shape } from '../piece/index.js';
import { add, mm } from '../length/index.js';
import type { Workshop } from '../project/index.js';
import type { Divided } from './divide.js';
import { NOTHING, together, type Made } from './kind.js';
import { dividingKind, fillingKind } from './kinds.js';

export { divide, type Divided } from './divide.js';
export { dividingMemberId } from './ids.js';
export * from './kinds.js';
export type * from './kind.js';
export * from './boards/spec.js';
export * from './cells/spec.js';
export * from './drawers/spec.js';
export { groovesIn } from './grooves/places.js';
export { hasSides } from './grooves/problems.js';
export * from './equipment/spec.js';
export * from './grooves/spec.js';
export { deckedAs } from './levels/index.js';
export * from './levels/spec.js';
export * from './panels/spec.js';
export * from './slats/spec.js';

function membersOf(piece: Piece, workshop: Workshop, divided: Divided, space: PlacedSpace): Made {
  const { split, filling } = space.space;
  const at = { piece, workshop, space, spaces: divided.spaces, runs: divided.runs };
  if (filling) return fillingKind(filling).made(filling, at);
  const run = divided.runs.get(space.id);
  return split && run ? dividingKind(split).made(split.making, { ...at, split, run }) : NOTHING;
}

/** Bodies with what is built inside the spaces that go with them. */
function withContents(bodies: readonly Body[], members: Made['members'], spaces: Shape['spaces']): readonly Body[] {
  return bodies.map((body) => {
    const nodes = new Set(body.spaces);
    for (const id of body.spaces) {
      const space = spaces.get(id)?.space;
      if (space) for (const { space: inner } of spacesOf(space)) inner.split?.members.forEach((m) => nodes.add(m.id));
    }
    const own = new Set(body.members);
    const inside = members.filter((m) => !own.has(m.id) && nodes.has(m.node) && m.role !== 'runner').map((m) => m.id);
    return inside.length > 0 ? { ...body, members: [...body.members, ...inside] } : body;
  });
}

/** Where the tape found a space otherwise than planned, what bounds it is as much nearer or further than it is drawn. */
function asFound(made: Made, { off }: PlacedSpace): Made {
  return off === 0 ? made : { ...made, joints: made.joints.map((j) => ({ ...j, apart: add(j.apart ?? SLACK, off) })) };
}

/** What joints are slack anyway. */
const SLACK = mm(3);

/**
 * Everything that is built inside a piece, space by space.
 * @example interiorMembers(CASE, SHOP, SOLVED.shape).members.map((member) => member.id) // ['in-m1/shelf/1']
 */
export function interiorMembers(piece: Piece, workshop: Workshop, divided: Divided): Made {
  const made = together([...divided.spaces.values()].map((space) => asFound(membersOf(piece, workshop, divided, space), space)));
  return { ...made, bodies: withContents(made.bodies, made.members, divided.spaces) };
}
