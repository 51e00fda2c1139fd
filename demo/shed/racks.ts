import { mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { InPlace, PanelCase } from '../../core/shells/index.js';
import type { Slats } from '../../core/interiors/index.js';
import { PLAIN_EDGES, plainPanels } from './panels.js';
import { fit, space } from './spaces.js';
import { asDegrees } from '../../core/measures/index.js';

const given = (size: number, of: 'overall' | 'inside' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;

const deck: Slats = {
  kind: 'slats',
  stock: 'ash-18',
  wide: mm(31),
  ends: 'flush',
  supports: { stock: 'ash-18', count: 3, wide: mm(40), inset: mm(60), trim: mm(20) },
};

/** Slats to lay wet prints on, over the radiator. */
const dryingDeck: InPlace = {
  edges: PLAIN_EDGES,
  name: 'Drying deck',
  shell: 'in-place',
  place: 'The ledge over the radiator',
  width: given(900),
  height: given(180),
  depth: given(652),
  panels: plainPanels('ash-18'),
  fixedToWall: true,
  noOneOn: true,
  interior: space('ledge', {
    name: 'deck',
    things: [{ thing: 'wet-print', count: 4 }],
    split: {
      axis: 'deep',
      making: deck,
      members: Array.from({ length: 12 }, (_, i) => ({ id: `slat-${i + 2}` })),
      spaces: Array.from({ length: 13 }, (_, i) => space(`gap-${i + 1}`)),
    },
  }),
};

/** A rack of cells for proof tubes on the gable wall, round the pipe box. */
const tubeRack: InPlace = {
  edges: PLAIN_EDGES,
  name: 'Tube rack',
  shell: 'in-place',
  place: 'The gable wall beside the door',
  width: given(1325),
  height: given(1510),
  depth: given(300),
  panels: plainPanels('deal-17', 'deal-21'),
  fixedToWall: true,
  interior: space('gable', {
    name: 'rack',
    filling: {
      kind: 'cells',
      thing: 'proof-tube',
      free: mm(7),
      make: {
        kind: 'ladders',
        upright: { stock: 'deal-21', deep: mm(300) },
        support: { stock: 'deal-17', long: mm(300), wide: mm(20), spares: 12 },
      },
      blocked: [{ name: 'Pipe box', x: mm(1025), y: mm(1330), width: mm(300), height: mm(180) }],
      features: [{ row: 9, tilt: asDegrees(12), long: mm(420) }],
    },
  }),
};

/** A case with pigeon-holes for envelopes over a shelf. */
const envelopeCase: PanelCase = {
  edges: PLAIN_EDGES,
  name: 'Envelope case',
  shell: 'panel-case',
  width: given(820),
  height: given(760),
  depth: given(200),
  base: { kind: 'none' },
  top: 'between',
  bottom: 'between',
  back: { kind: 'rebate', depth: mm(9), slack: mm(1) },
  stock: { sides: 'birch-18', back: 'birch-6' },
  panels: plainPanels('birch-18'),
  fixedToWall: true,
  interior: space('envelopes', {
    split: {
      axis: 'up',
      members: [{ id: 'under-holes' }],
      spaces: [
        space('boxes', { name: 'ink tins', rule: fit, things: [{ thing: 'ink-tin', count: 6 }] }),
        space('holes', {
          name: 'pigeon-holes',
          filling: {
            kind: 'cells',
            thing: 'envelope-pack',
            free: mm(12),
            make: { kind: 'half-lapped', stock: 'birch-9' },
            blocked: [],
            features: [],
          },
        }),
      ],
    },
  }),
};

export const RACKS: Readonly<Record<string, Piece>> = {
  'drying-deck': dryingDeck,
  'tube-rack': tubeRack,
  'envelope-case': envelopeCase,
};
