import { allBolts, allScrews, extentsOf, rootOf, type PlacedBolts, type PlacedRow, type PlacedScrew } from '../carry/index.js';
import { PIN, POCKET_HOLE } from '../joints/index.js';
import { fromUnits, toMm, type Length, type LengthUnit } from '../length/index.js';
import { boxOf, boxRound, placingOf, type Edges, type Face, type Feature, type Member } from '../piece/index.js';
import { dot, minus, type Vector } from '../solid/index.js';
import type { Solution } from '../solution/index.js';

type HoleFeature = Extract<Feature, { kind: 'hole' }>;

/** A broad face of a part, or one of its edges. */
export type Surface = Face | keyof Edges;

/** What a hole is for, which says how it is drilled. */
export type HoleUse = 'pin' | 'pocket' | 'plugged' | 'through' | 'screw' | 'pilot' | 'bolt' | 'nut';

/** A hole in a part, where it is drilled from. All mm. */
export interface Hole {
  readonly id: string;
  readonly part: string;
  /** The part that it is there for. */
  readonly mate: string;
  readonly use: HoleUse;
  readonly on: Surface;
  /** On a face and in a long edge: from the start of the length. In an end: from the edge at the start of the width. */
  readonly along: number;
  /** On a face: from the edge at the start of the width. In an edge or an end: from the lower face. */
  readonly across: number;
  readonly diameter: number;
  readonly depth: number;
  readonly through: boolean;
  /** Its head goes flush. */
  readonly countersunk: boolean;
}

/** The steps that bits are sold in, and those that a stop on one is set by, mm: halves, or 1/64 and 1/16 in. */
const STEPS: Readonly<Record<LengthUnit, { readonly bit: number; readonly deep: number }>> = {
  mm: { bit: 0.5, deep: 0.5 },
  in: { bit: 25.4 / 64, deep: 25.4 / 16 },
};

/** The bit that a shank passes is the next one up; the one that a thread bites in, the next one down from its root. */
const bitOver = (d: number, unit: LengthUnit) => Math.ceil(d / STEPS[unit].bit - 1e-9) * STEPS[unit].bit;
const bitUnder = (d: number, unit: LengthUnit) => Math.floor(d / STEPS[unit].bit + 1e-9) * STEPS[unit].bit;

/** How deep a stop is set for a hole, mm. @example stopAt(44.6, 'mm') // 44.5 */
export const stopAt = (deep: number, unit: LengthUnit): number => Math.round(deep / STEPS[unit].deep) * STEPS[unit].deep;

/** A place or a direction in a member's own u, v and n. */
const own = (member: Member, from: Vector): Vector => {
  const { u, v, n } = placingOf(member);
  return [dot(from, u), dot(from, v), dot(from, n)];
};

const placeIn = (member: Member, place: Vector): Vector => own(member, minus(place, placingOf(member).origin));

const SURFACES = [
  ['u0', 'u1'],
  ['v0', 'v1'],
  ['down', 'up'],
] as const;

/** The surface of a member that a straight line enters it by, and where: the last of those planes that it comes through. */
function entered(member: Member, from: Vector, way: Vector): { readonly on: Surface; readonly at: Vector } {
  const sizes = [member.length.value, member.width.value, member.thickness.value].map(toMm) as [number, number, number];
  let [on, last] = ['up' as Surface, -Infinity];
  for (const k of [0, 1, 2] as const) {
    if (Math.abs(way[k]) < 1e-9) continue;
    const start = way[k] > 0;
    const t = ((start ? 0 : sizes[k]) - from[k]) / way[k];
    if (t > last) [on, last] = [SURFACES[k][start ? 0 : 1], t];
  }
  return { on, at: [from[0] + last * way[0], from[1] + last * way[1], from[2] + last * way[2]] };
}

/** Where a hole is on a surface: along it and across it. */
function onSurface(surface: Surface, [u, v, n]: Vector): readonly [along: number, across: number] {
  if (surface === 'up' || surface === 'down') return [u, v];
  return surface === 'u0' || surface === 'u1' ? [v, n] : [u, n];
}

function useOf(hole: HoleFeature, thickness: number): HoleUse {
  if (hole.plugged) return 'plugged';
  if (hole.diameter === PIN.diameter) return 'pin';
  if (hole.diameter === POCKET_HOLE) return 'pocket';
  return toMm(hole.depth) >= thickness ? 'through' : 'pilot';
}

/** The holes that the joints of a member are made with. */
function holesMade(member: Member, unit: LengthUnit): Hole[] {
  const thick = toMm(member.thickness.value);
  return member.features.flatMap((f, i): Hole[] => {
    if (f.kind !== 'hole') return [];
    const use = useOf(f, thick);
    return [
      {
        id: `${member.id} hole ${i}`,
        part: member.id,
        mate: f.mate,
        use,
        on: f.face,
        along: toMm(f.at.u),
        across: toMm(f.at.v),
        // A pin is what it is; what is drilled for a screw is drilled with a bit of the shop.
        diameter: use === 'pin' ? toMm(f.diameter) : bitOver(toMm(f.diameter), unit),
        depth: Math.min(thick, use === 'pin' ? toMm(f.depth) : stopAt(toMm(f.depth), unit)),
        through: toMm(f.depth) >= thick,
        countersunk: false,
      },
    ];
  });
}

function enteringAt(member: Member, place: Vector, way: Vector): Pick<Hole, 'on' | 'along' | 'across'> {
  const { on, at } = entered(member, placeIn(member, place), own(member, way));
  const [along, across] = onSurface(on, at);
  return { on, along, across };
}

/** What one screw is drilled for: a hole that its shank passes, and one that its thread bites in. */
function holesFor({ row }: PlacedRow, placed: PlacedScrew, unit: LengthUnit, nth: string): Hole[] {
  const { through, into, joint } = row;
  const { head, way, screw, length, across } = placed;
  const side = joint.side.thickness;
  const meets: Vector = [head[0] + way[0] * side, head[1] + way[1] * side, head[2] + way[2] * side];
  const shank: Hole = {
    id: `${nth} through`,
    part: through.id,
    mate: into.id,
    use: 'screw',
    ...enteringAt(through, head, way),
    diameter: bitOver(across, unit),
    depth: side,
    through: true,
    countersunk: true,
  };
  const thread: Hole = {
    id: `${nth} pilot`,
    part: into.id,
    mate: through.id,
    use: 'pilot',
    ...enteringAt(into, meets, way),
    diameter: bitUnder(rootOf(screw), unit),
    depth: Math.min(joint.main.thickness, length - side),
    through: false,
    countersunk: false,
  };
  // Where a joint made the holes in what it goes through, only those for the thread are left to drill.
  return row.holes ? [thread] : [shank, thread];
}

/** A bolt goes in with so much to spare, mm (1/16 in is the most: NDS 2018 12.1.3). */
const BOLT_PLAY = 1;
/** A barrel nut is so much thicker than its bolt, and reaches so far past the middle of it, mm: typical, measure yours. */
const NUT = { over: 4, past: 10 } as const;

const mid = (a: Length, b: Length) => fromUnits((a + b) / 2);

/** The middle of all that stands. */
function middleOfAll(members: readonly Member[]): Vector {
  const { x0, x1, y0, y1, z0, z1 } = boxRound(members.map(boxOf));
  return [toMm(mid(x0, x1)), toMm(mid(y0, y1)), toMm(mid(z0, z1))];
}

/** The face that a nut is let into: the one that looks into the piece, where its hole is not seen, unless that is covered. */
function freeFace(member: Member, nut: Vector, all: readonly Member[]): Face {
  const { n } = placingOf(member);
  const inward: Face = dot(n, minus(middleOfAll(all), nut)) > 0 ? 'up' : 'down';
  const outward: Face = inward === 'up' ? 'down' : 'up';
  const [, , deep] = placeIn(member, nut);
  const isCovered = (face: Face) => {
    const by = face === 'up' ? toMm(member.thickness.value) - deep + 1 : -deep - 1;
    const before: Vector = [nut[0] + n[0] * by, nut[1] + n[1] * by, nut[2] + n[2] * by];
    return all.some(
      (other) =>
        other !== member && extentsOf(other).every(([low, high], k) => low < (before[k] as number) && (before[k] as number) < high),
    );
  };
  return isCovered(inward) && !isCovered(outward) ? outward : inward;
}

/** What bolts at one end of a member are drilled for: through what carries it, into or through it, and for barrel nuts. */
function holesForBolts({ member, carrier, end }: PlacedBolts, all: readonly Member[], unit: LengthUnit, nth: string): Hole[] {
  const { way } = end;
  const from = (at: Vector, by: number): Vector => [at[0] + way[0] * by, at[1] + way[1] * by, at[2] + way[2] * by];
  const rest = { diameter: bitOver(end.diameter + BOLT_PLAY, unit), countersunk: false } as const;
  const barrel = end.nut === 'barrel';
  return end.at.flatMap((at, i): Hole[] => {
    const through: Hole = {
      ...rest,
      id: `${nth}.${i} through`,
      part: carrier.id,
      mate: member.id,
      use: 'bolt',
      ...enteringAt(carrier, from(at, -end.through), way),
      depth: end.through,
      through: true,
    };
    const into: Hole = {
      ...rest,
      id: `${nth}.${i} into`,
      part: member.id,
      mate: carrier.id,
      use: 'bolt',
      ...enteringAt(member, at, way),
      depth: barrel ? end.into + end.diameter : end.into,
      through: !barrel,
    };
    if (!barrel) return [through, into];
    const nut = from(at, end.into);
    const on = freeFace(member, nut, all);
    const [u, v, deep] = placeIn(member, nut);
    const thick = toMm(member.thickness.value);
    const depth = Math.min(thick, (on === 'up' ? thick - deep : deep) + NUT.past);
    const across = bitOver(end.diameter + NUT.over, unit);
    return [
      through,
      into,
      {
        id: `${nth}.${i} nut`,
        part: member.id,
        mate: carrier.id,
        use: 'nut',
        on,
        along: u,
        across: v,
        diameter: across,
        depth,
        through: depth >= thick - 1e-9,
        countersunk: false,
      },
    ];
  });
}

/**
 * Every hole of a piece: pins, pocket holes and plugged holes as its joints say, for each screw that was sized
 * the one that its shank passes and the pilot that its thread bites in, and for each bolt the ones that it passes and
 * the one that its nut is let into.
 * @example holesOf(SOLVED).filter((hole) => hole.use === 'pin').length // 4
 */
export function holesOf({ parts, carried }: Solution): readonly Hole[] {
  const cut = new Set(parts.map((p) => p.id));
  const made = parts.flatMap((p) => holesMade(p.member, carried.unit));
  const screwed = allScrews(carried).flatMap((row, r) =>
    row.screws.flatMap((s, i) => holesFor(row, s, carried.unit, `${row.holds} screw ${r}.${i}`)),
  );
  const members = parts.map((p) => p.member);
  const bolts = allBolts(carried).flatMap((b, i) => holesForBolts(b, members, carried.unit, `${b.member.id} bolt ${i}`));
  return [...made, ...screwed, ...bolts].filter((h) => cut.has(h.part));
}

/** The holes of a solution are worked out once: its sheets, its steps and its drawings all ask for them. */
const known = new WeakMap<Solution, ReadonlyMap<string, readonly Hole[]>>();

/** The holes of each part, by its id. @example holesByPart(SOLVED).get('case/side/left')[0].diameter // 5 */
export function holesByPart(solution: Solution): ReadonlyMap<string, readonly Hole[]> {
  let holes = known.get(solution);
  if (!holes) {
    const byPart = new Map<string, Hole[]>(solution.parts.map((p) => [p.id, []]));
    for (const hole of holesOf(solution)) byPart.get(hole.part)?.push(hole);
    holes = byPart;
    known.set(solution, holes);
  }
  return holes;
}
