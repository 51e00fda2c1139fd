import { cutsOf, type Cut } from '../cutting/cuts.js';
import type { LaidSheet, Sawn } from '../cutting/laid.js';
import { formatLength, type Length, type Precision } from '../length/index.js';
import type { Part } from '../parts/index.js';
import type { Blank } from './blanks.js';

type SawnPart = Extract<Sawn, { kind: 'part' }>;

/** A groove, housing or rebate that several parts have alike, so that it is run through what they are all cut from. */
interface Run {
  readonly kind: 'housing' | 'groove' | 'rebate';
  /** How far it is from the edge, or the end, that is nearer. */
  readonly at: Length;
  readonly wide: Length;
  readonly deep: Length;
}

/** What is machined before a piece is cut apart: the first cut that comes after it, and what is run. */
export interface RunFirst {
  readonly before: string;
  /** Along the piece, or across it. */
  readonly way: 'along' | 'across';
  readonly parts: readonly string[];
  readonly runs: readonly Run[];
}

/** The parts that lie in one row, each cut off with the same kind of cut; null where anything else is among them. */
function rowOf(sawn: Sawn, way: Cut['way']): readonly SawnPart[] | null {
  if (sawn.kind === 'part') return [sawn];
  if (sawn.kind === 'left') return [];
  if (sawn.way !== way || sawn.near.kind !== 'part') return null;
  const rest = sawn.far ? rowOf(sawn.far, way) : [];
  return rest && [sawn.near, ...rest];
}

/**
 * The grooves of a part that go right through one way: along it or across it. Null where there are none, or on both faces, so
 * that what was run before could lie on the wrong one.
 */
function runsOf(part: Part, along: boolean): readonly Run[] | null {
  const [length, width] = [part.member.length.value, part.member.width.value];
  // What is planed or trimmed afterwards would take the edge away that the groove is measured from.
  if (part.cut.width.set !== width && along) return null;
  if (part.cut.length.set !== length && !along) return null;
  const through = part.features.flatMap((f) => {
    if (f.kind === 'hole' || f.kind === 'notch' || f.slant) return [];
    const { u0, u1, v0, v1 } = f.region;
    const [start, end, run, from, to] = along ? [u0, u1, length, v0, v1] : [v0, v1, width, u0, u1];
    return start <= 0 && end >= run ? [{ face: f.face, kind: f.kind, from, wide: (to - from) as Length, deep: f.depth }] : [];
  });
  if (through.length === 0 || through.some((f) => f.face !== through[0]?.face)) return null;
  const whole = along ? width : length;
  const laid = (turned: boolean) =>
    through
      .map(({ kind, from, wide, deep }): Run => ({ kind, at: (turned ? whole - from - wide : from) as Length, wide, deep }))
      .sort((a, b) => a.at - b.at || a.wide - b.wide || a.deep - b.deep);
  // Turned end for end a part is the same one: the way round with the first groove nearer to the edge is the one that is told.
  const [one, other] = [laid(false), laid(true)];
  return (one[0] as Run).at <= (other[0] as Run).at ? one : other;
}

function alikeIn(row: readonly SawnPart[], along: boolean, blanks: ReadonlyMap<string, Blank>): readonly Run[] | null {
  const runs = row.map((p) => {
    const blank = blanks.get(p.id);
    // Strips that a part is glued from are machined once they are one.
    return blank && !blank.strip && !blank.test && !p.turned ? runsOf(blank.part, along) : null;
  });
  const [first] = runs;
  return first && runs.every((r) => JSON.stringify(r) === JSON.stringify(first)) ? first : null;
}

/**
 * What is better machined before parts are cut apart: a groove that all parts of one strip have along it, or a housing that
 * all parts have across what they are ripped from.
 * @example runFirst(LAID, new Map(BLANKS.map((blank) => [blank.key, blank]))) // []
 */
export function runFirst(sheets: readonly LaidSheet[], blanks: ReadonlyMap<string, Blank>): readonly RunFirst[] {
  const cuts = cutsOf(sheets);
  const keyOf = new Map(cuts.map((c) => [c.of, c.key]));
  const found: RunFirst[] = [];
  const look = (sawn: Sawn): void => {
    if (sawn.kind !== 'cut') return;
    const row = rowOf(sawn, sawn.way);
    const along = sawn.way === 'crosscut';
    const runs = row && row.length > 1 ? alikeIn(row, along, blanks) : null;
    if (row && runs) {
      found.push({ before: keyOf.get(sawn) ?? '', way: along ? 'along' : 'across', parts: row.map((p) => p.id), runs });
      return;
    }
    look(sawn.near);
    if (sawn.far) look(sawn.far);
  };
  for (const { sawn } of sheets) look(sawn);
  return found;
}

/**
 * What is done before each cut, in words, by the key of the cut.
 * @example beforeCuts(LAID, BLANKS, new Map(), { unit: 'mm', step: mm(0.5) }).size // 0
 */
export function beforeCuts(
  sheets: readonly LaidSheet[],
  blanks: readonly Blank[],
  marks: ReadonlyMap<string, string>,
  precision: Precision,
): ReadonlyMap<string, string> {
  const found = runFirst(sheets, new Map(blanks.map((b) => [b.key, b])));
  return new Map(found.map((f) => [f.before, runFirstText(f, marks, precision)]));
}

/**
 * What is run first, in words. Such as "Before this is cut apart: groove 6.5 wide, 6 deep, 12 from the edge, along all of it (A, A, B)."
 * @example runFirstText({ way: 'along', parts: ['a', 'b'], runs: [{ kind: 'groove', at: mm(12), wide: mm(6.5), deep: mm(6) }] }, new Map([['a', 'A'], ['b', 'B']]), { unit: 'mm', step: mm(0.1) }) // 'Before this is cut apart: groove 6.5 wide, 6 deep, 12 from the edge, along all of it (A, B).'
 */
export function runFirstText({ way, parts, runs }: RunFirst, marks: ReadonlyMap<string, string>, precision: Precision): string {
  const write = (l: Length) => formatLength(l, precision);
  const edge = way === 'along' ? 'edge' : 'end';
  const told = runs.map(
    ({ kind, at, wide, deep }) =>
      `${kind} ${write(wide)} wide, ${write(deep)} deep, ${at > 0 ? `${write(at)} from the ${edge}` : `at the ${edge}`}`,
  );
  const names = parts.map((id) => marks.get(id) ?? id).join(', ');
  return `Before this is cut apart: ${told.join('; ')}, ${way === 'along' ? 'along' : 'across'} all of it (${names}).`;
}
