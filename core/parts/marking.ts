import { inTerms, termsOf } from '../figure/index.js';
import { PIN } from '../joints/index.js';
import { ZERO, formatLength, formatSold, sub, type Length, type Precision } from '../length/index.js';
import type { Edges, EdgeTreatment, Feature, Member } from '../piece/index.js';
import type { Part } from './parts.js';
import { aslantText, endName, slantedText } from './aslant.js';
import { edgeName, faceName } from './sides.js';

type Hole = Extract<Feature, { kind: 'hole' }>;
type Recess = Exclude<Feature, Hole>;

const ALL_ROUND = 'all round';
const ENDS = ['u0', 'u1'] as const;
const LONG = ['v0', 'v1'] as const;

/** Edges of a treatment in few words: all round, both ends, both long edges, or each by its name. */
function whichEdges(part: Part, treatment: EdgeTreatment): string {
  const all = (keys: readonly (keyof Edges)[]) => keys.every((key) => part.edges[key] === treatment);
  if (all([...ENDS, ...LONG])) return ALL_ROUND;
  const some = (keys: readonly (keyof Edges)[], both: string) =>
    all(keys) ? [both] : keys.filter((key) => part.edges[key] === treatment).map((key) => edgeName(part.member, key));
  return [...some(LONG, 'both long edges'), ...some(ENDS, 'both ends')].join(', ');
}

/** Which edges of a part are covered or eased, as builders note it. @example "both ends banded; front edge eased" */
export function edgesText(part: Part): string {
  return (['banded', 'eased'] as const)
    .map((treatment) => [treatment, whichEdges(part, treatment)] as const)
    .filter(([, where]) => where !== '')
    .map(([treatment, where]) => (where === ALL_ROUND ? `${treatment} ${where}` : `${where} ${treatment}`))
    .join('; ');
}

/** What the holes of a part are for, by how they are drilled. @example holesText({ plugged: true }, PART) // 'plugged holes' */
export function holesText(feature: Hole, part: Part): string {
  if (feature.plugged) return 'plugged holes';
  if (feature.diameter === PIN.diameter) return 'pin holes';
  return feature.depth >= part.thickness.value ? 'screw holes' : 'pocket holes';
}

/**
 * One line of machining: what, how wide and deep, on which face, and where from which end and edge; through, or where it stops.
 * @example machiningText({ kind: 'hole', face: 'upper', at: { u: mm(100), v: mm(50) }, diameter: mm(5), depth: mm(10) }, PART, { unit: 'mm', step: mm(0.1) }) // 'hole Ø5, 10 deep, on the upper face, 100 from the left end, 50 from the front edge'
 */
export function machiningText(feature: Feature, { member }: Part, precision: Precision): string {
  const write = (l: number) => formatLength(l as Length, precision);
  if (feature.kind === 'hole')
    return `${holeSize(feature, member, (l) => formatSold(l as Length, precision))}, ${placeOf(feature, member, write)}`;
  const recess = feature.slant ? slantedText({ ...feature, slant: feature.slant }, member, precision) : recessText(feature, member, write);
  return inTerms(recess, termsOf(precision));
}

type Write = (length: number) => string;

function holeSize({ diameter, depth, face }: Hole, member: Member, write: Write): string {
  const deep = depth >= member.thickness.value ? 'right through, from the' : `${write(depth)} deep, on the`;
  return `hole Ø${write(diameter)}, ${deep} ${faceName(member, face)}`;
}

/** From the start of the length, and from the edge that is nearer. */
function placeOf({ at }: Hole, member: Member, write: Write): string {
  const far = at.v * 2 > member.width.value;
  const [aside, edge] = far ? ([sub(member.width.value, at.v), 'v1'] as const) : ([at.v, 'v0'] as const);
  return `${write(at.u)} from the ${endName(member)}, ${write(aside)} from the ${edgeName(member, edge)}`;
}

function recessText(feature: Recess, member: Member, write: Write): string {
  const { u0, u1, v0, v1 } = feature.region;
  const [length, width] = [member.length.value, member.width.value];
  // What runs along the part keeps from an edge; what runs across it, from an end.
  const along = u1 - u0 > v1 - v0;
  const [from, to, whole, start, end] = along ? ([v0, v1, width, 'v0', 'v1'] as const) : ([u0, u1, length, 'u0', 'u1'] as const);
  const name = (edge: keyof Edges) => edgeName(member, edge);
  const place =
    from === ZERO
      ? `at the ${name(start)}`
      : to === whole && feature.kind !== 'notch'
        ? `at the ${name(end)}`
        : `${write(from)} from the ${name(start)}`;
  const [a, b, run, first, last] = along ? ([u0, u1, length, 'u0', 'u1'] as const) : ([v0, v1, width, 'v0', 'v1'] as const);
  const [before, after] = [a, run - b];
  if (feature.kind === 'notch') {
    const open = before === 0 ? name(first) : name(last);
    return `notch ${write(to - from)} wide, ${write(b - a)} long, right through, ${place}, open to the ${open}`;
  }
  const stops = [before > 0 ? `${write(before)} from the ${name(first)}` : '', after > 0 ? `${write(after)} from the ${name(last)}` : ''];
  const reach = before === 0 && after === 0 ? 'from edge to edge' : `stopped ${stops.filter(Boolean).join(' and ')}`;
  return `${feature.kind} ${write(to - from)} wide, ${write(feature.depth)} deep, on the ${faceName(member, feature.face)}, ${place}, ${along && before === 0 && after === 0 ? 'from end to end' : reach}`;
}

/**
 * What is done to a part besides sawing it, in a line; what is alike is told once.
 * @example "front edge eased; groove 5 deep; notch 90 × 25"
 */
export function doneText(part: Part, precision: Precision): string {
  const write = (l: Length) => formatLength(l, precision);
  const machining = part.features.map((f) => {
    if (f.kind === 'hole') return holesText(f, part);
    const { u0, u1, v0, v1 } = f.region;
    return f.kind === 'notch' ? `notch ${write(sub(u1, u0))} × ${write(sub(v1, v0))}` : `${f.kind} ${write(f.depth)} deep`;
  });
  const done = [edgesText(part), ...aslantText(part.member, precision), ...new Set(machining)].filter(Boolean).join('; ');
  return inTerms(done, termsOf(precision));
}
