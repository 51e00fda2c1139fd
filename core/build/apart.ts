import { boxOf, cutBodiesOf, ofTwo, placingOf, type Box, type Member } from '../piece/index.js';
import { toMm } from '../length/index.js';
import { metAlong, scaled, type Vector } from '../solid/index.js';

/** Members that go in together. */
export type Unit = readonly Member[];

/** How a unit goes in: which way it is moved, and what shuts it out where it cannot be. */
export interface GoesIn {
  readonly unit: Unit;
  /** Straight to its place; null where no way is free. */
  readonly way: Vector | null;
  /** What is in the way of the way that is least barred. */
  readonly barredBy: readonly Member[];
}

/** So little in each other is play, mm. */
const PLAY = 0.6;

/** Out of its place one first tries upward, to the front and the rear, to the sides, and downward. */
const OUT: readonly Vector[] = [
  [0, 1, 0],
  [0, 0, 1],
  [0, 0, -1],
  [1, 0, 0],
  [-1, 0, 0],
  [0, -1, 0],
];

/** Where else a member that lies aslant may come out: along its own directions. */
function waysOf(unit: Unit): readonly Vector[] {
  const own = unit.flatMap((m) => {
    const { u, v, n } = placingOf(m);
    return [u, v, n].filter((d) => d.every((c) => Math.abs(c) < 1 - 1e-9)).flatMap((d) => [d, scaled(d, -1)]);
  });
  return [...OUT, ...own];
}

const AXES = [
  ['x0', 'x1'],
  ['y0', 'y1'],
  ['z0', 'z1'],
] as const;

/** Whether the box of what goes along a way may come on another one. */
function mayMeet(box: Box, other: Box, way: Vector): boolean {
  return AXES.every(([low, high], k) => {
    const along = way[k] as number;
    const [a0, a1, b0, b1] = [box[low], box[high], other[low], other[high]].map(toMm) as [number, number, number, number];
    return (
      (along > 1e-9 || a1 > b0 + PLAY) &&
      (along < -1e-9 || a0 < b1 - PLAY) &&
      (along <= 1e-9 || b1 > a0 + PLAY) &&
      (along >= -1e-9 || b0 < a1 - PLAY)
    );
  });
}

/** Members never change, so that whether one bars another is worked out once for each way. */
const barred = ofTwo<Member, Member, Map<string, boolean>>();

/** Whether a member that goes along a way comes on another one. */
function isBarredBy(member: Member, other: Member, way: Vector): boolean {
  if (!mayMeet(boxOf(member), boxOf(other), way)) return false;
  const ways = barred(member, other, () => new Map());
  const key = way.join(' ');
  let is = ways.get(key);
  if (is === undefined) {
    is = cutBodiesOf(member).some((a) => cutBodiesOf(other).some((b) => metAlong(a, b, way) > PLAY));
    ways.set(key, is);
  }
  return is;
}

/** What bars a unit on one way out. */
const barring = (unit: Unit, others: readonly Member[], way: Vector): readonly Member[] =>
  others.filter((o) => unit.some((m) => isBarredBy(m, o, way)));

/** Whether a unit comes out of what stands, and which way. */
function wayOut(unit: Unit, others: readonly Member[]): { readonly way: Vector | null; readonly barredBy: readonly Member[] } {
  let least: readonly Member[] | null = null;
  for (const way of waysOf(unit)) {
    const barredBy = barring(unit, others, way);
    if (barredBy.length === 0) return { way, barredBy };
    if (!least || barredBy.length < least.length) least = barredBy;
  }
  return { way: null, barredBy: least ?? [] };
}

/** An order that was asked for, and what for. */
interface Asked {
  readonly wanted: readonly Unit[];
  readonly standing: readonly Member[];
  readonly order: readonly GoesIn[];
}

/** What was asked last of each first member, among so many units and members that stand. */
const asked = new WeakMap<Member, Map<string, Asked>>();

const same = <T>(a: readonly T[], b: readonly T[]) => a.length === b.length && a.every((one, i) => one === b[i]);

/**
 * The order in which units go in where others stand: found backwards, by taking each out by a straight way that nothing bars, the last of
 * the wanted order first (after Wilson and Latombe 1994). What no way is free for goes in where it was wanted.
 * @param wanted the units in the order that they are taken up in where nothing else decides
 * @example orderOf([[SHELF]], [])[0].way // [0, -1, 0]
 */
export function orderOf(wanted: readonly Unit[], standing: readonly Member[]): readonly GoesIn[] {
  const first = wanted[0]?.[0];
  if (!first) return [];
  const known = asked.get(first) ?? new Map<string, Asked>();
  asked.set(first, known);
  const key = `${wanted.length} ${standing.length}`;
  const before = known.get(key);
  const sameUnits = (units: readonly Unit[]) => units.length === wanted.length && units.every((u, i) => same(u, wanted[i] as Unit));
  if (before && same(before.standing, standing) && sameUnits(before.wanted)) return before.order;
  const order = newOrder(wanted, standing);
  known.set(key, { wanted, standing, order });
  return order;
}

function newOrder(wanted: readonly Unit[], standing: readonly Member[]): readonly GoesIn[] {
  const left = [...wanted];
  const order: GoesIn[] = [];
  for (;;) {
    const others = (unit: Unit) => [...standing, ...left.filter((u) => u !== unit).flat()];
    const out = left.findLast((unit) => wayOut(unit, others(unit)).way !== null) ?? left.at(-1);
    if (!out) break;
    const { way, barredBy } = wayOut(out, others(out));
    left.splice(left.indexOf(out), 1);
    order.unshift({ unit: out, way: way && [0 - way[0], 0 - way[1], 0 - way[2]], barredBy });
  }
  return order;
}
