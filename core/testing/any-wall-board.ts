import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { WallBoard } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import { length } from './any-interior.js';
import { opening, panels, space, stock, thing, workshop } from './samples.js';

/** Shelves of their own depths between fins on a wall board, which studs were found behind or not. */
export const anyWallBoard: fc.Arbitrary<{ readonly piece: WallBoard; readonly shop: Workshop }> = fc
  .record({
    width: length(500, 1800),
    height: length(350, 1200),
    out: length(120, 320),
    thick: length(12, 25),
    bare: fc.record({ ends: length(0, 80), above: length(0, 80), below: length(0, 80) }),
    front: fc.constantFrom(undefined, 'stepped' as const, 'sloped' as const),
    fix: fc.constantFrom('housed' as const, 'butted' as const, 'loose' as const),
    setback: fc.constantFrom(ZERO, mm(5)),
    bays: fc.array(fc.array(fc.option(length(60, 320)), { maxLength: 3 }), { minLength: 1, maxLength: 4 }),
    tins: fc.nat(6),
    held: fc.constantFrom(undefined, 'glued' as const, 'screwed' as const),
    studs: fc.array(length(0, 1800), { maxLength: 4 }),
    solid: fc.boolean(),
  })
  .map(({ width, height, out, thick, bare, front, fix, setback, bays, tins, held, studs, solid }) => {
    const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
    const bay = (deeps: readonly (Length | null)[], n: number) => {
      const id = `bay${n}`;
      if (deeps.length === 0) return space(id);
      const members = deeps.map((deep, i) => ({
        id: `${id}m${i}`,
        ...(deep === null ? {} : { deep }),
        ...(held === undefined ? {} : { toBack: held }),
      }));
      const over = deeps.map((_, i) => space(`${id}o${i}`, tins > 0 ? { things: [{ thing: 'tin', count: tins }] } : {}));
      return space(id, { split: { axis: 'up', members, spaces: [space(`${id}u`), ...over] } });
    };
    const [only, ...more] = bays.map(bay);
    const across = { axis: 'across' as const, members: more.map((_, i) => ({ id: `fin${i}` })), spaces: bays.map(bay) };
    const fin = solid ? 'ash' : 'ply';
    const piece: WallBoard = {
      name: 'wall board',
      shell: 'wall-board',
      opening: 'wall',
      width: given(width),
      height: given(height),
      depth: given(Math.round(out + thick) as Length),
      board: { stock: 'board', bare },
      fins: { stock: fin, ...(front ? { front } : {}) },
      panels: { ...panels({ fix, housing: mm(4), setback }, { fix: 'butted', housing: mm(4) }), stock: { shelves: fin, dividers: fin } },
      edges: { front: 'square', banding: ZERO },
      fixedToWall: true,
      interior: more.length > 0 || !only ? space('in', { split: across }) : { ...only, id: 'in' },
    };
    const shop = workshop({
      stock: {
        board: stock({ name: 'board', thickness: thick }),
        ash: stock({ name: 'ash', form: 'board', material: 'white-ash', length: mm(3000), width: mm(500) }),
      },
      things: { tin: thing() },
    });
    const wall = opening({ widths: [{ place: 'middle', value: mm(2000) }], studs: [...studs].sort((a, b) => a - b) });
    return { piece, shop: { ...shop, openings: new Map([['wall', wall]]) } };
  });
