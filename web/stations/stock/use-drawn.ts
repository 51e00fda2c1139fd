import { useMemo } from 'react';
import { partsOn } from '../../../core/cutting/laid.js';
import type { Blank } from '../../../core/layout/blanks.js';
import { markOf } from '../../../core/layout/names.js';
import { snapped } from '../../../core/layout/snap.js';
import { ZERO, fromUnits, mm, toMm, type Length } from '../../../core/length/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { pinned, unpinned } from './edits.js';
import type { Dropped, SheetsDrawn } from './one-sheet.js';
import { sheetName } from './words.js';
import { useCutting, usePicked, type ShownSheet, type StockToCut } from './use-cutting.js';

/** The tallest that a sheet is drawn, px. */
const TALLEST = 420;

/** How near a part that is let go must come to something to be drawn to it, px. */
const REACH = 10;

/** Everything that is drawn of one stock, and what can be done with it there. */
export function useDrawn(stock: StockToCut, sheets: readonly ShownSheet[], width: number): SheetsDrawn {
  const { pieces, cutting, change } = useCutting();
  const precision = usePrecision();
  const { bench } = useProject();
  const [picked, pick] = usePicked(stock);
  const blanks = useMemo(() => new Map(stock.blanks.map((b) => [b.key, b])), [stock]);
  const marks = useMemo(() => new Map(stock.blanks.map((b) => [b.key, markOf(b, pieces)])), [stock, pieces]);
  const widest = Math.max(1, ...sheets.map((s) => toMm(s.laid.length)));
  const tallest = Math.max(1, ...sheets.map((s) => toMm(s.laid.width)));
  const scale = Math.max(0.02, Math.min((width - 4) / widest, TALLEST / tallest));
  const markFor = (b: Blank) => marks.get(b.key) ?? '';
  const placeOf = (blank: Blank) => {
    for (const [nth, { laid }] of sheets.entries()) {
      const part = partsOn(laid).find((p) => p.id === blank.key);
      if (part) return { nth, part };
    }
    return null;
  };
  const kerf = stock.asked.problem.kerf;
  const hold = (blank: Blank, turned: boolean, at: Dropped, reach: Length, label: string) => {
    const sheet = sheets[at.sheet];
    if (!sheet || sheet.begun) return;
    const [length, wide] = turned ? [blank.width, blank.length] : [blank.length, blank.width];
    const spot = snapped(sheet.laid, { key: blank.key, length, width: wide }, at, kerf, reach);
    change(pinned(cutting, { part: blank.key, stock: stock.id, sheet: sheet.laid.sheet, copy: sheet.laid.copy, ...spot, turned }), label);
  };
  const begunAt = (nth: number) => sheets[nth]?.begun !== null;
  return {
    sheets,
    blanks,
    marks,
    pins: new Set(cutting.pins.map((p) => p.part)),
    picked: picked?.key ?? null,
    like: new Set(
      picked ? stock.blanks.filter((b) => b.part.id === picked.part.id && b.piece.id === picked.piece.id).map((b) => b.key) : [],
    ),
    nameOf: (sheet, nth) => sheetName(stock, sheet, nth),
    precision,
    scale,
    onPick: pick,
    onDrop: (blank, turned, at) => hold(blank, turned, at, mm(REACH / scale), `Moved ${markFor(blank)} of ${stock.stock.name}`),
    onTurn: (blank) => {
      const place = placeOf(blank);
      const may = !blank.grain || cutting.turns.includes(blank.key);
      if (!place || begunAt(place.nth) || !may) return;
      hold(
        blank,
        !place.part.turned,
        { sheet: place.nth, x: place.part.x, y: place.part.y },
        ZERO,
        `Turned ${markFor(blank)} of ${stock.stock.name}`,
      );
    },
    onPin: (blank) => {
      const place = placeOf(blank);
      if (!place || begunAt(place.nth)) return;
      if (cutting.pins.some((p) => p.part === blank.key)) {
        return change(unpinned(cutting, new Set([blank.key])), `${markFor(blank)} may lie anywhere`);
      }
      hold(blank, place.part.turned, { sheet: place.nth, x: place.part.x, y: place.part.y }, ZERO, `Held ${markFor(blank)} where it lies`);
    },
    onMove: (blank, by) => {
      const place = placeOf(blank);
      if (!place || begunAt(place.nth)) return;
      const step = bench.project.settings.unit === 'in' ? fromUnits(UNIT_STEP.in) : fromUnits(UNIT_STEP.mm);
      const x = Math.max(0, place.part.x + by.x * step) as Length;
      const y = Math.max(0, place.part.y + by.y * step) as Length;
      hold(blank, place.part.turned, { sheet: place.nth, x, y }, ZERO, `Moved ${markFor(blank)} of ${stock.stock.name}`);
    },
    onNextSheet: (blank) => {
      const place = placeOf(blank);
      if (!place || begunAt(place.nth)) return;
      const open = sheets.map((s, nth) => ({ s, nth })).filter(({ s }) => !s.begun);
      const at = open.findIndex(({ nth }) => nth === place.nth);
      const next = open[(at + 1) % open.length];
      if (!next || next.nth === place.nth) return;
      const { trim } = next.s.laid;
      hold(
        blank,
        place.part.turned,
        { sheet: next.nth, x: trim.ends, y: trim.edges },
        ZERO,
        `Moved ${markFor(blank)} to another ${stock.stock.form}`,
      );
    },
  };
}

/** What one press of an arrow moves a part by: 10 mm, half an inch. */
const UNIT_STEP = { mm: mm(10), in: mm(12.7) };
