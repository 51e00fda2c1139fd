import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import { useSearchParams } from 'react-router';
import { blanksOf, type Blank, type PieceToCut } from '../../../core/layout/blanks.js';
import { sheetOf, askedOf, type Asked } from '../../../core/layout/plan.js';
import { cuttingOf, type Begun, type Cutting } from '../../../core/layout/spec.js';
import { sumsOf, type Sums } from '../../../core/layout/sums.js';
import type { LaidSheet } from '../../../core/cutting/laid.js';
import type { Solution } from '../../../core/solution/index.js';
import type { Stock } from '../../../core/stock/index.js';
import { useBench } from '../../bench/bench.js';
import type { Workbench } from '../../data/api.js';
import { cuttingWith } from '../../data/cutting-with.js';
import { newId } from '../../data/defaults.js';
import { useProject } from '../../data/project.js';
import { changeRecordOf } from '../../data/record-of.js';
import { solvedPiece } from '../../data/solved.js';
import { Layouts, type Layout } from './layouts.js';

const layouts = new Layouts(() => new Worker(new URL('./layout.worker.ts', import.meta.url), { type: 'module' }));

/** One stock with what is cut from it. */
export interface StockToCut {
  readonly id: string;
  readonly stock: Stock;
  readonly blanks: readonly Blank[];
  readonly asked: Asked;
  readonly key: string;
  readonly begun: readonly Begun[];
}

/** A sheet as it is shown: laid out, and begun or not. */
export interface ShownSheet {
  readonly laid: LaidSheet;
  readonly begun: Begun | null;
}

/** What is cut together with the piece on the bench. */
export interface CuttingOnBench {
  readonly cutting: Cutting;
  readonly pieces: readonly PieceToCut[];
  readonly stocks: readonly StockToCut[];
}

type OfPiece = (id: string) => Solution | null;

function onBench(bench: Workbench, pieceId: string, name: string, solutionOf: OfPiece): CuttingOnBench {
  const kept = cuttingWith(bench, pieceId);
  const cutting = kept?.data ?? cuttingOf({ id: pieceId, name });
  const others = bench.records.cuttings.filter((c) => c.id !== kept?.id).map((c) => c.data);
  const pieces = cutting.pieces.flatMap((id): PieceToCut[] => {
    const solution = solutionOf(id);
    return solution ? [{ id, solution }] : [];
  });
  const stocks = [...blanksOf(pieces, cutting.testLong)].flatMap(([id, blanks]): StockToCut[] => {
    const stock = bench.records.stock.find((s) => s.id === id)?.data;
    if (!stock) return [];
    const asked = askedOf(id, stock, blanks, cutting, bench.project.settings, others);
    const begun = cutting.begun.filter((b) => b.stock === id);
    return [{ id, stock, blanks, asked, key: JSON.stringify([asked.problem, asked.along, asked.strips, asked.flawed]), begun }];
  });
  return { cutting, pieces, stocks };
}

/** What is cut together, for as long as nothing of it changes: several parts of the screen ask for the same. */
const known = new WeakMap<Solution, { readonly bench: Workbench; readonly value: CuttingOnBench }>();

/** What is cut together with the piece on the bench, and how it is changed. */
export function useCutting() {
  const { bench, workshopOf, saver } = useProject();
  const { pieceId, piece, settled } = useBench();
  const value = useMemo(() => {
    const before = known.get(settled);
    if (before?.bench === bench) return before.value;
    const solutionOf: OfPiece = (id) => {
      if (id === pieceId) return settled;
      const kept = bench.records.pieces.find((p) => p.id === id)?.data;
      return kept ? solvedPiece(id, kept, workshopOf) : null;
    };
    const made = onBench(bench, pieceId, piece.name, solutionOf);
    known.set(settled, { bench, value: made });
    return made;
  }, [bench, workshopOf, pieceId, piece.name, settled]);
  const { cutting } = value;
  const change = useCallback(
    (next: Partial<Cutting>, label: string) => {
      const newOne = () =>
        newId(
          `cut ${piece.name}`,
          bench.records.cuttings.map((c) => c.id),
        );
      const made = `Began to plan what is cut for ${piece.name}`;
      const kept = cuttingWith(bench, pieceId);
      changeRecordOf(saver, { kind: 'cuttings', owner: pieceId, kept, now: cutting, newId: newOne, made }, { ...cutting, ...next }, label);
    },
    [bench, pieceId, cutting, saver, piece.name],
  );
  return { ...value, change };
}

/** The stock that is looked at: the one in the address, else the first. */
export function useStockShown(stocks: readonly StockToCut[]): readonly [StockToCut | undefined, (id: string) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('stock');
  const show = (id: string) =>
    setParams(
      (now) => {
        now.set('stock', id);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  return [stocks.find((s) => s.id === asked) ?? stocks[0], show];
}

/** The last layout of each stock that was shown: it stays until there is another, so that nothing flickers and the focus stays. */
const lastShown = new Map<string, NonNullable<Layout['standing']>>();

function shownOf({ id, key, blanks }: StockToCut): Layout {
  const layout = layouts.get(key);
  const of = `${id} ${blanks[0]?.piece.id}`;
  if (layout.standing) {
    lastShown.set(of, layout.standing);
    return layout;
  }
  const before = lastShown.get(of);
  return before && !layout.ended ? { ...layout, standing: { ...before, done: 0 } } : layout;
}

/** The layouts of all stocks, the one that is looked at first. */
export function useLayouts(stocks: readonly StockToCut[], first: StockToCut | undefined) {
  const version = useSyncExternalStore(layouts.subscribe, layouts.getVersion);
  useEffect(() => {
    const order = first ? [first, ...stocks.filter((s) => s !== first)] : stocks;
    layouts.ask(order.map(({ key, asked }) => ({ key, asked })));
  }, [stocks, first]);
  return useMemo(() => {
    void version;
    return new Map<string, Layout>(stocks.map((s) => [s.id, shownOf(s)]));
  }, [stocks, version]);
}

export const stopLooking = (stock: StockToCut) => layouts.stop(stock.key);
export const lookAgain = (stock: StockToCut) => layouts.again(stock.key, stock.asked);

/** The sheets of a stock: those that were begun, then those that are laid out. */
export function sheetsOf({ begun }: StockToCut, layout: Layout | undefined): readonly ShownSheet[] {
  const open = new Set(begun.filter((b) => !b.booked).map((b) => `${b.sheet} ${b.copy}`));
  const laid = (layout?.standing?.answer.laid ?? []).filter((l) => !open.has(`${l.sheet} ${l.copy}`));
  return [...begun.map((b) => ({ laid: sheetOf(b), begun: b })), ...laid.map((l) => ({ laid: l, begun: null }))];
}

/** What a stock comes to, once it is laid out. */
export function sumsFor(stock: StockToCut, layout: Layout | undefined, bench: Workbench): Sums | null {
  const answer = layout?.standing?.answer;
  return answer ? sumsOf(stock.asked, answer, bench.project.settings.tools, stock.begun) : null;
}

/** The blank that is picked: in the address, or one of the part that is selected on the bench. */
export function usePicked(stock: StockToCut | undefined): readonly [Blank | undefined, (blank: Blank) => void] {
  const [params, setParams] = useSearchParams();
  const { selection, pieceId, select } = useBench();
  const key = params.get('blank');
  const blanks = stock?.blanks ?? [];
  const isSelected = (b: Blank) => b.piece.id === pieceId && b.part.id === selection;
  const inAddress = blanks.find((b) => b.key === key);
  const selected = blanks.find(isSelected);
  const picked = inAddress && (inAddress.piece.id !== pieceId || isSelected(inAddress) || !selected) ? inAddress : selected;
  const pick = (blank: Blank) => {
    if (blank.piece.id === pieceId) select(blank.part.id);
    setParams(
      (now) => {
        now.set('blank', blank.key);
        if (blank.piece.id === pieceId) now.set('at', blank.part.id);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  };
  return [picked, pick];
}
