import type { Length } from '../length/index.js';
import type { LaidSheet, Sawn, Way } from './laid.js';

/** One cut of a sheet, from edge to edge of what is cut. */
export interface Cut {
  /** Tells it apart from all other cuts, and stays the same as long as the layout of its sheet does. */
  readonly key: string;
  readonly sheet: LaidSheet;
  readonly way: Way;
  /** What the fence or the stop is set to: what the nearer side keeps. */
  readonly at: Length;
  /** What is cut, and what it becomes. */
  readonly of: Extract<Sawn, { kind: 'cut' }>;
  /** How often the way has changed before: the whole sheet is broken down at 0. */
  readonly level: number;
  /** The cut that must be made before; null for the first of a sheet. */
  readonly after: string | null;
}

/** Cuts with one setting, one after the other. */
export interface Setting {
  readonly way: Way;
  readonly at: Length;
  readonly cuts: readonly Cut[];
}

function keyOf({ sheet, copy }: LaidSheet, { way, x, y, at }: Cut['of']): string {
  return `${sheet} ${copy} ${way} ${x} ${y} ${at}`;
}

function cutsIn(sheet: LaidSheet, sawn: Sawn, level: number, after: Cut | null): Cut[] {
  if (sawn.kind !== 'cut') return [];
  const own = after && after.way !== sawn.way ? level + 1 : level;
  const cut: Cut = { key: keyOf(sheet, sawn), sheet, way: sawn.way, at: sawn.at, of: sawn, level: own, after: after?.key ?? null };
  return [cut, ...cutsIn(sheet, sawn.near, own, cut), ...(sawn.far ? cutsIn(sheet, sawn.far, own, cut) : [])];
}

/** All cuts of some sheets, each after the one it needs. @example cutsOf(LAID).length // 9 */
export function cutsOf(sheets: readonly LaidSheet[]): readonly Cut[] {
  return sheets.flatMap((sheet) => cutsIn(sheet, sheet.sawn, 0, null));
}

/**
 * The order of the cuts: all sheets are broken down before any strip is cut up, and what has one setting is cut together,
 * across all sheets. Of the settings that could come next the one with most cuts does.
 * @example inOrder(cutsOf(LAID)).length // 5
 */
export function inOrder(cuts: readonly Cut[]): readonly Setting[] {
  const waiting = new Map<string | null, Cut[]>();
  for (const cut of cuts) waiting.set(cut.after, [...(waiting.get(cut.after) ?? []), cut]);
  let ready = [...(waiting.get(null) ?? [])];
  const settings: Setting[] = [];
  while (ready.length > 0) {
    const level = Math.min(...ready.map((c) => c.level));
    const groups = new Map<string, Cut[]>();
    for (const cut of ready) {
      if (cut.level !== level) continue;
      const key = `${cut.way} ${cut.at}`;
      groups.set(key, [...(groups.get(key) ?? []), cut]);
    }
    const [first] = [...groups.values()].sort((a, b) => b.length - a.length || (b[0] as Cut).at - (a[0] as Cut).at);
    const { way, at } = (first as Cut[])[0] as Cut;
    const made: Cut[] = [];
    for (;;) {
      const next = ready.filter((c) => c.level === level && c.way === way && c.at === at);
      if (next.length === 0) break;
      made.push(...next);
      const done = new Set(next);
      ready = [...ready.filter((c) => !done.has(c)), ...next.flatMap((c) => waiting.get(c.key) ?? [])];
    }
    settings.push({ way, at, cuts: made });
  }
  return settings;
}
