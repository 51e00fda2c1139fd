import { spacesOf, type Body, type Piece, type PlacedSpace, type Shape } from '../piece/index.js';
import { add, mm } from '../length/index.js';
import type { Workshop } from '../project/index.js';
import { boardMembers } from './boards/index.js';
import { cellMembers } from './cells/index.js';
import type { Divided } from './divide.js';
import { drawerMembers } from './drawers/index.js';
import { NOTHING, together, type Made } from './kind.js';
import { panelMembers } from './panels/index.js';
import { slatMembers } from './slats/index.js';

export { divide, type Divided } from './divide.js';
export { dividingMemberId } from './ids.js';
export type { Made, NeedContext, Region } from './kind.js';

function membersOf(piece: Piece, workshop: Workshop, divided: Divided, space: PlacedSpace): Made {
  const { split, cells } = space.space;
  if (cells) return cellMembers(cells, space, workshop);
  const run = divided.runs.get(space.id);
  if (!split || !run) return NOTHING;
  switch (split.making?.kind) {
    case 'drawers':
      return drawerMembers(split.making, split, workshop, run, space, divided.spaces, piece.edges.front);
    case 'boards':
      return boardMembers(split.making, workshop, run, space, piece.edges.front);
    case 'slats':
      return slatMembers(split.making, workshop, run, space);
    case undefined:
      return panelMembers(piece, workshop, run, space);
  }
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

/** Everything that is built inside a piece, space by space. */
export function interiorMembers(piece: Piece, workshop: Workshop, divided: Divided): Made {
  const made = together([...divided.spaces.values()].map((space) => asFound(membersOf(piece, workshop, divided, space), space)));
  return { ...made, bodies: withContents(made.bodies, made.members, divided.spaces) };
}
