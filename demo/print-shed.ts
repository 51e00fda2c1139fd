import type { ProjectFile } from '../core/formats/project-file.js';
import { inch, mm } from '../core/length/index.js';
import type { Piece, Space } from '../core/piece/index.js';
import type { GapRule } from '../core/run/index.js';

const share: GapRule = { kind: 'share', weight: 1 };
const fit: GapRule = { kind: 'fit', clearance: mm(0) };

function space(id: string, extra: Partial<Space> = {}): Space {
  return { id, rule: share, things: [], ...extra };
}

/** The ink case: a tall case in the alcove by the press, sized by the opening. */
const inkCase: Piece = {
  name: 'Ink case',
  shell: 'panel-case',
  opening: 'alcove',
  width: { from: 'opening' },
  height: { from: 'opening' },
  depth: { from: 'given', size: mm(320), of: 'sides' },
  base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false },
  top: 'between',
  bottom: 'between',
  back: { kind: 'applied' },
  stock: { sides: 'birch-18', shelves: 'birch-18', dividers: 'birch-18', back: 'birch-6', base: 'birch-18' },
  shelves: { fix: 'housed', housing: mm(6), looseEnd: mm(1), setback: mm(16) },
  dividers: { fix: 'butted', housing: mm(6) },
  edges: { front: 'eased', banding: mm(0) },
  fixedToWall: false,
  interior: space('case', {
    split: {
      axis: 'across',
      members: [{ id: 'post' }],
      spaces: [
        space('left-bay', {
          name: 'left bay',
          split: {
            axis: 'up',
            members: [{ id: 'left-1' }, { id: 'left-2' }, { id: 'left-3' }, { id: 'left-4' }],
            spaces: [
              space('tubs', { name: 'ink tubs', rule: fit, things: [{ thing: 'ink-tub', count: 8 }] }),
              space('bottles', { name: 'bottles', things: [{ thing: 'bottle', count: 12 }] }),
              space('rollers', { name: 'roller stands', things: [{ thing: 'roller-stand', count: 3 }] }),
              space('left-4th', { name: 'empty' }),
              space('rags', { name: 'rag boxes', things: [{ thing: 'rag-box', count: 2 }] }),
            ],
          },
        }),
        space('right-bay', {
          name: 'right bay',
          split: {
            axis: 'up',
            members: [
              { id: 'right-1', sameAs: 'left-1' },
              { id: 'right-2', fix: 'loose' },
              { id: 'right-3', fix: 'loose' },
            ],
            spaces: [
              space('solvents', { name: 'solvents', things: [{ thing: 'solvent-can', count: 6 }] }),
              space('tins', { name: 'tins', things: [{ thing: 'ink-tin', count: 24 }] }),
              space('paper', { name: 'paper', rule: fit, things: [{ thing: 'paper-pack', count: 8 }] }),
              space('right-4th', { name: 'boxes', things: [{ thing: 'rag-box', count: 2 }] }),
            ],
          },
        }),
      ],
    },
  }),
};

const inchRounding = { grid: inch(1 / 32), set: 'gaps', leftover: 'last' } as const;

/** The same case drawn up in inches for the roller room. */
const rollerCase: Piece = {
  ...inkCase,
  name: 'Roller case',
  width: { from: 'given', size: inch(47.25), of: 'overall' },
  height: { from: 'given', size: inch(72), of: 'overall' },
  depth: { from: 'given', size: inch(12), of: 'overall' },
  base: { kind: 'toe', height: inch(3), setback: inch(2), bearers: true },
  back: { kind: 'rebate', depth: inch(3 / 8), slack: inch(1 / 16) },
  stock: { sides: 'maple-3-4', shelves: 'maple-3-4', dividers: 'maple-3-4', back: 'birch-6', base: 'maple-3-4' },
  shelves: { fix: 'butted', housing: inch(1 / 4), looseEnd: inch(1 / 32), setback: inch(1 / 2) },
  rounding: inchRounding,
  fixedToWall: true,
  interior: space('case', {
    split: {
      axis: 'across',
      members: [{ id: 'post' }],
      spaces: [
        space('left-bay', {
          name: 'left bay',
          split: {
            axis: 'up',
            members: [{ id: 'left-1' }, { id: 'left-2' }, { id: 'left-3' }, { id: 'left-4' }],
            spaces: [
              space('tubs', { name: 'ink tubs', rule: { kind: 'fixed', size: inch(15) }, things: [{ thing: 'ink-tub', count: 3 }] }),
              space('second', { things: [{ thing: 'bottle', count: 10 }] }),
              space('third', { things: [{ thing: 'roller-stand', count: 2 }] }),
              space('fourth'),
              space('fifth', { things: [{ thing: 'rag-box', count: 1 }] }),
            ],
          },
        }),
        space('right-bay', {
          name: 'right bay',
          split: {
            axis: 'up',
            members: [{ id: 'right-1', sameAs: 'left-2' }],
            spaces: [space('aprons', { name: 'aprons' }), space('right-top', { things: [{ thing: 'rag-box', count: 2 }] })],
          },
        }),
      ],
    },
  }),
};
delete rollerCase.opening;

/** A low rack with four shelves and five equal gaps inside 66 1/4. */
const brayerRack: Piece = {
  ...rollerCase,
  name: 'Brayer rack',
  width: { from: 'given', size: inch(24), of: 'inside' },
  height: { from: 'given', size: inch(66.25), of: 'inside' },
  interior: space('rack', {
    split: {
      axis: 'up',
      members: [{ id: 'shelf-1' }, { id: 'shelf-2' }, { id: 'shelf-3' }, { id: 'shelf-4' }],
      spaces: [
        space('gap-1', { things: [{ thing: 'roller-stand', count: 2 }] }),
        space('gap-2', { things: [{ thing: 'roller-stand', count: 2 }] }),
        space('gap-3', { things: [{ thing: 'bottle', count: 6 }] }),
        space('gap-4', { things: [{ thing: 'ink-tin', count: 8 }] }),
        space('gap-5', { things: [{ thing: 'ink-tin', count: 8 }] }),
      ],
    },
  }),
};

/** A counter-high case sized by what it holds. */
const solventCupboard: Piece = {
  ...inkCase,
  name: 'Solvent cupboard',
  width: { from: 'contents' },
  height: { from: 'bounded', least: mm(700), greatest: mm(900) },
  depth: { from: 'given', size: mm(300), of: 'overall' },
  base: { kind: 'plinth', height: mm(60), setback: mm(40), bearers: true },
  back: { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) },
  fixedToWall: true,
  interior: space('cupboard', {
    split: {
      axis: 'up',
      members: [{ id: 'middle' }],
      spaces: [
        space('low', { name: 'cans', rule: fit, things: [{ thing: 'solvent-can', count: 8 }] }),
        space('high', { name: 'tins', things: [{ thing: 'ink-tin', count: 20 }] }),
      ],
    },
  }),
};
delete solventCupboard.opening;

/** The print shed: the made-up workshop that every example comes from. */
export const PRINT_SHED: ProjectFile = {
  format: 'ruvok-project',
  version: 1,
  project: {
    name: 'Print shed',
    settings: {
      unit: 'mm',
      step: mm(0.1),
      rounding: { grid: mm(0.5), set: 'gaps', leftover: 'last' },
      serviceClass: 2,
      creepSchool: 'kdef',
      limit: { kind: 'span', over: 384 },
    },
  },
  openings: {
    alcove: {
      name: 'Alcove by the press',
      widths: [
        { place: 'top', value: mm(1212) },
        { place: 'middle', value: mm(1209) },
        { place: 'bottom', value: mm(1210) },
      ],
      heights: [
        { place: 'left', value: mm(2104) },
        { place: 'right', value: mm(2101) },
      ],
      depths: [{ place: 'middle', value: mm(330) }],
      obstacles: [],
      slack: { side: mm(3), above: mm(10), behind: mm(0) },
      door: { width: mm(838), height: mm(1981) },
    },
    'window-bay': {
      name: 'Under the north window',
      widths: [
        { place: 'top', value: mm(1640) },
        { place: 'bottom', value: mm(1634) },
      ],
      heights: [{ place: 'sill', value: mm(905) }],
      depths: [{ place: 'middle', value: mm(410) }],
      diagonals: { rising: mm(1873), falling: mm(1869) },
      obstacles: [
        {
          id: 'skirting',
          kind: 'skirting',
          name: 'Skirting',
          x: mm(0),
          y: mm(0),
          z: mm(0),
          width: mm(1634),
          height: mm(95),
          depth: mm(18),
        },
        { id: 'pipe', kind: 'pipe', name: 'Heating pipe', x: mm(1590), y: mm(0), z: mm(0), width: mm(28), height: mm(905), depth: mm(60) },
      ],
      slack: { side: mm(3), above: mm(10), behind: mm(20) },
      ceiling: mm(2260),
      door: { width: mm(838), height: mm(1981) },
    },
  },
  things: {
    'ink-tub': {
      name: 'Ink tub',
      shape: { kind: 'cylinder', diameter: mm(140), height: mm(340) },
      mass: 5.6,
      count: 11,
      clearance: mm(40),
      wayUp: 'upright',
      stack: 1,
    },
    bottle: {
      name: 'Cleaning bottle',
      shape: { kind: 'cylinder', diameter: mm(92), height: mm(258) },
      mass: 1.3,
      count: 28,
      clearance: mm(20),
      wayUp: 'upright',
      stack: 1,
    },
    'roller-stand': {
      name: 'Roller stand',
      shape: { kind: 'box', width: mm(180), height: mm(225), depth: mm(240) },
      mass: 2.4,
      count: 9,
      clearance: mm(15),
      wayUp: 'upright',
      stack: 1,
    },
    'rag-box': {
      name: 'Rag box',
      shape: { kind: 'box', width: mm(270), height: mm(230), depth: mm(290) },
      mass: 2.1,
      count: 7,
      clearance: mm(20),
      wayUp: 'upright',
      stack: 2,
    },
    'solvent-can': {
      name: 'Solvent can',
      shape: { kind: 'box', width: mm(165), height: mm(250), depth: mm(110) },
      mass: 4.4,
      count: 14,
      clearance: mm(25),
      wayUp: 'upright',
      stack: 1,
    },
    'ink-tin': {
      name: 'Ink tin',
      shape: { kind: 'cylinder', diameter: mm(100), height: mm(88) },
      mass: 1.05,
      count: 60,
      clearance: mm(15),
      wayUp: 'upright',
      stack: 3,
    },
    'tarlatan-roll': {
      name: 'Tarlatan roll',
      shape: { kind: 'cylinder', diameter: mm(120), height: mm(560) },
      mass: 1.9,
      count: 4,
      clearance: mm(20),
      wayUp: 'lying',
      stack: 2,
    },
    'paper-pack': {
      name: 'Paper pack',
      shape: { kind: 'box', width: mm(285), height: mm(127), depth: mm(300) },
      mass: 8.75,
      count: 8,
      clearance: mm(20),
      wayUp: 'upright',
      stack: 4,
    },
  },
  stock: {
    'birch-18': {
      name: 'Birch ply 18',
      form: 'sheet',
      material: 'birch-plywood',
      nominal: mm(18),
      thickness: mm(17.6),
      length: mm(2500),
      width: mm(1250),
      price: 84,
      onHand: 3,
    },
    'birch-24': {
      name: 'Birch ply 24',
      form: 'sheet',
      material: 'birch-plywood',
      nominal: mm(24),
      thickness: mm(23.7),
      length: mm(2500),
      width: mm(1250),
      price: 112,
      onHand: 1,
    },
    'birch-6': {
      name: 'Birch ply 6',
      form: 'sheet',
      material: 'birch-plywood-thin',
      nominal: mm(6),
      thickness: mm(6),
      length: mm(2500),
      width: mm(1250),
      price: 38,
      onHand: 2,
    },
    'mdf-18': {
      name: 'MDF 18',
      form: 'sheet',
      material: 'mdf-moisture',
      nominal: mm(18),
      thickness: mm(17.6),
      length: mm(2440),
      width: mm(1220),
      price: 36,
      onHand: 1,
    },
    'red-oak-18': {
      name: 'Red oak 18',
      form: 'board',
      material: 'red-oak',
      nominal: mm(18),
      thickness: mm(17.6),
      length: mm(2400),
      width: mm(330),
      price: 62,
      onHand: 4,
    },
    'maple-3-4': {
      name: 'Shop ply 3/4',
      form: 'sheet',
      material: 'birch-plywood',
      nominal: inch(0.75),
      thickness: inch(0.75),
      length: inch(96),
      width: inch(48),
      price: 96,
      onHand: 2,
    },
  },
  people: {
    wren: { name: 'Wren', height: mm(1680), reach: mm(2040) },
    odo: { name: 'Odo', height: mm(1830), reach: mm(2230) },
  },
  pieces: {
    'ink-case': { piece: inkCase, letters: {} },
    'roller-case': { piece: rollerCase, letters: {} },
    'brayer-rack': { piece: brayerRack, letters: {} },
    'solvent-cupboard': { piece: solventCupboard, letters: {} },
  },
};
