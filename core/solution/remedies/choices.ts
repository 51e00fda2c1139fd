import type { Kilograms } from '../../measures/index.js';
import { longestThatPasses, type BendingAnswer, type State } from '../../carry/index.js';
import { stopsIn, type Letters, type Member, type PieceEdit, type Shape } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import type { Workshop } from '../../project/index.js';
import { costOfPart } from '../cost.js';
import { solve, type Solution } from '../solve.js';
import { stockEdit } from './candidates.js';

/** The same member in another stock: what it would sag, reach, weigh and cost. */
export interface StockChoice {
  readonly stockId: string;
  readonly name: string;
  readonly today: number;
  readonly later: number | null;
  readonly state: State;
  /** The longest span that passes under as much on each length of it, mm; Infinity where any does. */
  readonly reach: number | null;
  readonly kg: Kilograms;
  /** What its wood costs, by the part of a sheet or board that it takes; null without a price. */
  readonly cost: number | null;
  readonly thickness: number;
  /** What its edges and faces want: edging for sheets, both finishes for what is clear. */
  readonly edges: 'banded' | 'eased';
  readonly finish: 'paint' | 'clear or paint';
  /** How it bends then, for questions asked of it. */
  readonly answer: BendingAnswer;
  readonly edit: PieceEdit;
  readonly current: boolean;
}

/** Sheets whose faces are only fit for paint. */
const PAINTED = new Set(['mdf', 'mdf-moisture', 'particleboard', 'particleboard-moisture', 'osb3', 'hardboard', 'mdf-faced-plywood']);

/** Whether a member can be cut from the stock it would be of, and nothing else is stopped by it that was not. */
const canBeUsed = ({ length, width, stock }: Member, then: Shape, before: Shape): boolean =>
  length.value <= stock.length && width.value <= stock.width && stopsIn(then) <= stopsIn(before);

/**
 * One shelf or divider in every stock there is that it can be cut from, side by side, the same load on each.
 * @example stockChoices(SOLVED, SHOP, SOLVED.letters, 'in-m1/shelf/1').length // 2
 */
export function stockChoices(before: Solution, workshop: Workshop, ledger: Letters, memberId: string): readonly StockChoice[] {
  const now = before.carried.members.get(memberId);
  if (!now) return [];
  return [...workshop.stock].flatMap(([stockId, stock]): StockChoice[] => {
    const edit = stockEdit(before.piece, before.shape.outside.members, now.member, stockId);
    if (!edit) return [];
    const solution = solve(applyEdit(before.piece, edit), workshop, ledger);
    const after = solution.carried.members.get(memberId);
    if (!after?.bending) return [];
    const current = stockId === now.member.stockId;
    if (!current && !canBeUsed(after.member, solution.shape, before.shape)) return [];
    const { verdict } = after.bending;
    const part = solution.parts.find((p) => p.id === memberId);
    return [
      {
        stockId,
        name: stock.name,
        today: verdict.today.mm,
        later: verdict.later?.mm ?? null,
        state: after.state,
        reach: verdict.creep.judged ? longestThatPasses(after.bending, workshop.settings) : null,
        kg: after.selfKg,
        cost: part ? costOfPart(part, workshop) : null,
        thickness: after.member.thickness.value,
        edges: stock.form === 'sheet' ? 'banded' : 'eased',
        finish: PAINTED.has(stock.material) ? 'paint' : 'clear or paint',
        answer: after.bending,
        edit,
        current,
      },
    ];
  });
}
