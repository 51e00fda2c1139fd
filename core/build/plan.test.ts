import {
  NoHours,
  dayAfter,
  hoursFrom,
  daysBetween,
  daysOf,
  movedSteps,
  nextDayOf,
  paceOf,
  planOf,
  timeAt,
  timeText,
  waitText,
  weekdayOf,
  type Hours,
  type Step,
} from './index.js';
import { asKg } from '../measures/index.js';

/** A step that takes so long and is followed by a wait. */
function step(id: string, minutes: number, needs: readonly string[] = [], wait = 0, phase: Step['phase'] = 'saw'): Step {
  return {
    id,
    phase,
    title: id,
    parts: [],
    works: [],
    setups: [],
    says: [],
    takes: [],
    goesIn: [],
    cautions: [],
    standing: [],
    kg: asKg(0),
    wait: wait > 0 ? { minutes: wait, why: 'it dries' } : null,
    needs,
    minutes,
  };
}

// 2026-05-04 is a Monday. Evenings from seven to nine, Saturdays from nine to four.
const evening = [{ from: 1140, to: 1260 }];
const hours: Hours = { from: '2026-05-04', week: [evening, evening, evening, evening, [], [{ from: 540, to: 960 }], []], off: [] };
const DAY = 1440;

test('hours that began long ago go on from today', () => {
  expect(hoursFrom(hours, '2026-05-03').from).toBe('2026-05-04');
  expect(hoursFrom(hours, '2031-07-01').from).toBe('2031-07-01');
});

test('days', () => {
  expect([weekdayOf('2026-05-04'), weekdayOf('2026-05-10')]).toEqual([0, 6]);
  expect([dayAfter('2026-02-27', 2), dayAfter('2028-02-28', 1), dayAfter('2026-12-31', 1)]).toEqual([
    '2026-03-01',
    '2028-02-29',
    '2027-01-01',
  ]);
  expect(daysBetween('2026-05-04', '2026-06-04')).toBe(31);
});

test('glue dries overnight: what needs it waits, what does not goes on in the same evening', () => {
  // Glue 60 with 600 of drying, then a coat that needs it; edges need nothing.
  const plan = planOf([step('glue', 60, [], 600, 'together'), step('coat', 30, ['glue'], 0, 'coats'), step('edges', 45)], hours);
  expect(plan.sessions).toEqual([
    { step: 'glue', from: 1140, to: 1200 },
    { step: 'edges', from: 1200, to: 1245 },
    { step: 'coat', from: DAY + 1140, to: DAY + 1170 },
  ]);
  expect(plan.ends.get('glue')).toEqual({ work: 1200, ready: 1800 });
  expect(plan.done).toBe(DAY + 1170);
  expect(plan.chain).toEqual(['glue', 'coat']);
  expect(nextDayOf(plan).map((s) => s.step)).toEqual(['glue', 'edges']);
});

test('work is parted over evenings, a glue-up is not: it waits for one that is long enough', () => {
  const plan = planOf([step('saw', 90), step('glue', 100, ['saw'], 0, 'together')], hours);
  // 90 of 120 in the first evening; 100 do not go into the 30 that are left.
  expect(plan.sessions).toEqual([
    { step: 'saw', from: 1140, to: 1230 },
    { step: 'glue', from: DAY + 1140, to: DAY + 1240 },
  ]);
  // Longer than any stretch there is: it is begun all the same.
  expect(planOf([step('glue', 500, [], 0, 'together')], hours).sessions.map((s) => s.to - s.from)).toEqual([120, 120, 120, 120, 20]);
});

test('days off and the days of the week are kept', () => {
  const plan = planOf([step('saw', 300)], { ...hours, off: ['2026-05-05', '2026-05-07'] });
  // Monday 120, Wednesday 120, Saturday 60.
  expect(plan.sessions.map((s) => [Math.floor(s.from / DAY), s.to - s.from])).toEqual([
    [0, 120],
    [2, 120],
    [5, 60],
  ]);
});

test('nothing is planned before now, and what was done holds others until its wait is over', () => {
  // It is Monday, eight in the evening; what was glued then is ready on Tuesday at eight in the evening.
  const plan = planOf([step('coat', 30, ['glue'])], hours, 1200, new Map([['glue', DAY + 1200]]));
  expect(plan.sessions).toEqual([{ step: 'coat', from: DAY + 1200, to: DAY + 1230 }]);
});

test('without hours there is no plan, and it says so', () => {
  const none: Hours = { ...hours, week: [[], [], [], [], [], [], []] };
  expect(() => planOf([step('saw', 10)], none)).toThrow(NoHours);
  expect(() => planOf([step('saw', 10)], { ...none, week: [[{ from: 600, to: 605 }], [], [], [], [], [], []] })).toThrow(
    'at least ten minutes',
  );
  expect(planOf([], hours)).toMatchObject({ sessions: [], done: 0 });
});

test('own times take the place of what is reckoned; what is past belief does not', () => {
  const pace = paceOf([
    { phase: 'saw', took: 90, reckoned: 60 },
    { phase: 'saw', took: 30, reckoned: 60 },
    { phase: 'coats', took: 30, reckoned: 60 },
    { phase: 'coats', took: 6000, reckoned: 60 },
  ]);
  // 120 of 120, and 30 of 60: a hundred times as long is a slip of the pen.
  expect(pace).toEqual({ saw: 1, coats: 0.5 });
});

// Twice as long for every 10 °C less, never shorter than half.
test.each([
  [20, 45],
  [10, 90],
  [0, 180],
  [30, 23],
  [45, 23],
])('at %d °C what takes 45 takes %d', (celsius, minutes) => expect(timeAt(45, celsius)).toBe(minutes));

test('times are written as one says them', () => {
  expect([5, 60, 85, 0.2].map(timeText)).toEqual(['5 min', '1 h', '1 h 25 min', '1 min']);
  expect([90, 1440, 2880, 2160].map(waitText)).toEqual(['1 h 30 min', '1 day', '2 days', '1.5 days']);
});

test('a plan that begins a day late says which steps moved, and from which day to which', () => {
  const steps = [step('saw', 120), step('glue', 120, ['saw']), step('paint', 60, ['glue'])];
  const kept = daysOf(planOf(steps, hours), hours.from);
  // An evening each: Monday, Tuesday, Wednesday.
  expect(kept.map((k) => k.day)).toEqual(['2026-05-04', '2026-05-05', '2026-05-06']);
  const late = planOf(steps, hours, DAY);
  expect(movedSteps(kept, late, hours.from)).toEqual([
    { step: 'saw', was: '2026-05-04', day: '2026-05-05' },
    { step: 'glue', was: '2026-05-05', day: '2026-05-06' },
    { step: 'paint', was: '2026-05-06', day: '2026-05-07' },
  ]);
  // What is done already is none of it, and what nobody kept has not moved.
  expect(movedSteps(kept, planOf(steps.slice(1), hours), '2026-05-04').map((m) => [m.step, m.day])).toEqual([
    ['glue', '2026-05-04'],
    ['paint', '2026-05-05'],
  ]);
  expect(movedSteps([], late, hours.from)).toEqual([]);
});
