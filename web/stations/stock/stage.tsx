import { Suspense, lazy, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { Cell, Column, Row as TableRow, TableBody, TableHeader } from 'react-aria-components';
import { FileDown, Printer } from 'lucide-react';
import styled from 'styled-components';
import { partsOn } from '../../../core/cutting/laid.js';
import { markOf } from '../../../core/layout/names.js';
import { snapped } from '../../../core/layout/snap.js';
import type { Blank } from '../../../core/layout/blanks.js';
import { ZERO, formatLength, fromUnits, mm, toMm, type Length } from '../../../core/length/index.js';
import { useSize } from '../../bench/drawing.js';
import { usePrecision, useProject } from '../../data/project.js';
import { fileName, download } from '../../shared/download.js';
import { Button, Faint, Fault, PickTable, Row } from '../../shared/ui.js';
import { ViewTab } from '../../shared/view-tab.js';
import { useBench } from '../../bench/bench.js';
import { CutList } from './cut-list.js';
import { pinned, unpinned } from './edits.js';
import { SheetsDrawing, type Dropped, type SheetsDrawn } from './sheet-drawing.js';
import { ToBuy } from './to-buy.js';
import { missingText, sheetName, thinText, unpinnedText } from './words.js';
import { sheetsOf, useCutting, useLayouts, usePicked, useStockShown, type ShownSheet, type StockToCut } from './use-cutting.js';
import { cutsCsv } from '../../../core/formats/cuts-csv.js';
import { layoutDxf } from '../../../core/formats/layout-dxf.js';
import { layoutSvg } from '../../../core/formats/layout-svg.js';

const Area = styled.div`
  flex: 1;
  overflow: auto;
  padding: 12px 16px 16px;
  @media print {
    overflow: visible;
    padding: 0;
  }
`;

const Sizes = lazy(() => import('./sizes.js'));

const VIEWS = [
  { id: 'laid', label: 'Laid out' },
  { id: 'table', label: 'Table' },
  { id: 'cuts', label: 'Order of cuts' },
  { id: 'sizes', label: 'Sizes that waste less' },
  { id: 'buy', label: 'What to buy' },
] as const;
type Shown = (typeof VIEWS)[number]['id'];

/** The tallest that a sheet is drawn, px. */
const TALLEST = 420;

/** How near a part that is let go must come to something to be drawn to it, px. */
const REACH = 10;

/** Everything that is drawn of one stock, and what can be done with it there. */
function useDrawn(stock: StockToCut, sheets: readonly ShownSheet[], width: number): SheetsDrawn {
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
                <strong>{marks.get(p.id)}</strong> {blank?.part.member.role}
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
  const [params, setParams] = useSearchParams();
  const view: Shown = VIEWS.find((v) => v.id === params.get('show'))?.id ?? 'laid';
  const show = (id: Shown) =>
    setParams(
      (now) => {
        now.set('show', id);
        return now;
      },
      { replace: true },
    );
  const { ref, size } = useSize();
  return (
    <>
      <Row data-screen-only role="group" aria-label="What is shown" style={{ padding: '10px 16px 0', gap: 0 }}>
        {VIEWS.map((v) => (
          <ViewTab key={v.id} type="button" aria-pressed={view === v.id} onClick={() => show(v.id)}>
            {v.label}
          </ViewTab>
        ))}
      </Row>
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
  const { cutting, change } = useCutting();
  const sheets = sheetsOf(stock, layout);
  const drawn = useDrawn(stock, sheets, width);
  const answer = layout?.standing?.answer;
  const thin = thinText(stock, drawn.marks, precision);
  const captionOf = ({ laid }: ShownSheet) =>
    `${formatLength(laid.length, precision)} × ${formatLength(laid.width, precision)} ${precision.unit}`;
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
      <Row style={{ justifyContent: 'space-between', marginBottom: 8 }}>
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
