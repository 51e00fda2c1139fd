import { ZERO, inch } from '../../core/length/index.js';
import type { Drawers } from '../../core/interiors/index.js';
import type { Piece } from '../../core/piece/index.js';
import { EASED, PLY, overall, panels, space } from './panels.js';

const reams = (count: number) => [{ thing: 'ream', count }];

/** A case that fills the nook: two bays with three adjustable shelves each. */
const paperCase: Piece = {
  name: 'Paper case',
  shell: 'panel-case',
  opening: 'nook',
  width: { from: 'opening' },
  height: overall(74),
  depth: overall(12),
  base: { kind: 'toe', height: inch(3.5), setback: inch(2), bearers: true },
  top: 'between',
  bottom: 'between',
  back: { kind: 'applied' },
  stock: { sides: PLY, back: 'ply-1-4', base: PLY },
  panels: panels('loose', inch(3 / 8)),
  edges: EASED,
  fixedToWall: true,
  interior: space('paper', {
    split: {
      axis: 'across',
      members: [{ id: 'middle' }],
      spaces: ['left', 'right'].map((bay) =>
        space(bay, {
          split: {
            axis: 'up',
            members: [1, 2, 3].map((i) => ({ id: `${bay}-shelf-${i}` })),
            spaces: [1, 2, 3, 4].map((i) => space(`${bay}-${i}`, { things: i < 4 ? reams(6) : [] })),
          },
        }),
      ),
    },
  }),
};

const trays: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: {
    kind: 'inset',
    between: inch(1 / 8),
    below: inch(1 / 8),
    above: inch(1 / 8),
    sides: inch(1 / 16),
    setback: ZERO,
  },
  oversize: ZERO,
  runner: { kind: 'slide', slide: 'slide-1-2', length: inch(18) },
  less: inch(1),
  rise: inch(1 / 2),
  behind: inch(3 / 8),
  box: { order: 'ends-between', join: 'pocket', bottom: { kind: 'groove', depth: inch(1 / 4), up: inch(3 / 8), slack: inch(1 / 32) } },
  stock: { box: PLY, bottom: 'ply-1-4', front: PLY },
  linesFrom: 'bottom',
};

/** A chest of four drawers for tools and thread. */
const toolChest: Piece = {
  name: 'Tool chest',
  shell: 'panel-case',
  width: overall(30),
  height: overall(28.5),
  depth: overall(20),
  base: { kind: 'toe', height: inch(3.5), setback: inch(2), bearers: true },
  top: 'between',
  bottom: 'between',
  back: { kind: 'applied' },
  stock: { sides: PLY, back: 'ply-1-4', base: PLY },
  panels: panels('loose', ZERO),
  edges: EASED,
  fixedToWall: true,
  interior: space('tools', {
    split: {
      axis: 'up',
      making: trays,
      members: [1, 2, 3].map((i) => ({ id: `line-${i}` })),
      spaces: [1, 2, 3, 4].map((i) => space(`drawer-${i}`)),
    },
  }),
};

/** Pigeon-holes for rolls of book cloth, halved into each other. */
const clothCase: Piece = {
  name: 'Cloth case',
  shell: 'panel-case',
  width: overall(30),
  height: overall(24),
  depth: overall(16),
  base: { kind: 'none' },
  top: 'between',
  bottom: 'between',
  back: { kind: 'applied' },
  stock: { sides: PLY, back: 'ply-1-4', base: PLY },
  panels: panels('loose', ZERO),
  edges: EASED,
  fixedToWall: true,
  noOneOn: true,
  interior: space('rolls', {
    filling: {
      kind: 'cells',
      thing: 'cloth-roll',
      free: inch(1 / 2),
      make: { kind: 'half-lapped', stock: 'ply-1-4' },
      blocked: [],
      features: [],
    },
  }),
};

export const CASES = { 'paper-case': paperCase, 'tool-chest': toolChest, 'cloth-case': clothCase };
