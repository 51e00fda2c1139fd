import { toMm, type Length } from '../length/index.js';
import { boxOf, type Joint, type Member } from '../piece/index.js';
import type { Beside, PanelSag } from './panel.js';
import type { LineSupport } from './plate/index.js';
import { longestOf, spansOf } from './spans.js';
import { heldAt, type Support } from './support.js';

/** How a member is held where it bends: at places along its span, along its edges, and on lines along it. */
export interface HeldBy {
  readonly ends: readonly Joint[];
  readonly edges: readonly Joint[];
  readonly lines: readonly Joint[];
}

export function heldBy(held: readonly Joint[]): HeldBy {
  const edges = held.filter((j) => j.how === 'held along');
  const placed = held.filter((j) => j.how !== 'held along');
  const across = placed.filter((j) => j.x !== undefined);
  // Between sides a panel goes across; what it lies on from the left to the right is a line along it.
  return across.length > 1 ? { ends: across, edges, lines: placed.filter((j) => j.x === undefined) } : { ends: placed, edges, lines: [] };
}

/** The lines that a panel lies on, from its front edge. */
export function linesOf(member: Member, joints: readonly Joint[]): readonly LineSupport[] {
  const { z1 } = boxOf(member);
  return joints.map((j) => ({ y: toMm((z1 - (j.z as Length)) as Length), oneWay: j.how === 'bearing' }));
}

/** How far what holds a panel beside its span is apart at most, mm. */
export function apartAcross(beside: Beside, lines: readonly LineSupport[], width: number): number {
  const places = [...lines.map((l) => l.y), ...(beside === 'both' ? [0, width] : beside === 'back' ? [width] : [])];
  const { from, to } = longestOf(spansOf(places));
  return places.length > 1 ? to - from : Infinity;
}

/** What carries a panel where more than its ends takes its part of it. */
export function shared(ends: readonly Support[], { edges, lines }: HeldBy, panel: PanelSag): readonly Support[] {
  const { result, onLines, onProps } = panel;
  const along = edges.map(({ carrier, how, by }, i): Support => ({
    carrier,
    how,
    ...(by === undefined ? {} : { by }),
    newtons: i === 0 ? result.edges.y1 : result.edges.y0,
    lifted: false,
  }));
  const under = lines.map(({ carrier, how, z }, i): Support => {
    const newtons = Math.max(0, onLines[i] ?? 0);
    return { carrier, how, ...(z === undefined ? {} : { z: toMm(z) }), newtons, lifted: newtons === 0 };
  });
  const places = ends.map((s) => s.x ?? s.z ?? 0);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  let inner = 0;
  const own = ends.map((_, i) => {
    const at = places[i] as number;
    if (at > first + 1 && at < last - 1) return onProps[inner++] ?? 0;
    return at === first ? result.edges.x0 : result.edges.x1;
  });
  // What goes down at the ends may be worse with things pushed to one of them, as it is for the beam.
  const held = ends.map((s, i): Support => {
    const newtons = own[i] as number;
    return { ...s, newtons, most: Math.max(newtons, s.newtons > 0 ? (newtons * heldAt(s)) / s.newtons : newtons) };
  });
  return [...held, ...along, ...under];
}
