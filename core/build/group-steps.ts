import { contactOf, isBlock, massOf } from '../carry/index.js';
import { fine, grouped, len, mass, say, temperature, writeExactly, type Sentence } from '../figure/index.js';
import { fromUnits, mm, toMm, type Length } from '../length/index.js';
import type { Part } from '../parts/index.js';
import { lettersText } from '../parts/letters.js';
import { boxOf, boxRound, type Body, type Bought, type Box, type Joint, type Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { together } from '../solution/index.js';
import type { Vector } from '../solid/index.js';
import { isGlued } from './glue-to-buy.js';
import { glueOf, timeAt, type Glue } from './products.js';
import type { GoesIn } from './apart.js';
import { CLOSES, type Group, type Stage } from './groups.js';
import { howHeld, pairOf, takenSaid, type Held } from './held.js';
import type { Building } from './spec.js';
import { TAKES, timeText } from './minutes.js';
import { ALONE, draft, type Draft, type Wait } from './step.js';
import type { Work } from './works.js';
import { asKg } from '../measures/index.js';

type Join = Extract<Work, { kind: 'join' }>;

/** What must be held shut until the glue does. */
const CLAMPED: ReadonlySet<Joint['how']> = new Set(['housed', 'glued']);
/** Along a joint a clamp presses about so much, mm. */
const CLAMP_EVERY = 250;

/** What is said of a piece as it is put together. */
export interface Assembling {
  readonly building: Building;
  readonly settings: Settings;
  readonly parts: ReadonlyMap<string, Part>;
  readonly members: ReadonlyMap<string, Member>;
  readonly held: Held;
}

/** More than this are told as ranges, whatever their order. */
const IN_ORDER = 24;

const letters = (members: readonly Member[], { parts }: Assembling) => {
  const all = members.flatMap((m) => parts.get(m.id)?.letter ?? []);
  return all.length > IN_ORDER ? lettersText(all) : all.join(', ');
};

/** How the two of a joint are held. */
const doneBy = ({ joint }: Join, { held, building }: Assembling): Sentence => howHeld(joint, held, building.glue !== 'none');

/** What goes to what, the same joints together: which parts, how, with what, to which. */
export function joinsSaid(joins: readonly Join[], a: Assembling): readonly Sentence[] {
  const letterOf = (id: string) => a.parts.get(id)?.letter;
  const lines = grouped(joins, (j) => `${writeExactly(doneBy(j, a))} ${letterOf(j.joint.carrier) ?? j.joint.carrier}`).map((some) => {
    const [{ joint }] = some as [Join];
    return {
      some,
      to: letterOf(joint.carrier) ?? joint.carrier,
      carried: lettersText([...new Set(some.flatMap((j) => letterOf(j.joint.carried) ?? []))]),
      how: doneBy(some[0] as Join, a),
    };
  });
  // The same parts to several others, such as shelves between two sides, are one line.
  return grouped(lines, (l) => `${writeExactly(l.how)} ${l.carried}`).map((alike) => {
    const [{ how, carried }] = alike as [(typeof lines)[0]];
    const taken = takenFor(
      alike.flatMap((l) => l.some),
      a,
    ).reduce((said, one) => say`${said}, ${takenSaid(one)}`, say``);
    return say`${carried} to ${lettersText(alike.map((l) => l.to))}: ${how}${taken}.`;
  });
}

/** What is driven or put in at some joints, equal things together. */
export const takenFor = (joins: readonly Join[], { held }: Pick<Assembling, 'held'>): readonly Bought[] => {
  const pairs = new Map(joins.map(({ joint }) => [pairOf(joint.carried, joint.carrier), held.between(joint.carried, joint.carrier)]));
  return together([...pairs.values()].flatMap((p) => p.fasteners));
};

/** How far the joints that are clamped are apart, along the axis that they press along: what a clamp must span. */
function clampsFor(members: readonly Member[], joins: readonly Join[], a: Assembling): { count: number; reach: Length } | null {
  let count = 0;
  const spans = new Set<0 | 1 | 2>();
  for (const { joint } of joins) {
    if (!CLAMPED.has(joint.how)) continue;
    const [one, two] = [a.members.get(joint.carrier), a.members.get(joint.carried)];
    const met = one && two ? contactOf(one, two) : null;
    const normal = met?.normal ?? [1, 0, 0];
    const axis = ([0, 1, 2] as const).reduce((best, k) => (Math.abs(normal[k]) > Math.abs(normal[best]) ? k : best));
    spans.add(axis);
    const long = met ? met.over[0][1] - met.over[0][0] : 0;
    count += Math.max(2, Math.ceil(long / CLAMP_EVERY));
  }
  if (count === 0) return null;
  const { x0, x1, y0, y1, z0, z1 } = boxRound(members.map(boxOf));
  const sizes = [x1 - x0, y1 - y0, z1 - z0];
  // One clamp presses the joints at both of its ends.
  return { count: Math.max(2, Math.ceil(count / 2)), reach: fromUnits(Math.max(...[...spans].map((k) => sizes[k] as number))) };
}

/** Whether the clamps that there are do, or what to do where they do not. */
function clampsSaid({ count, reach }: { count: number; reach: Length }, { clamps }: NonNullable<Settings['tools']>): Sentence {
  const asked = say`${count} clamps that open to ${len(reach)} or more, one about every ${len(mm(CLAMP_EVERY))} along a joint`;
  if (!clamps) return say`${asked}.`;
  if (clamps.reach < reach)
    return say`${asked}: yours open to ${len(clamps.reach)}. Use screws, a strap all round, or wedges against a stop.`;
  if (clamps.count < count) return say`${asked}: you have ${clamps.count}. Glue it in two goes, or press the middle with a bowed batten.`;
  return say`${asked}; you have ${clamps.count}.`;
}

const AXES = [
  ['x0', 'x1'],
  ['y0', 'y1'],
  ['z0', 'z1'],
] as const;

/** How long the two greatest sizes of the outside of some members are, where all four corners of that face are corners of theirs; else null. */
function squareOf(members: readonly Member[]): readonly [number, number] | null {
  const boxes = members.map(boxOf);
  const round = boxRound(boxes);
  const sized = AXES.map((ends) => ({ ends, size: toMm(fromUnits(round[ends[1]] - round[ends[0]])) }));
  const [a, b] = sized.sort((p, q) => q.size - p.size) as [(typeof sized)[number], (typeof sized)[number]];
  const isThere = (p: keyof Box, q: keyof Box) => boxes.some((box) => box[p] === round[p] && box[q] === round[q]);
  return a.ends.every((p) => b.ends.every((q) => isThere(p, q))) ? [a.size, b.size] : null;
}

/** Which diagonals are read, and what is done about a difference: those of the posts where there are any, so that they are the same all along. */
function squareSaid(members: readonly Member[]): readonly Sentence[] {
  if (members.length < 4 || !members.every(isBlock)) return [];
  const posts = members.filter((m) => m.role === 'post');
  const ofPosts = posts.length > 1 ? squareOf(posts) : null;
  const square = ofPosts ?? squareOf(members);
  if (!square) return [];
  return [
    say`Square: both diagonals of its ${ofPosts ? 'posts' : 'outside'} ${fine(Math.hypot(...square), 2)}, read corner to corner. Where they differ, press the longer one together until they are alike, then let the glue set.`,
  ];
}

/** What glue asks for: how long it may stay open, and the order to put things together without glue first. */
function glueSaid(glue: Glue, celsius: number, joints: number): readonly Sentence[] {
  if (glue.id === 'none') return [];
  const open = timeAt(glue.open, celsius);
  const hurry = joints * 1.5 > open ? ` With ${joints} joints that is short: work in halves, or take a glue that stays open longer.` : '';
  const cold = celsius < glue.least ? say` At ${temperature(celsius)} it does not set: ${temperature(glue.least)} is the least.` : '';
  return [say`Glue: ${glue.name}; everything must be closed within ${timeText(open)} at ${temperature(celsius)}.${hurry}${cold}`];
}

const TITLES: Readonly<Record<Exclude<Stage, 'moving' | 'frames'>, string>> = {
  together: 'Put the main of it together',
  close: 'Put on what closes and stiffens it',
  hang: 'Put in what moves',
  fronts: 'Fit the fronts',
  loose: 'Put in what stays loose',
};

/** Roles of some members with their count. @example "2 posts, 3 rails" */
function rolesText(members: readonly Member[]): string {
  const roles = new Map<string, number>();
  for (const { role } of members) roles.set(role, (roles.get(role) ?? 0) + 1);
  const several = (role: string) =>
    /(s|sh|ch|x)$/.test(role) ? `${role}es` : role.endsWith('shelf') ? `${role.slice(0, -1)}ves` : `${role}s`;
  return [...roles].map(([role, n]) => `${n} ${n === 1 ? role : several(role)}`).join(', ');
}

const bodiesText = (bodies: readonly Body[]) =>
  bodies.length <= 3 ? bodies.map((b) => b.label).join(', ') : `${bodies.length} like ${bodies[0]?.label ?? ''}`;

const BRIEFLY: Readonly<Record<Exclude<Stage, 'moving'>, string>> = {
  frames: 'the frames',
  together: 'the main of it',
  close: 'what closes it',
  hang: 'what moves',
  fronts: 'the fronts',
  loose: 'what stays loose',
};

/** What a group is called beside what is done for it. */
export const calledBriefly = ({ stage, bodies }: Group): string => (stage === 'moving' ? bodiesText(bodies) : BRIEFLY[stage]);

function titleOf({ stage, each, bodies }: Group): string {
  if (stage === 'moving') return `Put together ${bodiesText(bodies)}`;
  if (stage !== 'frames') return TITLES[stage];
  const one = each[0] ?? [];
  return each.length > 1 ? `${each.length} frames alike, each of ${rolesText(one)}` : `A frame of ${rolesText(one)}`;
}

/** From where something comes that is moved along an axis. @example fromWhere([0, -1, 0]) // 'from above' */
export function fromWhere([x, y, z]: Vector): string {
  if (Math.abs(y) > Math.SQRT1_2) return y < 0 ? 'from above' : 'from below';
  if (Math.abs(z) > Math.SQRT1_2) return z < 0 ? 'from the front' : 'from the rear';
  return x < 0 ? 'from the right' : 'from the left';
}

/** What closes others goes in while its way is still free: from where, and before what. */
function slidInSaid({ stage, goesIn, each }: Group, a: Assembling): readonly Sentence[] {
  if (stage !== 'together') return [];
  return (each[0] ?? []).flatMap((m): Sentence[] => {
    const way = goesIn.get(m.id)?.way;
    return way && CLOSES.has(m.role) ? [say`${letters([m], a)} goes in ${fromWhere(way)}, before what would shut it out.`] : [];
  });
}

/** What no straight way is free for. */
const shutOutSaid = ({ goesIn }: Group, a: Assembling): readonly string[] =>
  [...new Set(goesIn.values())].flatMap(({ way, unit, barredBy }) =>
    way || barredBy.length === 0
      ? []
      : [
          `No straight way in for ${letters(unit, a)}: ${letters(barredBy, a)} ${barredBy.length === 1 ? 'is' : 'are'} in the way. Tilt it in, or make it of two.`,
        ],
  );

/** What goes in one after the other, of the first of those that are alike. */
const unitsOf = ({ each, goesIn }: Group): readonly GoesIn[] => [...new Set((each[0] ?? []).flatMap((m) => goesIn.get(m.id) ?? []))];

/** In which order units go in, those that are ready as one. */
function inOrder(units: readonly GoesIn[], a: Assembling): string {
  if (units.length > IN_ORDER)
    return letters(
      units.flatMap((g) => g.unit),
      a,
    );
  return units.map(({ unit }) => (unit.length > 1 ? `the frame of ${letters(unit, a)}` : letters(unit, a))).join(', then ');
}

/** In which order what moves goes in. */
const hangSaid = ({ bodies }: Group, { building }: Assembling): readonly Sentence[] =>
  bodies.length > 1
    ? [
        building.order === 'bottom up'
          ? say`From the floor up: ${bodies.map((b) => b.label).join(', ')}. Spacers set each above the one before.`
          : say`From the top down, where the floor is uneven: ${bodies.map((b) => b.label).join(', ')}. Each is set from the one over it.`,
      ]
    : [];

const ways: Readonly<Record<Building['stands'], string | null>> = {
  upright: null,
  'upside down':
    'It is put together upside down, and drawn so, turned over sideways: its left lies to your right, and what is up lies down. Go by the letters.',
  'on its back': 'It is put together lying on its back, and drawn so: its front looks up, its foot towards you.',
};

/**
 * The step that puts the parts of a group together.
 * @param standing what stands by then, with these; `frames` how many of its parts come as frames that are ready
 */
export function groupStep(
  group: Group,
  joins: readonly Join[],
  standing: readonly string[],
  frames: { readonly count: number; readonly parts: number },
  a: Assembling,
): Draft {
  const { building, settings } = a;
  const { stage, each } = group;
  const members = each.flat();
  // Frames and what moves are put together one at a time, each by itself.
  const byItself = stage === 'frames' || stage === 'moving';
  const one = each[0] ?? [];
  const own = byItself ? joins.slice(0, Math.ceil(joins.length / each.length)) : joins;
  const units = unitsOf(group);
  const glue = glueOf(building.glue);
  const glued = joins.filter((j) => isGlued(j.joint, a.members)).length;
  const clamps = glue.id === 'none' ? null : clampsFor(one, own, a);
  const kg = Math.max(...each.map((some) => some.reduce((sum, m) => sum + massOf(m), 0)));
  const whole = byItself ? kg : standing.reduce((sum, id) => sum + massOf(a.members.get(id) as Member), 0);
  const way = stage === 'together' ? ways[building.stands] : null;
  const sets = glued > 0 && glue.clamp > 0;
  const wait: Wait | null = sets ? { minutes: timeAt(glue.clamp, building.celsius), why: `${glue.name} sets in the clamps` } : null;
  const lift: readonly Sentence[] = whole > ALONE ? [say`${mass(asKg(whole))} by then: two people lift and turn it.`] : [];
  return draft({
    id: group.id,
    phase: stage,
    title: titleOf(group),
    parts: members.map((m) => m.id),
    works: joins,
    goesIn: units.map(({ unit, way }) => ({ parts: unit.map((m) => m.id), way })),
    standing: byItself ? one.map((m) => m.id) : standing,
    kg: asKg(whole),
    wait,
    takes: takenFor(joins, a),
    minutes:
      (members.length - frames.parts + frames.count) * TAKES.part + joins.length * TAKES.joint + (sets ? TAKES.clampUp * each.length : 0),
    says: [
      ...(way ? [say`${way}`] : []),
      ...hangSaid(group, a),
      say`In this order: ${inOrder(units, a)}${each.length > 1 ? say`, and the others like it` : ''}.`,
      ...slidInSaid(group, a),
      ...joinsSaid(joins, a),
      ...(glued > 0 ? glueSaid(glue, building.celsius, glued / (byItself ? each.length : 1)) : []),
      ...(clamps ? [clampsSaid(clamps, settings.tools ?? {})] : []),
      ...(byItself || stage === 'together' ? squareSaid(one) : []),
      ...lift,
    ],
    cautions: [...shutOutSaid(group, a), ...(glued > 0 && glue.caution ? [glue.caution] : [])],
  });
}
