import { useMemo } from 'react';
import { markOf } from '../../../core/layout/names.js';
import { fromUnits, inch, mm, toMm, type Length } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import type { SheetsDrawn } from './one-sheet.js';
import { sheetName } from './words.js';
import { useMoves } from './use-moves.js';
import { useCutting, usePicked, type ShownSheet, type StockToCut } from './use-cutting.js';

/** The tallest that a sheet is drawn, px. */
const TALLEST = 420;

/** How near a part that is let go must come to something to be drawn to it, px. */
const REACH = 10;

/** Everything that is drawn of one stock, and what can be done with it there. */
export function useDrawn(stock: StockToCut, sheets: readonly ShownSheet[], width: number): SheetsDrawn {
  const { pieces, cutting } = useCutting();
  const precision = usePrecision();
  const [picked, pick] = usePicked(stock);
  const blanks = useMemo(() => new Map(stock.blanks.map((b) => [b.key, b])), [stock]);
  const marks = useMemo(() => new Map(stock.blanks.map((b) => [b.key, markOf(b, pieces)])), [stock, pieces]);
  const widest = Math.max(1, ...sheets.map((s) => toMm(s.laid.length)));
  const tallest = Math.max(1, ...sheets.map((s) => toMm(s.laid.width)));
  const scale = Math.max(0.02, Math.min((width - 4) / widest, TALLEST / tallest));
  const { placeOf, move, turn, holdOrLetGo } = useMoves(stock, sheets);
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
    onDrop: (blank, turned, { sheet, x, y }) => move(blank, { sheet, spot: { x, y }, turned }, mm(REACH / scale)),
    onTurn: turn,
    onPin: holdOrLetGo,
    onMove: (blank, by) => {
      const place = placeOf(blank);
      if (!place) return;
      const step = STEP[precision.unit];
      const along = (from: Length, times: number) => fromUnits(Math.max(0, from + times * step));
      move(blank, { spot: { x: along(place.part.x, by.x), y: along(place.part.y, by.y) } });
    },
    onNextSheet: (blank) => {
      const place = placeOf(blank);
      const open = sheets.flatMap((s, nth) => (s.begun ? [] : [nth]));
      if (!place) return;
      const next = open[(open.indexOf(place.nth) + 1) % open.length];
      if (next !== undefined && next !== place.nth) move(blank, { sheet: next });
    },
  };
}

/** What one press of an arrow moves a part by: 10 mm, half an inch. */
const STEP = { mm: mm(10), in: inch(0.5) };
