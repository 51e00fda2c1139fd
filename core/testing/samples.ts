import { ZERO, mm, type Length } from '../length/index.js';
import type { Axis, Box, Space } from '../piece/index.js';
import type { Panels } from '../interiors/index.js';
import type { Frame, PanelCase } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import type { GapRule } from '../run/index.js';
import type { Opening, Reach } from '../survey/index.js';
import type { Slide, Stock } from '../stock/index.js';
import type { Thing } from '../things/index.js';
import { asKg } from '../measures/index.js';

const share: GapRule = { kind: 'share', weight: 1 };

/** A box of the piece, mm. */
export const box = (x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): Box => ({
  x0: mm(x0),
  x1: mm(x1),
  y0: mm(y0),
  y1: mm(y1),
  z0: mm(z0),
  z1: mm(z1),
});
/** A space for a sample. */
export function space(id: string, extra: Partial<Space> = {}): Space {
  return { id, rule: share, things: [], ...extra };
}

/** A space divided into so many, `id-1` and on, by members `id-m1` and on. */
export function divided(id: string, axis: Axis, count: number, extra: Partial<Space> = {}): Space {
  const members = Array.from({ length: count - 1 }, (_, i) => ({ id: `${id}-m${i + 1}` }));
  const spaces = Array.from({ length: count }, (_, i) => space(`${id}-${i + 1}`));
  return space(id, { split: { axis, members, spaces }, ...extra });
}

/** A space with something that weighs nothing wherever nothing stands, so that nothing is assumed to. */
export function lightly(inside: Space): Space {
  const { split } = inside;
  if (split) return { ...inside, split: { ...split, spaces: split.spaces.map(lightly) } };
  return inside.things.length > 0 || inside.filling ? inside : { ...inside, things: [{ thing: 'card', count: 1 }] };
}

/** A stock of 20 mm, round for sums by hand. */
export function stock(extra: Partial<Stock> = {}): Stock {
  return {
    name: 'ply 20',
    form: 'sheet',
    material: 'birch-plywood',
    nominal: mm(20),
    thickness: mm(20),
    length: mm(2500),
    width: mm(1250),
    ...extra,
  };
}

/** Tins of 100 x 100 x 100 and 2 kg. */
export function thing(extra: Partial<Thing> = {}): Thing {
  return {
    name: 'tin',
    shape: { kind: 'box', width: mm(100), height: mm(100), depth: mm(100) },
    mass: asKg(2),
    count: 100,
    clearance: ZERO,
    wayUp: 'upright',
    stack: 1,
    ...extra,
  };
}

/** It weighs nothing. */
const CARD = thing({ name: 'card', mass: asKg(0), shape: { kind: 'box', width: mm(1), height: mm(1), depth: mm(1) } });

/** An opening of 1000 x 2000 x 400 with no slack. */
export function opening(extra: Partial<Opening> = {}): Opening {
  const one = (value: number) => [{ place: 'middle', value: mm(value) }];
  return {
    name: 'gap',
    widths: one(1000),
    heights: one(2000),
    depths: one(400),
    obstacles: [],
    slack: { side: ZERO, above: ZERO, behind: ZERO },
    ...extra,
  };
}

/** A workshop with ply of 20 and 6, tins, and one opening. */
export function workshop(
  extra: {
    stock?: Record<string, Stock>;
    slides?: Record<string, Slide>;
    things?: Record<string, Thing>;
    opening?: Opening;
    /** What the tape found in spaces of the piece. */
    built?: Readonly<Record<string, Partial<Record<Reach, Length>>>>;
    settings?: Partial<Workshop['settings']>;
  } = {},
): Workshop {
  return {
    settings: {
      unit: 'mm',
      step: mm(0.1),
      rounding: { grid: mm(0.5), set: 'gaps', leftover: 'last' },
      serviceClass: 1,
      creepSchool: 'kdef',
      limit: { kind: 'span', over: 384 },
      ...extra.settings,
    },
    openings: new Map([['gap', extra.opening ?? opening()]]),
    things: new Map(Object.entries({ tin: thing(), card: CARD, ...extra.things })),
    stock: new Map(Object.entries({ ply: stock(), thin: stock({ name: 'ply 6', nominal: mm(6), thickness: mm(6) }), ...extra.stock })),
    slides: new Map(Object.entries(extra.slides ?? {})),
    people: new Map(),
    ...(extra.built ? { built: new Map(Object.entries(extra.built)) } : {}),
  };
}

const SAMPLE_PANELS: Panels = {
  stock: { shelves: 'ply', dividers: 'ply' },
  shelves: { fix: 'loose', housing: mm(5), looseEnd: ZERO, setback: ZERO },
  dividers: { fix: 'butted', housing: mm(5) },
};

/** How the panels of a sample are made, but for what is said otherwise of its shelves and its dividers. */
export function panels(shelves: Partial<Panels['shelves']> = {}, dividers: Partial<Panels['dividers']> = {}): Panels {
  return {
    ...SAMPLE_PANELS,
    shelves: { ...SAMPLE_PANELS.shelves, ...shelves },
    dividers: { ...SAMPLE_PANELS.dividers, ...dividers },
  };
}

/** A case of 1000 x 2000 x 300 outside, all of 20, no base and no back, shelves loose with no gap. */
export function piece(interior: Space, extra: Partial<PanelCase> = {}): PanelCase {
  const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;
  return {
    name: 'sample',
    shell: 'panel-case',
    width: given(1000),
    height: given(2000),
    depth: given(300),
    base: { kind: 'none' },
    top: 'between',
    bottom: 'between',
    back: { kind: 'none' },
    stock: { sides: 'ply', back: 'thin', base: 'ply' },
    panels: SAMPLE_PANELS,
    edges: { front: 'square', banding: ZERO },
    fixedToWall: true,
    interior,
    ...extra,
  };
}

/** A low bench on four posts of 45, its rails between them on bolts, and the workshop that it is made in. */
export function boltedBench(): { readonly bench: Frame; readonly shop: ReturnType<typeof workshop> } {
  const shop = workshop({
    stock: {
      post: stock({ form: 'board', material: 'white-ash', thickness: mm(45), width: mm(95) }),
      rail: stock({ form: 'board', material: 'white-ash', thickness: mm(27), width: mm(95) }),
      bar: stock({ form: 'board', material: 'steel', thickness: mm(4), width: mm(40) }),
    },
  });
  const bench: Frame = {
    name: 'bench',
    shell: 'frame',
    width: { from: 'given', size: mm(1200), of: 'overall' },
    height: { from: 'given', size: mm(450), of: 'overall' },
    depth: { from: 'given', size: mm(500), of: 'overall' },
    panels: panels(),
    edges: { front: 'square', banding: mm(0) },
    fixedToWall: true,
    posts: { stock: 'post', wide: mm(45), turned: 'across' },
    joined: 'between',
    held: 'bolts',
    through: 'across',
    top: {
      level: {
        rails: { stock: 'rail', wide: mm(95), front: true, rear: true, left: false, right: false, bar: { stock: 'bar', high: mm(40) } },
        cross: { most: mm(600) },
      },
      over: { front: mm(0), rear: mm(0), left: mm(0), right: mm(0) },
    },
    interior: space('in'),
  };
  return { bench, shop };
}
