import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { Opening } from '../survey/index.js';
import { solve } from '../solution/index.js';
import { opening, piece, space, workshop } from '../testing/samples.js';

/** A case in an opening of 1000 by 2000. */
const checksIn = (extra: Partial<Opening>) =>
  solve(piece(space('in'), { opening: 'gap' }), workshop({ opening: opening(extra) }), {}).checks;
const told = (extra: Partial<Opening>) => checksIn(extra).find((c) => c.id === 'studs-past');

test('studs within the wall are no matter, up to its widest reading', () => {
  expect(told({ studs: [mm(50), mm(500), mm(999)] })).toBeUndefined();
  const widths = [
    { place: 'top', value: mm(1000) },
    { place: 'bottom', value: mm(1012) },
  ];
  expect(told({ widths, studs: [mm(1005)] })).toBeUndefined();
  expect(told({})).toBeUndefined();
});

test('one past the wall is told with where it is read from, and taken out; the others stay', () => {
  const check = told({ studs: [mm(50), mm(1450)] });
  expect(check?.severity).toBe('look');
  expect(writeExactly(check?.sentence ?? [])).toMatch(/^A stud is noted at 1450 mm, and the wall is 1000 mm wide by its widest reading/);
  const change = check?.fixes[0]?.change;
  if (change?.target !== 'opening') throw new Error('no fix');
  expect([change.id, change.opening.studs]).toEqual(['gap', [mm(50)]]);
  expect(told(change.opening)).toBeUndefined();
});

test('several are told together, and with all of them out none are noted', () => {
  const check = told({ studs: [mm(1000), mm(1450), mm(1900)] });
  expect(writeExactly(check?.sentence ?? [])).toMatch(/at 1000 mm and 2 more past that/);
  const change = check?.fixes[0]?.change;
  if (change?.target !== 'opening') throw new Error('no fix');
  expect('studs' in change.opening).toBe(false);
  expect(writeExactly(check?.fixes[0]?.label ?? [])).toBe('Take them out');
});
