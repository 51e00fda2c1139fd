import { mm, toMm, ZERO, type Length } from '../length/index.js';
import { boxOf, type Member, type Space } from '../piece/index.js';
import type { Level } from '../interiors/index.js';
import type { Frame } from '../shells/index.js';
import type { Solution } from '../solution/index.js';
import { panels, stock, thing, workshop } from './samples.js';
import { asKg } from '../measures/index.js';

/** A size that is given, mm. */
export const given = (size: number, of: 'overall' | 'inside' | 'sides' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;
/** A top that ends with its frame. */
export const NO_OVER = { front: ZERO, rear: ZERO, left: ZERO, right: ZERO };
/** Rails at all four sides. */
export const all = { front: true, rear: true, left: true, right: true };
/** Deal, ash and ply for frames, a press and a trolley. */
export const shop = workshop({
  stock: {
    deal45: stock({ name: 'deal 45', form: 'board', material: 'sitka-spruce', thickness: mm(45), width: mm(95), length: mm(3600) }),
    deal42: stock({ name: 'deal 42', form: 'board', material: 'sitka-spruce', thickness: mm(42), width: mm(95), length: mm(2400) }),
    deal21: stock({ name: 'deal 21', form: 'board', material: 'sitka-spruce', thickness: mm(21), width: mm(70), length: mm(2400) }),
    ply12: stock({ name: 'ply 12', thickness: mm(12) }),
    ash18: stock({ name: 'ash 18', form: 'board', material: 'white-ash', thickness: mm(18), width: mm(600) }),
    ash27: stock({ name: 'ash 27', form: 'board', material: 'white-ash', thickness: mm(27), width: mm(600) }),
  },
  things: {
    press: thing({
      name: 'press',
      shape: { kind: 'box', width: mm(640), height: mm(500), depth: mm(460) },
      mass: asKg(190),
      count: 1,
      facesOut: true,
    }),
    trolley: thing({
      name: 'trolley',
      shape: { kind: 'box', width: mm(585), height: mm(715), depth: mm(930) },
      count: 1,
      clearance: mm(45),
    }),
  },
});

/** A frame of 1000 x 700 x 500 with rails of 95 between posts of 45, but for what is said otherwise. */
export function framePiece(interior: Space, extra: Partial<Frame>): Frame {
  return {
    name: 'frame',
    shell: 'frame',
    width: given(1000),
    height: given(700),
    depth: given(500),
    panels: panels(),
    edges: { front: 'square', banding: ZERO },
    fixedToWall: false,
    posts: { stock: 'deal45', wide: mm(45), turned: 'across' },
    joined: 'between',
    through: 'across',
    top: { level: { rails: { stock: 'deal45', wide: mm(95), ...all } }, over: NO_OVER },
    interior,
    ...extra,
  };
}

/** A level with rails at all sides. */
export const level = (stockId: string, wide: number, deck?: Level['deck']): Level => ({
  rails: { stock: stockId, wide: mm(wide), ...all },
  ...(deck ? { deck } : {}),
});

/** The box of a member, mm. */
export const box = (s: Solution, id: string) => {
  const b = boxOf(s.shape.members.find((m) => m.id === id) as Member);
  return [b.x0, b.x1, b.y0, b.y1, b.z0, b.z1].map((v: Length) => toMm(v));
};
/** What is as small as these tips, and thin rails break under people, whatever else is right about them. */
export const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop' && !/^(tips-|people)/.test(c.id)).map((c) => c.id);
