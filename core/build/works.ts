import { isPlain, type EdgeTreatment, type Edges, type Feature, type Joint } from '../piece/index.js';
import type { Part } from '../parts/index.js';
import type { Solution } from '../solution/index.js';
import { holesByPart, type Hole } from './holes.js';

type Recess = Exclude<Feature, { kind: 'hole' }>;

/** One thing that is done: to a part, or between two of them. */
export type Work =
  | { readonly kind: 'saw' | 'shape'; readonly id: string; readonly part: string }
  | { readonly kind: 'edge'; readonly id: string; readonly part: string; readonly edge: keyof Edges; readonly is: EdgeTreatment }
  | { readonly kind: 'recess'; readonly id: string; readonly part: string; readonly recess: Recess }
  | { readonly kind: 'hole'; readonly id: string; readonly part: string; readonly hole: Hole }
  | { readonly kind: 'join'; readonly id: string; readonly joint: Joint };

/** What is done to a part, before it is put together with any other. */
export type PartWork = Exclude<Work, { kind: 'join' }>;

const EDGES = ['u0', 'u1', 'v0', 'v1'] as const;

function worksOf(part: Part, holes: readonly Hole[]): PartWork[] {
  const { id, member } = part;
  const recesses = part.features.flatMap((f, i): PartWork[] =>
    f.kind === 'hole' ? [] : [{ kind: 'recess', id: `${id} recess ${i}`, part: id, recess: f }],
  );
  return [
    { kind: 'saw', id: `${id} saw`, part: id },
    ...(isPlain(member) ? [] : [{ kind: 'shape' as const, id: `${id} shape`, part: id }]),
    ...EDGES.filter((e) => part.edges[e] !== 'square').map((edge): PartWork => {
      return { kind: 'edge', id: `${id} edge ${edge}`, part: id, edge, is: part.edges[edge] };
    }),
    ...recesses,
    ...holes.map((hole): PartWork => ({ kind: 'hole', id: hole.id, part: id, hole })),
  ];
}

/** What is done to each part of a piece, by its id. @example partWorksOf(SOLVED).size // 5 */
export function partWorksOf(solution: Solution): ReadonlyMap<string, readonly PartWork[]> {
  const holes = holesByPart(solution);
  return new Map(solution.parts.map((p) => [p.id, worksOf(p, holes.get(p.id) ?? [])]));
}
