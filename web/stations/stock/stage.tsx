import { Suspense, lazy } from 'react';
import { Cell, Column, Row as TableRow, TableBody, TableHeader } from 'react-aria-components';
import { FileDown, Printer } from 'lucide-react';
import { partsOn } from '../../../core/cutting/laid.js';
import { beforeCuts } from '../../../core/layout/run-first.js';
import { formatLength, type Length } from '../../../core/length/index.js';
import { useSize } from '../../shared/use-size.js';
import { api } from '../../data/api.js';
import { usePrecision, useProject } from '../../data/project.js';
import { fileName, download } from '../../shared/download.js';
import { Button, Faint, Fault, PickTable, Row } from '../../shared/ui.js';
import { Area, Views, useView } from '../views.js';
import { useBench } from '../../bench/bench.js';
import { CutList } from './cut-list.js';
import { unpinned } from './edits.js';
import type { SheetsDrawn } from './one-sheet.js';
import { SheetsDrawing } from './sheet-drawing.js';
import { useDrawn } from './use-drawn.js';
import { ToBuy } from './to-buy.js';
import { missingText, sheetName, thinText, unpinnedText } from './words.js';
import { sheetsOf, useCutting, useLayouts, useStockShown, type ShownSheet, type StockToCut } from './use-cutting.js';
import { cutsCsv } from '../../../core/formats/cuts-csv.js';
import { layoutDxf } from '../../../core/formats/layout-dxf.js';
import { layoutSvg } from '../../../core/formats/layout-svg.js';

const Sizes = lazy(() => import('./sizes.js'));

const VIEWS = [
  { id: 'laid', label: 'Laid out' },
  { id: 'table', label: 'Table' },
  { id: 'cuts', label: 'Order of cuts' },
  { id: 'sizes', label: 'Sizes that waste less' },
  { id: 'buy', label: 'What to buy' },
] as const;
type Shown = (typeof VIEWS)[number]['id'];

/** The same as a table: where each part lies. */
function LaidTable({ stock, drawn }: { stock: StockToCut; drawn: SheetsDrawn }) {
  const precision = usePrecision();
  const { sheets, blanks, marks, pins, picked, onPick } = drawn;
  const write = (l: Length) => formatLength(l, precision);
  const rows = sheets.flatMap((sheet, nth) => partsOn(sheet.laid).map((p) => ({ p, sheet, nth })));
  return (
    <PickTable
      aria-label={`Parts of ${stock.stock.name}, where they lie`}
      selectionMode="single"
      selectionBehavior="replace"
      selectedKeys={picked ? [picked] : []}
      onSelectionChange={(keys) => {
        const [key] = keys === 'all' ? [] : [...keys];
        const blank = key === undefined ? undefined : blanks.get(String(key));
        if (blank) onPick(blank);
      }}
    >
      <TableHeader>
        <Column isRowHeader>Part</Column>
        <Column>Of</Column>
        <Column className="figure">Length</Column>
        <Column className="figure">Width</Column>
        <Column>On</Column>
        <Column className="figure">From the end</Column>
        <Column className="figure">From the edge</Column>
        <Column>Lies</Column>
      </TableHeader>
      <TableBody>
        {rows.map(({ p, sheet, nth }) => {
          const blank = blanks.get(p.id);
          return (
            <TableRow key={p.id} id={p.id}>
              <Cell>
                <strong>{marks.get(p.id)}</strong> {blank?.test ? 'piece to try settings on' : blank?.part.member.role}
                {blank?.strip ? `, strip ${blank.strip.nth + 1} of ${blank.strip.of}` : ''}
                {blank?.spare ? ', to spare' : ''}
              </Cell>
              <Cell>{blank?.piece.solution.piece.name}</Cell>
              <Cell className="figure">{write(p.turned ? p.width : p.length)}</Cell>
              <Cell className="figure">{write(p.turned ? p.length : p.width)}</Cell>
              <Cell>{sheetName(stock, sheet, nth)}</Cell>
              <Cell className="figure">{write(p.x)}</Cell>
              <Cell className="figure">{write(p.y)}</Cell>
              <Cell>{[p.turned ? 'across' : 'along', ...(pins.has(p.id) ? ['held'] : [])].join(', ')}</Cell>
            </TableRow>
          );
        })}
      </TableBody>
    </PickTable>
  );
}

/** Sheets and boards laid out, the order of their cuts, and what to buy. */
export function StockStage() {
  const { piece } = useBench();
  const { stocks, cutting, change, pieces } = useCutting();
  const [stock] = useStockShown(stocks);
  const layouts = useLayouts(stocks, stock);
  const [view, show] = useView(VIEWS);
  const { ref, size } = useSize();
  return (
    <>
      <Views views={VIEWS} shown={view} onShow={show} />
      <Area>
        <div ref={ref}>
          {view === 'sizes' ? (
            <Suspense fallback={null}>
              <Sizes />
            </Suspense>
          ) : view === 'buy' ? (
            <ToBuy stocks={stocks} pieces={pieces} layouts={layouts} cutting={cutting} change={change} name={piece.name} />
          ) : stock && size.width > 0 ? (
            <OneStock key={stock.id} stock={stock} layout={layouts.get(stock.id)} view={view} width={size.width} name={piece.name} />
          ) : stock ? null : (
            <Faint>There are no parts to cut yet.</Faint>
          )}
        </div>
      </Area>
    </>
  );
}

function OneStock({
  stock,
  layout,
  view,
  width,
  name,
}: {
  stock: StockToCut;
  layout: ReturnType<typeof useLayouts> extends Map<string, infer L> ? L | undefined : never;
  view: Exclude<Shown, 'buy' | 'sizes'>;
  width: number;
  name: string;
}) {
  const precision = usePrecision();
  const { id, saver } = useProject();
  const { cutting, change } = useCutting();
  const sheets = sheetsOf(stock, layout);
  const drawn = useDrawn(stock, sheets, width);
  const answer = layout?.standing?.answer;
  const thin = thinText(stock, drawn.marks, precision);
  const captionOf = ({ laid }: ShownSheet) => {
    const known = stock.asked.sources.find((s) => s.sheet.id === laid.sheet)?.flaws ?? [];
    const flaws = known.map((f) => `${formatLength(f.from, precision)} to ${formatLength(f.to, precision)}`);
    const clear = flaws.length > 0 ? `, clear of ${flaws.join(' and ')}` : '';
    return `${formatLength(laid.length, precision)} × ${formatLength(laid.width, precision)} ${precision.unit}${clear}`;
  };
  const base = `${fileName(name)}-${fileName(stock.stock.name)}`;
  const svg = () =>
    download(
      `${base}.svg`,
      'image/svg+xml',
      layoutSvg(
        sheets.map((s) => s.laid),
        drawn.marks,
      ),
    );
  const dxf = () =>
    download(
      `${base}.dxf`,
      'image/vnd.dxf',
      layoutDxf(
        sheets.map((l) => l.laid),
        drawn.marks,
      ),
    );
  const pdf = async () => {
    const laid = sheets.map((s) => s.laid);
    const before = Object.fromEntries(beforeCuts(laid, stock.blanks, drawn.marks, precision));
    const stocks = [{ name: stock.stock.name, form: stock.stock.form, sheets: laid, marks: Object.fromEntries(drawn.marks), before }];
    try {
      download(`${base}.pdf`, 'application/pdf', await api.printLayouts(id, { title: name, stocks: stocks }));
    } catch (error) {
      saver.say({ tone: 'refused', text: (error as Error).message });
    }
  };
  const csv = () =>
    download(
      `${base}-cuts.csv`,
      'text/csv;charset=utf-8',
      `\ufeff${cutsCsv(
        sheets.filter((s) => !s.begun?.booked).map((s) => s.laid),
        drawn.marks,
        precision,
      )}`,
    );
  return (
    <section aria-label={`${stock.stock.name}, laid out`}>
      <Row $spread $below={8}>
        <h2>{stock.stock.name}</h2>
        <Row data-screen-only>
          {view === 'cuts' ? (
            <Button onPress={csv} isDisabled={sheets.length === 0}>
              <FileDown aria-hidden /> Cuts as CSV
            </Button>
          ) : (
            <>
              <Button onPress={svg} isDisabled={sheets.length === 0}>
                <FileDown aria-hidden /> Full size as SVG
              </Button>
              <Button onPress={dxf} isDisabled={sheets.length === 0}>
                <FileDown aria-hidden /> As DXF
              </Button>
            </>
          )}
          <Button onPress={() => void pdf()} isDisabled={sheets.length === 0}>
            <FileDown aria-hidden /> As PDF
          </Button>
          <Button onPress={() => window.print()}>
            <Printer aria-hidden /> Print
          </Button>
        </Row>
      </Row>
      {layout?.ended === 'failed' ? <Fault role="alert">It could not be laid out here. Take the page anew; nothing is lost.</Fault> : null}
      {answer && answer.missing.length > 0
        ? missingText(stock, answer.missing, drawn.marks, precision).map((text) => (
            <Fault key={text} role="alert">
              {text}
            </Fault>
          ))
        : null}
      {thin ? <Fault role="alert">{thin}</Fault> : null}
      {answer?.unpinned.map((u) => (
        <Row key={u.part}>
          <Fault role="alert">
            {drawn.marks.get(u.part) ?? 'A part'} does not stay where it was put: {unpinnedText(u)}.
          </Fault>
          <Button
            data-screen-only
            onPress={() => change(unpinned(cutting, new Set([u.part])), `${drawn.marks.get(u.part) ?? 'A part'} may lie anywhere`)}
          >
            Let it lie anywhere
          </Button>
        </Row>
      ))}
      {!answer && sheets.length === 0 && layout?.ended !== 'failed' ? <Faint>Laying out…</Faint> : null}
      {view === 'laid' ? <SheetsDrawing drawn={drawn} captionOf={captionOf} /> : null}
      {view === 'table' ? <LaidTable stock={stock} drawn={drawn} /> : null}
      {view === 'cuts' ? <CutList stock={stock} sheets={sheets} marks={drawn.marks} cutting={cutting} change={change} /> : null}
      {view === 'laid' && sheets.length > 0 ? (
        <p data-screen-only>
          <Faint>
            Drag a part to hold it there. With the keyboard: arrows walk the parts, Shift with an arrow moves one, T turns it, P holds it or
            lets it go, M takes it to the next {stock.stock.form}.
          </Faint>
        </p>
      ) : null}
    </section>
  );
}
