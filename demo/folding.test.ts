import { toMm, mm } from '../core/length/index.js';
import type { Member } from '../core/piece/index.js';
import { solved } from './solved.js';

const s = solved('inking-table');
const fact = (name: string) => s.shape.facts.get('inside')?.find((f) => f.name === name);
const length = (name: string) => toMm(fact(name)?.figure?.value ?? mm(0));

test('an inking table: the least top for a tray, a jar and a book is 530 x 470', () => {
  expect([toMm(s.shape.overall.width.value), toMm(s.shape.overall.depth.value)]).toEqual([530, 470]);
});

test('640 high: 580 up from hole to hole, legs of 725 and 765 over all, crossing 382.5 from either end at 53.13°', () => {
  expect(length('from hole to hole, up')).toBe(580);
  expect([length('leg, from hole to hole'), length('leg, over all')]).toEqual([725, 765]);
  expect(length('crossing hole, from either end')).toBe(382.5);
  expect(fact('angle')?.remark).toContain('53.13');
});

test('520 over the outer legs, a spacer of 2 a side: 476 over the inner ones; their ends clear the top by 2', () => {
  expect(length('inner legs, over all')).toBe(476);
  expect(length('ends clear of the top')).toBe(2);
  const legs = s.shape.members.filter((m) => m.role === 'leg');
  expect(legs.map((m: Member) => toMm(m.width.value))).toEqual([45, 45, 45, 45]);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
});
