import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { Leaning } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import { panels, space, stock, thing, workshop } from './samples.js';
import { radians, asDegrees } from '../measures/index.js';

const length = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((n) => mm(n / 10));

/** Shelves of their own depths between sides that lean, by any two figures of these, with dividers over one of them. */
export const anyLeaning: fc.Arbitrary<{ readonly piece: Leaning; readonly shop: Workshop }> = fc
  .record({
    along: length(1200, 2200),
    degrees: fc.integer({ min: 30, max: 250 }).map((n) => n / 10),
    by: fc.constantFrom('angle' as const, 'foot' as const, 'height' as const),
    long: fc.boolean(),
    wide: length(90, 180),
    width: length(600, 1200),
    deep: length(160, 420),
    flat: fc.option(length(10, 60)),
    fix: fc.constantFrom('housed' as const, 'butted' as const),
    setback: fc.constantFrom(ZERO, mm(6)),
    own: fc.array(fc.option(length(120, 450)), { minLength: 1, maxLength: 5 }),
    full: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
    dividers: fc.nat(2),
    brace: fc.option(fc.nat(4)),
    plugs: fc.boolean(),
    legs: fc.option(length(30, 90)),
    side: length(18, 28),
    fixed: fc.boolean(),
  })
  .map(({ along, degrees, by, long, wide, width, deep, flat, fix, setback, own, full, dividers, brace, plugs, legs, side, fixed }) => {
    const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
    const angle = radians(asDegrees(degrees));
    const upright = Math.round(along * Math.cos(angle)) as Length;
    const out = Math.round(along * Math.sin(angle)) as Length;
    const length_ = long ? { along } : {};
    const lean: Leaning['sides']['lean'] =
      by === 'angle' ? { by, degrees: asDegrees(degrees), ...length_ } : by === 'foot' ? { by, out, ...length_ } : { by, along };
    const spaces = [space('under'), ...own.map((_, i) => space(`s${i + 1}`, { things: full[i] ? [{ thing: 'tin', count: 2 }] : [] }))];
    const [, over] = spaces;
    if (over && dividers > 0)
      over.split = {
        axis: 'across',
        members: Array.from({ length: dividers }, (_, i) => ({ id: `d${i + 1}` })),
        spaces: Array.from({ length: dividers + 1 }, (_, i) => space(`b${i + 1}`)),
      };
    const inSpace = brace === null ? undefined : spaces[Math.min(brace, spaces.length - 1)];
    const piece: Leaning = {
      name: 'leaning',
      shell: 'leaning',
      width: given(width),
      height: given(upright),
      depth: given(deep),
      sides: { stock: 'side', wide, lean, ...(flat ? { flat } : {}) },
      ...(plugs ? { plugs: { across: mm(10), deep: mm(5) } } : {}),
      ...(legs ? { legs: { stock: 'side', wide: legs } } : {}),
      ...(inSpace ? { brace: { stock: 'wall', wide: mm(60), space: inSpace.id } } : {}),
      panels: panels({ fix, housing: mm(6), setback }, { fix: 'butted', housing: mm(4) }),
      edges: { front: 'square', banding: ZERO },
      fixedToWall: fixed,
      interior: space('in', {
        split: { axis: 'up', members: own.map((d, i) => ({ id: `m${i + 1}`, ...(d === null ? {} : { deep: d }) })), spaces },
      }),
    };
    const board = { form: 'board', material: 'white-ash', length: mm(3000), width: mm(500) } as const;
    const shop = workshop({
      stock: { side: stock({ name: 'side', ...board, thickness: side }), ply: stock(), wall: stock({ name: 'wall', thickness: mm(12) }) },
      things: { tin: thing() },
    });
    return { piece, shop };
  });
