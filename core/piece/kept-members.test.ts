import { size } from '../figure/index.js';
import { mm } from '../length/index.js';
import { woodOf } from '../project/index.js';
import { workshop } from '../testing/samples.js';
import { bevelled } from '../testing/bevelled.js';
import { facingFrame, isBlock, keptMembers, rectangular, type Member } from './index.js';

const wood = woodOf(workshop(), 'ply');
const board = (id: string, x: number, long = 400): Member =>
  rectangular({
    id,
    node: id,
    role: 'rail',
    label: `rail ${id}`,
    wood,
    length: size('long', mm(long)),
    width: size('high', mm(40)),
    frame: facingFrame({ x: mm(x), y: mm(100), z: mm(0) }),
  });

test('a member of which nothing has changed is the very one that it was; one of which anything has is another', () => {
  const [one] = keptMembers([bevelled(board('kept-a', 0))]) as [Member];
  expect(isBlock(one)).toBe(false);
  expect(keptMembers([bevelled(board('kept-a', 0))])[0]).toBe(one);
  for (const changed of [board('kept-a', 1), board('kept-a', 0, 401), { ...board('kept-a', 0), label: 'other' }]) {
    const made = bevelled(changed);
    const [kept] = keptMembers([made]) as [Member];
    expect(kept).not.toBe(one);
    expect(kept).toEqual(made);
  }
});

test('what a sum says counts as well: the same size come to in another way is another member', () => {
  const [one] = keptMembers([bevelled(board('kept-b', 0))]) as [Member];
  const made = bevelled({ ...board('kept-b', 0), length: size('half of it', mm(200)).plus(size('and again', mm(200))) });
  expect(made.length.value).toBe(one.length.value);
  expect(keptMembers([made])[0]).toBe(made);
});

test('of a few ways that it was each is found again, in any order of its fields', () => {
  const ways = [0, 5, 9].map((x) => keptMembers([bevelled(board('kept-c', x))])[0] as Member);
  const turned = (m: Member) => Object.fromEntries(Object.entries(m).reverse()) as unknown as Member;
  for (const [i, x] of [0, 5, 9].entries()) expect(keptMembers([turned(bevelled(board('kept-c', x)))])[0]).toBe(ways[i]);
});

test('what fills its box is kept as well', () => {
  const [plain] = keptMembers([board('kept-d', 0)]) as [Member];
  expect(isBlock(plain)).toBe(true);
  expect(keptMembers([board('kept-d', 0)])[0]).toBe(plain);
});
