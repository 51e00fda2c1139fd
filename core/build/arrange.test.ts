import { type Part } from '../parts/index.js';
import { apartId, arranged } from './arrange.js';
import { outOfOrder } from './order.js';
import { draft, type Step } from './step.js';

const parts = ['a', 'b', 'c', 'd'].map((id) => ({ id, letter: id.toUpperCase() }) as Part);
const saw = (part: string) => ({ kind: 'saw' as const, id: `${part} saw`, part });
const step = (id: string, of: readonly string[], needs: readonly string[], more: Partial<Step> = {}): Step => ({
  ...draft({ id, phase: 'saw', title: id, minutes: 40, parts: of, works: of.map(saw) }),
  ...more,
  needs,
});

const steps = [
  step('saw', ['a', 'b', 'c', 'd'], [], {
    setups: [
      { says: [], parts: ['a', 'b', 'c', 'd'], count: 8 },
      { says: [], parts: ['d'], count: 1 },
    ],
  }),
  step('drill', ['a', 'b'], ['saw'], { works: [] }),
  step('glue', ['a', 'b', 'c', 'd'], ['drill', 'saw'], { works: [], wait: { minutes: 60, why: 'glue sets' } }),
  step('paint', ['a', 'b', 'c', 'd'], ['glue'], { works: [], wait: { minutes: 30, why: 'paint dries' } }),
];
const ids = (some: readonly Step[]) => some.map((s) => s.id);

test('a step in two: what is done by itself has its share of the settings and of the time, and comes after the rest', () => {
  const split = { step: 'saw', parts: ['d'] };
  const all = arranged(steps, { moved: [], apart: [split] }, { parts });
  expect(ids(all)).toEqual(['saw', apartId(split), 'drill', 'glue', 'paint']);
  const [rest, own, drill, glue] = all as [Step, Step, Step, Step];
  expect([rest.title, own.title]).toEqual(['saw: A–C', 'saw: D']);
  expect([rest.minutes, own.minutes]).toEqual([30, 10]);
  expect(rest.setups.map((s) => [s.parts, s.count])).toEqual([[['a', 'b', 'c'], 6]]);
  expect(own.setups.map((s) => [s.parts, s.count])).toEqual([
    [['d'], 2],
    [['d'], 1],
  ]);
  expect([rest.works, own.works].map((w) => w.length)).toEqual([3, 1]);
  // What is drilled is none of what was taken out; what is glued is both.
  expect(drill.needs).toEqual(['saw']);
  expect(glue.needs).toEqual(['drill', 'saw', 'saw apart d']);
});

test('parts that are gone split nothing, nor does all of a step', () => {
  for (const taken of [['gone'], ['a', 'b', 'c', 'd']])
    expect(arranged(steps, { moved: [], apart: [{ step: 'saw', parts: taken }] }, { parts })).toEqual(steps);
});

test('steps in one go take as long as both, wait as long as the longer, and say which wait there is no time for', () => {
  const all = arranged(steps, { moved: [], inOneGo: [['glue', 'paint']] }, { parts });
  expect(ids(all)).toEqual(['saw', 'drill', 'glue']);
  const one = all[2] as Step;
  expect([one.title, one.minutes, one.wait?.minutes]).toEqual(['glue, then paint', 80, 60]);
  expect(one.needs).toEqual(['drill', 'saw']);
  expect(one.cautions).toEqual(['In one go there are not the 1 h after “glue” in which glue sets.']);
});

test('steps in one go that another must come between are told', () => {
  const all = arranged(steps, { moved: [], inOneGo: [['saw', 'glue']] }, { parts });
  expect(outOfOrder(all).map((o) => [o.step.id, ids(o.before)])).toEqual([['saw', ['drill']]]);
});

test('a step in two can be moved, and what that breaks is told', () => {
  const split = { step: 'saw', parts: ['d'] };
  const moved = [apartId(split), 'drill', 'glue'];
  const all = arranged(steps, { moved: ['drill', 'glue', apartId(split)], apart: [split] }, { parts });
  expect(ids(all)).toEqual(['saw', 'drill', 'glue', 'saw apart d', 'paint']);
  expect(outOfOrder(all).map((o) => [o.step.id, ids(o.before)])).toEqual([['glue', ['saw apart d']]]);
  expect(outOfOrder(arranged(steps, { moved, apart: [split] }, { parts }))).toEqual([]);
});
