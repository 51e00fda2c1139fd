import { size, type Figure } from '../figure/index.js';
import { ZERO, ceilTo, floorTo, inch, mm, sub, type Length } from '../length/index.js';
import type { Edges, Feature, Letters, Member, Purpose } from '../piece/index.js';
import { letter } from './letters.js';
import { likenessOf } from './hand.js';

/** One piece of wood to cut. */
export interface Part {
  readonly id: string;
  readonly letter: string;
  readonly member: Member;
  /** Finished sizes, with the sum behind each. */
  readonly length: Figure;
  readonly width: Figure;
  readonly thickness: Figure;
  /** What is cut: the finished size less what an edging adds, brought to the shop precision by its purpose. */
  readonly cut: { readonly length: CutSize; readonly width: CutSize };
  readonly edges: Edges;
  readonly features: readonly Feature[];
}

/** Whether there is anything to cut of a part. @example isCuttable(PART) // true */
export function isCuttable({ cut }: Part): boolean {
  return cut.length.set > ZERO && cut.width.set > ZERO;
}

/** The coarsest step that a saw is set by. */
const COARSEST = inch(1 / 8);

/**
 * The step that cutting sizes are brought to: the grid that a piece is set out on, unless that is a pitch coarser than any saw is set by.
 * @example sawStep(mm(0.5)) // mm(0.5)
 */
export function sawStep(grid: Length): Length {
  if (grid <= COARSEST) return grid;
  return grid % COARSEST === 0 ? COARSEST : mm(1);
}

/** A size to set the saw to. */
export interface CutSize {
  readonly figure: Figure;
  readonly set: Length;
  /** What was rounded off; negative where it was rounded down. */
  readonly off: Length;
}

/** Equal parts shown as one line. */
export interface PartRow {
  readonly parts: readonly Part[];
  readonly first: Part;
  readonly count: number;
  /** So many more are cut, to spare. */
  readonly spares: number;
  /** Left or right, where other parts are its reflection and it cannot be turned to match; else none. */
  readonly hand: 'left' | 'right' | null;
}

function cutSize(figure: Figure, purpose: Purpose, edging: Figure | null, over: Length, step: Length): CutSize {
  const bare = edging ? figure.minus(edging) : figure;
  const cut = over === ZERO ? bare : bare.plus(size(purpose === 'trimmed' ? 'to trim' : 'to plane', over));
  const set = purpose === 'between' ? floorTo(cut.value, step) : ceilTo(cut.value, step);
  return { figure: cut, set, off: sub(set, cut.value) };
}

function edgingAlong(edges: readonly Edges[keyof Edges][], banding: Length): Figure | null {
  const banded = edges.filter((e) => e === 'banded').length;
  if (banded === 0 || banding === ZERO) return null;
  const one = size('edging', banding, { in: 'piece', field: 'edges.banding' });
  return banded === 1 ? one : one.times(banded).named('edging on both');
}

/**
 * The parts of a piece with their letters and cutting sizes.
 * @param step the grid of the shop that cutting sizes are brought to
 * @returns the parts in the order of the members, and the ledger with any new letters
 * @example partsOf([SHELF], {}, mm(0), mm(1)).letters // { shelf: 'A' }
 */
export function partsOf(
  members: readonly Member[],
  ledger: Letters,
  banding: Length,
  step: Length,
): { parts: readonly Part[]; letters: Letters } {
  const letters = letter(
    members.map((m) => m.id),
    ledger,
  );
  const parts = members.map((member): Part => {
    const { edges } = member;
    return {
      id: member.id,
      letter: letters[member.id] as string,
      member,
      length: member.length,
      width: member.width,
      thickness: member.thickness,
      cut: {
        length: cutSize(
          member.length,
          member.purpose.length,
          edgingAlong([edges.u0, edges.u1], banding),
          member.over?.length ?? ZERO,
          step,
        ),
        width: cutSize(member.width, member.purpose.width, edgingAlong([edges.v0, edges.v1], banding), member.over?.width ?? ZERO, step),
      },
      edges,
      features: member.features,
    };
  });
  return { parts, letters };
}

/**
 * Parts with equal ones put in one row, in the order of their first letters. Two rows that
 * match only by reflection are left and right: left is the one that lies further left.
 * @example rowsOf(SOLVED.parts).reduce((sum, row) => sum + row.parts.length, 0) // SOLVED.parts.length
 */
export function rowsOf(parts: readonly Part[]): readonly PartRow[] {
  const groups = new Map<string, { parts: Part[]; either: string }>();
  const reflected = new Map<string, Set<string>>();
  for (const part of parts) {
    const likeness = likenessOf(part.member);
    const [same, either] = [`${part.member.role} ${likeness.same}`, `${part.member.role} ${likeness.either}`];
    const group = groups.get(same);
    if (group) group.parts.push(part);
    else groups.set(same, { parts: [part], either });
    const kinds = reflected.get(either);
    if (kinds) kinds.add(same);
    else reflected.set(either, new Set([same]));
  }
  const leftmost = (key: string) => Math.min(...(groups.get(key)?.parts ?? []).map((p) => p.member.frame.origin.x));
  return [...groups].map(([key, { parts: equal, either }]) => {
    const [first] = [...(reflected.get(either) ?? [])].sort((a, b) => leftmost(a) - leftmost(b));
    const handed = (reflected.get(either)?.size ?? 0) > 1;
    const spares = equal.reduce((sum, p) => sum + (p.member.spares ?? 0), 0);
    return { parts: equal, first: equal[0] as Part, count: equal.length, spares, hand: handed ? (key === first ? 'left' : 'right') : null };
  });
}
