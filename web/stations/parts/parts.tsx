import { useMemo } from 'react';
import { Cell, Column, Row as TableRow, TableBody, TableHeader } from 'react-aria-components';
import styled from 'styled-components';
import { Download, Printer } from 'lucide-react';
import { partsCsv } from '../../../core/formats/parts-csv.js';
import { UNIT_NAMES, exactText, formatLength, toMm } from '../../../core/length/index.js';
import { aslantText, doneText, lettersText, machiningText, rowsOf, type Part, type PartRow } from '../../../core/parts/index.js';
import { boughtFor } from '../../../core/solution/index.js';
import { massOf } from '../../../core/carry/index.js';
import { writeArea, writeMass } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { useBench } from '../../bench/bench.js';
import { boughtText } from '../../../core/formats/bought-text.js';
import { PartDrawing } from '../../shared/part-drawing.js';
import { LengthText } from '../../shared/length-text.js';
import { Sum } from '../../shared/sum.js';
import { Button, Faint, Fault, PickTable, Row } from '../../shared/ui.js';
import { download, fileName } from '../../shared/download.js';
import { Laid } from '../../shared/laid.js';
import { asKg } from '../../../core/measures/index.js';
import { finishFor, glueFor } from '../../../core/build/index.js';
import { HeldHere, WhatHoldsIt, useBuildingHere } from './holds.js';
import { Term } from '../../shared/term.js';

const Area = styled.div`
  flex: 1;
  overflow: auto;
  padding: 16px;
  @media print {
    overflow: visible;
    padding: 0;
  }
`;

function LettersCell({ row }: { row: PartRow }) {
  return <Laid.strong $size={15}>{lettersText(row.parts.map((p) => p.letter))}</Laid.strong>;
}

/** What is bought for it besides wood, equal things counted together. */
function BoughtList() {
  const { solution } = useBench();
  const precision = usePrecision();
  const building = useBuildingHere();
  const bought = useMemo(
    () => [...boughtFor(solution), ...glueFor(solution, building), ...finishFor(solution, building)],
    [solution, building],
  );
  if (bought.length === 0) return null;
  return (
    <Laid.section aria-label="To buy" $above={14}>
      <h3>To buy besides wood</h3>
      <ul>
        {bought.map((b) => {
          const [amount, text] = boughtText(b, precision);
          return (
            <li key={`${amount} ${text}`}>
              <strong>{amount}</strong> {text}
            </li>
          );
        })}
      </ul>
    </Laid.section>
  );
}

/** The parts list: equal parts on one line, with cutting sizes and machining; also the clean print. */
export function PartsStage() {
  const { solution, selection, select, piece, workshop } = useBench();
  const precision = usePrecision();
  const rows = rowsOf(solution.parts);
  const { times = 1 } = piece;
  const stops = solution.checks.filter((c) => c.severity === 'stop').length;
  const csv = () =>
    download(`${fileName(piece.name)}-parts.csv`, 'text/csv;charset=utf-8', `\ufeff${partsCsv(solution.parts, precision, times)}`);
  return (
    <Area>
      <Row data-screen-only $spread $below={10}>
        <Faint>
          {solution.parts.length} parts, {rows.length} kinds. Cut to the cutting size; the finished size is exact.
          {stops > 0
            ? ` ${stops} ${stops === 1 ? 'check stops' : 'checks stop'} the build: settle ${stops === 1 ? 'it' : 'them'} before you cut.`
            : ''}
        </Faint>
        <Row>
          <Button onPress={csv}>
            <Download aria-hidden /> Parts as CSV
          </Button>
          <Button onPress={() => window.print()}>
            <Printer aria-hidden /> Print
          </Button>
        </Row>
      </Row>
      <Laid.h2 $below={4}>
        {piece.name}: {formatLength(solution.shape.overall.width.value, precision)} ×{' '}
        {formatLength(solution.shape.overall.height.value, precision)} × {formatLength(solution.shape.overall.depth.value, precision)}{' '}
        {precision.unit}
        {times > 1 ? `, ${times} of them` : ''}
      </Laid.h2>
      {solution.shape.assumed.length > 0 ? (
        <Fault role="alert">
          Nothing to cut yet: the {solution.shape.assumed.join(' and the ')} {solution.shape.assumed.length > 1 ? 'are' : 'is'} assumed.
        </Fault>
      ) : null}
      <PickTable
        aria-label="Parts"
        selectionMode="single"
        selectionBehavior="replace"
        disallowEmptySelection
        selectedKeys={rows.filter((row) => row.parts.some((p) => p.id === selection)).map((row) => row.first.id)}
        onSelectionChange={(keys) => keys !== 'all' && [...keys].forEach((key) => select(String(key)))}
      >
        <TableHeader>
          <Column isRowHeader>Letter</Column>
          <Column isRowHeader className="figure">
            Qty
          </Column>
          <Column isRowHeader>Part</Column>
          <Column className="figure">Cut length</Column>
          <Column className="figure">Cut width</Column>
          <Column className="figure">Thick</Column>
          <Column>Stock</Column>
          <Column>Edges and machining</Column>
        </TableHeader>
        <TableBody>
          {rows.map((row) => {
            const part = row.first;
            return (
              <TableRow key={part.id} id={part.id}>
                <Cell>
                  <LettersCell row={row} />
                </Cell>
                <Cell className="figure">
                  {row.count * times}
                  {row.spares > 0 ? (
                    <>
                      <br />
                      <Faint>and {row.spares * times} to spare</Faint>
                    </>
                  ) : null}
                </Cell>
                <Cell>
                  <Term>{part.member.role}</Term>
                  {row.hand ? `, ${row.hand}` : ''}
                </Cell>
                <Cell className="figure">
                  <CutCell part={part} side="length" />
                </Cell>
                <Cell className="figure">
                  <CutCell part={part} side="width" />
                </Cell>
                <Cell className="figure">
                  <LengthText value={part.thickness.value} precision={precision} />
                </Cell>
                <Cell>
                  <Laid.span $unbroken>{part.member.stock.name}</Laid.span>
                </Cell>
                <Cell>{doneText(part, precision)}</Cell>
              </TableRow>
            );
          })}
        </TableBody>
      </PickTable>
      <BoughtList />
      <WhatHoldsIt />
      <Laid.p $above={8}>
        <Faint>
          {UNIT_NAMES[precision.unit]}, cutting sizes to {exactText((piece.rounding ?? workshop.settings.rounding).grid, precision.unit)}:
          what goes between is rounded down, what covers is rounded up. Grain runs along the length. The small figure is the exact finished
          size.
        </Faint>
      </Laid.p>
    </Area>
  );
}

function CutCell({ part, side }: { part: Part; side: 'length' | 'width' }) {
  const precision = usePrecision();
  const cut = part.cut[side];
  const exact = part[side].value;
  return (
    <>
      <Laid.strong $size={15}>
        <LengthText value={cut.set} precision={precision} />
      </Laid.strong>
      {cut.set === exact ? null : (
        <>
          <br />
          <Faint>{precision.unit === 'mm' ? exactText(exact, 'mm') : <LengthText value={exact} precision={precision} />}</Faint>
        </>
      )}
    </>
  );
}

/** The selected part: drawn, with its machining and the sum behind each size. */
export function PartDetail() {
  const { solution, selection } = useBench();
  const precision = usePrecision();
  const part = solution.parts.find((p) => p.id === selection) ?? solution.parts[0];
  if (!part) return <Faint>No parts yet.</Faint>;
  const lines = [...aslantText(part.member, precision), ...new Set(part.features.map((f) => machiningText(f, part, precision)))];
  return (
    <section aria-label={`Part ${part.letter}`}>
      <h1>
        {part.letter}: <Term>{part.member.role}</Term>
      </h1>
      <Faint>
        {part.member.label}. {part.member.stock.name}, {writeMass(massOf(part.member), precision.unit)}.
      </Faint>
      <PartDrawing part={part} />
      {lines.length > 0 ? (
        <details open={lines.length <= 6}>
          <summary>
            <strong>Machining</strong>
          </summary>
          <Laid.ul $size={13}>
            {lines.map((line) => (
              <Laid.li key={line} $pad="2px 0">
                {line}
              </Laid.li>
            ))}
          </Laid.ul>
        </details>
      ) : null}
      <Laid.h3 $above={12}>Length</Laid.h3>
      <Sum figure={part.cut.length.figure} precision={precision} answer="long" />
      <Laid.h3 $above={12}>Width</Laid.h3>
      <Sum figure={part.cut.width.figure} precision={precision} answer="wide" />
      <HeldHere part={part.id} />
    </section>
  );
}

/** The worksheet of Parts: what goes out of which stock. */
export function PartsSheet() {
  const { solution } = useBench();
  const precision = usePrecision();
  const stocks = new Map<string, { name: string; count: number; area: number; kg: number }>();
  for (const part of solution.parts) {
    const key = part.member.stockId;
    const now = stocks.get(key) ?? { name: part.member.stock.name, count: 0, area: 0, kg: 0 };
    const area = (toMm(part.length.value) * toMm(part.width.value)) / 1e6;
    stocks.set(key, { ...now, count: now.count + 1, area: now.area + area, kg: now.kg + massOf(part.member) });
  }
  return (
    <>
      <Laid.header $below={10}>
        <h1>Parts</h1>
        <Faint>Pick one to see it drawn, with the sum behind each size.</Faint>
      </Laid.header>
      {[...stocks.entries()].map(([id, s]) => (
        <Laid.div key={id} $below={10}>
          <strong>{s.name}</strong>
          <br />
          <Faint>
            {s.count} {s.count === 1 ? 'part' : 'parts'}, {writeArea(s.area, precision.unit, 2)}, {writeMass(asKg(s.kg), precision.unit)}
          </Faint>
        </Laid.div>
      ))}
    </>
  );
}
