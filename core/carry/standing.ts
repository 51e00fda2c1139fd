import { mass, say, type Sentence } from '../figure/index.js';
import { asKg, type Kilograms, type Newtons } from '../measures/index.js';
import { add, sub, toMm } from '../length/index.js';
import { boxOf, type Member, type PlacedSpace, type Shape, type Stand } from '../piece/index.js';
import type { Vector } from '../solid/index.js';
import { HALF_A_FOOT, feetOf, type Block } from '../things/index.js';
import { GRAVITY } from './gravity.js';
import type { Line } from './line.js';

/** What one member puts on another: how much and where. */
export interface Handed {
  readonly from: string;
  readonly newtons: Newtons;
  /** What of it is the weight of members, which is always there, N. */
  readonly dead: Newtons;
  /** Where; left out where it is given along the whole length. */
  readonly on?: Line;
  /** Where what goes across the one that takes it lies on that, along it, mm. */
  readonly over?: { readonly along: Vector; readonly from: number; readonly to: number };
}

/** What usually stands on shelves and in drawers. */
export type Usual = 'stores' | 'books';

/** A stretch of a member that things stand on. */
export interface Standing {
  readonly space: string;
  readonly kg: Kilograms;
  /** The level direction that things stand one beside the other along, and from where to where, mm. */
  readonly along: Vector;
  readonly from: number;
  readonly to: number;
  /** The things one beside the other, where their row is shorter than that and may stand anywhere in it. */
  readonly row?: readonly InRow[];
  /** Nobody said it: what such a shelf usually carries. */
  readonly assumed?: Usual;
}

/** What an empty shelf or drawer is taken to carry, kg on a square metre, and at most on a metre of its length: 0.65 kN/m² of stores at home, 1.4 of books, typical. */
export const ASSUMED = { stores: (0.65 * 1000) / GRAVITY, books: (1.4 * 1000) / GRAVITY, metre: 35 } as const;

/** What is made to have things put on it. */
const KEEPS: ReadonlySet<Member['role']> = new Set(['shelf', 'drawer bottom']);

/** One of the things of a row: how wide it is, mm, and what it weighs. */
export interface InRow {
  readonly wide: number;
  readonly kg: Kilograms;
}

/** What one of several that share what stands on them carries of it. */
function shareOf(standing: Standing, of: number): Standing {
  if (of === 1) return standing;
  const { row, ...rest } = standing;
  return { ...rest, kg: asKg(rest.kg / of), ...(row ? { row: row.map((r) => ({ ...r, kg: asKg(r.kg / of) })) } : {}) };
}

/** All that a member carries. */
export interface Load {
  readonly self: Newtons;
  readonly standing: readonly Standing[];
  readonly handed: readonly Handed[];
  readonly unweighed: readonly string[];
}

/** The things of a space with what is not known of them; what fills it lies in every one of its places. */
function loadOf(space: PlacedSpace, filled: Stand['filled']): { kg: Kilograms; unknown: readonly string[] } {
  if (filled) {
    const { thing, places } = filled;
    return { kg: asKg((thing.mass ?? 0) * places.length), unknown: thing.mass === undefined ? [thing.name] : [] };
  }
  return {
    kg: asKg(space.blocks.reduce((sum, b) => sum + (b.thing.mass ?? 0) * b.count, 0)),
    unknown: space.blocks.filter((b) => b.thing.mass === undefined).map((b) => b.thing.name),
  };
}

/** Things stand one beside the other from the left to the right of their space. */
const ACROSS: Vector = [1, 0, 0];

/** A row that takes up so much of a space counts as spread over all of it. */
const FILLS = 0.8;

/** What stands in an open space: what is spread, what has its place, and a row that may stand anywhere in it. */
function standingIn(space: PlacedSpace): readonly Standing[] {
  const [from, to] = [toMm(space.box.x0), toMm(space.box.x1)];
  const whole = { space: space.id, along: ACROSS, from, to };
  const massOf = ({ thing, count }: Block) => asKg((thing.mass ?? 0) * count);
  const kgOf = (blocks: readonly Block[]) => asKg(blocks.reduce((sum, b) => sum + massOf(b), 0));
  const onFeet = space.blocks.filter((b) => feetOf(b, { ...space.box, setback: space.setback }) !== null);
  const feet = onFeet.flatMap((b): Standing[] => {
    const { xs } = feetOf(b, { ...space.box, setback: space.setback }) as NonNullable<ReturnType<typeof feetOf>>;
    return xs.map((x) => ({ ...whole, kg: asKg(massOf(b) / 2), from: toMm(sub(x, HALF_A_FOOT)), to: toMm(add(x, HALF_A_FOOT)) }));
  });
  const others = space.blocks.filter((b) => !onFeet.includes(b));
  const placed = others.flatMap((b): Standing[] => {
    if (typeof b.at !== 'number') return [];
    const left = Math.min(from + toMm(b.at), to);
    return [{ ...whole, kg: massOf(b), from: left, to: Math.max(left + 1, Math.min(left + toMm(b.width), to)) }];
  });
  const unplaced = others.filter((b) => typeof b.at !== 'number' && b.at !== 'spread');
  const long = unplaced.reduce((sum, b) => sum + toMm(b.width), 0);
  const stays = long >= FILLS * (to - from) && unplaced.every((b) => b.at === undefined);
  const spread = others.filter((b) => b.at === 'spread' || (stays && unplaced.includes(b)));
  const moves = stays ? [] : unplaced;
  return [
    ...(spread.length > 0 ? [{ ...whole, kg: kgOf(spread) }] : []),
    ...placed,
    ...feet,
    ...(moves.length > 0 ? [{ ...whole, kg: kgOf(moves), row: moves.map((b) => ({ wide: toMm(b.width), kg: massOf(b) })) }] : []),
  ];
}

/** A load that is entered along a space, so much on a metre. */
function loadAlong({ id, box }: PlacedSpace, perMetre: number): Standing {
  const [from, to] = [toMm(box.x0), toMm(box.x1)];
  return { space: id, along: ACROSS, from, to, kg: asKg((perMetre * (to - from)) / 1000) };
}

/** What is taken to stand in a space that nothing is said of. */
function assumedIn({ id, box }: PlacedSpace, usual: Usual): Standing {
  const [from, to] = [toMm(box.x0), toMm(box.x1)];
  const metres = (to - from) / 1000;
  const deep = toMm(sub(box.z1, box.z0)) / 1000;
  return { space: id, along: ACROSS, from, to, kg: asKg(metres * Math.min(ASSUMED.metre, ASSUMED[usual] * deep)), assumed: usual };
}

/** What is assumed to stand on members, since nothing is entered for them, kg. @example assumedOn([SOLVED.carried.members.get('in-m1/shelf/1')]) // 0 */
export const assumedOn = (members: readonly { readonly standing: readonly Standing[] }[]): Kilograms =>
  asKg(members.flatMap((c) => c.standing).reduce((sum, s) => sum + (s.assumed ? s.kg : 0), 0));

const AS_USUAL: Readonly<Record<Usual, Sentence>> = {
  stores: say`as stores at home weigh. Books weigh twice as much`,
  books: say`as books weigh`,
};

/** What is said of members that nothing is entered for: how much is assumed there; null where all is entered. */
export function saidOfAssumed(members: readonly { readonly standing: readonly Standing[] }[]): Sentence | null {
  const usual = members.flatMap((c) => c.standing).find((s) => s.assumed)?.assumed;
  return usual ? say`${mass(assumedOn(members))} is assumed, ${AS_USUAL[usual]}.` : null;
}

/** From where to where a member lies across, mm. */
function lies({ members }: Shape, id: string): readonly [number, number] {
  const member = members.find((m) => m.id === id);
  const box = member && boxOf(member);
  return box ? [toMm(box.x0), toMm(box.x1)] : [0, 0];
}

/** What of a stretch is over the nth of members that lie end to end; a row that may stand anywhere is on the longest of them. */
function overIt(entry: Standing, lie: readonly (readonly [number, number])[], n: number): Standing[] {
  const over = lie.map(([from, to]) => Math.max(0, Math.min(entry.to, to) - Math.max(entry.from, from)));
  if (entry.row) return over.indexOf(Math.max(...over)) === n ? [entry] : [];
  const [own, all] = [over[n] as number, over.reduce((sum, o) => sum + o, 0)];
  const [from, to] = lie[n] as readonly [number, number];
  if (own <= 0) return [];
  return [{ ...entry, kg: asKg((entry.kg * own) / all), from: Math.max(entry.from, from), to: Math.min(entry.to, to) }];
}

/** What stands on each member. @example standingOn(SOLVED.shape).standing.get('in-m1/shelf/1')[0].kg // 4 */
export function standingOn(shape: Shape): { standing: Map<string, Standing[]>; unweighed: Map<string, string[]> } {
  const standing = new Map<string, Standing[]>();
  const unweighed = new Map<string, string[]>();
  const keeps = new Set(shape.members.flatMap((m) => (KEEPS.has(m.role) ? [m.id] : [])));
  const usual = shape.forBooks ? 'books' : 'stores';
  for (const space of shape.spaces.values()) {
    const stand = shape.stands.get(space.id);
    const isOpen = !space.space.split && !space.space.filling;
    if (!stand && !isOpen) continue;
    const carriers = stand?.carriers ?? [space.neighbours.below];
    const { load } = space.space;
    const entered = isOpen && load !== undefined ? [loadAlong(space, load)] : [];
    if (space.blocks.length === 0 && !stand?.filled && !stand?.people) {
      const keeping = carriers.every((id) => keeps.has(id));
      const { shelfLoad } = shape;
      const usually = () => (shelfLoad === undefined ? assumedIn(space, usual) : loadAlong(space, shelfLoad));
      const [on] = entered.length > 0 ? entered : isOpen && keeping ? [usually()] : [];
      if (on) carriers.forEach((id) => standing.set(id, [...(standing.get(id) ?? []), shareOf(on, carriers.length)]));
      continue;
    }
    const { kg, unknown } = loadOf(space, stand?.filled);
    const whole = { space: space.id, kg, along: ACROSS, from: toMm(space.box.x0), to: toMm(space.box.x1) };
    const people = stand?.people ? [{ ...whole, kg: stand.people }] : [];
    const entries = [...(stand?.filled ? [whole] : standingIn(space)), ...entered, ...people];
    const lie = stand?.endToEnd ? carriers.map((id) => lies(shape, id)) : null;
    for (const [i, id] of carriers.entries()) {
      if (unknown.length > 0) unweighed.set(id, [...(unweighed.get(id) ?? []), ...unknown]);
      standing.set(id, [...(standing.get(id) ?? []), ...entries.flatMap((e) => (lie ? overIt(e, lie, i) : [shareOf(e, carriers.length)]))]);
    }
  }
  return { standing, unweighed };
}
