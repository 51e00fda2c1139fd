import { ZERO, inch, mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { PanelCase } from '../../core/shells/index.js';
import { PLAIN_EDGES, plainPanels } from './panels.js';
import { fit, space } from './spaces.js';
import { asDegrees } from '../../core/measures/index.js';

/** The ink case: a tall case in the alcove by the press, sized by the opening. */
const inkCase: PanelCase = {
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
  stock: { sides: 'birch-18', back: 'birch-6', base: 'birch-18' },
  panels: {
    stock: { shelves: 'birch-18', dividers: 'birch-18' },
    shelves: { fix: 'housed', housing: mm(6), looseEnd: mm(1), setback: mm(16) },
    dividers: { fix: 'butted', housing: mm(6) },
  },
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
const rollerCase: PanelCase = {
  ...inkCase,
  name: 'Roller case',
  width: { from: 'given', size: inch(47.25), of: 'overall' },
  height: { from: 'given', size: inch(72), of: 'overall' },
  depth: { from: 'given', size: inch(12), of: 'overall' },
  base: { kind: 'toe', height: inch(3), setback: inch(2), bearers: true },
  back: { kind: 'rebate', depth: inch(3 / 8), slack: inch(1 / 16) },
  stock: { sides: 'maple-3-4', back: 'birch-6', base: 'maple-3-4' },
  panels: {
    stock: { shelves: 'maple-3-4', dividers: 'maple-3-4' },
    shelves: { fix: 'butted', housing: inch(1 / 4), looseEnd: inch(1 / 32), setback: inch(1 / 2) },
    dividers: { fix: 'butted', housing: mm(6) },
  },
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
const brayerRack: PanelCase = {
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
const solventCupboard: PanelCase = {
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

/** A cabinet for drying screens: thin shelves that slide into any of its grooves. */
const screenCabinet: PanelCase = {
  name: 'Screen cabinet',
  shell: 'panel-case',
  edges: PLAIN_EDGES,
  width: { from: 'given', size: mm(415), of: 'overall' },
  height: { from: 'given', size: mm(905), of: 'overall' },
  depth: { from: 'given', size: mm(360), of: 'overall' },
  base: { kind: 'none' },
  top: 'rebated',
  bottom: 'rebated',
  rebate: mm(8),
  back: { kind: 'groove', depth: mm(5), inset: mm(10), slack: mm(1) },
  stock: { sides: 'birch-15', back: 'birch-5' },
  panels: plainPanels('birch-15'),
  fixedToWall: true,
  interior: space('screens', {
    name: 'screens',
    filling: {
      kind: 'grooves',
      wide: mm(5),
      deep: mm(5),
      first: mm(48),
      pitch: mm(32),
      last: mm(48),
      stock: 'birch-5',
      thing: 'silk-screen',
      slack: mm(1),
      shelves: [1, 4, 7, 10, 13, 16, 19, 22],
      fingers: { wide: mm(90), deep: mm(25) },
    },
  }),
};

/** A shallow case for rollers beside the press, hung on the wall by a cleat: heavy things low. */
const rollerWallCase: PanelCase = {
  name: 'Roller wall case',
  shell: 'panel-case',
  edges: PLAIN_EDGES,
  width: { from: 'given', size: mm(1040), of: 'overall' },
  height: { from: 'given', size: mm(640), of: 'overall' },
  depth: { from: 'given', size: mm(253), of: 'overall' },
  base: { kind: 'none' },
  top: 'between',
  bottom: 'between',
  back: { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) },
  hung: { cleat: { stock: 'birch-18', wide: mm(120) }, above: mm(1250) },
  stock: { sides: 'birch-18', bottom: 'birch-24', back: 'birch-6' },
  panels: {
    ...plainPanels('birch-18'),
    shelves: { fix: 'loose', housing: mm(6), looseEnd: mm(1), rows: { pitch: mm(32), each: 2 }, setback: ZERO },
  },
  fixedToWall: true,
  interior: space('rollers', {
    split: {
      axis: 'across',
      members: [{ id: 'roller-divider' }],
      spaces: [
        space('roller-bay', {
          name: 'left',
          split: {
            axis: 'up',
            members: [{ id: 'roller-shelf', deep: mm(165) }],
            spaces: [
              space('roller-low', { name: 'large rollers', things: [{ thing: 'roller-stand', count: 2 }] }),
              space('roller-high', { name: 'tins', things: [{ thing: 'ink-tin', count: 2 }] }),
            ],
          },
        }),
        space('tin-bay', {
          name: 'right',
          split: {
            axis: 'up',
            members: [{ id: 'tin-shelf', sameAs: 'roller-shelf' }],
            spaces: [
              space('tin-low', { name: 'small rollers', things: [{ thing: 'roller-stand', count: 2 }] }),
              space('tin-high', { name: 'bottles', things: [{ thing: 'bottle', count: 1 }] }),
            ],
          },
        }),
      ],
    },
  }),
};

const none = { size: ZERO, why: 'fit' } as const;

const rounded = { is: 'round', by: mm(60) } as const;

/** The exposure unit: a lamp box over two power packs, with room for heat and cables. */
const exposureUnit: PanelCase = {
  name: 'Exposure unit',
  shell: 'panel-case',
  width: { from: 'contents' },
  height: { from: 'given', size: mm(700), of: 'overall' },
  depth: { from: 'given', size: mm(520), of: 'sides' },
  base: { kind: 'none' },
  top: 'between',
  bottom: 'between',
  back: { kind: 'applied', air: mm(80) },
  cables: mm(60),
  bar: { space: 'power', stock: 'birch-18-faced', wide: mm(120), slack: mm(1) },
  // The sides stand out all round, their corners rounded; the lid between them clears what is behind it.
  outline: { corners: { frontTop: rounded, rearTop: rounded, frontBottom: rounded, rearBottom: rounded } },
  inset: { front: mm(1.5), rear: ZERO, top: mm(60), bottom: mm(60) },
  lid: {
    how: 'hinged',
    slack: mm(1.5),
    ledge: { stock: 'birch-18-faced', wide: mm(25) },
    packed: { stock: 'birch-18-faced', wide: mm(45) },
    opens: asDegrees(92),
    stay: true,
  },
  stock: { sides: 'birch-18-faced', back: 'birch-6' },
  panels: { ...plainPanels('birch-18-faced'), shelves: { fix: 'butted', housing: mm(6), looseEnd: mm(1), setback: ZERO } },
  edges: { front: 'banded', banding: mm(1) },
  fixedToWall: true,
  noOneOn: true,
  interior: space('inside', {
    split: {
      axis: 'up',
      members: [{ id: 'lamp-panel' }],
      spaces: [
        space('power', {
          name: 'power packs',
          rule: { kind: 'share', weight: 1 },
          filling: {
            kind: 'equipment',
            thing: 'power-pack',
            count: 2,
            between: mm(30),
            free: {
              left: { size: mm(30), why: 'heat' },
              right: { size: mm(30), why: 'heat' },
              front: none,
              rear: { size: mm(30), why: 'cables' },
              above: { size: mm(30), why: 'heat' },
              below: none,
            },
            heat: 60,
          },
        }),
        space('lamp', {
          name: 'lamp box',
          rule: fit,
          filling: {
            kind: 'equipment',
            thing: 'lamp-box',
            count: 1,
            between: ZERO,
            free: {
              left: { size: mm(6), why: 'fit' },
              right: { size: mm(6), why: 'fit' },
              front: none,
              rear: { size: mm(45), why: 'cables' },
              above: { size: mm(70), why: 'heat' },
              below: none,
            },
            controls: { hang: mm(26), free: mm(8) },
            heat: 400,
          },
        }),
      ],
    },
  }),
};

export const CASES: Readonly<Record<string, Piece>> = {
  'ink-case': inkCase,
  'roller-case': rollerCase,
  'brayer-rack': brayerRack,
  'solvent-cupboard': solventCupboard,
  'screen-cabinet': screenCabinet,
  'roller-wall-case': rollerWallCase,
  'exposure-unit': exposureUnit,
};
