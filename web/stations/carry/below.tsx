import { Suspense, useMemo, useState } from 'react';
import styled from 'styled-components';
import { writeFine, writeMass } from '../../../core/figure/index.js';
import type { Precision } from '../../../core/length/index.js';
import { stockChoices, type StockChoice } from '../../../core/solution/index.js';
import { useBench } from '../../bench/bench.js';
import { useMoney, usePrecision, useTerms } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { fetched } from '../../shared/boundary.js';
import { Button, Faint, Row, Table, Tick } from '../../shared/ui.js';
import { phone } from '../../theme/tokens.js';
import { useCarried, useLoaded, seen } from './loaded.js';
import { useDrawnOut } from './in-pose.js';
import { MOST_LINES } from './strokes.js';
import { Laid } from '../../shared/laid.js';

const SagChart = fetched(() => import('./sag-chart.js').then((m) => m.default));
const SpanChart = fetched(() => import('./span-chart.js').then((m) => m.default));

const Below = styled.div`
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 3.3fr) minmax(0, 7fr);
  gap: 14px;
  padding: 0 16px 12px;
  max-height: 268px;
  overflow: auto;
  td,
  th {
    padding: 3px 5px;
  }
  td button {
    min-height: 0;
    padding: 0 4px;
  }
  @media ${phone} {
    grid-template-columns: minmax(0, 1fr);
    max-height: none;
    > * {
      min-width: 0;
      overflow-x: auto;
    }
  }
`;

/** The same member in every stock on hand, the ticked ones drawn against span. */
function StockTable({
  listed,
  drawn,
  toggle,
  title,
  use,
}: {
  listed: readonly StockChoice[];
  drawn: ReadonlySet<string>;
  toggle: (id: string) => void;
  title: string;
  use: (choice: StockChoice) => void;
}) {
  const inMoney = useMoney();
  const { unit } = usePrecision();
  return (
    <Table>
      <Laid.caption $text="left" $weight={650} $pad="4px 0">
        {title}
      </Laid.caption>
      <thead>
        <tr>
          <th>Stock</th>
          <th className="figure">After years</th>
          <th className="figure">Longest span</th>
          <th className="figure">Weighs, costs</th>
          <th>
            <span className="visually-hidden">Use it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {listed.map((s) => (
          <tr key={s.stockId} aria-selected={s.current}>
            <td>
              <Row $gap={5} $wrap={false}>
                <Tick
                  aria-label={`Draw ${s.name}`}
                  isSelected={drawn.has(s.stockId)}
                  isDisabled={!drawn.has(s.stockId) && drawn.size >= MOST_LINES}
                  onChange={() => toggle(s.stockId)}
                >
                  {''}
                </Tick>
                <StateMark
                  state={s.state}
                  severity={s.state === 'fails' && s.answer.strength.state === 'fails' ? 'stop' : seen(s.state)}
                  size={15}
                />
                <Laid.span $line={1.15} $unbroken>
                  {s.name}
                  <br />
                  <Faint $size={11}>
                    {s.finish}, {s.edges}
                  </Faint>
                </Laid.span>
              </Row>
            </td>
            <Laid.td className="figure" $line={1.15}>
              {s.later === null ? 'not checked' : writeFine(s.later, unit)}
              <br />
              <Faint $size={11}>{writeFine(s.today, unit)} today</Faint>
            </Laid.td>
            <td className="figure">{reachText(s.reach, unit)}</td>
            <Laid.td className="figure" $line={1.15}>
              {writeMass(s.kg, unit)}
              <br />
              <Faint $size={11}>{s.cost === null ? 'no price' : inMoney(s.cost)}</Faint>
            </Laid.td>
            <td>
              {s.current ? (
                <Faint>in use</Faint>
              ) : (
                <Button data-quiet onPress={() => use(s)} aria-label={`Use ${s.name}`}>
                  Use
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

function reachText(reach: number | null, unit: Precision['unit']): string {
  if (reach === null) return 'not checked';
  return reach === Infinity ? 'any' : writeFine(reach, unit, 1);
}

function usualOf(choices: readonly StockChoice[]): readonly string[] {
  const others = choices
    .filter((s) => !s.current && s.state !== 'fails' && s.state !== 'not checked')
    .sort((a, b) => (a.cost ?? Infinity) - (b.cost ?? Infinity));
  return [...choices.filter((s) => s.current), ...others.slice(0, 2)].map((s) => s.stockId);
}

/** Under the drawing of Carry: the sag along the member and against its span, and the same member in every stock there is. */
export function CarryBelow() {
  const { settled, workshop, commit } = useBench();
  const t = useTerms();
  const [bySpan, setBySpan] = useState(true);
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const loaded = useLoaded();
  const carried = useCarried();
  // As on the right: what is chosen, or else what stands worst.
  const c = carried ?? loaded[0];
  const id = c?.bending ? c.member.id : undefined;
  // Other stocks are tried with all shut: drawn out there are none to choose from.
  const [out] = useDrawnOut();
  const choices = useMemo(
    () => (id && out === null ? stockChoices(settled, workshop, settled.letters, id) : []),
    [settled, workshop, id, out],
  );
  // The one in use and the two cheapest others that pass, until others are ticked.
  const drawn = useMemo(() => new Set(picked ?? usualOf(choices)), [picked, choices]);
  const shown = useMemo(() => choices.filter((s) => drawn.has(s.stockId)), [choices, drawn]);
  if (!c?.bending) return null;
  const name = `${t(c.member.role)} ${settled.letters[c.member.id] ?? ''}`;
  const toggle = (id: string) => setPicked(drawn.has(id) ? [...drawn].filter((d) => d !== id) : [...drawn, id]);
  return (
    <Below>
      <div>
        {choices.length > 0 ? (
          <Row role="group" aria-label="Which chart">
            <Button data-quiet aria-pressed={bySpan} onPress={() => setBySpan(true)}>
              {bySpan ? <strong>By span</strong> : 'By span'}
            </Button>
            <Button data-quiet aria-pressed={!bySpan} onPress={() => setBySpan(false)}>
              {bySpan ? 'Along it' : <strong>Along it</strong>}
            </Button>
          </Row>
        ) : null}
        <Suspense fallback={<Faint>Drawing the sag…</Faint>}>
          {bySpan && choices.length > 0 ? <SpanChart drawn={shown} span={c.bending.span} /> : <SagChart c={c} />}
        </Suspense>
      </div>
      {choices.length > 0 ? (
        <StockTable
          listed={choices}
          drawn={drawn}
          toggle={toggle}
          title={`${name} in other stock, the same load`}
          use={(s) => commit(s.edit, `Made ${name} of other stock`)}
        />
      ) : null}
    </Below>
  );
}
