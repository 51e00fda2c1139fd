import { useMemo } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceDot, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { allowed, limitName, wouldBe } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import type { StockChoice } from '../../../core/solution/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { Table } from '../../shared/ui.js';
import { ink, lineFaint, paper, red } from '../../theme/tokens.js';
import { STROKES } from './strokes.js';
import { Laid } from '../../shared/laid.js';

const FROM = 0.4;
const TO = 1.6;
const STEPS = 24;

/** A span with the limit there, and the sag of each stock by its id. */
type Row = { span: number; limit: number } & Record<string, number>;

/** Sag against span for chosen stocks under as much on each length, with the limit and where the member is now; and its table twin. */
export default function SpanChart({ drawn, span }: { drawn: readonly StockChoice[]; span: number }) {
  const { workshop } = useBench();
  const { unit } = usePrecision();
  const { settings } = workshop;
  const per = unit === 'mm' ? 1 : 25.4;
  const rows = useMemo(
    () =>
      Array.from({ length: STEPS + 1 }, (_, i): Row => {
        const k = FROM + ((TO - FROM) * i) / STEPS;
        const sags = Object.fromEntries(drawn.map((d) => [d.stockId, wouldBe(d.answer, settings, { span: k }, false).mm / per]));
        return { span: (span * k) / per, limit: allowed(settings.limit, span * k) / per, ...sags };
      }),
    [drawn, span, settings, per],
  );
  const now = drawn.find((d) => d.current);
  const ceiling = (allowed(settings.limit, span * TO) / per) * 3;
  const digits = unit === 'mm' ? 1 : 2;
  return (
    <figure aria-label="Sag against span">
      <Laid.figcaption $weight={650} $size={13} $pad="4px 0">
        Sag later against span, {unit}; red is {limitName(settings.limit)}
      </Laid.figcaption>
      <Laid.div $high={150} aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart accessibilityLayer={false} data={rows} margin={{ top: 4, right: 16, bottom: 0, left: 0 }}>
            <CartesianGrid stroke={lineFaint} />
            <XAxis
              dataKey="span"
              type="number"
              domain={['dataMin', 'dataMax']}
              fontSize={11}
              tickFormatter={(v: number) => v.toFixed(unit === 'mm' ? 0 : 1)}
            />
            <YAxis fontSize={11} width={46} domain={[0, ceiling]} allowDataOverflow tickFormatter={(v: number) => v.toFixed(digits)} />
            <Tooltip
              formatter={(value) => writeFine(Number(value) * per, unit)}
              labelFormatter={(x) => `span ${Number(x).toFixed(digits)} ${unit}`}
            />
            <Line
              dataKey="limit"
              name={limitName(settings.limit)}
              stroke={red}
              strokeWidth={1.5}
              strokeDasharray="5 4"
              dot={false}
              isAnimationActive={false}
            />
            {drawn.map((d, i) => {
              const { stroke, dash } = STROKES[i % STROKES.length] as (typeof STROKES)[number];
              return (
                <Line
                  key={d.stockId}
                  dataKey={d.stockId}
                  name={d.name}
                  stroke={stroke}
                  strokeDasharray={dash}
                  strokeWidth={2}
                  dot={false}
                  isAnimationActive={false}
                />
              );
            })}
            {now ? (
              <ReferenceDot
                x={span / per}
                y={Math.min(ceiling, wouldBe(now.answer, settings, {}).mm / per)}
                r={5}
                fill={ink}
                stroke={paper}
              />
            ) : null}
          </LineChart>
        </ResponsiveContainer>
      </Laid.div>
      <Laid.ul $display="flex" $wrap $gap="2px 14px" $size={12}>
        {drawn.map((d, i) => {
          const { stroke, dash } = STROKES[i % STROKES.length] as (typeof STROKES)[number];
          return (
            <li key={d.stockId}>
              <svg width={26} height={8} aria-hidden>
                <line x1={0} x2={26} y1={4} y2={4} stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
              </svg>{' '}
              {d.name}
              {d.current ? ', in use: the dot' : ''}
            </li>
          );
        })}
      </Laid.ul>
      <Laid.details $size={12}>
        <summary>The same as a table</summary>
        <Table>
          <thead>
            <tr>
              <th className="figure">Span</th>
              <th className="figure">Limit</th>
              {drawn.map((d) => (
                <th key={d.stockId} className="figure">
                  {d.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows
              .filter((_, i) => i % 4 === 0)
              .map((r) => (
                <tr key={r.span}>
                  <td className="figure">{writeFine(r.span * per, unit, 1)}</td>
                  <td className="figure">{writeFine(r.limit * per, unit)}</td>
                  {drawn.map((d) => (
                    <td key={d.stockId} className="figure">
                      {writeFine((r[d.stockId] as number) * per, unit)}
                    </td>
                  ))}
                </tr>
              ))}
          </tbody>
        </Table>
      </Laid.details>
    </figure>
  );
}
