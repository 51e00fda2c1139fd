import type { LaidSheet, Sawn } from '../cutting/laid.js';
import { grouped } from '../figure/index.js';
import { fromUnits, type Length } from '../length/index.js';
import { boxOf } from '../piece/index.js';
import type { Blank } from './blanks.js';

/** Fronts that are cut from one strip, one after the other, so that the grain runs on over all of them. Plain data. */
export interface Strip {
  readonly key: string;
  /** Under each other, so that the strip is as wide as all of them; or in a row, so that it is as long. */
  readonly stacked: boolean;
  readonly length: Length;
  readonly width: Length;
  readonly parts: readonly { readonly key: string; readonly length: Length; readonly width: Length }[];
}

/** Which fronts lie in one column or one row: those of a piece with the same reach across, or up. */
function placed({ part, piece, key }: Blank): { readonly column: string; readonly row: string } {
  const { x0, x1, y0, y1 } = boxOf(part.member);
  const copy = [piece.id, key.slice(piece.id.length + part.id.length + 2)].join(' ');
  return { column: `${copy} ${x0} ${x1}`, row: `${copy} ${y0} ${y1}` };
}

const sum = (lengths: readonly Length[], kerf: Length) => fromUnits(lengths.reduce((all, l) => all + l, 0) + (lengths.length - 1) * kerf);

/**
 * Strips that fronts are cut from in order, from the top down or from the left: those that are as long in a column, or as
 * high in a row. A front that a person holds somewhere is in none.
 * @param fits whether a strip comes out of anything there is
 * @example frontStrips(BLANKS, mm(3), new Set(), () => true) // []
 */
export function frontStrips(
  blanks: readonly Blank[],
  kerf: Length,
  held: ReadonlySet<string>,
  fits: (length: Length, width: Length) => boolean,
): readonly Strip[] {
  const fronts = blanks.filter((b) => b.part.member.role === 'drawer front' && !b.spare && !b.test && b.strip === null && !held.has(b.key));
  const taken = new Set<Blank>();
  const strips: Strip[] = [];
  const take = (group: readonly Blank[], stacked: boolean) => {
    const alike = (size: 'length' | 'width') => group.every((b) => b[size] === (group[0] as Blank)[size]);
    const all = group.filter((b) => !taken.has(b));
    if (all.length < 2 || !alike(stacked ? 'length' : 'width')) return;
    const ordered = [...all].sort((a, b) => {
      const [p, q] = [boxOf(a.part.member), boxOf(b.part.member)];
      return stacked ? q.y0 - p.y0 : p.x0 - q.x0;
    });
    const sizeOf = (some: readonly Blank[]) => {
      const [first] = some as [Blank];
      const lengths = some.map((b) => b.length);
      const widths = some.map((b) => b.width);
      return stacked ? ([first.length, sum(widths, kerf)] as const) : ([sum(lengths, kerf), first.width] as const);
    };
    // As many in a row as come out of one sheet, then the next ones.
    const runs: Blank[][] = [];
    for (const b of ordered) {
      const last = runs.at(-1);
      if (last && fits(...sizeOf([...last, b]))) last.push(b);
      else runs.push([b]);
    }
    for (const run of runs.filter((r) => r.length > 1)) {
      const [length, width] = sizeOf(run);
      run.forEach((b) => taken.add(b));
      const parts = run.map(({ key, length: l, width: w }) => ({ key, length: l, width: w }));
      strips.push({ key: `strip ${(run[0] as Blank).key}`, stacked, length, width, parts });
    }
  };
  const several = (keyOf: (b: Blank) => string) => grouped(fronts, keyOf).filter((g) => g.length > 1);
  several((b) => placed(b).column).forEach((g) => take(g, true));
  several((b) => placed(b).row).forEach((g) => take(g, false));
  return strips;
}

type Leaf = Extract<Sawn, { kind: 'part' }>;

/** A strip as it is cut up: one part after the other, each from what is left. */
function cutUp(leaf: Leaf, { stacked, parts }: Strip, kerf: Length): Sawn {
  const across = stacked !== leaf.turned;
  const from = (nth: number, box: Omit<Leaf, 'kind' | 'id'>): Sawn => {
    const part = parts[nth] as Strip['parts'][number];
    if (nth === parts.length - 1) return { kind: 'part', id: part.key, ...box };
    const at = stacked ? part.width : part.length;
    const near: Sawn = { kind: 'part', id: part.key, ...box, ...(across ? { width: at } : { length: at }) };
    const rest = across
      ? { ...box, y: fromUnits(box.y + at + kerf), width: fromUnits(box.width - at - kerf) }
      : { ...box, x: fromUnits(box.x + at + kerf), length: fromUnits(box.length - at - kerf) };
    const { x, y, length, width } = box;
    return { kind: 'cut', x, y, length, width, way: across ? 'rip' : 'crosscut', at, near, far: from(nth + 1, rest) };
  };
  const { x, y, length, width, turned } = leaf;
  return from(0, { x, y, length, width, turned });
}

function withStrips(sawn: Sawn, strips: ReadonlyMap<string, Strip>, kerf: Length): Sawn {
  if (sawn.kind === 'left') return sawn;
  if (sawn.kind === 'part') {
    const strip = strips.get(sawn.id);
    return strip ? cutUp(sawn, strip, kerf) : sawn;
  }
  return { ...sawn, near: withStrips(sawn.near, strips, kerf), far: sawn.far && withStrips(sawn.far, strips, kerf) };
}

/**
 * An answer about strips as one about the parts that are cut from them.
 * @example stripsCut({ laid: [], missing: ['strip'] }, [{ key: 'strip', parts: [{ key: 'a' }, { key: 'b' }] }], mm(3)).missing // ['a', 'b']
 */
export function stripsCut<T extends { readonly laid: readonly LaidSheet[]; readonly missing: readonly string[] }>(
  answer: T,
  all: readonly Strip[],
  kerf: Length,
): T {
  if (all.length === 0) return answer;
  const strips = new Map(all.map((s) => [s.key, s]));
  return {
    ...answer,
    laid: answer.laid.map((sheet) => ({ ...sheet, sawn: withStrips(sheet.sawn, strips, kerf) })),
    missing: answer.missing.flatMap((key) => strips.get(key)?.parts.map((p) => p.key) ?? [key]),
  };
}
