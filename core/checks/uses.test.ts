import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { Person } from '../project/index.js';
import { solve } from '../solution/index.js';
import { framePiece, given, shop } from '../testing/frame-samples.js';
import { piece, space, workshop } from '../testing/samples.js';

/** A table of 720 with 560 between its posts of 45, its rails at 625. */
function knees(who: Partial<Person> = {}) {
  const table = framePiece(space('in'), {
    width: given(650),
    height: given(720),
    usedBy: { person: 'wren', how: 'sits at' },
  });
  const people = new Map([['wren', { name: 'Wren', height: mm(1680), ...who }]]);
  return solve(table, { ...shop, people }, {}).checks.find((c) => c.id === 'uses-knees');
}

describe('room for knees under a table', () => {
  test('550 is wanted where the lap is no broader than 450: 0.24 x 1680 = 403', () => {
    const told = knees();
    expect(told?.state).toBe('fine');
    expect(writeExactly(told?.sentence ?? [])).toContain('550 mm wide');
  });

  test('a lap of 470 across wants 50 more at each side: 570, and the posts leave 560', () => {
    const told = knees({ lapWide: mm(470) });
    expect(told?.state).toBe('fails');
    expect(writeExactly(told?.sentence ?? [])).toContain('570 mm wide');
    expect(knees({ lapWide: mm(459) })?.state).toBe('fine');
  });

  test('0.335 x 1680 + 25 for shoes + 20 is 607.8, under the rails; a lap of 610 is not', () => {
    expect(writeExactly(knees()?.sentence ?? [])).toContain('607.8 mm high');
    expect(knees({ lap: mm(610) })?.state).toBe('fails');
  });
});

test('what hangs is checked for reach from the floor, where it is known how high it hangs', () => {
  const shelves = space('in', {
    split: { axis: 'up', members: [{ id: 'm' }], spaces: [space('low'), space('high', { things: [{ thing: 'tin', count: 1 }] })] },
  });
  const told = (above?: number) =>
    solve(
      piece(shelves, {
        height: given(500),
        usedBy: { person: 'wren', how: 'stands at' },
        hung: { keyholes: { under: mm(50) }, ...(above === undefined ? {} : { above: mm(above) }) },
      }),
      { ...workshop(), people: new Map([['wren', { name: 'Wren', height: mm(1680), reach: mm(2040) }]]) },
      {},
    ).checks.filter((c) => c.id.startsWith('uses-'));
  // A shelf of 20 in the middle of 460 clear over a bottom of 20: its upper face is at 260.
  expect(told(1780)).toEqual([]);
  expect(writeExactly(told(1781)[0]?.sentence ?? [])).toContain('is at 2041 mm');
  expect(told()[0]?.state).toBe('not checked');
});
