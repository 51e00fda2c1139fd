import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import type { Drawers } from '../interiors/index.js';
import type { Opening } from '../survey/index.js';
import { solve } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { opening, piece, space, workshop } from '../testing/samples.js';
import { asDegrees } from '../measures/index.js';

/** What is said of one drawer in a case of 400 deep that fills an opening of 1000 x 2000 x 400. */
function said(place: Partial<Opening>, extra: Partial<Drawers> = {}) {
  const shop = { ...chestShop, openings: new Map([['gap', opening(place)]]) };
  const depth = { from: 'given', size: mm(400), of: 'overall' } as const;
  const { checks } = chest(drawers(extra), 1, { opening: 'gap', depth }, shop);
  return checks.filter((c) => c.id.startsWith('reach-')).map((c) => `${c.severity}: ${writeExactly(c.sentence)}`);
}

const pipe = (z: number) => ({
  id: 'pipe',
  kind: 'pipe' as const,
  name: 'Pipe',
  x: mm(480),
  y: ZERO,
  z: mm(z),
  width: mm(40),
  height: mm(2000),
  depth: mm(40),
});

describe('whether an open drawer has room', () => {
  // 400 − 20 front − 10 behind = 370 box; three quarters of it come out: 277.5.
  test.each<[string, Partial<Opening>, readonly string[]]>([
    ['as much free in front as it comes out', { inFront: mm(277.5) }, []],
    [
      'less in front',
      { inFront: mm(250) },
      ['stop: drawer 1 open stands 277.5 mm out of the opening, and 250 mm are free in front of it.'],
    ],
    ['what is free in front was not measured', {}, []],
    ['a pipe before the place, within its reach', { obstacles: [pipe(600)] }, ['stop: drawer 1 runs into Pipe when it is drawn out.']],
    ['a pipe before the place, beyond its reach', { obstacles: [pipe(680)] }, []],
  ])('%s', (_, place, expected) => {
    expect(said(place)).toEqual(expected);
  });

  test('one that opens to the rear goes into the wall', () => {
    expect(said({}, { face: 'rear' })).toEqual(['stop: drawer 1 cannot be drawn out: it would go 277.5 mm into the wall behind.']);
  });
});

test('a lid wants as much over its case as it stands up by', () => {
  const lid = {
    how: 'hinged',
    slack: mm(1),
    ledge: { stock: 'ply', wide: mm(20) },
    packed: { stock: 'ply', wide: mm(40) },
    opens: asDegrees(90),
    stay: true,
  } as const;
  const at = (high: number) => {
    const shop = workshop({ opening: opening({ heights: [{ place: 'middle', value: mm(high) }] }) });
    const chestWithLid = piece(space('in'), {
      opening: 'gap',
      height: { from: 'given', size: mm(600), of: 'overall' },
      depth: { from: 'given', size: mm(300), of: 'overall' },
      back: { kind: 'applied' },
      lid,
    });
    const { checks } = solve(chestWithLid, shop, {});
    return checks.filter((c) => c.id.startsWith('reach-')).map((c) => writeExactly(c.sentence));
  };
  // A back of 6, a rail of 20 and 1 behind it: 273 of lid upright on a case of 600.
  expect(at(873)).toEqual([]);
  expect(at(850)).toEqual(['the lid cannot be opened: it would go 23 mm into what is over the opening.']);
});
