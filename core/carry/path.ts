import type { Newtons } from '../measures/index.js';
import { fromUnits, toMm } from '../length/index.js';
import { boxOf, type Joint, type Member } from '../piece/index.js';
import type { Carried } from './carry.js';
import type { Line } from './line.js';

/** A place seen from the front, mm from the left and from the floor. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** One step on the way of a load to the floor. */
export interface PathStep {
  readonly from: string;
  readonly to: string;
  readonly how: Joint['how'];
  readonly newtons: Newtons;
  /** Where it is given on, seen from the front. */
  readonly at: Spot;
}

/** Where a line crosses the middle of a member that is at so much across, seen from the front. */
function seenAcross(member: Member, { along, at }: Line, middle: number): number {
  const box = boxOf(member);
  const out = toMm(fromUnits((box.z0 + box.z1) / 2));
  return middle + along[0] * (at - along[0] * middle - along[2] * out);
}

/** Where a member gives its load on: at the support, or where the two lie over each other. */
function spotOf(from: Member, to: Member | undefined, on: Line | undefined): Spot {
  const a = boxOf(from);
  const b = to ? boxOf(to) : null;
  const [low, high] = b ? [Math.max(a.x0, b.x0), Math.min(a.x1, b.x1)] : [a.x0, a.x1];
  const middle = toMm(fromUnits((low + high) / 2));
  return { x: on ? seenAcross(from, on, middle) : middle, y: toMm(fromUnits(Math.max(a.y0, b?.y0 ?? a.y0))) };
}

/** The way of a member's load to the floor, nearest first, each joint once. @example pathToFloor(SOLVED.carried, 'in-m1/shelf/1').length // 4 */
export function pathToFloor(carried: Carried, memberId: string): readonly PathStep[] {
  const steps: PathStep[] = [];
  const seen = new Set<string>();
  const queue = [memberId];
  for (let id = queue.shift(); id !== undefined; id = queue.shift()) {
    const from = carried.members.get(id);
    if (seen.has(id) || !from) continue;
    seen.add(id);
    for (const s of from.supports) {
      if (s.newtons < 1e-9) continue;
      steps.push({
        from: id,
        to: s.carrier,
        how: s.how,
        newtons: s.newtons,
        at: spotOf(from.member, carried.members.get(s.carrier)?.member, s.on),
      });
      queue.push(s.carrier);
    }
  }
  return steps;
}

/**
 * The way of a load as lines seen from the front: from where a member takes it to where it gives it on.
 * @example pathLines(SOLVED.carried, 'in-m1/shelf/1').length // 4
 */
export function pathLines(carried: Carried, memberId: string): readonly { readonly from: Spot; readonly step: PathStep }[] {
  const steps = pathToFloor(carried, memberId);
  const start = carried.members.get(memberId)?.member;
  if (!start) return [];
  const box = boxOf(start);
  const middle: Spot = { x: toMm(fromUnits((box.x0 + box.x1) / 2)), y: toMm(fromUnits((box.y0 + box.y1) / 2)) };
  return steps.flatMap((step) => {
    const taken = step.from === memberId ? [middle] : steps.filter((s) => s.to === step.from).map((s) => s.at);
    return taken.map((from) => ({ from, step }));
  });
}
