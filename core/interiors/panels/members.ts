import { say, size } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import { lengthBetween, reachAtEnd, recess } from '../../joints/index.js';
import {
  atX,
  boxOf,
  facingFrame,
  rectangular,
  uprightFrame,
  type Face,
  type Member,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { NOTHING, together, type DividedIn, type Made } from '../kind.js';
import { dividingMemberId } from '../ids.js';
import { allowanceOf, floorOf, isShelf, labelOf, type PanelMaking } from './making.js';
import { shelf } from './shelf.js';
import { panelStock } from './stock.js';

function divider({ piece, space, line, spec, datum, wood }: PanelMaking): Made {
  const ends = allowanceOf(piece, spec, false);
  const length = lengthBetween(space.clear.height, ends);
  const id = dividingMemberId(spec.id, 'divider');
  const x = add(datum, line.near.value);
  const shelved = isShelf(piece, space.neighbours.below) ? piece.panels.shelves.setback : ZERO;
  const width = shelved === ZERO ? space.clear.depth : space.clear.depth.minus(size('back from the front', shelved));
  const member = rectangular({
    id,
    node: spec.id,
    role: 'divider',
    label: labelOf(space, line),
    wood,
    length,
    width,
    frame: uprightFrame({ x, y: sub(space.box.y0, reachAtEnd(ends)), z: space.box.z0 }),
    edges: { v1: piece.edges.front },
  });
  const box = boxOf(member);
  const middle = (x + wood.stock.thickness / 2) as Length;
  const { below, above } = space.neighbours;
  const cut = (face: Face) => (mate: Member) => (ends.fix === 'housed' ? [recess('housing', mate, face, id, box, ends.housing)] : []);
  return {
    ...NOTHING,
    members: [member],
    cuts: [
      { into: floorOf(piece, space), cut: cut('up') },
      { into: above, cut: cut('down') },
    ],
    joints: [
      { carried: id, carrier: below, how: ends.fix === 'housed' ? 'housed' : 'bearing', on: atX(middle) },
      { carried: above, carrier: id, how: ends.fix === 'housed' ? 'housed' : 'bearing', on: atX(middle) },
    ],
  };
}

/** A partition between the front and the rear of a space, standing on what is below. */
function partition({ piece, space, line, spec, datum, wood }: PanelMaking): Made {
  const ends = allowanceOf(piece, spec, false);
  const id = dividingMemberId(spec.id, 'partition');
  const z = add(datum, line.near.value);
  const member = rectangular({
    id,
    node: spec.id,
    role: 'partition',
    label: labelOf(space, line),
    wood,
    length: space.clear.width,
    width: lengthBetween(space.clear.height, ends),
    frame: facingFrame({ x: space.box.x0, y: sub(space.box.y0, reachAtEnd(ends)), z }),
  });
  const box = boxOf(member);
  const { below, above } = space.neighbours;
  const cut = (face: Face) => (mate: Member) => (ends.fix === 'housed' ? [recess('housing', mate, face, id, box, ends.housing)] : []);
  return {
    ...NOTHING,
    members: [member],
    cuts: [
      { into: floorOf(piece, space), cut: cut('up') },
      { into: above, cut: cut('down') },
    ],
    joints: [
      {
        carried: id,
        carrier: below,
        how: ends.fix === 'housed' ? 'housed' : 'bearing',
        on: atX(((space.box.x0 + space.box.x1) / 2) as Length),
      },
    ],
  };
}

/** A rail along the front of a space, on edge, between what is at its sides. */
function rail({ piece, space, line, spec, datum, wood }: PanelMaking): Made {
  const id = dividingMemberId(spec.id, 'rail');
  const member = rectangular({
    id,
    node: spec.id,
    role: 'rail',
    label: labelOf(space, line),
    wood,
    length: space.clear.width,
    width: line.size,
    frame: facingFrame({ x: space.box.x0, y: add(datum, line.near.value), z: sub(space.box.z1, wood.thickness.value) }),
    edges: { v0: piece.edges.front, v1: piece.edges.front },
  });
  const { left, right } = space.neighbours;
  return {
    ...NOTHING,
    members: [member],
    joints: [
      { carried: id, carrier: left, how: 'screws', on: atX(space.box.x0) },
      { carried: id, carrier: right, how: 'screws', on: atX(space.box.x1) },
    ],
  };
}

const MAKE = { up: shelf, across: divider, deep: partition } as const;

const betweenPosts = (space: PlacedSpace): ShapeProblem => ({
  id: `shelves-${space.id}`,
  about: space.id,
  stops: true,
  sentence: say`Shelves need sides to end at, and ${space.label} has posts: put levels between them instead.`,
  fixes: [{ label: say`Make ${space.label} one space again`, edit: { kind: 'clear', space: space.id } }],
});

/** The shelves, dividers and partitions of a divided space, each with its size after joints, what it cuts into its mates, and what carries it. */
export function panelMembers({ piece, workshop, run, space }: DividedIn): Made {
  // What has ends needs something to end at.
  if (space.posts && run.axis === 'up') return { ...NOTHING, problems: [betweenPosts(space)] };
  const specs = new Map((space.space.split?.members ?? []).map((m) => [m.id, m]));
  return together(
    run.run.lines.flatMap((line): Made[] => {
      const spec = specs.get(line.line.id);
      if (!spec || spec.room !== undefined) return [];
      const wood = woodOf(workshop, panelStock(spec, run.axis, piece.panels));
      const make = run.axis === 'up' && spec.rail !== undefined ? rail : MAKE[run.axis];
      return [make({ piece, space, line, spec, datum: run.datum.value, wood, workshop })];
    }),
  );
}
