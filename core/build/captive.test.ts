import type { Joint, Member } from '../piece/index.js';
import { inAssemblyOrder } from './captive.js';

const member = (id: string) => ({ id }) as Member;
const on = (carried: string, carrier: string) => ({ carried, carrier, how: 'housed' }) as Joint;
const ids = (members: readonly Member[]) => members.map((m) => m.id).join(' ');

test('what is housed between two sides goes in before the second of them', () => {
  const members = ['left', 'right', 'bottom', 'shelf', 'top'].map(member);
  const joints = ['bottom', 'shelf', 'top'].flatMap((m) => [on(m, 'left'), on(m, 'right')]);
  expect(ids(inAssemblyOrder(members, joints, []))).toBe('left bottom shelf top right');
});

test('a divider goes in before the top that it is housed in, and a shelf beside it before the divider', () => {
  const members = ['left', 'right', 'bottom', 'divider', 'shelf', 'top'].map(member);
  const joints = [
    ...['bottom', 'top'].flatMap((m) => [on(m, 'left'), on(m, 'right')]),
    ...['bottom', 'top'].map((c) => on('divider', c)),
    on('shelf', 'left'),
    on('shelf', 'divider'),
  ];
  expect(ids(inAssemblyOrder(members, joints, []))).toBe('left bottom shelf divider top right');
});

test('a frame that is ready comes as one, and what shuts each other out still all goes in', () => {
  const [a, b, c, rail] = ['a', 'b', 'c', 'rail'].map(member) as [Member, Member, Member, Member];
  const joints = [on('b', 'a'), on('rail', 'b'), on('rail', 'c')];
  expect(ids(inAssemblyOrder([a, rail, c, b], joints, [[a, b]]))).toBe('a b rail c');
  // Each is carried by the other two: one of them must go in last whatever is done.
  const ring = [on('a', 'b'), on('a', 'c'), on('b', 'a'), on('b', 'c'), on('c', 'a'), on('c', 'b')];
  expect(inAssemblyOrder([a, b, c], ring, [])).toHaveLength(3);
});
