import { ZERO, mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Leaning } from '../../core/shells/index.js';
import { PLAIN_EDGES } from './panels.js';
import { space } from './spaces.js';
import { asDegrees } from '../../core/measures/index.js';

const given = (size: number, of: 'overall' | 'inside' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;

/** The proof display: four shelves, each less deep than the one below, between two boards that lean on the wall by the door. */
const proofDisplay: Leaning = {
  name: 'Proof display',
  shell: 'leaning',
  width: given(640, 'inside'),
  height: given(1900),
  depth: given(330),
  sides: { stock: 'ash-20', wide: mm(120), lean: { by: 'angle', degrees: asDegrees(13), along: mm(1950) } },
  plugs: { across: mm(10), deep: mm(5) },
  panels: {
    stock: { shelves: 'ash-panel-18', dividers: 'ash-panel-18' },
    shelves: { fix: 'housed', housing: mm(8), looseEnd: mm(1), setback: ZERO },
    dividers: { fix: 'butted', housing: mm(6) },
  },
  edges: PLAIN_EDGES,
  rounding: { grid: mm(0.5), set: 'exact', leftover: 'last' },
  fixedToWall: true,
  noOneOn: true,
  interior: space('inside', {
    split: {
      axis: 'up',
      members: [
        { id: 'lowest' },
        { id: 'second', deep: mm(285) },
        { id: 'third', deep: mm(240) },
        { id: 'highest', deep: mm(195), at: mm(1702) },
      ],
      spaces: [
        space('under', { name: 'floor', rule: { kind: 'fixed', size: mm(402) } }),
        space('papers', { name: 'papers', things: [{ thing: 'paper-pack', count: 2 }] }),
        space('envelopes', { name: 'envelopes', things: [{ thing: 'envelope-pack', count: 2 }] }),
        space('tins', { name: 'tins', things: [{ thing: 'ink-tin', count: 8 }] }),
        space('top', { name: 'top', things: [{ thing: 'ink-tin', count: 4 }] }),
      ],
    },
  }),
};

/** What leans on the walls of the print shed. */
export const LEANING: Readonly<Record<string, Piece>> = { 'proof-display': proofDisplay };
