import type { Length } from '../length/index.js';
import type { Solution } from './solve.js';

/** One thing that an edit moved: its size before and after; null where it was not there. */
export interface Moved {
  readonly kind: 'overall' | 'space' | 'part';
  readonly id: string;
  readonly label: string;
  readonly what: 'width' | 'height' | 'depth' | 'length' | 'thickness';
  readonly before: Length | null;
  readonly after: Length | null;
}

type Sizes = Map<string, Omit<Moved, 'before' | 'after'> & { size: Length }>;

function sizesOf(solution: Solution): Sizes {
  const sizes: Sizes = new Map();
  const put = (kind: Moved['kind'], id: string, label: string, what: Moved['what'], size: Length) =>
    sizes.set(`${kind}/${id}/${what}`, { kind, id, label, what, size });
  for (const what of ['width', 'height', 'depth'] as const) put('overall', 'piece', 'overall', what, solution.shape.overall[what].value);
  for (const space of solution.shape.spaces.values()) {
    if (!space.within) continue;
    const what = space.within.axis === 'up' ? 'height' : 'width';
    put('space', space.id, space.label, what, space.clear[what].value);
  }
  for (const part of solution.parts) {
    const label = `${part.letter}, ${part.member.role}`;
    put('part', part.id, label, 'length', part.length.value);
    put('part', part.id, label, 'width', part.width.value);
    put('part', part.id, label, 'thickness', part.thickness.value);
  }
  return sizes;
}

/** What is different in size between two solutions of a piece. @example compare(SOLVED, SOLVED) // [] */
export function compare(before: Solution, after: Solution): readonly Moved[] {
  const [a, b] = [sizesOf(before), sizesOf(after)];
  const moved: Moved[] = [];
  for (const [key, { size, ...rest }] of b) {
    const old = a.get(key)?.size ?? null;
    if (old !== size) moved.push({ ...rest, before: old, after: size });
  }
  for (const [key, { size, ...rest }] of a) if (!b.has(key)) moved.push({ ...rest, before: size, after: null });
  return moved;
}
