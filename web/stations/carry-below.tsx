import { lazy, Suspense, useMemo } from 'react';
import styled from 'styled-components';
import { writeFine, writeMass } from '../../core/figure/index.js';
import { stockChoices } from '../../core/solution/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import { StateMark } from '../shared/state-mark.js';
import { Button, Faint, Row, Table } from '../shared/ui.js';
import { phone } from '../theme/tokens.js';
import { useLoaded } from './carry.js';

const SagChart = lazy(() => import('./sag-chart.js'));

const Below = styled.div`
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 4fr) minmax(0, 5fr);
  gap: 14px;
  padding: 0 16px 12px;
  max-height: 252px;
  overflow: auto;
  td,
  th {
    padding: 4px 5px;
  }
  td button {
    min-height: 0;
    padding: 0 4px;
  }
  @media ${phone} {
    grid-template-columns: 1fr;
    max-height: none;
  }
`;

/** Under the drawing of Carry: the sag along the member, and the same member in every stock there is. */
export function CarryBelow() {
  const { settled, solution, workshop, selection, commit } = useBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const loaded = useLoaded();
  const c = solution.carried.members.get(selection)?.bending ? solution.carried.members.get(selection) : loaded.find((l) => l.bending);
  const choices = useMemo(() => (c ? stockChoices(settled, workshop, settled.letters, c.member.id) : []), [settled, workshop, c]);
  if (!c?.bending) return null;
  const letter = settled.letters[c.member.id] ?? '';
  const price = (id: string) => bench.records.stock.find((s) => s.id === id)?.data;
  return (
    <Below>
      <Suspense fallback={<Faint>Drawing the sag…</Faint>}>
        <SagChart c={c} />
      </Suspense>
      {choices.length > 0 ? (
        <Table>
          <caption style={{ textAlign: 'left', fontWeight: 650, padding: '4px 0' }}>
            {c.member.role} {letter} in other stock, the same load
          </caption>
          <thead>
            <tr>
              <th>Stock</th>
              <th className="figure">Today</th>
              <th className="figure">Later</th>
              <th className="figure">Weighs</th>
              <th className="figure">Price</th>
              <th>
                <span className="visually-hidden">Use it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {choices.map((s) => (
              <tr key={s.stockId} aria-selected={s.current}>
                <td>
                  <Row style={{ gap: 5, flexWrap: 'nowrap' }}>
                    <StateMark state={s.state} size={15} />
                    <span style={{ whiteSpace: 'nowrap' }}>{price(s.stockId)?.name}</span>
                  </Row>
                </td>
                <td className="figure">{writeFine(s.today, precision.unit)}</td>
                <td className="figure">{s.later === null ? 'not judged' : writeFine(s.later, precision.unit)}</td>
                <td className="figure">{writeMass(s.kg, precision.unit)}</td>
                <td className="figure">{price(s.stockId)?.price ?? ''}</td>
                <td>
                  {s.current ? (
                    <Faint>in use</Faint>
                  ) : (
                    <Button
                      data-quiet
                      onPress={() => commit(s.edit, `Made ${c.member.role} ${letter} of other stock`)}
                      aria-label={`Use ${price(s.stockId)?.name}`}
                    >
                      Use
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
    </Below>
  );
}
