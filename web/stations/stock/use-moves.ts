import { partsOn } from '../../../core/cutting/laid.js';
import type { Blank } from '../../../core/layout/blanks.js';
import { markOf } from '../../../core/layout/names.js';
import { snapped, type Spot } from '../../../core/layout/snap.js';
import { ZERO, type Length } from '../../../core/length/index.js';
import { pinned, unpinned } from './edits.js';
import { useCutting, type ShownSheet, type StockToCut } from './use-cutting.js';

/** Where a part is put: what is left out stays as it is; on another sheet it goes into the near corner. */
export interface Put {
  readonly sheet?: number;
  readonly spot?: Partial<Spot>;
  readonly turned?: boolean;
}

/** Where the parts of a stock lie, and how they are moved: dragged, by keys, by fields and buttons alike. */
export function useMoves(stock: StockToCut, sheets: readonly ShownSheet[]) {
  const { pieces, cutting, change } = useCutting();
  const { kerf } = stock.asked.problem;
  /** Where a part lies that is not spoiled, and on which sheet. */
  const placeOf = ({ key }: Blank) => {
    for (const [nth, { laid, begun }] of sheets.entries()) {
      const part = begun?.spoiled?.includes(key) ? undefined : partsOn(laid).find((p) => p.id === key);
      if (part) return { nth, part, begun };
    }
    return null;
  };
  const isHeld = ({ key }: Blank) => cutting.pins.some((p) => p.part === key);
  const mayTurn = ({ grain, key }: Blank) => !grain || cutting.turns.includes(key);
  const put = (blank: Blank, to: Put, label: string, reach: Length = ZERO) => {
    const place = placeOf(blank);
    const nth = to.sheet ?? place?.nth ?? -1;
    const sheet = sheets[nth];
    if (!place || place.begun || !sheet || sheet.begun) return;
    const turned = to.turned ?? place.part.turned;
    const from = nth === place.nth ? place.part : { x: sheet.laid.trim.ends, y: sheet.laid.trim.edges };
    const [length, width] = turned ? [blank.width, blank.length] : [blank.length, blank.width];
    const spot = snapped(sheet.laid, { key: blank.key, length, width }, { x: from.x, y: from.y, ...to.spot }, kerf, reach);
    const { sheet: id, copy } = sheet.laid;
    change(pinned(cutting, { part: blank.key, stock: stock.id, sheet: id, copy, ...spot, turned }), label);
  };
  const mark = (blank: Blank) => markOf(blank, pieces);
  return {
    placeOf,
    isHeld,
    mayTurn,
    put,
    move: (blank: Blank, to: Put, reach?: Length) => {
      const place = placeOf(blank);
      const away = to.sheet !== undefined && to.sheet !== place?.nth;
      put(blank, to, `Moved ${mark(blank)}${away ? ` to another ${stock.stock.form}` : ''}`, reach);
    },
    turn: (blank: Blank) => {
      const place = placeOf(blank);
      if (place && mayTurn(blank)) put(blank, { turned: !place.part.turned }, `Turned ${mark(blank)}`);
    },
    holdOrLetGo: (blank: Blank) =>
      isHeld(blank)
        ? change(unpinned(cutting, new Set([blank.key])), `${mark(blank)} may lie anywhere`)
        : put(blank, {}, `Held ${mark(blank)} where it lies`),
  };
}
