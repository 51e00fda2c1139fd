import { ZERO, mm } from '../../core/length/index.js';
import type { Piece, Space } from '../../core/piece/index.js';
import type { Boards, Drawers } from '../../core/interiors/index.js';
import type { InPlace, PanelCase } from '../../core/shells/index.js';
import { PLAIN_EDGES, plainPanels } from './panels.js';
import { share, space } from './spaces.js';

const given = (size: number, of: 'overall' | 'inside' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;

/** The parts of a bank, from the bottom up, with nothing but reveals between them. */
function bank(id: string, making: Drawers, parts: readonly Space[]): NonNullable<Space['split']> {
  return { axis: 'up', making, members: parts.slice(1).map((_, i) => ({ id: `${id}-r${i + 1}` })), spaces: [...parts] };
}

const chestDrawers: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: { kind: 'inset', between: mm(4), below: mm(4), above: mm(4), sides: mm(2), setback: ZERO },
  oversize: ZERO,
  runner: { kind: 'slide', slide: 'slide-45', length: mm(500) },
  less: mm(24),
  rise: mm(12),
  behind: mm(10),
  box: { order: 'ends-between', join: 'pocket', bottom: { kind: 'groove', depth: mm(7), up: mm(10), slack: mm(1) } },
  stock: { box: 'birch-15', bottom: 'birch-9', front: 'ash-18' },
  linesFrom: 'bottom',
  handle: { name: 'Turned knob', down: 'middle' },
};

/** A chest of shallow drawers for paper, on slides. */
const paperChest: PanelCase = {
  edges: PLAIN_EDGES,
  name: 'Paper chest',
  shell: 'panel-case',
  width: given(880, 'inside'),
  height: given(790, 'inside'),
  depth: given(560, 'inside'),
  base: { kind: 'plinth', height: mm(70), setback: mm(40), bearers: true },
  top: 'over',
  bottom: 'between',
  back: { kind: 'applied' },
  stock: { sides: 'birch-18', back: 'birch-6', base: 'birch-18' },
  panels: plainPanels('birch-18'),
  fixedToWall: true,
  interior: space('chest', {
    split: bank('chest', chestDrawers, [
      ...['bottom', 'second', 'third', 'fourth', 'fifth', 'sixth'].map((name) =>
        space(`drawer-${name}`, { name: `${name} drawer`, things: [{ thing: 'proof-paper', count: 1 }] }),
      ),
      space('drawer-top', { name: 'top drawer' }),
    ]),
  }),
};

/** Lipped, on wooden runners, for mats. */
export const matDrawerMaking: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: { kind: 'lipped', lip: mm(9), between: ZERO },
  oversize: ZERO,
  runner: { kind: 'wooden', side: mm(2), stock: 'ash-18', wide: mm(30) },
  less: mm(7),
  rise: ZERO,
  behind: mm(6),
  box: { order: 'ends-between', join: 'nailed', bottom: { kind: 'groove', depth: mm(6), up: mm(8), slack: mm(1) } },
  stock: { box: 'birch-12', bottom: 'birch-6', front: 'ash-18' },
  linesFrom: 'bottom',
  handle: { name: 'Turned knob', down: 'middle' },
};

/** The drawer of a stand with legs and rails: lipped, on wooden runners. */
const matDrawer: InPlace = {
  edges: PLAIN_EDGES,
  name: 'Mat stand drawer',
  shell: 'in-place',
  place: 'The front rails of the mat stand',
  width: given(371),
  height: given(142),
  depth: given(373),
  cover: mm(22),
  panels: plainPanels('ash-18'),
  fixedToWall: true,
  interior: space('rails', {
    split: bank('rails', matDrawerMaking, [space('mats', { name: 'mats' })]),
  }),
};

const trayDrawers = (face: Drawers['face']): Drawers => ({
  kind: 'drawers',
  face,
  front: { kind: 'inset', between: mm(2.5), below: mm(2.5), above: mm(2.5), sides: mm(2.5), setback: ZERO },
  oversize: mm(1.5),
  runner: { kind: 'wooden', side: mm(2), stock: 'birch-9', wide: mm(20) },
  less: mm(8),
  rise: mm(7),
  behind: ZERO,
  box: { order: 'sides-between', join: 'screwed', bottom: { kind: 'tray', strip: mm(40) } },
  stock: { box: 'birch-12', bottom: 'birch-6', front: 'beech-19' },
  linesFrom: 'bottom',
});

/** The drawers under the composing table, out of both ends; the tape found the runners closer than they were drawn. */
const composingTable: PanelCase = {
  edges: PLAIN_EDGES,
  name: 'Composing table',
  shell: 'panel-case',
  width: given(566, 'inside'),
  height: given(187, 'inside'),
  depth: given(1040),
  base: { kind: 'none' },
  top: 'over',
  bottom: 'between',
  back: { kind: 'none' },
  stock: { sides: 'birch-24' },
  panels: plainPanels('birch-18'),
  fixedToWall: true,
  interior: space('table', {
    split: {
      axis: 'deep',
      members: [{ id: 'middle-gap', room: mm(24) }],
      spaces: [
        space('rear-end', {
          name: 'rear end',
          split: bank('rear-end', trayDrawers('rear'), [space('rear-1'), space('rear-2'), space('rear-3')]),
        }),
        space('front-end', {
          name: 'front end',
          split: bank('front-end', trayDrawers('front'), [
            space('front-1', { name: 'sticks', things: [{ thing: 'composing-stick', count: 6 }] }),
            space('front-2'),
            space('front-3'),
          ]),
        }),
      ],
    },
  }),
};

const sinkDrawer: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: { kind: 'lipped', lip: mm(12), between: ZERO },
  oversize: ZERO,
  runner: { kind: 'slide', slide: 'slide-45-old', length: mm(500) },
  less: mm(30),
  rise: mm(15),
  behind: ZERO,
  box: { order: 'ends-between', join: 'screwed', bottom: { kind: 'groove', depth: mm(6), up: mm(10), slack: mm(1) } },
  stock: { box: 'birch-12', bottom: 'birch-9', front: 'ash-18' },
  linesFrom: 'top',
};

/** Two drawers put into the old sink cabinet, its middle post taken out. */
const sinkDrawers: InPlace = {
  edges: PLAIN_EDGES,
  name: 'Sink drawers',
  shell: 'in-place',
  place: 'The cabinet under the sink',
  width: given(756),
  height: given(583),
  depth: given(527),
  out: [{ what: 'The post in the middle of the face frame' }],
  packing: { out: mm(24), stock: 'offcut-16', wide: mm(62) },
  panels: plainPanels('ash-20'),
  fixedToWall: true,
  interior: space('cabinet', {
    split: {
      axis: 'up',
      members: [{ id: 'mid-rail', rail: mm(42) }],
      spaces: [
        space('lower', { name: 'lower opening', split: bank('lower', sinkDrawer, [space('rags-drawer', { name: 'lower drawer' })]) }),
        space('upper', { name: 'upper opening', split: bank('upper', sinkDrawer, [space('gloves-drawer', { name: 'upper drawer' })]) }),
      ],
    },
  }),
};

const lanes: Boards = { kind: 'boards', stock: 'poplar-15', high: mm(74), ends: true, fit: mm(0.5), channel: ZERO, glued: false };

/** A layout of boards pressed into the type drawer: one lane for the composing sticks in compartments, one open. */
const typeTray: InPlace = {
  edges: PLAIN_EDGES,
  name: 'Type tray',
  shell: 'in-place',
  place: 'The type drawer',
  width: given(543.5),
  height: given(96),
  depth: given(402),
  panels: plainPanels('poplar-15'),
  fixedToWall: true,
  interior: space('tray', {
    split: {
      axis: 'deep',
      making: lanes,
      members: [{ id: 'middle-board' }],
      spaces: [
        space('furniture', { name: 'furniture lane' }),
        space('sticks-lane', {
          name: 'stick lane',
          rule: { kind: 'fixed', size: mm(270) },
          split: {
            axis: 'across',
            making: { ...lanes, ends: false, fit: ZERO, channel: mm(4) },
            members: [1, 2, 3, 4, 5].map((n) => ({ id: `cross-${n}` })),
            spaces: [1, 2, 3, 4, 5, 6].map((n) => space(`stick-${n}`, { rule: share, things: [{ thing: 'composing-stick', count: 1 }] })),
          },
        }),
      ],
    },
  }),
};

export const DRAWERS: Readonly<Record<string, Piece>> = {
  'paper-chest': paperChest,
  'mat-drawer': matDrawer,
  'composing-table': composingTable,
  'sink-drawers': sinkDrawers,
  'type-tray': typeTray,
};
