import type { ProjectFile } from '../../core/formats/project-file.js';
import { KG_PER_POUND } from '../../core/figure/index.js';
import { ZERO, inch } from '../../core/length/index.js';
import { asKg } from '../../core/measures/index.js';

export const pounds = (lb: number) => asKg(lb * KG_PER_POUND);

/** What was measured in the bindery. */
export const NOOK: ProjectFile['openings'] = {
  nook: {
    name: 'Nook by the window',
    widths: [
      { place: 'top', value: inch(47.625) },
      { place: 'middle', value: inch(47.5) },
      { place: 'bottom', value: inch(47.5625) },
    ],
    heights: [
      { place: 'left', value: inch(78.25) },
      { place: 'right', value: inch(78.125) },
    ],
    depths: [{ place: 'middle', value: inch(12.5) }],
    obstacles: [],
    slack: { side: inch(1 / 8), above: inch(3 / 8), behind: ZERO },
  },
};

/** What stands and lies about in the bindery. */
export const THINGS: ProjectFile['things'] = {
  ream: {
    name: 'Ream of cover paper',
    shape: { kind: 'box', width: inch(9), height: inch(2.5), depth: inch(11) },
    mass: pounds(6.5),
    count: 36,
    clearance: inch(1 / 2),
    wayUp: 'upright',
    stack: 3,
  },
  cutter: {
    name: 'Board cutter',
    shape: { kind: 'box', width: inch(30), height: inch(14), depth: inch(20) },
    mass: pounds(92),
    count: 1,
    clearance: ZERO,
    wayUp: 'upright',
    stack: 1,
  },
  'cloth-roll': {
    name: 'Roll of book cloth',
    shape: { kind: 'cylinder', diameter: inch(3), height: inch(42) },
    mass: pounds(7),
    count: 12,
    clearance: inch(1 / 2),
    wayUp: 'lying',
    stack: 1,
  },
};
