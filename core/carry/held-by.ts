import type { Joint, Member } from '../piece/index.js';
import type { Vector } from '../solid/index.js';
import { exactly, reachAlong } from './fixings/contact.js';
import { lineOf, wayAlong } from './line.js';
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

export function heldBy(member: Member, held: readonly Joint[]): HeldBy {
  const edges = held.filter((j) => j.how === 'held along');
  const placed = held.filter((j) => j.how !== 'held along');
  const ways = placed.reduce<readonly (readonly Joint[])[]>((known, j) => {
    const same = known.findIndex(([first]) => first?.on && j.on && wayAlong(first.on.along, j.on.along) !== 0);
    return same < 0 ? [...known, [j]] : known.map((way, i) => (i === same ? [...way, j] : way));
  }, []);
  const spanning = (along: Vector) => ways.find(([first]) => first?.on && wayAlong(first.on.along, along) !== 0);
  // Between what holds its ends a panel goes along its grain, else from one to the other that hold it; what it lies on beside that are lines along it.
  const lengthwise = spanning(member.frame.u) ?? [];
  const ends = lengthwise.length > 1 ? lengthwise : (ways.find((way) => way.length > 1) ?? placed);
  return { ends, edges, lines: placed.filter((j) => !ends.includes(j)) };
}

/** The lines that a panel lies on, from its front edge. */
export function linesOf(member: Member, joints: readonly Joint[]): readonly LineSupport[] {
  return joints.flatMap(({ on, how }) => {
    if (!on) return [];
    const { along, at } = lineOf(on);
    return [{ y: exactly(reachAlong(member, along)[1] - at), oneWay: how === 'bearing' }];
  });
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
  const under = lines.map(({ carrier, how, on }, i): Support => {
    const newtons = Math.max(0, onLines[i] ?? 0);
    return { carrier, how, ...(on ? { on: lineOf(on) } : {}), newtons, lifted: newtons === 0 };
  });
  const places = ends.map((s) => s.on?.at ?? 0);
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
