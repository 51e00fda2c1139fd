import { useMemo } from 'react';
import { PASS, keepsThings, tippingCases, usedSo, worstTipping, type TippingCase } from '../../../core/carry/index.js';
import { writeWeight, writeMass } from '../../../core/figure/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Row, Table } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';

const FILLED = {
  empty: 'empty',
  'top only': 'top filled',
  'one side': 'that side filled',
  'open drawers only': 'only what is open filled',
  all: 'filled',
} as const;

function fallsBy({ tipping }: TippingCase, unit: 'mm' | 'in'): string {
  return tipping.pull <= 0 ? 'falls by itself' : writeWeight(tipping.pull, unit);
}

/** What someone on the edge of it lifts it with. */
function edgeStands({ tipping: { down } }: TippingCase, unit: 'mm' | 'in'): string {
  if (!down) return '';
  return down.lifts <= 0 ? 'none' : writeWeight(down.lifts, unit);
}

/** What tips it most easily, in a few words. */
function summaryOf({ tipping, pose, filling, to }: TippingCase, unit: 'mm' | 'in'): string {
  if (tipping.pull <= 0) return `It falls by itself to the ${to}: ${pose.label.toLowerCase()}, ${FILLED[filling]}`;
  if (tipping.down && tipping.down.lifts < tipping.down.by.newtons)
    return `What tips it to the ${to}: ${writeWeight(tipping.down.lifts, unit)} on its edge`;
  return `What tips it to the ${to}: a pull of ${writeWeight(tipping.pull, unit)} at the top`;
}

/** The worst of each filling: shut, with one drawer open, with all open. */
function rowsOf(cases: readonly TippingCase[]): readonly TippingCase[] {
  const worst = new Map<string, TippingCase>();
  for (const c of cases) {
    const kind = c.pose.id === 'shut' || c.pose.id === 'open' ? c.pose.id : 'one';
    const key = `${kind} ${c.filling}`;
    const known = worst.get(key);
    if (!known || c.tipping.stands < known.tipping.stands) worst.set(key, c);
  }
  return [...worst.values()];
}

/** What tips a free-standing piece, in every pose and filling; the worst of each pose first. */
export function TipList() {
  const { piece, settled } = useSettledBench();
  const { unit } = usePrecision();
  const cases = useMemo(() => tippingCases(settled.shape, settled.carried, usedSo(piece, settled.shape)), [piece, settled]);
  const worst = worstTipping(cases);
  if (!worst) return null;
  const keeps = keepsThings(settled.shape);
  const downs = [...new Map(cases.flatMap((c) => (c.tipping.down ? [[c.tipping.down.by.is, c.tipping.down.by] as const] : []))).values()];
  const edged = downs.map((d) => `${writeWeight(d.newtons, unit)} of someone who ${d.is === 'sat on' ? 'sits' : 'leans'}`).join(' and ');
  const drawn = cases.some((c) => c.tipping.onDrawer !== null);
  return (
    <Laid.details $above={14} $size={13}>
      <summary>
        <StateMark state={worst.tipping.state} size={15} /> {summaryOf(worst, unit)}
      </summary>
      <Laid.p $above={4} $below={4}>
        <Faint>
          On carpet, leaning 1°, over every side of its feet. It should stand a push at the top of a tenth of its weight
          {keeps
            ? `, a pull of ${writeWeight(PASS.pull, unit)}, and ${writeMass(PASS.onDrawer, unit)} on an open drawer, a small child (ASTM F2057-23)`
            : ''}
          {edged ? `, and ${edged} on its edge` : ''}.{' '}
          {piece.fixedToWall ? 'It will be fixed to the wall.' : keeps ? 'Tall storage is fixed to the wall regardless.' : ''}
        </Faint>
      </Laid.p>
      <Table>
        <thead>
          <tr>
            <th>State</th>
            <th className="figure">Pull</th>
            {drawn ? <th className="figure">On drawer</th> : null}
            {edged ? <th className="figure">On its edge</th> : null}
          </tr>
        </thead>
        <tbody>
          {rowsOf(cases).map((c) => (
            <tr key={`${c.pose.id} ${c.filling}`}>
              <td>
                <Row $gap={5} $wrap={false} $align="flex-start">
                  <StateMark state={c.tipping.state} size={14} />
                  <span>
                    {c.pose.label}, {FILLED[c.filling]} <Faint>to the {c.to}</Faint>
                  </span>
                </Row>
              </td>
              <td className="figure">{fallsBy(c, unit)}</td>
              {drawn ? (
                <td className="figure">
                  {c.tipping.onDrawer === null ? '' : c.tipping.onDrawer <= 0 ? 'none' : writeMass(c.tipping.onDrawer, unit)}
                </td>
              ) : null}
              {edged ? <td className="figure">{edgeStands(c, unit)}</td> : null}
            </tr>
          ))}
        </tbody>
      </Table>
      <HandbookLink page="anchoring">Tipping and anchoring</HandbookLink> · <HandbookLink page="cleat">hung on a cleat</HandbookLink>
    </Laid.details>
  );
}
