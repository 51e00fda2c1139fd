import { FileDown, Printer } from 'lucide-react';
import { cutsOf } from '../../../core/cutting/cuts.js';
import { moneyInAll, woodToBuy } from '../../../core/layout/buy.js';
import { fittingsMoney } from '../../../core/layout/fittings.js';
import { moneyByPiece, type Sums } from '../../../core/layout/sums.js';
import type { PieceToCut } from '../../../core/layout/blanks.js';
import type { Cutting } from '../../../core/layout/spec.js';
import { goesInCar, shopCuts, shopMoney } from '../../../core/layout/tools.js';
import { fittingsFor } from '../../../core/formats/fittings-to-buy.js';
import { toBuyCsv } from '../../../core/formats/to-buy-csv.js';
import { formatLength } from '../../../core/length/index.js';
import { useMoney, usePrecision, useProject } from '../../data/project.js';
import { download, fileName } from '../../shared/download.js';
import { Button, Faint, Fault, Row, Table } from '../../shared/ui.js';
import { FittingsTable } from './fittings-table.js';
import type { Layout } from './layouts.js';
import { sheetsOf, sumsFor, type StockToCut } from './use-cutting.js';
import { Laid } from '../../shared/laid.js';

/** What is bought for what is cut together: wood by whole sheets and boards, then everything else; against a budget. */
export function ToBuy({
  stocks,
  pieces,
  layouts,
  cutting,
  name,
}: {
  stocks: readonly StockToCut[];
  pieces: readonly PieceToCut[];
  layouts: ReadonlyMap<string, Layout>;
  cutting: Cutting;
  change: (next: Partial<Cutting>, label: string) => void;
  name: string;
}) {
  const inMoney = useMoney();
  const precision = usePrecision();
  const { bench } = useProject();
  const known = stocks.flatMap((s) => {
    const sums = sumsFor(s, layouts.get(s.id), bench);
    return sums ? [{ stock: s.stock, sums, blanks: s.blanks }] : [];
  });
  const wood = woodToBuy(known);
  const { records } = bench;
  const lines = fittingsFor(pieces, {
    buildings: records.buildings.map((b) => b.data),
    hardware: records.hardware.map((h) => h.data),
    slides: records.slides.map((s) => s.data),
  });
  const besides = fittingsMoney(lines);
  const { money, atLeast } = moneyInAll(known.map((k) => k.sums));
  const inAll = money + besides.money;
  const shares = new Map<string, number>();
  for (const { sums, blanks } of known) {
    for (const [piece, share] of moneyByPiece(blanks, sums.money)) shares.set(piece, (shares.get(piece) ?? 0) + share);
  }
  const own = known.flatMap(({ stock, sums }: { stock: StockToCut['stock']; sums: Sums }) =>
    sums.used
      .filter((u) => u.source.from !== 'to buy')
      .map((u) => ({ name: u.source.from === 'offcut' ? `${stock.name}, ${u.source.name}` : stock.name, count: u.count })),
  );
  const size = (w: (typeof wood)[number]) => `${formatLength(w.length, precision)} × ${formatLength(w.width, precision)} ${precision.unit}`;
  const csv = () => download(`${fileName(name)}-to-buy.csv`, 'text/csv;charset=utf-8', `\ufeff${toBuyCsv(wood, lines, precision)}`);
  const { tools } = bench.project.settings;
  const tooLarge = wood.filter((w) => !goesInCar(w.length, w.width, tools));
  const asked = stocks.map((s) => shopCuts(cutsOf(sheetsOf(s, layouts.get(s.id)).map((l) => l.laid)), tools, s.stock.form));
  const inShop = asked.reduce((sum, count) => sum + count, 0);
  const cutThere = { count: inShop, money: shopMoney(inShop, tools) };
  const over = cutting.budget !== undefined && inAll > cutting.budget;
  return (
    <section aria-label="What to buy">
      <Row $spread $below={8}>
        <h2>What to buy for {pieces.map((p) => p.solution.piece.name).join(', ')}</h2>
        <Row data-screen-only>
          <Button onPress={csv}>
            <FileDown aria-hidden /> As CSV
          </Button>
          <Button onPress={() => window.print()}>
            <Printer aria-hidden /> Print
          </Button>
        </Row>
      </Row>
      {known.length < stocks.length ? (
        <Faint role="status">
          Still laying out {stocks.length - known.length} of {stocks.length} stocks…
        </Faint>
      ) : null}
      <Table aria-label="Wood to buy">
        <thead>
          <tr>
            <th className="figure">Qty</th>
            <th>Wood</th>
            <th>Each measures</th>
            <th className="figure">Each</th>
            <th className="figure">In all</th>
          </tr>
        </thead>
        <tbody>
          {wood.length === 0 ? (
            <tr>
              <td colSpan={5}>No wood: all of it comes from what is on hand.</td>
            </tr>
          ) : null}
          {wood.map((w) => (
            <tr key={`${w.name} ${w.length} ${w.width}`}>
              <td className="figure">{w.count}</td>
              <td>{w.name}</td>
              <td>{size(w)}</td>
              <td className="figure">{w.each === null ? 'no price' : inMoney(w.each)}</td>
              <td className="figure">{w.money === null ? '' : inMoney(w.money)}</td>
            </tr>
          ))}
          <tr>
            <td colSpan={4}>
              <strong>Wood in all{atLeast ? ', at least: a price is missing' : ''}</strong>
            </td>
            <td className="figure">
              <strong>{inMoney(money)}</strong>
            </td>
          </tr>
        </tbody>
      </Table>
      {cutThere.count > 0 ? (
        <p>
          The shop makes {cutThere.count} {cutThere.count === 1 ? 'cut' : 'cuts'}
          {cutThere.money > 0 ? `, for ${inMoney(cutThere.money)} more` : ', in the price'}: they are marked in the order of cuts.
        </p>
      ) : null}
      {tooLarge.map((w) => (
        <Fault key={`${w.name} ${w.length}`}>
          {w.name}, {size(w)}, does not go into the car whole: have it cut where it is sold, or delivered.
        </Fault>
      ))}
      {pieces.length > 1 && money > 0 ? (
        <>
          <Laid.h3 $above={14}>By piece, by the area of its parts</Laid.h3>
          <ul>
            {pieces.map((p) => (
              <li key={p.id}>
                {p.solution.piece.name}: <strong>{inMoney(shares.get(p.id) ?? 0)}</strong>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {own.length > 0 ? (
        <>
          <Laid.h3 $above={14}>From what is on hand</Laid.h3>
          <ul>
            {own.map((o) => (
              <li key={o.name}>
                <strong>{o.count}</strong> {o.name}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {lines.length > 0 ? (
        <>
          <Laid.h3 $above={14}>Besides wood</Laid.h3>
          <FittingsTable lines={lines} />
        </>
      ) : null}
      <Laid.p $above={14}>
        <strong>
          In all{atLeast || besides.atLeast ? ', at least' : ''}: {inMoney(inAll)}
        </strong>
        {cutting.budget === undefined ? '' : `, of a budget of ${inMoney(cutting.budget)}`}
      </Laid.p>
      {over ? <Fault role="alert">That is {inMoney(inAll - (cutting.budget ?? 0))} over the budget.</Fault> : null}
    </section>
  );
}
