import type { ProjectFile } from '../core/formats/project-file.js';
import { VERSION } from '../core/formats/versions/index.js';
import { inch } from '../core/length/index.js';
import { yardOf } from '../core/yards/index.js';
import { NOOK, THINGS, pounds } from './bindery/library.js';
import { CASES } from './bindery/cases.js';
import { FRAMES } from './bindery/frames.js';
import { RACKS } from './bindery/racks.js';

const { stock, slides } = yardOf('in');

/** What the bindery was asked for the stock that it uses. */
const PRICES: Readonly<Record<string, number>> = {
  'ply-3-4': 74,
  'ply-1-2': 56,
  'ply-1-4': 34,
  'pine-1x2': 4.2,
  'pine-1x3': 6.1,
  'pine-1x6': 12.5,
  'cedar-1x2': 6.8,
  'fir-2x2': 5.4,
  'fir-2x4': 6.3,
};

/** The print shed's bindery, a room of its own that works in inches. */
export const BINDERY: ProjectFile = {
  format: 'ruvok-project',
  version: VERSION,
  project: {
    name: 'Bindery',
    settings: {
      unit: 'in',
      kerf: inch(1 / 8),
      tools: { fence: inch(24), mitre: inch(12), guide: inch(100) },
      step: inch(1 / 32),
      rounding: { grid: inch(1 / 32), set: 'gaps', leftover: 'last' },
      serviceClass: 1,
      creepSchool: 'kdef',
      limit: { kind: 'span', over: 384 },
    },
  },
  openings: NOOK,
  things: THINGS,
  stock: Object.fromEntries(
    Object.entries(stock).map(([id, s]) => [id, PRICES[id] === undefined ? s : { ...s, price: PRICES[id], onHand: 2 }]),
  ),
  slides: Object.fromEntries(Object.entries(slides).map(([id, s]) => [id, { ...s, price: 17, rating: pounds(75) }])),
  people: { imke: { name: 'Imke', height: inch(66), reach: inch(80) } },
  pieces: Object.fromEntries(Object.entries({ ...CASES, ...FRAMES, ...RACKS }).map(([id, piece]) => [id, { piece, letters: {} }])),
};
