import { fromUnits, type Length } from '../length/index.js';
import type { Part } from '../parts/index.js';
import type { Made, MadePart } from '../survey/index.js';
import type { Solution } from '../solution/index.js';

/** A part that another one, cut already, could still become. */
export interface Becomes {
  readonly part: Part;
  /** What is cut off for it. */
  readonly off: { readonly length: Length; readonly width: Length };
}

/** Less than this is nothing to cut off, and nothing that is missing. */
const HAIR = fromUnits(8000);

const reachesTo = (has: Length, wants: Length) => has >= wants - HAIR;
const over = (has: Length, wants: Length) => fromUnits(Math.max(0, has - wants));

/**
 * What a part that is cut could still become: parts of the same stock that are not cut yet, and no larger; what loses
 * least comes first, at most three. Its own machining is not looked at: it must lie in what is cut off.
 * @param spoiled the part as it is, which it was to be
 * @example couldBecome({ length: mm(500), width: mm(200), thickness: mm(20) }, PART, SOLVED.parts, new Map()) // []
 */
export function couldBecome(made: MadePart, spoiled: Part, parts: readonly Part[], cut: Made | undefined): readonly Becomes[] {
  const seen = new Set<string>();
  return parts
    .filter((p) => p.id !== spoiled.id && p.member.stockId === spoiled.member.stockId && !cut?.has(p.id))
    .filter((p) => reachesTo(made.length, p.cut.length.set) && reachesTo(made.width, p.cut.width.set))
    .map((part): Becomes => ({
      part,
      off: { length: over(made.length, part.cut.length.set), width: over(made.width, part.cut.width.set) },
    }))
    .sort((a, b) => a.off.length * made.width + a.off.width * made.length - (b.off.length * made.width + b.off.width * made.length))
    .filter(({ part }) => {
      const kind = `${part.cut.length.set} ${part.cut.width.set}`;
      return !seen.has(kind) && seen.add(kind);
    })
    .slice(0, 3);
}

/** What becomes of one part that is cut when the piece is made otherwise. */
export interface Reworked {
  readonly part: Part;
  readonly was: { readonly length: Length; readonly width: Length };
  readonly off: { readonly length: Length; readonly width: Length };
  /** It is large enough for what it is to be. */
  readonly reaches: boolean;
  /** Its machining is not where it was any more. */
  readonly moves: boolean;
}

/** What it costs to make a piece otherwise out of parts that are cut: they only ever get smaller. */
export interface Rework {
  readonly parts: readonly Reworked[];
  /** Parts that are cut and that it has no use for. */
  readonly unused: readonly MadePart[];
  /** Parts that must be cut anew. */
  readonly anew: readonly Part[];
  /** What is cut off in all, mm² of face. */
  readonly lost: number;
}

const marksOf = ({ features }: Part) => JSON.stringify(features.map((f) => ({ ...f, mate: undefined })));

/**
 * What becomes of the parts that are cut when a piece is made otherwise.
 * @param before the piece as they were cut for
 * @param after the piece as it is to be
 * @example reworkOf(SOLVED, SOLVED, new Map()).anew // []
 */
export function reworkOf(before: Solution, after: Solution, made: Made): Rework {
  const was = new Map(before.parts.map((p) => [p.id, p]));
  const kept = after.parts.filter((p) => made.has(p.id));
  const parts = kept.map((part): Reworked => {
    const fact = made.get(part.id) as MadePart;
    const then = was.get(part.id);
    return {
      part,
      was: { length: fact.length, width: fact.width },
      off: { length: over(fact.length, part.cut.length.set), width: over(fact.width, part.cut.width.set) },
      // What came out the wrong way round does for nothing that it was to be.
      reaches: fact.wrong === undefined && reachesTo(fact.length, part.cut.length.set) && reachesTo(fact.width, part.cut.width.set),
      moves: then !== undefined && marksOf(then) !== marksOf(part),
    };
  });
  const there = new Set(after.parts.map((p) => p.id));
  const lost = parts
    .filter((r) => r.reaches)
    .reduce((sum, { was: w, off }) => sum + w.length * w.width - (w.length - off.length) * (w.width - off.width), 0);
  return {
    parts,
    unused: [...made.values()].filter((m) => !there.has(m.part)),
    anew: parts.filter((r) => !r.reaches).map((r) => r.part),
    lost: lost / 80_000 ** 2,
  };
}
