import type { Solution } from '../solution/index.js';
import { lettersText } from '../parts/index.js';
import { waitText, type OwnPace } from './minutes.js';
import { inHand } from './needs.js';
import { inOrder } from './order.js';
import type { Building } from './spec.js';
import { titleWithin, type Setup, type Step } from './step.js';
import { stepsOf } from './steps.js';
import type { Work } from './works.js';
import { asKg } from '../measures/index.js';

type Split = NonNullable<Building['apart']>[number];

/**
 * What a step is called that does some parts of another by themselves.
 * @example apartId({ step: 'saw', parts: ['case/top/1'] }) // 'saw apart case/top/1'
 */
export const apartId = ({ step, parts }: Split): string => `${step} apart ${parts[0] ?? ''}`.slice(0, 300);

/** The works of a step that have to do with some parts: a joint comes with the later of what it joins. */
const isOf = (work: Work, parts: ReadonlySet<string>) =>
  work.kind === 'join' ? parts.has(work.joint.carried) || parts.has(work.joint.carrier) : parts.has(work.part);

/** The settings that are needed for some parts; as many times as is their share of it. */
function setupsFor(setups: readonly Setup[], parts: ReadonlySet<string>): readonly Setup[] {
  return setups.flatMap((setup): Setup[] => {
    const own = setup.parts.filter((p) => parts.has(p));
    return own.length > 0 ? [{ ...setup, parts: own, count: Math.round((setup.count * own.length) / setup.parts.length) }] : [];
  });
}

/** A step in two: the parts that are done by themselves come after the rest. Nothing where either would be left with none. */
function inTwo(step: Step, split: Split, lettersOf: (ids: readonly string[]) => string): readonly [Step, Step] | null {
  const aside = new Set(split.parts);
  const later = step.parts.filter((p) => aside.has(p));
  const first = step.parts.filter((p) => !aside.has(p));
  if (later.length === 0 || first.length === 0) return null;
  const works = step.works.filter((w) => isOf(w, aside));
  const rest = step.works.filter((w) => !isOf(w, aside));
  const share = step.works.length > 0 ? works.length / step.works.length : later.length / step.parts.length;
  const puts = step.standing.length > 0;
  const own = (parts: readonly string[], done: readonly Work[], part: number) => ({
    ...step,
    title: `${step.title}: ${lettersOf(parts)}`,
    parts,
    works: done,
    setups: setupsFor(step.setups, new Set(parts)),
    minutes: step.minutes * part,
  });
  return [
    { ...own(first, rest, 1 - share), standing: step.standing.filter((p) => !aside.has(p)) },
    { ...own(later, works, share), id: apartId(split), needs: puts ? [...step.needs, step.id] : step.needs },
  ];
}

/** Steps with some of them in two. Whatever needed one of them needs both. */
function split(steps: readonly Step[], apart: readonly Split[], lettersOf: (ids: readonly string[]) => string): readonly Step[] {
  return apart.reduce<readonly Step[]>((now, one) => {
    const step = now.find((s) => s.id === one.step);
    const two = step && inTwo(step, one, lettersOf);
    if (!two) return now;
    return now.flatMap((s): readonly Step[] => {
      if (s === step) return two;
      if (!s.needs.includes(one.step)) return [s];
      // What goes on with parts of only one of them does not wait for the other.
      const hands = inHand(s);
      const of = two.filter((t) => t.parts.some((p) => hands.has(p))).map((t) => t.id);
      return [{ ...s, needs: s.needs.flatMap((id) => (id === one.step ? (of.length > 0 ? of : [id]) : [id])) }];
    });
  }, steps);
}

const once = <T>(all: readonly T[]): readonly T[] => [...new Set(all)];

/** Several steps as one, which stands where the first of them does. What had to wait between them is a caution. */
function asOne(steps: readonly Step[]): Step {
  const [first, ...rest] = steps as readonly [Step, ...Step[]];
  const ids = new Set(steps.map((s) => s.id));
  const waited = steps.filter((s) => s.wait && steps.some((other) => other.needs.includes(s.id)));
  const wait = steps.reduce<Step['wait']>((most, s) => ((s.wait?.minutes ?? 0) > (most?.minutes ?? 0) ? s.wait : most), null);
  return {
    ...first,
    title: [first.title, ...rest.map(titleWithin)].join(', then '),
    parts: once(steps.flatMap((s) => s.parts)),
    works: steps.flatMap((s) => s.works),
    setups: steps.flatMap((s) => s.setups),
    says: steps.flatMap((s) => s.says),
    cautions: once([
      ...steps.flatMap((s) => s.cautions),
      ...waited.flatMap((s) =>
        s.wait ? [`In one go there are not the ${waitText(s.wait.minutes)} after “${titleWithin(s)}” in which ${s.wait.why}.`] : [],
      ),
    ]),
    standing: once(steps.flatMap((s) => s.standing)),
    kg: asKg(Math.max(...steps.map((s) => s.kg))),
    wait,
    needs: once(steps.flatMap((s) => s.needs)).filter((id) => !ids.has(id)),
    minutes: steps.reduce((sum, s) => sum + s.minutes, 0),
  };
}

function joined(steps: readonly Step[], goes: readonly (readonly string[])[]): readonly Step[] {
  return goes.reduce<readonly Step[]>((now, ids) => {
    const some = ids.flatMap((id) => now.find((s) => s.id === id) ?? []);
    if (some.length < 2) return now;
    const one = asOne(some);
    const within = new Set(ids);
    return now.flatMap((s): readonly Step[] => {
      if (within.has(s.id)) return s.id === one.id ? [one] : [];
      return [{ ...s, needs: once(s.needs.map((id) => (within.has(id) ? one.id : id))) }];
    });
  }, steps);
}

/**
 * Steps as a person arranged them: some in two, some in one go, and in the order that is wanted.
 * @example arranged(STEPS, { moved: [] }, SOLVED).length === STEPS.length // true
 */
export function arranged(
  steps: readonly Step[],
  { apart = [], inOneGo = [], moved }: Pick<Building, 'apart' | 'inOneGo' | 'moved'>,
  { parts }: Pick<Solution, 'parts'>,
): readonly Step[] {
  const letterOf = new Map(parts.map((p) => [p.id, p.letter]));
  const lettersOf = (ids: readonly string[]) => lettersText(ids.flatMap((id) => letterOf.get(id) ?? []));
  return inOrder(joined(split(steps, apart, lettersOf), inOneGo), { moved });
}

/** The steps of building a piece, as its builder arranged them. @example stepsFor(SOLVED, BUILDING).length === STEPS.length // true */
export function stepsFor(solution: Solution, building: Building, pace?: OwnPace): readonly Step[] {
  return arranged(stepsOf(solution, building, pace), building, solution);
}
