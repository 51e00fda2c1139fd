import type { ProjectFile } from '../core/formats/project-file.js';
import { VERSION } from '../core/formats/versions/index.js';
import { mm } from '../core/length/index.js';
import { BUILDINGS, LOG, MADE } from './shed/built.js';
import { CASES } from './shed/cases.js';
import { DRAWERS } from './shed/drawers.js';
import { FOLDING } from './shed/folding.js';
import { FRAMES } from './shed/frames.js';
import { LEANING } from './shed/leaning.js';
import { THINGS } from './shed/library.js';
import { OPENINGS, READINGS } from './shed/places.js';
import { RACKS } from './shed/racks.js';
import { SLIDES } from './shed/slides.js';
import { STOCK } from './shed/stockroom.js';
import { WALLS } from './shed/walls.js';

/** The print shed: the made-up workshop that every example comes from. */
export const PRINT_SHED: ProjectFile = {
  format: 'ruvok-project',
  version: VERSION,
  project: {
    name: 'Print shed',
    settings: {
      unit: 'mm',
      kerf: mm(2.6),
      tools: { fence: mm(650), mitre: mm(300), guide: mm(2700) },
      step: mm(0.1),
      rounding: { grid: mm(0.5), set: 'gaps', leftover: 'last' },
      serviceClass: 2,
      creepSchool: 'kdef',
      limit: { kind: 'span', over: 384 },
    },
  },
  openings: OPENINGS,
  things: THINGS,
  stock: STOCK,
  slides: SLIDES,
  people: {
    wren: { name: 'Wren', height: mm(1680), reach: mm(2040) },
    odo: { name: 'Odo', height: mm(1830), reach: mm(2230) },
  },
  buildings: BUILDINGS,
  log: LOG,
  readings: READINGS,
  made: MADE,
  pieces: Object.fromEntries(
    Object.entries({ ...CASES, ...DRAWERS, ...RACKS, ...FRAMES, ...LEANING, ...FOLDING, ...WALLS }).map(([id, piece]) => [
      id,
      { piece, letters: {} },
    ]),
  ),
};
