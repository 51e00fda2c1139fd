import { len, say, type Sentence } from '../figure/index.js';
import { ZERO, least, negative, sub, type Length } from '../length/index.js';
import { boxOf, boxRound, overlap, shiftBox, sweptBox, type Body, type Box, type Shape } from '../piece/index.js';
import { valuesOf, type Obstacle, type Opening } from '../survey/index.js';
import type { Check } from '../finding/index.js';

function boxOfObstacle(o: Obstacle): Box {
  const end = (a: Length, d: Length) => (a + d) as Length;
  return { x0: o.x, x1: end(o.x, o.width), y0: o.y, y1: end(o.y, o.height), z0: o.z, z1: end(o.z, o.depth) };
}

/** Whether a body goes up as it opens: a lid. */
const goesUp = ({ motion }: Body) => motion.kind === 'turn' || motion.along[1] !== 0;

/** How a body is said to move. */
export const movesAs = (body: Body): string => (goesUp(body) ? 'opened' : 'drawn out');

/** What is wrong with where a body comes to, in the room; null for nothing. */
function wrong(body: Body, open: Box, opening: Opening): Sentence | null {
  const width = least(valuesOf(opening, 'width'));
  const depth = least(valuesOf(opening, 'depth'));
  const moved = movesAs(body);
  if (open.z0 < ZERO) return say`${body.label} cannot be ${moved}: it would go ${len(sub(ZERO, open.z0))} into the wall behind.`;
  const beside = Math.max(negative(open.x0), open.x1 - width) as Length;
  // What has come out of the opening is no longer held in by its sides.
  if (beside > ZERO && open.z0 < depth)
    return say`${body.label} cannot be ${moved}: it would go ${len(beside)} into the side of the opening.`;
  const over = sub(open.y1, least(valuesOf(opening, 'height')));
  if (goesUp(body) && over > ZERO && open.z0 < depth)
    return say`${body.label} cannot be ${moved}: it would go ${len(over)} into what is over the opening.`;
  const out = sub(open.z1, depth);
  if (opening.inFront !== undefined && out > opening.inFront) {
    return say`${body.label} open stands ${len(out)} out of the opening, and ${len(opening.inFront)} are free in front of it.`;
  }
  return null;
}

/**
 * Whether what moves has room to, in the place the piece stands in: against the walls, what
 * is in the way, and what is free in front.
 * @param standing the outside of the piece in the opening
 */
export function reachChecks(shape: Shape, opening: Opening, standing: Box): readonly Check[] {
  const at = { x: standing.x0, y: standing.y0, z: standing.z0 };
  const members = new Map(shape.members.map((m) => [m.id, m] as const));
  return shape.bodies.flatMap((body): Check[] => {
    const own = body.members.flatMap((id) => members.get(id) ?? []);
    // What is put away is not in its place then.
    const put = body.away ?? shape.bodies.find((b) => b.id === body.on)?.away;
    if (own.length === 0 || put) return [];
    const swept = own.map((m) => shiftBox(sweptBox(m, body, shape.bodies), at));
    const shut = own.map((m) => shiftBox(boxOf(m), at));
    const obstacle = opening.obstacles.find((o) => {
      const there = boxOfObstacle(o);
      // What is in the way of the piece while it is shut is told by its own check.
      return swept.some((b) => overlap(b, there)) && !shut.some((b) => overlap(b, there));
    });
    const sentence = obstacle
      ? say`${body.label} runs into ${obstacle.name} when it is ${movesAs(body)}.`
      : wrong(body, boxRound(swept), opening);
    if (!sentence) return [];
    return [{ id: `reach-${body.id}`, severity: 'stop', state: 'fails', about: { kind: 'space', id: body.id }, sentence, fixes: [] }];
  });
}
