import type { Joint, Member } from '../piece/index.js';

/** Members that come as one when the rest is put together, such as a frame that is ready. */
type Unit = readonly Member[];

/**
 * The order in which members go together: from the one that carries most, each where it meets what stands already,
 * and nothing that would shut out what must go in before it. A shelf housed in both sides comes before the second side.
 * @param members in the order that they are taken up in where nothing else decides
 * @param frames those of them that are put together already
 * @example inAssemblyOrder([SHELF], [], []) // [SHELF]
 */
export function inAssemblyOrder(members: readonly Member[], joints: readonly Joint[], frames: readonly Unit[]): readonly Member[] {
  const framed = new Map(frames.flatMap((f) => f.map((m) => [m.id, f] as const)));
  const units = [...new Set(members.map((m) => framed.get(m.id) ?? [m]))];
  const unitOf = new Map(units.flatMap((unit) => unit.map((m) => [m.id, unit] as const)));
  const beside = new Map<Unit, Set<Unit>>(units.map((unit) => [unit, new Set()]));
  const carriers = new Map<Unit, Set<Unit>>(units.map((unit) => [unit, new Set()]));
  for (const { carried, carrier } of joints) {
    const [a, b] = [unitOf.get(carried), unitOf.get(carrier)];
    if (!a || !b || a === b) continue;
    beside.get(a)?.add(b);
    beside.get(b)?.add(a);
    carriers.get(a)?.add(b);
  }
  const standing = new Set<Unit>();
  const left = new Set(units);
  const meets = (unit: Unit) => [...(beside.get(unit) ?? [])].some((other) => standing.has(other));
  const between = (one: Unit, carrier: Unit) => [...(carriers.get(one) ?? [])].some((other) => other !== carrier && standing.has(other));
  const shutsOut = (unit: Unit) => [...left].some((other) => other !== unit && carriers.get(other)?.has(unit) && between(other, unit));
  const carries = (unit: Unit) => units.filter((other) => carriers.get(other)?.has(unit)).length;
  const first = units.reduce((most, unit) => (carries(unit) > carries(most) ? unit : most), units[0] ?? []);
  for (let next: Unit | undefined = first; next && left.has(next);) {
    standing.add(next);
    left.delete(next);
    const waiting: Unit[] = [...left];
    next = waiting.find((unit) => meets(unit) && !shutsOut(unit)) ?? waiting.find(meets) ?? waiting[0];
  }
  return [...standing].flat();
}
