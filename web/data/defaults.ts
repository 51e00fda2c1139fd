import { isId } from '../../core/ids/index.js';
import { DEFAULT_STEP, ZERO, inch, mm, type LengthUnit } from '../../core/length/index.js';
import type { Settings } from '../../core/project/index.js';
import type { Stock } from '../../core/stock/index.js';
import type { Opening } from '../../core/survey/index.js';
import type { Thing } from '../../core/things/index.js';
import { asKg } from '../../core/measures/index.js';

/** A new id from a word, unlike those there are: `opening`, `opening-2` and on. */
export function newId(word: string, taken: readonly string[]): string {
  const base =
    word
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'new';
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.includes(id) && isId(id)) return id;
  }
}

function pick(unit: LengthUnit) {
  return (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
}

export function newSettings(unit: LengthUnit): Settings {
  return {
    unit,
    step: DEFAULT_STEP[unit],
    rounding: { grid: DEFAULT_STEP[unit], set: 'gaps', leftover: 'last' },
    serviceClass: 1,
    creepSchool: 'kdef',
    limit: { kind: 'span', over: 384 },
  };
}

/** An opening to be measured: its readings are blank, and round sizes stand in until a tape was held there. */
export function newOpening(unit: LengthUnit): Opening {
  const s = pick(unit);
  const blank = (value: ReturnType<typeof mm>) => (place: string) => ({ place, value, assumed: true as const });
  return {
    name: 'New opening',
    widths: ['top', 'middle', 'bottom'].map(blank(s(1200, 48))),
    heights: ['left', 'right'].map(blank(s(2100, 84))),
    depths: ['middle'].map(blank(s(330, 13))),
    obstacles: [],
    slack: { side: s(3, 1 / 8), above: s(10, 3 / 8), behind: ZERO },
  };
}

/** A sheet to begin with, where the stockroom is empty. */
export function newStock(unit: LengthUnit): Stock {
  const s = pick(unit);
  return {
    name: unit === 'mm' ? 'Birch ply 18' : 'Birch ply 3/4',
    form: 'sheet',
    material: 'birch-plywood',
    nominal: s(18, 0.75),
    thickness: s(18, 0.75),
    length: s(2440, 96),
    width: s(1220, 48),
  };
}

export function newThing(unit: LengthUnit): Thing {
  const s = pick(unit);
  return {
    name: 'New thing',
    shape: { kind: 'box', width: s(200, 8), height: s(250, 10), depth: s(200, 8) },
    mass: asKg(2),
    count: 1,
    clearance: s(20, 0.75),
    wayUp: 'upright',
    stack: 1,
  };
}
