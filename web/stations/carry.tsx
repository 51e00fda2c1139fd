import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { limitName, type CarriedMember } from '../../core/carry/index.js';
import { writeFine, writeForce, writeMass } from '../../core/figure/index.js';
import { boxOf } from '../../core/piece/index.js';
import { toMm, fromUnits } from '../../core/length/index.js';
import { usePrecision } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import type { Placing } from '../shared/outline.js';
import { StateMark } from '../shared/state-mark.js';
import { Faint } from '../shared/ui.js';
import { amber, green, line, red, tape, tapePale } from '../theme/tokens.js';

const ORDER = { fails: 0, close: 1, 'not judged': 2, fine: 3 } as const;

/** How much of what is allowed a member sags in the end. */
function share(c: CarriedMember): number {
  const verdict = c.bending?.verdict;
  return verdict ? (verdict.later ?? verdict.today).mm / verdict.allowed : 0;
}

/** Members that bend or carry something, the worst first. */
export function useLoaded(): readonly CarriedMember[] {
  const { solution } = useBench();
  return useMemo(
    () =>
      [...solution.carried.members.values()]
        .filter((c) => c.bending || c.throughout)
        .sort((a, b) => ORDER[a.state] - ORDER[b.state] || share(b) - share(a)),
    [solution],
  );
}

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

/** What a state is called in a list. */
export const STATE_WORD = { fine: 'fine', close: 'close', fails: 'past the limit', 'not judged': 'not judged' } as const;

/** The worksheet of Carry: every member that bends, worst first. */
export function CarrySheet() {
  const { solution, selection, select, workshop } = useBench();
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
            <button onClick={() => select(c.member.id)} aria-pressed={selection === c.member.id}>
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
    </>
  );
}

/** How deep a bend is drawn at most, mm of the piece. */
const DEEPEST_BEND = 42;

/** How many times a sag is magnified so that it can be seen and no more. */
function magnification(sag: number): number {
  return [1, 2, 5, 10, 20, 50, 100, 200].findLast((m) => m * sag <= DEEPEST_BEND) ?? 1;
}

const COLOR = { fine: green, close: amber, fails: red, 'not judged': '#67736c' } as const;

/** Every member that bends, drawn bent over the piece; the number beside each says how much it is magnified. */
export function Bends({ at }: { at: Placing }) {
  const loaded = useLoaded();
  const { selection, select } = useBench();
  return (
    <g>
      {loaded.flatMap((c) => {
        // What spans from the rear to the front is seen end on here, and listed beside.
        if (!c.bending || c.bending.axis === 'deep') return [];
        const { from, length, sag } = c.bending;
        const box = boxOf(c.member);
        const y = toMm(fromUnits((box.y0 + box.y1) / 2));
        const times = magnification(sag.mm);
        const points = Array.from({ length: 33 }, (_, i) => {
          const s = (length * i) / 32;
          return `${(at.left + (from + s) * at.scale).toFixed(1)},${(at.foot - (y - sag.result.at(s) * times) * at.scale).toFixed(1)}`;
        });
        const on = selection === c.member.id;
        const end = at.left + (from + length) * at.scale;
        return [
          <text
            key={`${c.member.id} times`}
            x={end - 4}
            y={at.foot - y * at.scale + 15}
            textAnchor="end"
            fontSize={11}
            fontWeight={700}
            fill={COLOR[c.state]}
            stroke="#f9fbf6"
            strokeWidth={3}
            paintOrder="stroke"
          >
            × {times}
          </text>,
          <polyline
            key={c.member.id}
            points={points.join(' ')}
            fill="none"
            stroke={COLOR[c.state]}
            strokeWidth={on ? 4 : 2.2}
            strokeDasharray={c.state === 'not judged' ? '2 4' : '6 3'}
            onClick={() => select(c.member.id)}
            style={{ cursor: 'pointer' }}
          />,
        ];
      })}
    </g>
  );
}
