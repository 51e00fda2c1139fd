import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { limitName, type CarriedMember } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { useBench } from '../../bench/bench.js';
import { amber, ink, lineFaint, red } from '../../theme/tokens.js';
import { Laid } from '../../shared/laid.js';

/** The sag along a member, today and in the long term, with the limit; a table twin for those who cannot see it. */
export default function SagChart({ c }: { c: CarriedMember }) {
  const { workshop } = useBench();
  const { unit } = usePrecision();
  const bending = c.bending;
  if (!bending) return null;
  const { at, verdict, length } = bending;
  const per = unit === 'mm' ? 1 : 25.4;
  const factor = verdict.creep.judged ? verdict.creep.factor : null;
  const data = Array.from({ length: 25 }, (_, i) => {
    const x = (length * i) / 24;
    const today = at(x) / per;
    return { x: Number((x / per).toFixed(2)), today, ...(factor === null ? {} : { later: today * factor }) };
  });
  const limit = verdict.allowed / per;
  return (
    <figure aria-label="Sag along the member">
      <Laid.figcaption $weight={650} $size={13} $pad="4px 0">
        Sag along it, {unit}; the line across is {limitName(workshop.settings.limit)}
      </Laid.figcaption>
      <Laid.div $high={170} aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart accessibilityLayer={false} data={data} margin={{ top: 4, right: 16, bottom: 0, left: 0 }}>
            <CartesianGrid stroke={lineFaint} />
            <XAxis dataKey="x" type="number" domain={[0, 'dataMax']} fontSize={11} tickCount={6} />
            <YAxis
              reversed
              fontSize={11}
              width={46}
              domain={[0, (most: number) => Math.max(most, limit) * 1.08]}
              tickFormatter={(v: number) => v.toFixed(unit === 'mm' ? 1 : 2)}
            />
            <Tooltip
              formatter={(value) => writeFine(Number(value) * per, unit)}
              labelFormatter={(x) => `at ${typeof x === 'number' || typeof x === 'string' ? x : ''} ${unit}`}
            />
            <ReferenceLine y={limit} stroke={red} strokeDasharray="5 4" />
            <Line dataKey="today" name="today" stroke={ink} strokeWidth={2} dot={false} isAnimationActive={false} />
            {factor === null ? null : (
              <Line
                dataKey="later"
                name="in the long term"
                stroke={amber}
                strokeWidth={2}
                strokeDasharray="7 3"
                dot={false}
                isAnimationActive={false}
              />
            )}
          </LineChart>
        </ResponsiveContainer>
      </Laid.div>
      <div className="visually-hidden">
        <table>
          <caption>Sag along the member</caption>
          <tbody>
            {data
              .filter((_, i) => i % 6 === 0)
              .map((d) => (
                <tr key={d.x}>
                  <th scope="row">
                    at {d.x} {unit}
                  </th>
                  <td>{writeFine(d.today * per, unit)} today</td>
                  <td>{d.later === undefined ? 'later not checked' : `${writeFine(d.later * per, unit)} later`}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </figure>
  );
}
