import type { BeamSpec } from './beam.js';
import type { Joint, Member } from '../piece/index.js';
import type { Vector } from '../solid/index.js';
import { exactly, reachAlong } from './fixings/contact.js';
import { lineOf, wayAlong, type Line } from './line.js';
import type { Beside, PanelSag } from './panel.js';
import type { LineSupport } from './plate/index.js';
import { longestOf, spansOf } from './spans.js';
import { heldAt, type Support } from './support.js';
import { asNewtons } from '../measures/index.js';

/** How a member is held where it bends: at places along its span, along its edges, and on lines along it. */
export interface HeldBy {
  readonly ends: readonly Joint[];
  readonly edges: readonly Joint[];
  readonly lines: readonly Joint[];
}

/** Lines so near to each other are one, mm. */
const SAME = 1e-3;

/** How far two lines are apart, mm; Infinity where they go different ways. */
function apartBy(a: Line, b: Line): number {
  const way = wayAlong(a.along, b.along);
  return way === 0 ? Infinity : Math.abs(a.at - way * b.at);
}

/** Joints by the line that they lie on: those of several carriers end to end are one support. */
export function linesShared(held: readonly Joint[]): readonly (readonly [Joint, ...Joint[]])[] {
  const lines: [Joint, ...Joint[]][] = [];
  for (const joint of held) {
    const { on, how } = joint;
    const same = on && lines.find(([first]) => first.how === how && first.on && apartBy(lineOf(first.on), lineOf(on)) < SAME);
    if (same) same.push(joint);
    else lines.push([joint]);
  }
  return lines;
}

/** What each line carries, dealt to its carriers: by their parts where these are said, else evenly. */
export function dealt(supports: readonly Support[], lines: ReturnType<typeof linesShared>): readonly Support[] {
  return supports.flatMap((support) => {
    const line = lines.find(([first]) => first.carrier === support.carrier && first.how === support.how && sameLine(first, support)) ?? [];
    if (line.length < 2) return [support];
    const parts = line.map((j) => j.part ?? 1 / line.length);
    const whole = parts.reduce((sum, p) => sum + p, 0);
    return line.map(({ carrier }, i): Support => {
      const part = (parts[i] as number) / whole;
      return {
        ...support,
        carrier,
        newtons: asNewtons(support.newtons * part),
        ...(support.most === undefined ? {} : { most: support.most * part }),
      };
    });
  });
}

/** Whether a support is on the line of a joint. */
const sameLine = ({ on }: Joint, support: Support): boolean =>
  on && support.on ? apartBy(lineOf(on), support.on) < SAME : on === support.on;

/** A panel that reaches further past what holds it, as a part of its length, goes the other way where it is held there. */
const PAST = 0.25;

/** How much of a member is past what holds it along one way, as a part of its length that way. */
function past(member: Member, way: readonly Joint[]): number {
  const [first] = way;
  if (!first?.on) return 1;
  const { along } = lineOf(first.on);
  const [from, to] = reachAlong(member, along);
  const places = way.flatMap(({ on }) => (on ? [lineOf(on).at * wayAlong(along, on.along)] : []));
  return 1 - (Math.max(...places) - Math.min(...places)) / (to - from);
}

/** How much of a member square to a way is past all that carries it that way, as a part of its length there: nothing holds it where none of them runs. */
function bare(member: Member, way: readonly Joint[], byId: ReadonlyMap<string, Member>): number {
  const [first] = way;
  if (!first?.on) return 1;
  const [x, , z] = first.on.along;
  const across: Vector = [z, 0, x];
  const [from, to] = reachAlong(member, across);
  const carriers = way.flatMap(({ carrier }) => byId.get(carrier) ?? []);
  if (carriers.length === 0) return 0;
  const reach = carriers.map((c) => reachAlong(c, across));
  const [low, high] = [Math.min(...reach.map((r) => r[0])), Math.max(...reach.map((r) => r[1]))];
  return (Math.max(0, low - from) + Math.max(0, to - high)) / (to - from);
}

export function heldBy(member: Member, held: readonly Joint[], byId: ReadonlyMap<string, Member>): HeldBy {
  const edges = held.filter((j) => j.how === 'held along');
  const placed = held.filter((j) => j.how !== 'held along');
  const ways = placed.reduce<readonly (readonly Joint[])[]>((known, j) => {
    const same = known.findIndex(([first]) => first?.on && j.on && wayAlong(first.on.along, j.on.along) !== 0);
    return same < 0 ? [...known, [j]] : known.map((way, i) => (i === same ? [...way, j] : way));
  }, []);
  const spanning = (along: Vector) => ways.find(([first]) => first?.on && wayAlong(first.on.along, along) !== 0);
  // Between what holds its ends a panel goes along its grain, else from one to the other that hold it; what it lies on beside that are lines along it.
  const lengthwise = spanning(member.frame.u) ?? [];
  const several = ways.filter((way) => way.length > 1);
  const reaching = several.find((way) => past(member, way) <= PAST && bare(member, way, byId) <= PAST);
  const ends = lengthwise.length > 1 && (past(member, lengthwise) <= PAST || !reaching) ? lengthwise : (reaching ?? several[0] ?? placed);
  // What hangs far past its ends is a beam that does, and no plate that ends there.
  const hangsOver = ends === lengthwise && past(member, ends) > PAST;
  return { ends, edges, lines: hangsOver ? [] : placed.filter((j) => !ends.includes(j)) };
}

/** The lines that a panel lies on, from its front edge. */
export function linesOf(member: Member, joints: readonly Joint[]): readonly LineSupport[] {
  return joints.flatMap(({ on, how }) => {
    if (!on) return [];
    const { along, at } = lineOf(on);
    return [{ y: exactly(reachAlong(member, along)[1] - at), oneWay: how === 'bearing' }];
  });
}

/** How far what holds a panel beside its span is apart at most, mm. @example apartAcross('both', [], 300) // 300 */
export function apartAcross(beside: Beside, lines: readonly LineSupport[], width: number): number {
  const places = [...lines.map((l) => l.y), ...(beside === 'both' ? [0, width] : beside === 'back' ? [width] : [])];
  const { from, to } = longestOf(spansOf(places));
  return places.length > 1 ? to - from : Infinity;
}

/** What lies past the first and the last support of a span, N: they carry it, beside what the panel between them gives them. */
function pastEnds({ supports, lines }: Omit<BeamSpec, 'stretches'>): readonly [number, number] {
  const places = supports.map((s) => s.x);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const of = (from: number, to: number) =>
    lines.reduce((all, l) => all + l.perMm * Math.max(0, Math.min(l.to, to) - Math.max(l.from, from)), 0);
  // Points past a support are set on the edge of the panel there.
  return [of(-Infinity, first), of(last, Infinity)];
}

/** What carries a panel where more than its ends takes its part of it. */
export function shared(
  ends: readonly Support[],
  { edges, lines }: HeldBy,
  panel: PanelSag,
  beam: Omit<BeamSpec, 'stretches'>,
): readonly Support[] {
  const { result, onLines, onProps } = panel;
  const along = edges.map(({ carrier, how, by }, i): Support => ({
    carrier,
    how,
    ...(by === undefined ? {} : { by }),
    newtons: asNewtons(i === 0 ? result.edges.y1 : result.edges.y0),
    lifted: false,
  }));
  const under = lines.map(({ carrier, how, on }, i): Support => {
    const newtons = Math.max(0, onLines[i] ?? 0);
    return { carrier, how, ...(on ? { on: lineOf(on) } : {}), newtons: asNewtons(newtons), lifted: newtons === 0 };
  });
  const places = ends.map((s) => s.on?.at ?? 0);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const [pastFirst, pastLast] = pastEnds(beam);
  let inner = 0;
  const own = ends.map((_, i) => {
    const at = places[i] as number;
    if (at > first + 1 && at < last - 1) return onProps[inner++] ?? 0;
    return at === first ? result.edges.x0 + pastFirst : result.edges.x1 + pastLast;
  });
  // What goes down at the ends may be worse with things pushed to one of them, as it is for the beam.
  const held = ends.map((s, i): Support => {
    const newtons = own[i] as number;
    return { ...s, newtons: asNewtons(newtons), most: Math.max(newtons, s.newtons > 0 ? (newtons * heldAt(s)) / s.newtons : newtons) };
  });
  return [...held, ...along, ...under];
}
