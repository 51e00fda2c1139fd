import type { ProjectFile } from '../../core/formats/project-file.js';
import { mm } from '../../core/length/index.js';
import type { BuiltReading } from '../../core/survey/index.js';

/** What was measured in the print shed. */
export const OPENINGS: ProjectFile['openings'] = {
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
  'bench-wall': {
    name: 'Wall over the ink bench',
    widths: [
      { place: 'top', value: mm(1586) },
      { place: 'bottom', value: mm(1584) },
    ],
    heights: [{ place: 'bench to ceiling', value: mm(1320) }],
    depths: [{ place: 'out over the bench', value: mm(300) }],
    obstacles: [],
    studs: [117, 567, 1017, 1467].map((s) => mm(s)),
    slack: { side: mm(0), above: mm(0), behind: mm(0) },
  },
};

const closer = (space: string): BuiltReading => ({
  piece: 'composing-table',
  space,
  reach: 'width',
  value: mm(561.5),
  at: '2026-10-17T08:20:00Z',
});

/** The tape found the runners of the composing table closer than they were drawn. */
export const READINGS: Record<string, BuiltReading> = { 'runners-rear': closer('rear-end'), 'runners-front': closer('front-end') };
