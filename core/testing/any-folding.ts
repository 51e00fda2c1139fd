import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { Folding } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import { panels, space, stock, thing, workshop } from './samples.js';
import { radians, asDegrees } from '../measures/index.js';

const length = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((n) => mm(n / 10));

/** Tables of all sizes on legs that cross, with boards or a rod between them, and something on top. */
export const anyFolding: fc.Arbitrary<{ readonly piece: Folding; readonly shop: Workshop }> = fc
  .record({
    width: length(400, 900),
    over: length(0, 120),
    height: length(500, 800),
    wide: length(35, 60),
    round: fc.integer({ min: 60, max: 100 }),
    below: length(2, 12),
    spacer: length(0, 4),
    stands: fc.integer({ min: 45, max: 65 }),
    by: fc.constantFrom('apart' as const, 'angle' as const, 'both' as const),
    leg: length(18, 24),
    bar: length(15, 20),
    rod: fc.boolean(),
    up: length(90, 140),
    things: fc.nat(3),
    contents: fc.nat(7).map((n) => n === 0),
  })
  .map(({ width, over, height, wide, round, below, spacer, stands, by, leg, bar, rod, up, things, contents }) => {
    const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
    const end = Math.round((wide / 2) * (round / 100)) as Length;
    const top = contents && things > 0 ? ({ from: 'contents' } as const) : null;
    const across = contents && things > 0 ? mm(400) : width;
    const high = height - mm(18) - end - below - end;
    const apart = Math.round(high / Math.tan(radians(asDegrees(stands)))) as Length;
    const piece: Folding = {
      name: 'folding',
      shell: 'folding',
      width: top ?? given(width),
      depth: top ?? given((apart + over) as Length),
      height: given(height),
      top: { stock: 'ply', between: mm(10), margin: mm(15), ...(things > 0 ? { things: [{ thing: 'tin', count: things }] } : {}) },
      legs: {
        stock: 'leg',
        wide,
        round: end,
        over: (across - mm(10)) as Length,
        spacer,
        ...(by === 'angle' ? {} : { apart }),
        ...(by === 'apart' ? {} : { degrees: asDegrees(stands) }),
      },
      pivot: { below: (end + below) as Length, pin: mm(8) },
      bars: { stock: 'bar', wide: mm(45) },
      stretchers: { stock: 'bar', wide: mm(50), up, ...(rod ? { rod: mm(20) } : {}) },
      panels: panels(),
      edges: { front: 'square', banding: ZERO },
      fixedToWall: false,
      interior: space('in'),
    };
    const board = { form: 'board', material: 'white-ash', length: mm(2400), width: mm(200) } as const;
    const shop = workshop({
      stock: {
        ply: stock({ thickness: mm(18) }),
        leg: stock({ name: 'leg', ...board, thickness: leg }),
        bar: stock({ name: 'bar', ...board, thickness: bar }),
      },
      things: { tin: thing() },
    });
    return { piece, shop };
  });
