import { chest, drawers } from '../testing/chest.js';
import { alike } from './index.js';

const members = [...chest(drawers(), 4).carried.members.values()].filter((c) => c.bending);

test('members that bend alike under alike loads are together, and no one is lost', () => {
  const groups = alike(members);
  expect(groups.flat()).toHaveLength(members.length);
  expect(groups.length).toBeLessThan(members.length);
  for (const group of groups) {
    const figures = new Set(group.map((c) => `${c.member.role} ${c.member.stockId} ${c.state} ${c.bending?.verdict.today.mm.toFixed(3)}`));
    expect(figures.size).toBe(1);
  }
});

test('the drawer with tins in it is on a line of its own; the empty ones are on one, in the order they came', () => {
  const bottoms = alike(members.filter((c) => c.member.role === 'drawer bottom'));
  expect(bottoms.map((g) => g.map((c) => c.member.node).sort())).toEqual(expect.arrayContaining([['d1'], ['d2', 'd3', 'd4']]));
});

test('of nothing there is nothing', () => expect(alike([])).toEqual([]));
