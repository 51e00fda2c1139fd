import { inTerms, termsOf } from '../figure/index.js';
import type { Part } from '../parts/index.js';
import type { Joint, Member } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { calledBriefly, groupStep, type Assembling } from './group-steps.js';
import { groupsOf, isOutside, type Group } from './groups.js';
import { heldIn } from './held.js';
import { buyStep, checkStep, coatSteps, dryStep, standStep, takeOutStep } from './last-steps.js';
import type { OwnPace } from './minutes.js';
import { withNeeds } from './needs.js';
import { easeStep, partSteps } from './part-steps.js';
import type { Building } from './spec.js';
import type { Draft, Step } from './step.js';
import { partWorksOf, type Work } from './works.js';

type Join = Extract<Work, { kind: 'join' }>;

/** Every joint as something to be done, told apart by what it is between. */
function joinsOf(joints: readonly Joint[]): readonly Join[] {
  const seen = new Map<string, number>();
  return joints.map((joint): Join => {
    const key = `${joint.carried} ${joint.how} ${joint.carrier}`;
    const nth = seen.get(key) ?? 0;
    seen.set(key, nth + 1);
    return { kind: 'join', id: `join ${key} ${nth}`, joint };
  });
}

/** The joints that each group makes: those of which it brings the last of the two. */
function joinsIn(groups: readonly Group[], joins: readonly Join[]): ReadonlyMap<Group, readonly Join[]> {
  const placed = new Map<string, number>();
  // Parts of frames and of what moves are placed once by themselves; their joints to others come with the main of it.
  groups.forEach((g, i) => g.each.forEach((some) => some.forEach((m) => placed.has(m.id) || placed.set(m.id, i))));
  const clusterOf = new Map<string, readonly Member[]>();
  const byThemselves = (g: Group | undefined) => g?.stage === 'frames' || g?.stage === 'moving';
  groups.forEach((g) => byThemselves(g) && g.each.forEach((some) => some.forEach((m) => clusterOf.set(m.id, some))));
  const main = groups.findIndex((g) => g.stage === 'together');
  const hang = groups.findIndex((g) => g.stage === 'hang');
  const made = new Map<Group, Join[]>(groups.map((g) => [g, []]));
  for (const join of joins) {
    const { carried, carrier } = join.joint;
    const [a, b] = [placed.get(carried), placed.get(carrier)];
    if (a === undefined || b === undefined) continue;
    const within = clusterOf.get(carried) !== undefined && clusterOf.get(carried) === clusterOf.get(carrier);
    const later = Math.max(a, b);
    const joined = { frames: main, moving: hang }[groups[later]?.stage as string] ?? later;
    const at = within ? a : Math.max(later, joined);
    const group = groups[at];
    if (group) made.get(group)?.push(join);
  }
  return made;
}

/** The parts that are cut with the first, and those that wait for what stands then, by group. */
function batchesOf(groups: readonly Group[], parts: ReadonlyMap<string, Part>, building: Building): readonly (readonly Part[])[] {
  const of = (some: readonly Group[]) =>
    [...new Set(some.flatMap((g) => g.each.flat().map((m) => m.id)))].flatMap((id) => parts.get(id) ?? []);
  // What is put on the wall by itself is cut with the first.
  const grouped = new Set(of(groups));
  const byItself = [...parts.values()].filter((p) => !grouped.has(p));
  if (building.cut === 'all first') return [[...grouped, ...byItself], ...groups.map(() => [])];
  const early = new Set(groups.filter((g) => g.stage === 'frames' || g.stage === 'together'));
  const first = [...of([...early]), ...byItself];
  const taken = new Set(first);
  return [
    first,
    ...groups.map((g) => {
      const own = of([g]).filter((p) => !taken.has(p));
      own.forEach((p) => taken.add(p));
      return own;
    }),
  ];
}

/** Steps with their times as this builder takes them. */
function atPace(step: Step, pace: OwnPace): Step {
  return { ...step, minutes: step.minutes * (pace[step.phase] ?? 1) };
}

/** How many frames are ready when the main of it is put together, and of how many parts. */
function framesIn({ stage }: Group, groups: readonly Group[]): { readonly count: number; readonly parts: number } {
  const frames = stage === 'together' ? groups.filter((g) => g.stage === 'frames').flatMap((g) => g.each) : [];
  return { count: frames.length, parts: frames.flat().length };
}

/** What is tried without glue takes a part of the time, and one of those that are alike is enough. */
const DRY = 0.4;

/** The group with the main of it holds all that stands on frames too, since those are joined then. */
function withFrames(group: Group, groups: readonly Group[]): Group {
  if (group.stage !== 'together') return group;
  const framed = groups.filter((g) => g.stage === 'frames').flatMap((g) => g.each.flat());
  const own = group.each[0] ?? [];
  return { ...group, each: [[...own, ...framed.filter((m) => !own.includes(m))]] };
}

/**
 * The steps of building a piece, worked out from its structure, in the order of the work. Every machining, every hole and
 * every joint is in exactly one of them.
 * @param pace how much longer or shorter than reckoned this builder takes
 * @example stepsOf(SOLVED, BUILDING).map((step) => step.id).slice(0, 3) // ['buy', 'saw', 'drill']
 */
export function stepsOf(solution: Solution, building: Building, pace: OwnPace = {}): readonly Step[] {
  const parts = new Map(solution.parts.map((p) => [p.id, p]));
  const members = new Map(solution.parts.map((p) => [p.id, p.member]));
  const held = heldIn(solution);
  const assembling: Assembling = { building, settings: solution.workshop.settings, parts, members, held };
  const groups = groupsOf(solution, building.order).map((g, _, all) => withFrames(g, all));
  const works = partWorksOf(solution);
  const joins = joinsOf([...solution.shape.joints, ...held.kept]);
  const made = joinsIn(
    groups,
    joins.filter((j) => !isOutside(j.joint)),
  );
  const batches = batchesOf(groups, parts, building);
  const standing: string[] = [];
  const assembly = groups.flatMap((group, i): Draft[] => {
    const before = partSteps(batches[i + 1] ?? [], works, assembling.settings, {
      suffix: ` for ${group.id}`,
      of: `: ${calledBriefly(group)}`,
    });
    for (const m of group.each.flat()) if (!standing.includes(m.id)) standing.push(m.id);
    return [...before, groupStep(group, made.get(group) ?? [], [...standing], framesIn(group, groups), assembling)];
  });
  const main = assembly.findIndex((d) => d.phase === 'frames' || d.phase === 'together');
  const tried = groups.reduce((sum, { id, each }) => sum + (assembly.find((d) => d.id === id)?.minutes ?? 0) / each.length, 0);
  const dry = dryStep(
    (batches[0] ?? []).map((p) => p.id),
    DRY * tried,
  );
  const drafts = [
    ...takeOutStep(solution),
    buyStep(solution),
    ...partSteps(batches[0] ?? [], works, assembling.settings, { suffix: '', of: '' }),
    ...(main >= 0 ? [dry] : []),
    ...assembly,
    ...easeStep(solution.parts, works, assembling.settings),
    ...coatSteps(solution, building),
    standStep(
      solution,
      joins.filter((j) => isOutside(j.joint) && parts.has(j.joint.carried)),
    ),
    checkStep(solution),
  ];
  // What moves has a name that was typed.
  const titled = (d: Draft): Draft => (d.phase === 'moving' ? d : { ...d, title: inTerms(d.title, termsOf(assembling.settings)) });
  return withNeeds(drafts.map(titled)).map((s) => atPace(s, pace));
}
