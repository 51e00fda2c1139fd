import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { limitName } from '../../../core/carry/index.js';
import { writeFine, writeForce, writeMass } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { useBench } from '../../bench/bench.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint } from '../../shared/ui.js';
import { line, tape, tapePale } from '../../theme/tokens.js';
import { STATE_WORD, useCarried, useLoaded } from './loaded.js';
import { TipList } from './tip-list.js';

const List = styled.ul`
  border-top: 1px solid ${line};
  li {
    border-bottom: 1px solid ${line};
  }
  button {
    all: unset;
    box-sizing: border-box;
    display: flex;
    gap: 8px;
    width: 100%;
    padding: 7px 6px;
    cursor: pointer;
    align-items: flex-start;
  }
  button:focus-visible {
    outline: 3px solid #1b5aa8;
  }
  button[aria-pressed='true'] {
    background: ${tapePale};
    box-shadow: inset 0 0 0 2px ${tape};
  }
`;

/** The worksheet of Carry: every member that bends, worst first. */
export function CarrySheet() {
  const { solution, select, workshop } = useBench();
  const chosen = useCarried();
  const precision = usePrecision();
  const { project } = useParams();
  const loaded = useLoaded();
  const { settings } = workshop;
  return (
    <>
      <header style={{ marginBottom: 10 }}>
        <h1>What bends</h1>
        <Faint>
          Limit {limitName(settings.limit)}, service class {settings.serviceClass}. Change them in{' '}
          <Link to={`/p/${project}/settings`}>the project’s settings</Link>.
        </Faint>
      </header>
      <List>
        {loaded.map((c) => (
          <li key={c.member.id}>
            <button onClick={() => select(c.member.id)} aria-pressed={chosen?.member.id === c.member.id}>
              <StateMark state={c.state} />
              <span>
                <strong>
                  {c.member.role} {solution.letters[c.member.id]}
                </strong>{' '}
                <Faint>{c.member.role === 'shelf' ? c.member.label.split(',')[0] : ''}</Faint>
                <br />
                {c.bending && (c.missing === null || c.bending.verdict.today.state === 'fails') ? (
                  <span style={{ fontSize: 13 }}>
                    {writeFine(c.bending.verdict.today.mm, precision.unit)} today
                    {c.bending.verdict.later ? `, ${writeFine(c.bending.verdict.later.mm, precision.unit)} later` : ''}
                  </span>
                ) : (
                  <Faint>{c.throughout ? 'carried along its whole length' : c.missing}</Faint>
                )}
                <span className="visually-hidden">, {STATE_WORD[c.state]}</span>
              </span>
            </button>
          </li>
        ))}
      </List>
      <p style={{ marginTop: 12, fontSize: 13 }}>
        The case weighs {writeMass(solution.carried.massKg, precision.unit)}; {writeForce(solution.carried.floor, precision.unit)} reach the
        floor.
      </p>
      <TipList />
    </>
  );
}
