import { ZERO, mm } from '../../core/length/index.js';
import type { Drawers, Level, Levels } from '../../core/interiors/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Frame } from '../../core/shells/index.js';
import { matDrawerMaking } from './drawers.js';
import { PLAIN_EDGES, plainPanels } from './panels.js';
import { fit, space } from './spaces.js';
import { asDegrees } from '../../core/measures/index.js';

const given = (size: number, of: 'overall' | 'inside' | 'sides' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;
const fixed = (size: number) => ({ kind: 'fixed', size: mm(size) }) as const;

const NO_OVER: Frame['top']['over'] = { front: ZERO, rear: ZERO, left: ZERO, right: ZERO };

const rails = (stock: string, wide: number): Level => ({
  rails: { stock, wide: mm(wide), front: true, rear: true, left: true, right: true },
});
const decked = (level: Level, stock: string, gap: number): Level => ({ ...level, deck: { stock, goes: 'round', gap: mm(gap) } });

/** The stand of the nipping press: as large as the press and a little more, its load on the ends of inner posts. */
const pressStand: Frame = {
  name: 'Press stand',
  shell: 'frame',
  width: { from: 'contents' },
  height: given(700),

  depth: { from: 'contents' },
  posts: { stock: 'spruce-45', wide: mm(95), turned: 'across' },
  joined: 'end-on',
  through: 'across',
  top: { level: rails('spruce-45', 95), over: NO_OVER, things: [{ thing: 'nipping-press', count: 1 }], margin: mm(12) },
  sheets: { rear: { stock: 'birch-12' }, ends: { stock: 'birch-12' } },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: false,
  noOneOn: true,
  interior: space('press-stand', {
    split: { axis: 'up', making: { kind: 'levels', level: rails('spruce-45', 95) }, members: [], spaces: [space('under-press')] },
  }),
};

const trolleyLevel = decked(rails('spruce-21', 70), 'birch-12', 1);
const trolleyLevels: Levels = {
  kind: 'levels',
  level: trolleyLevel,
  rollsIn: { space: 'trolley-bay', aside: mm(30), out: mm(150) },
};

/** A stand that the paper trolley rolls under, with levels over it. */
const trolleyStand: Frame = {
  name: 'Trolley stand',
  shell: 'frame',
  width: { from: 'contents' },
  height: given(1850),
  depth: { from: 'contents' },
  posts: { stock: 'spruce-45', wide: mm(45), turned: 'across' },
  joined: 'between',
  through: 'across',
  top: { level: trolleyLevel, over: NO_OVER },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: true,
  interior: space('trolley-stand', {
    split: {
      axis: 'up',
      making: trolleyLevels,
      members: [{ id: 'over-trolley' }, { id: 'mid-level' }],
      spaces: [
        space('trolley-bay', { name: 'trolley', rule: fit, things: [{ thing: 'paper-trolley', count: 1 }] }),
        space('boxes-level', { name: 'rag boxes', things: [{ thing: 'rag-box', count: 2 }] }),
        space('rolls-level', { name: 'free' }),
      ],
    },
  }),
};

const matRails = rails('ash-22', 45);
/** The same drawer behind a rail of 22, with 6 free there. */
const matDrawer = { ...matDrawerMaking, behind: mm(28) };

/** Legs and rails for the mats, with one drawer under the top and a shelf round the legs. */
const matStand: Frame = {
  name: 'Mat stand',
  shell: 'frame',
  width: given(455, 'sides'),
  height: given(585),
  depth: given(395, 'sides'),
  posts: { stock: 'ash-42', wide: mm(42), turned: 'across' },
  joined: 'between',
  through: 'across',
  top: {
    level: { ...matRails, deck: { stock: 'ash-27', goes: 'over', gap: ZERO, slides: true } },
    over: { front: mm(22), rear: mm(16), left: mm(16), right: mm(16) },
  },
  braces: [{ at: 'ends', is: 'cross', space: 'mat-open', stock: 'ash-22', wide: mm(28) }],
  panels: plainPanels('ash-18'),
  edges: PLAIN_EDGES,
  fixedToWall: true,
  noOneOn: true,
  interior: space('mat-stand', {
    split: {
      axis: 'up',
      making: { kind: 'levels', level: matRails, own: { 'mat-foot': decked(matRails, 'ash-panel-18', 1) } },
      members: [{ id: 'mat-foot' }, { id: 'under-drawer' }],
      spaces: [
        space('mat-floor', { name: 'under the shelf', rule: fixed(36) }),
        space('mat-open', { name: 'shelf', things: [{ thing: 'mat-pile', count: 1 }] }),
        space('mat-drawer-space', {
          name: 'drawer',
          rule: fixed(142),
          split: { axis: 'up', making: matDrawer, members: [], spaces: [space('mat-drawer', { name: 'drawer' })] },
        }),
      ],
    },
  }),
};

const loftLevel: Level = {
  rails: { stock: 'spruce-21x45', wide: mm(45), front: true, rear: true, left: true, right: true },
  deck: { stock: 'birch-15', goes: 'round', gap: mm(1), wide: mm(414) },
  cross: { most: mm(550) },
  splice: { stock: 'birch-15', long: mm(240) },
};

/** A long run of framed shelves along the loft wall: boards end to end, their seams over posts and never in line. */
const loftShelf: Frame = {
  name: 'Loft shelf',
  shell: 'frame',
  width: given(4180),
  height: given(1885),
  depth: given(416, 'sides'),
  posts: { stock: 'spruce-45', wide: mm(45), turned: 'across', middles: [mm(1757.5), mm(2377.5)] },
  joined: 'end-on',
  through: 'across',
  top: { level: loftLevel, over: NO_OVER },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: true,
  interior: space('loft', {
    split: {
      axis: 'up',
      making: { kind: 'levels', level: loftLevel },
      members: [{ id: 'loft-1' }, { id: 'loft-2' }, { id: 'loft-3' }],
      spaces: [
        space('loft-low', { name: 'under the lowest', rule: fixed(610) }),
        space('loft-boxes', { name: 'rag boxes', things: [{ thing: 'rag-box', count: 3 }] }),
        space('loft-rolls', { name: 'free' }),
        space('loft-high', { name: 'free, above' }),
      ],
    },
  }),
};

/** A bed for guests beside the drying racks: every other slat is drawn out with a front on legs of its own. */
const guestBed: Frame = {
  name: 'Guest daybed',
  shell: 'frame',
  width: { from: 'contents' },
  height: given(360),
  usedBy: { person: 'wren', how: 'sits on' },
  depth: given(640),
  posts: { stock: 'spruce-45', wide: mm(45), turned: 'across', middles: [mm(919.5)] },
  joined: 'between',
  held: 'bolts',
  through: 'across',
  top: {
    level: {
      ...rails('spruce-45', 95),
      deck: { stock: 'ash-27x104', goes: 'over', gap: ZERO, slats: { wide: mm(104), count: 17 } },
    },
    over: NO_OVER,
    things: [{ thing: 'guest-mattress', count: 2 }],
    margin: mm(4),
    people: 2,
  },
  pullOut: {
    board: { stock: 'spruce-20x104', wide: mm(104) },
    legs: { stock: 'ash-27x104', wide: mm(70), count: 3 },
    overlap: mm(180),
    behind: mm(20),
    guides: { count: 2, gap: mm(1) },
    handHold: true,
    hinged: { opens: asDegrees(75) },
  },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: true,
  interior: space('guest-bed', {
    split: {
      axis: 'up',
      making: { kind: 'levels', level: rails('spruce-45', 95) },
      members: [],
      spaces: [space('under-bed', { name: 'under the bed' })],
    },
  }),
};

/** A shallow tray that runs on slides between the legs. */
const benchTray: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: { kind: 'none', between: ZERO, below: ZERO, above: ZERO },
  oversize: ZERO,
  runner: { kind: 'slide', slide: 'slide-heavy', length: mm(800) },
  less: mm(240),
  rise: mm(30),
  behind: mm(40),
  box: { order: 'ends-between', join: 'screwed', bottom: { kind: 'groove', depth: mm(7), up: mm(10), slack: mm(1) } },
  stock: { box: 'birch-15', bottom: 'birch-12', front: 'birch-15' },
  linesFrom: 'bottom',
};

/** A bench to sleep on, with a tray between its legs that is drawn out on heavy slides for a second one. */
const sleepingBench: Frame = {
  name: 'Sleeping bench',
  shell: 'frame',
  width: given(1310),
  height: given(455),
  depth: given(880),
  usedBy: { person: 'wren', how: 'sits on', headroom: mm(1420) },
  posts: { stock: 'ash-21x95', wide: mm(95), turned: 'deep' },
  joined: 'between',
  held: 'bolts',
  through: 'across',
  top: {
    level: {
      rails: {
        ...rails('ash-42', 70).rails,
        left: false,
        right: false,
        bar: { stock: 'steel-bar-40', high: mm(40) },
      },
      cross: { most: mm(420) },
      deck: { stock: 'poplar-21', goes: 'over', gap: ZERO },
    },
    over: NO_OVER,
    people: 1,
  },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: true,
  interior: space('under-bench', {
    name: 'under the bench',
    split: {
      axis: 'up',
      making: benchTray,
      members: [],
      spaces: [space('bench-tray', { name: 'tray', things: [{ thing: 'bench-mattress', count: 1 }] })],
    },
  }),
};

/** Legs and skirts under the bank of drawers of the composing table, stiff in their corners, for someone who steps on it too. */
const composingLegs: Frame = {
  name: 'Legs of the composing table',
  shell: 'frame',
  width: { from: 'contents' },
  height: given(640),
  depth: { from: 'contents' },
  posts: { stock: 'ash-42', wide: mm(42), turned: 'across' },
  joined: 'between',
  through: 'across',
  top: {
    level: { rails: rails('ash-27x104', 104).rails, corners: { stock: 'ash-27x104' }, cross: { most: mm(400) } },
    over: NO_OVER,
    things: [{ thing: 'drawer-bank', count: 1 }],
    margin: ZERO,
    people: 1,
  },
  panels: plainPanels('birch-18'),
  edges: PLAIN_EDGES,
  fixedToWall: false,
  interior: space('under-composing'),
};

export const FRAMES: Readonly<Record<string, Piece>> = {
  'press-stand': pressStand,
  'trolley-stand': trolleyStand,
  'mat-stand': matStand,
  'loft-shelf': loftShelf,
  'guest-bed': guestBed,
  'sleeping-bench': sleepingBench,
  'composing-legs': composingLegs,
};
