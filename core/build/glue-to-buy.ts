import { allKept, contactOf } from '../carry/index.js';
import type { Bought, Joint, Member } from '../piece/index.js';
import { dot } from '../solid/index.js';
import { propertiesOf } from '../stock/index.js';
import type { Solution } from '../solution/index.js';
import { glueOf } from './products.js';
import type { Building } from './spec.js';

/** Joints that glue goes into, unless none is used. */
const GLUED: ReadonlySet<Joint['how']> = new Set(['housed', 'glued', 'nails', 'screws', 'pocket screws']);

const isSolidWood = ({ stock }: Member) => propertiesOf(stock).material.form === 'solid';

/** Whether a face of solid wood is screwed across the grain of other solid wood, as a slat is on its rail: glue would tear as it moves. */
function isAcrossGrain({ how, carried, carrier }: Joint, members: ReadonlyMap<string, Member>): boolean {
  const [own, by] = [members.get(carried), members.get(carrier)];
  const met = how === 'screws' && own && by && isSolidWood(own) && isSolidWood(by) ? contactOf(by, own) : null;
  if (!own || !by || !met) return false;
  return Math.abs(dot(own.frame.n, met.normal)) > Math.SQRT1_2 && Math.abs(dot(own.frame.u, by.frame.u)) < Math.SQRT1_2;
}

/** Whether glue goes into a joint where any is used. @example isGlued({ carried: 'a', carrier: 'b', how: 'bolts' }, MEMBERS) // false */
export const isGlued = (joint: Joint, members: ReadonlyMap<string, Member>): boolean =>
  GLUED.has(joint.how) && !isAcrossGrain(joint, members);

/** m² of joint that a litre of glue is spread on: some 200 g on each, as makers of wood glue ask for, and what runs out. */
const SPREAD = 4;

/** A hundredth of a litre is the least that is asked for. */
const LEAST = 0.01;

/** The faces of all joints of a piece that are glued, m²; each pair of members that meets counts once. @example gluedArea(SOLVED) // 0.012 */
export function gluedArea({ shape, carried }: Pick<Solution, 'shape' | 'carried'>): number {
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const pairs = new Map<string, number>();
  const kept = allKept(carried).flatMap(({ way, keep }) => (way === 'glue' ? [[keep.held, keep.by] as const] : []));
  for (const [a, b] of [...shape.joints.filter((j) => isGlued(j, members)).map((j) => [j.carried, j.carrier] as const), ...kept]) {
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
