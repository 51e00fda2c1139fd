import { len, say, type Sentence } from '../figure/index.js';
import { fromUnits, toMm, type Length } from '../length/index.js';
import { lettersText, rowsOf, type Part, type PartRow } from '../parts/index.js';
import type { Solution } from '../solution/index.js';
import { causeOf } from './causes.js';
import type { PlanRow } from './list.js';

/** What a list is usually rounded to; less than this is no difference, mm. */
const SAME = 0.5;
/** Sizes further apart than this are of two different parts, mm in all. */
const APART = 260;

type Side = 'length' | 'width' | 'thickness';

/** One thing in a list that does not add up with the piece. */
export interface Difference {
  /** The line of the list; null for what is not in it. */
  readonly line: number | null;
  readonly kind: 'size' | 'count' | 'missing' | 'not of it';
  /** The parts it is about. */
  readonly parts: readonly string[];
  readonly side: Side | null;
  /** How much larger, or how many more, the list has it. */
  readonly by: number;
  readonly sentence: Sentence;
}

interface Pair {
  readonly row: PlanRow;
  readonly of: PartRow;
  /** Length and width change places in the list. */
  readonly turned: boolean;
  readonly cost: number;
}

const words = (text: string) => new Set(text.toLowerCase().match(/[a-z]{3,}/g) ?? []);

function sharesName(row: PlanRow, { first }: PartRow): boolean {
  const own = words(`${first.member.role} ${first.member.label}`);
  return [...words(row.name)].some((w) => own.has(w) || own.has(w.replace(/s$/, '')) || own.has(w.replace(/ves$/, 'f')));
}

const sizesOf = ({ first }: PartRow) => [first.cut.length.set, first.cut.width.set, first.thickness.value] as const;

/** How unlike a line and a kind of part are: what they differ by, mm; more where the name is another, or the thickness is. */
function pairOf(row: PlanRow, of: PartRow): Pair {
  const [l, w, t] = sizesOf(of).map(toMm) as [number, number, number];
  const off = (a: Length, b: Length) => Math.abs(toMm(a) - l) + Math.abs(toMm(b) - w);
  const [straight, across] = [off(row.length, row.width), off(row.width, row.length)];
  const turned = across < straight - SAME;
  const named = sharesName(row, of) ? 0 : 60;
  return { row, of, turned, cost: Math.min(straight, across) + 6 * Math.abs(toMm(row.thickness) - t) + named };
}

/** Which line means which kind of part: the likest first, as many as there are. */
function matched(rows: readonly PlanRow[], parts: readonly PartRow[]) {
  const left = new Map<PlanRow, number>(rows.map((r) => [r, r.count]));
  const wanted = new Map<PartRow, number>(parts.map((p) => [p, p.count]));
  const pairs = rows.flatMap((row) => parts.map((of) => pairOf(row, of))).sort((a, b) => a.cost - b.cost);
  const found: { readonly pair: Pair; readonly count: number }[] = [];
  for (const pair of pairs) {
    if (pair.cost > APART) break;
    const count = Math.min(left.get(pair.row) ?? 0, wanted.get(pair.of) ?? 0);
    if (count === 0) continue;
    left.set(pair.row, (left.get(pair.row) ?? 0) - count);
    wanted.set(pair.of, (wanted.get(pair.of) ?? 0) - count);
    found.push({ pair, count });
  }
  return { found, left, wanted };
}

const lettersOf = ({ parts }: PartRow) => lettersText(parts.map((p) => p.letter));

/** What a wrong size does when the piece is put together. */
function atDryFit(side: Side, by: Length, { member }: Part): string {
  if (side === 'thickness') return 'Housings and grooves cut for it would not fit, and everything that lies against it moves.';
  const between = side === 'length' ? member.purpose.length === 'between' : member.purpose.width === 'between';
  if (by > 0)
    return between ? 'At the dry fit it does not go in: it pushes apart what it goes between.' : 'At the dry fit it stands out by as much.';
  return between
    ? 'At the dry fit it leaves a gap, or pulls what it goes between out of square.'
    : 'At the dry fit it does not cover what it should.';
}

function sizeDifferences({ row, of, turned }: Pair, solution: Solution): Difference[] {
  const [length, width, thickness] = sizesOf(of);
  const given = turned ? [row.width, row.length] : [row.length, row.width];
  const sides: readonly (readonly [Side, Length, Length])[] = [
    ['length', given[0] as Length, length],
    ['width', given[1] as Length, width],
    ['thickness', row.thickness, thickness],
  ];
  return sides.flatMap(([side, has, wants]): Difference[] => {
    const by = fromUnits(has - wants);
    // A sheet told by what it is sold as is no fault of the list, as long as the sizes go by what it measures.
    const isNominal = side === 'thickness' && Math.abs(toMm(has) - toMm(of.first.member.stock.nominal)) < SAME;
    if (Math.abs(toMm(by)) <= SAME || isNominal) return [];
    const cause = side === 'thickness' ? null : causeOf(by, of.first, solution);
    const amount = len(fromUnits(Math.abs(by)));
    const how = side === 'length' ? ['long', 'short'] : side === 'width' ? ['wide', 'narrow'] : ['thick', 'thin'];
    const sentence = say`Line ${row.line}, ${row.name}: ${amount} too ${how[by > 0 ? 0 : 1] as string}. It has ${len(has)}, and ${lettersOf(of)} want${of.count > 1 ? '' : 's'} ${len(wants)}${cause ? say`: ${cause}` : ''}. ${atDryFit(side, by, of.first)}`;
    return [{ line: row.line, kind: 'size', parts: of.parts.map((p) => p.id), side, by: toMm(by), sentence }];
  });
}

/**
 * A cut list from elsewhere held against a piece of the same overall sizes: each size that does not add up, by how much, what
 * it most likely comes from, and what it would do at the dry fit; and what is missing or too many.
 * @example againstList([], SOLVED).length // 4
 */
export function againstList(rows: readonly PlanRow[], solution: Solution): readonly Difference[] {
  const { found, left, wanted } = matched(rows, rowsOf(solution.parts));
  const sizes = found.flatMap(({ pair }) => sizeDifferences(pair, solution));
  const matchedTo = new Map(found.map(({ pair }) => [pair.row, pair.of]));
  const over = [...left].flatMap(([row, count]): Difference[] => {
    if (count === 0) return [];
    const of = matchedTo.get(row);
    const sentence = of
      ? say`Line ${row.line}, ${row.name}: ${row.count} in the list, and ${row.count - count} are needed (${lettersOf(of)}).`
      : say`Line ${row.line}, ${row.name}, ${len(row.length)} by ${len(row.width)}: no part of this piece is anything like it.`;
    return [{ line: row.line, kind: of ? 'count' : 'not of it', parts: of?.parts.map((p) => p.id) ?? [], side: null, by: count, sentence }];
  });
  const partly = new Map(found.map(({ pair }) => [pair.of, pair.row]));
  const missing = [...wanted].flatMap(([of, count]): Difference[] => {
    if (count === 0) return [];
    const row = partly.get(of);
    const { first } = of;
    const sentence = row
      ? say`Line ${row.line}, ${row.name}: ${of.count - count} in the list, and ${of.count} are needed (${lettersOf(of)}).`
      : say`${lettersOf(of)}, ${first.member.role}, ${len(first.cut.length.set)} by ${len(first.cut.width.set)}: not in the list${of.count > 1 ? `, and there are ${of.count}` : ''}.`;
    return [
      { line: row?.line ?? null, kind: row ? 'count' : 'missing', parts: of.parts.map((p) => p.id), side: null, by: -count, sentence },
    ];
  });
  return [...sizes, ...over, ...missing].sort((a, b) => (a.line ?? Infinity) - (b.line ?? Infinity));
}
