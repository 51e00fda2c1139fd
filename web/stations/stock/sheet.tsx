import { Link, useParams } from 'react-router';
import type { FirstCuts } from '../../../core/cutting/sheets/index.js';
import { moneyInAll } from '../../../core/layout/buy.js';
import { useMoney, usePrecision, useProject } from '../../data/project.js';
import { useBench } from '../../bench/bench.js';
import { LengthField } from '../../shared/length-field.js';
import { Fold } from '../../shared/fold.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, NumberInput, Select, Tick } from '../../shared/ui.js';
import { PickList } from '../../shared/pick-list.js';
import { Reserve } from './reserve.js';
import { counted, sumsText } from './words.js';
import { sumsFor, useCutting, useLayouts, useStockShown } from './use-cutting.js';
import { Laid } from '../../shared/laid.js';

const FIRST: readonly { readonly id: FirstCuts; readonly label: string }[] = [
  { id: 'either', label: 'whichever wastes less' },
  { id: 'rips', label: 'rips: strips along the sheet' },
  { id: 'crosscuts', label: 'crosscuts: pieces across it' },
];

/** The worksheet of Stock: what is cut together, from which stocks, and what that comes to. */
export function StockSheet() {
  const inMoney = useMoney();
  const { project } = useParams();
  const { bench } = useProject();
  const { pieceId } = useBench();
  const precision = usePrecision();
  const { cutting, pieces, stocks, change } = useCutting();
  const [shown, show] = useStockShown(stocks);
  const layouts = useLayouts(stocks, shown);
  const sumsOf = new Map(stocks.map((s) => [s.id, sumsFor(s, layouts.get(s.id), bench)]));
  const sums = [...sumsOf.values()].filter((s) => s !== null);
  const { money, atLeast } = moneyInAll(sums);
  const taken = new Set(bench.records.cuttings.flatMap((c) => (c.data.pieces.includes(pieceId) ? [] : c.data.pieces)));
  const others = bench.records.pieces.filter((p) => p.id !== pieceId && !taken.has(p.id));
  const together = (id: string, name: string, to: boolean) =>
    change(
      { pieces: to ? [...cutting.pieces, id] : cutting.pieces.filter((p) => p !== id) },
      `${name} is ${to ? '' : 'not '}cut together with it`.slice(0, 150),
    );
  return (
    <>
      <Laid.header $below={10}>
        <h1>Stock</h1>
        <Faint>Parts laid on what is on hand and what is bought, so that every cut runs from edge to edge.</Faint>
      </Laid.header>
      <PickList aria-label="Stocks">
        {stocks.map((s) => {
          const layout = layouts.get(s.id);
          const one = sumsOf.get(s.id);
          const lost = layout?.standing?.answer.missing.length ?? 0;
          return (
            <li key={s.id}>
              <button type="button" aria-pressed={s === shown} onClick={() => show(s.id)}>
                <StateMark state={!one ? 'not checked' : lost > 0 ? 'fails' : 'fine'} />
                <span>
                  <strong>{s.stock.name}</strong>
                  <br />
                  <Faint>
                    {counted(s.blanks.length, 'part')}
                    {one ? `: ${sumsText(s, one) || 'nothing opened'}` : ': laying out'}
                    {lost > 0 ? `, ${lost} without a place` : ''}
                    {one && one.money > 0 ? `, ${inMoney(one.money)}` : ''}
                  </Faint>
                </span>
              </button>
            </li>
          );
        })}
      </PickList>
      <Laid.p $below={12}>
        <strong>
          Wood to buy: {atLeast ? 'at least ' : ''}
          {inMoney(money)}
        </strong>
        {sums.length < stocks.length ? <Faint> so far</Faint> : null}
      </Laid.p>
      <Laid.div $display="grid" $gap={10} $below={14}>
        <Reserve
          laid={stocks.flatMap((stock) => {
            const one = sumsOf.get(stock.id);
            return one ? [{ stock, sums: one }] : [];
          })}
        />
        <NumberInput
          label="Budget"
          value={cutting.budget ?? NaN}
          minValue={0}
          maxValue={1e7}
          formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
          onChange={(n) => {
            const { budget, ...rest } = cutting;
            if (Number.isFinite(n) ? n !== budget : budget !== undefined)
              change(Number.isFinite(n) ? { budget: n } : { ...rest, budget: undefined as never }, 'Budget');
          }}
        />
        <Tick isSelected={cutting.matched === true} onChange={(matched) => change({ matched }, 'Fronts from one strip')}>
          Fronts from one strip, the grain running on
        </Tick>
        <LengthField
          label="A test piece of each stock, this long"
          value={cutting.testLong ?? null}
          optional
          precision={precision}
          onCommit={(testLong) => {
            const { testLong: before, ...rest } = cutting;
            if (testLong !== (before ?? null))
              change(testLong === null ? { ...rest, testLong: undefined as never } : { testLong }, 'Test pieces');
          }}
        />
        <Select
          label="First cuts of sheets"
          value={cutting.first}
          choices={FIRST}
          onChange={(first) => change({ first }, 'First cuts of sheets')}
        />
        <Faint>
          Saws, trim, and what is kept: <Link to={`/p/${project}/settings#tools`}>settings</Link>. Offcuts, prices and what is on hand:{' '}
          <Link to={`/p/${project}/stock${shown ? `?open=${shown.id}` : ''}`}>stockroom</Link>.
        </Faint>
      </Laid.div>
      {others.length > 0 || cutting.pieces.length > 1 ? (
        <Fold
          summary={`Cut together: ${pieces.length === 1 ? 'this piece alone' : pieces.map((p, i) => `${i + 1} ${p.solution.piece.name}`).join(', ')}`}
        >
          {() => (
            <Laid.div $display="grid" $gap={6} $above={6}>
              {others.map((p) => (
                <Tick key={p.id} isSelected={cutting.pieces.includes(p.id)} onChange={(to) => together(p.id, p.data.piece.name, to)}>
                  {p.data.piece.name}
                </Tick>
              ))}
            </Laid.div>
          )}
        </Fold>
      ) : null}
    </>
  );
}
