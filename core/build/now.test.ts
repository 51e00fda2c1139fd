import { dayOf, hoursNow, minutesSince, planLeft, usualHours, buildingOf, type Step } from './index.js';
import { asKg } from '../measures/index.js';

const step = (id: string, minutes: number, needs: readonly string[], wait: number): Step => ({
  id,
  phase: 'together',
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
  wait: wait > 0 ? { minutes: wait, why: 'it sets' } : null,
  needs,
  minutes,
});

// Monday the 4th of May, half past seven in the evening.
const now = new Date(2026, 4, 4, 19, 30);

test('the day and the minutes are those that clocks show here', () => {
  expect(dayOf(new Date(2026, 4, 4, 0, 5))).toBe('2026-05-04');
  expect(minutesSince('2026-05-04', now)).toBe(1170);
  expect(minutesSince('2026-05-04', new Date(2026, 4, 3, 23, 0))).toBe(-60);
});

test('what is done is not planned again, and its wait counts from when it was done', () => {
  // Glued at a quarter past seven, 60 in the clamps: what needs it begins at a quarter past eight, not now.
  const done = [{ step: 'glue', at: new Date(2026, 4, 4, 19, 15).toISOString() }];
  const { sessions } = planLeft([step('glue', 30, [], 60), step('next', 20, ['glue'], 0)], { ...buildingOf('case'), done }, now);
  expect(sessions).toEqual([{ step: 'next', from: 1215, to: 1235 }]);
});

test('without hours of one’s own the usual ones count from today, and old ones go on from today', () => {
  expect(hoursNow(buildingOf('case'), now)).toEqual(usualHours('2026-05-04'));
  expect(hoursNow({ ...buildingOf('case'), hours: { ...usualHours('2025-01-01'), off: ['2026-05-05'] } }, now)).toMatchObject({
    from: '2026-05-04',
    off: ['2026-05-05'],
  });
});
