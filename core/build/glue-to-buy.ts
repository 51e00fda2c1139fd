import { allKept, contactOf } from '../carry/index.js';
import type { Bought, Joint } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { glueOf } from './products.js';
import type { Building } from './spec.js';

/** Joints that glue goes into, unless none is used. */
const GLUED: ReadonlySet<Joint['how']> = new Set(['housed', 'glued', 'nails', 'screws', 'pocket screws']);

/** Whether glue goes into a joint where any is used. @example isGlued({ how: 'bolts' }) // false */
export const isGlued = ({ how }: Pick<Joint, 'how'>): boolean => GLUED.has(how);

/** m² of joint that a litre of glue is spread on: some 200 g on each, as makers of wood glue ask for, and what runs out. */
const SPREAD = 4;

/** A hundredth of a litre is the least that is asked for. */
const LEAST = 0.01;

/** The faces of all joints of a piece that are glued, m²; each pair of members that meets counts once. @example gluedArea(SOLVED) // 0.012 */
export function gluedArea({ shape, carried }: Pick<Solution, 'shape' | 'carried'>): number {
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const pairs = new Map<string, number>();
  const kept = allKept(carried).flatMap(({ way, keep }) => (way === 'glue' ? [[keep.held, keep.by] as const] : []));
  for (const [a, b] of [...shape.joints.filter(isGlued).map((j) => [j.carried, j.carrier] as const), ...kept]) {
    const [one, other] = [members.get(a), members.get(b)];
    const met = one && other ? contactOf(one, other) : null;
    if (met) pairs.set([a, b].sort().join(' '), met.area);
  }
  return [...pairs.values()].reduce((sum, mm2) => sum + mm2, 0) / 1e6;
}

/**
 * The glue that a piece takes, by the faces of its joints, up to the next hundredth of a litre.
 * @example glueFor(SOLVED, { glue: 'none' }) // []
 */
export function glueFor(solution: Solution, { glue }: Pick<Building, 'glue'>): readonly Bought[] {
  const area = gluedArea(solution) * (solution.piece.times ?? 1);
  if (glue === 'none' || area === 0) return [];
  return [{ what: glueOf(glue).name, count: Math.max(LEAST, Math.ceil((area / SPREAD) * 100) / 100), each: 'litre' }];
}
