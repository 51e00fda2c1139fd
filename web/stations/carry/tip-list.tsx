import { useMemo } from 'react';
import { PASS, tippingCases, worstTipping, type TippingCase } from '../../../core/carry/index.js';
import { writeWeight, writeMass } from '../../../core/figure/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Row, Table } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';

const FILLED = { empty: 'empty', 'top only': 'top filled', 'open drawers only': 'only what is open filled', all: 'filled' } as const;

function fallsBy({ tipping }: TippingCase, unit: 'mm' | 'in'): string {
  return tipping.pull <= 0 ? 'falls by itself' : writeWeight(tipping.pull, unit);
}

/** What tips it most easily, in a few words. */
function summaryOf(worst: TippingCase, unit: 'mm' | 'in'): string {
  if (worst.tipping.pull > 0) return `What tips it: a pull of ${writeWeight(worst.tipping.pull, unit)} at the top`;
  return `It falls by itself: ${worst.pose.label.toLowerCase()}, ${FILLED[worst.filling]}`;
}

/** The worst of each filling: shut, with one drawer open, with all open. */
function rowsOf(cases: readonly TippingCase[]): readonly TippingCase[] {
  const worst = new Map<string, TippingCase>();
  for (const c of cases) {
    const kind = c.pose.id === 'shut' || c.pose.id === 'open' ? c.pose.id : 'one';
    const key = `${kind} ${c.filling}`;
    const known = worst.get(key);
    if (!known || c.tipping.pull < known.tipping.pull) worst.set(key, c);
  }
  return [...worst.values()];
}

/** What tips a free-standing piece, in every pose and filling; the worst of each pose first. */
export function TipList() {
  const { piece, settled } = useSettledBench();
  const { unit } = usePrecision();
  const cases = useMemo(() => tippingCases(settled.shape, settled.carried), [settled]);
  const worst = worstTipping(cases);
  if (!worst) return null;
  return (
    <Laid.details $above={14} $size={13}>
      <summary>
        <StateMark state={worst.tipping.state} size={15} /> {summaryOf(worst, unit)}
      </summary>
      <Laid.p $above={4} $below={4}>
        <Faint>
          On carpet, leaning forward 1°. It should stand a pull of {writeWeight(PASS.pull, unit)} and {writeMass(PASS.onDrawer, unit)} on an
          open drawer, a small child (ASTM F2057-23).{' '}
          {piece.fixedToWall ? 'It will be fixed to the wall.' : 'Tall storage is fixed to the wall regardless.'}
        </Faint>
      </Laid.p>
      <Table>
        <thead>
          <tr>
            <th>State</th>
            <th className="figure">Pull</th>
            <th className="figure">On drawer</th>
          </tr>
        </thead>
        <tbody>
          {rowsOf(cases).map((c) => (
            <tr key={`${c.pose.id} ${c.filling}`}>
              <td>
                <Row $gap={5} $wrap={false} $align="flex-start">
                  <StateMark state={c.tipping.state} size={14} />
                  <span>
                    {c.pose.label}, {FILLED[c.filling]}
                  </span>
                </Row>
              </td>
              <td className="figure">{fallsBy(c, unit)}</td>
              <td className="figure">
                {c.tipping.onDrawer === null ? '' : c.tipping.onDrawer <= 0 ? 'none' : writeMass(c.tipping.onDrawer, unit)}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <HandbookLink page="anchoring">Tipping and anchoring</HandbookLink> · <HandbookLink page="cleat">hung on a cleat</HandbookLink>
    </Laid.details>
  );
}
