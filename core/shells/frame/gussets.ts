import { Figure, size } from '../../figure/index.js';
import { ZERO, add, mm, sub, toMm, type Length } from '../../length/index.js';
import { SQUARE_EDGES, boxOf, type Joint, type Member, type Point } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { FRAME, FRAME_NODE } from './ids.js';
import { outOf, spotIn, type Opened, type Opening } from './openings.js';
import type { Brace } from './spec.js';

/** The rail that lies on an opening, from post to post, in line with what is so thick there; undefined where none does. */
export function railOver({ corner: [x, y, z], level, wide, high }: Opening, rails: readonly Member[], thick: number): Member | undefined {
  const up = mm(y + toMm(high.value));
  const [midX, midZ] = [0, 2].map((k) => mm(([x, y, z][k] as number) + ((level[k] as number) * toMm(wide.value)) / 2)) as [Length, Length];
  // Beside the plane that a brace begins at lies its own thickness.
  const half = mm(thick / 2);
  const [inX, inZ] = level[2] === 1 ? [sub(midX, half), midZ] : [midX, add(midZ, half)];
  return rails.find((r) => {
    const box = boxOf(r);
    const within = box.x0 <= inX && inX <= box.x1 && box.z0 <= inZ && inZ <= box.z1;
    return r.role === 'rail' && Math.abs(box.y0 - up) <= 1 && within;
  });
}

/** Triangles in the upper corners of an opening, glued and screwed to the post beside and the rail over each. */
export function gussetsIn(at: Opening, wood: Wood, spec: Brace, n: number, over: Member): Opened {
  const [W, H, a] = [toMm(at.wide.value), toMm(at.high.value), toMm(spec.wide)];
  const leg = size('gusset', spec.wide, { in: 'piece', field: 'braces' });
  const side = Figure.formula('length', 'the long side of it, √2 of how far it reaches', [leg], mm(a * Math.SQRT2));
  const made = (['from', 'to'] as const).map((end, i) => {
    const id = FRAME.brace(at.key, n, i + 1);
    const x = end === 'from' ? 0 : W - a;
    const far = spec.wide;
    const left: Point = { u: ZERO, v: far };
    const low: Point = { u: end === 'from' ? ZERO : far, v: ZERO };
    const right: Point = { u: far, v: far };
    const member: Member = {
      id,
      node: FRAME_NODE,
      role: 'gusset',
      label: `gusset ${at.label}, ${i + 1}`,
      stockId: wood.id,
      stock: wood.stock,
      outline: { start: left, sides: [low, right, left].map((to) => ({ kind: 'line', to })) },
      frame: { origin: spotIn(at, [x, H - a]), u: at.level, v: [0, 1, 0], n: outOf(at) },
      length: leg,
      width: leg,
      thickness: wood.thickness,
      purpose: { length: 'between', width: 'between' },
      features: [],
      edges: SQUARE_EDGES,
    };
    const glued = [at[end].id, over.id].map((carrier): Joint => ({ carried: id, carrier, how: 'glued' }));
    return { member, joints: glued };
  });
  return {
    members: made.map((m) => m.member),
    joints: made.flatMap((m) => m.joints),
    facts: [{ name: 'gussets, long side', figure: side }],
  };
}
