import { buildingOf, type Building, type LogEntry } from '../../core/build/index.js';
import { mm } from '../../core/length/index.js';
import type { MadePart } from '../../core/survey/index.js';

type Took = NonNullable<Building['done'][number]['took']>;

/** A step that was done, and how long it took beside what was reckoned. */
const done = (
  step: string,
  at: string,
  took?: readonly [phase: Took['phase'], minutes: number, reckoned: number],
): Building['done'][number] => ({
  step,
  at,
  ...(took ? { took: { phase: took[0], minutes: took[1], reckoned: took[2] } } : {}),
});

const evening = [{ from: 19 * 60, to: 21 * 60 }];

/** How the pieces of the print shed are built: the composing table stands half built, the proof display is finished. */
export const BUILDINGS: Record<string, Building> = {
  'build-composing-table': {
    ...buildingOf('composing-table'),
    cut: 'as it goes',
    finish: 'oil',
    stands: 'upside down',
    celsius: 14,
    hours: {
      from: '2026-10-05',
      week: [evening, [], evening, evening, [], [{ from: 9 * 60, to: 16 * 60 }], []],
      off: ['2026-12-24', '2026-12-26'],
    },
    done: [
      done('buy', '2026-10-05T19:30:00Z'),
      done('saw', '2026-10-10T10:40:00Z', ['saw', 95, 72]),
      done('sand', '2026-10-10T11:20:00Z', ['sand', 20, 16]),
      done('dry fit', '2026-10-12T19:50:00Z'),
      done('frames front-3/runner/left', '2026-10-14T19:40:00Z'),
      done('together case/side/left', '2026-10-14T20:50:00Z', ['together', 80, 54]),
    ],
  },
  'build-proof-display': {
    ...buildingOf('proof-display'),
    finish: 'water-varnish',
    coats: 2,
    done: [
      done('buy', '2026-08-01T10:00:00Z'),
      done('saw', '2026-08-08T09:40:00Z', ['saw', 60, 46]),
      done('shape', '2026-08-08T11:00:00Z'),
      done('recess', '2026-08-08T13:30:00Z'),
      done('drill', '2026-08-15T09:30:00Z'),
      done('sand', '2026-08-15T09:50:00Z'),
      done('dry fit', '2026-08-15T10:20:00Z'),
      done('together leaning/side/left', '2026-08-15T11:30:00Z'),
      done('ease', '2026-08-16T09:20:00Z'),
      done('coat 1', '2026-08-16T10:00:00Z'),
      done('coat 2', '2026-08-16T15:00:00Z'),
      done('stand', '2026-08-22T10:30:00Z'),
      done('check', '2026-08-22T10:50:00Z'),
    ],
  },
};

const entry = (piece: string, day: string, is: LogEntry['is'], text: string, more: Partial<LogEntry> = {}): LogEntry => ({
  piece,
  day,
  is,
  text,
  ...more,
});

/** What was written down while they were built. */
export const LOG: Record<string, LogEntry> = {
  'table-1': entry('composing-table', '2026-10-05', 'money', 'Two sheets of 24 and a bundle of 12.', { money: 186.4 }),
  'table-2': entry(
    'composing-table',
    '2026-10-12',
    'decision',
    'Built upside down on the trestles: the top lies flat, and nobody holds it up.',
  ),
  'table-3': entry(
    'composing-table',
    '2026-10-17',
    'note',
    'Between the runners it is 561.5 at both ends, not 566: the packing was glued on both sides. The drawers are cut by the tape.',
  ),
  'table-4': entry('composing-table', '2026-10-17', 'next time', 'Measure between runners before the drawer sides are cut.'),
  'display-1': entry(
    'proof-display',
    '2026-08-08',
    'note',
    'The jig for the housings is labelled left and right: the first side was nearly cut twice.',
  ),
  'display-2': entry('proof-display', '2026-08-15', 'time', 'Sharpening the chisel in between.', { minutes: 25 }),
  'display-3': entry('proof-display', '2026-08-22', 'note', 'Stands level; screwed to the stud at its top.'),
  'display-4': entry('proof-display', '2026-08-22', 'next time', 'Varnish the shelves before they go into their housings.'),
};

const cut = (part: string, length: number, width: number, thick: number, off = 0): MadePart => {
  const planned = { length: mm(length), width: mm(width), thickness: mm(thick) };
  return { piece: 'composing-table', part, is: 'fitted', ...planned, length: mm(length + off), planned, at: '2026-10-10T10:30:00Z' };
};

/** Parts that are cut already. */
export const MADE: Record<string, MadePart> = {
  'table-side-left': cut('case/side/left', 210.5, 1040, 23.7),
  'table-side-right': cut('case/side/right', 210.5, 1040, 23.7, 0.2),
  'table-top': cut('case/top/1', 613.5, 1040, 23.7, -0.3),
  'table-bottom': cut('case/bottom/1', 566, 1040, 23.7),
};
