import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { NAMED_LIMITS, limitName, pathToFloor, type CarriedMember } from '../../core/carry/index.js';
import { writeFine, writeForce, writeMass, writeSentence } from '../../core/figure/index.js';
import { boxOf, type PieceEdit } from '../../core/piece/index.js';
import { toMm, fromUnits } from '../../core/length/index.js';
import { remediesFor, stockChoices } from '../../core/solution/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import type { Placing } from '../bench/drawing.js';
import { MovedList } from '../bench/moved.js';
import { StateMark } from '../shared/state-mark.js';
import { Button, Faint, Row, Table } from '../shared/ui.js';
import { amber, green, line, phone, red, tape, tapePale } from '../theme/tokens.js';

const SagChart = lazy(() => import('./sag-chart.js'));

const ORDER = { fails: 0, close: 1, 'not judged': 2, fine: 3 } as const;

/** How much of what is allowed a member sags in the end. */
function share(c: CarriedMember): number {
  const verdict = c.bending?.verdict;
  return verdict ? (verdict.later ?? verdict.today).mm / verdict.allowed : 0;
}

/** Members that bend or carry something, the worst first. */
function useLoaded(): readonly CarriedMember[] {
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

const STATE_WORD = { fine: 'fine', close: 'close', fails: 'past the limit', 'not judged': 'not judged' } as const;

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
        if (!c.bending) return [];
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

const Answers = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0;
  border: 1px solid ${line};
  margin: 8px 0;
  > div {
    padding: 8px;
    border-left: 1px solid ${line};
  }
  > div:first-child {
    border-left: 0;
  }
  strong {
    display: block;
    font-size: 16px;
    line-height: 1.2;
    white-space: nowrap;
  }
`;

function Verdict({ c }: { c: CarriedMember }) {
  const { workshop } = useBench();
  const precision = usePrecision();
  if (!c.bending) return null;
  const { verdict, span, sag } = c.bending;
  return (
    <>
      <Answers>
        <div>
          <Faint>Today</Faint>
          <strong>{writeFine(verdict.today.mm, precision.unit)}</strong>
          <Row style={{ gap: 4 }}>
            <StateMark state={verdict.today.state} size={15} /> <Faint>{STATE_WORD[verdict.today.state]}</Faint>
          </Row>
        </div>
        <div>
          <Faint>Later</Faint>
          <strong>{verdict.later ? writeFine(verdict.later.mm, precision.unit) : 'not judged'}</strong>
          <Row style={{ gap: 4 }}>
            <StateMark state={verdict.later?.state ?? 'not judged'} size={15} />{' '}
            <Faint>{verdict.later ? STATE_WORD[verdict.later.state] : ''}</Faint>
          </Row>
        </div>
        <div>
          <Faint>Meets</Faint>
          <strong>{verdict.meets ? `span/${verdict.meets.over}` : 'none'}</strong>
          <Faint>{verdict.meets ? verdict.meets.meaning : `span/${Math.floor(verdict.ratio)}: plainly bowed`}</Faint>
        </div>
      </Answers>
      <p style={{ fontSize: 13 }}>
        Span {writeFine(span, precision.unit)}. {limitName(workshop.settings.limit)} allows {writeFine(verdict.allowed, precision.unit)}.{' '}
        {verdict.creep.judged ? `Long term: × ${Number(verdict.creep.factor.toFixed(2))} (${verdict.creep.basis}).` : verdict.creep.reason}
      </p>
      <details style={{ fontSize: 13, marginTop: 4 }}>
        <summary>All limits, and what this rests on</summary>
        <ul style={{ margin: '4px 0' }}>
          {NAMED_LIMITS.map((l) => (
            <li key={l.over}>
              span/{l.over}: {writeFine(span / l.over, precision.unit, 3)},{' '}
              {verdict.today.mm <= span / l.over ? 'met today' : 'not met today'}
              {verdict.later ? (verdict.later.mm <= span / l.over ? ', met later' : ', not met later') : ''} <Faint>{l.meaning}</Faint>
            </li>
          ))}
        </ul>
        <p>
          E {c.member.stock.elastic ?? 'as tabled'} of {c.member.stock.name}; load spread evenly over the span; ends free to turn. The
          table’s E is read two ways, and the greater sag counts: bending alone {writeFine(sag.bending.greatest.mm, precision.unit, 3)},
          with shear by itself {writeFine(sag.withShear().greatest.mm, precision.unit, 3)}. Wood of one kind varies by some 20 %.
        </p>
      </details>
    </>
  );
}

function LoadList({ c }: { c: CarriedMember }) {
  const { solution } = useBench();
  const precision = usePrecision();
  const name = (id: string) => {
    const member = solution.shape.members.find((m) => m.id === id);
    return member ? `${member.role} ${solution.letters[id] ?? ''}` : id;
  };
  return (
    <Table style={{ marginTop: 8 }}>
      <caption className="visually-hidden">What it carries</caption>
      <tbody>
        <tr>
          <td>its own weight</td>
          <td className="figure">{writeMass(c.selfKg, precision.unit)}</td>
        </tr>
        {c.standing.map((s) => (
          <tr key={s.space}>
            <td>stands on it: {solution.shape.spaces.get(s.space)?.label}</td>
            <td className="figure">{writeMass(s.kg, precision.unit)}</td>
          </tr>
        ))}
        {c.handed.map((h, i) => (
          <tr key={i}>
            <td>handed down by {name(h.from)}</td>
            <td className="figure">{writeForce(h.newtons, precision.unit)}</td>
          </tr>
        ))}
        <tr>
          <td>
            <strong>in all</strong>
          </td>
          <td className="figure">
            <strong>{writeForce(c.total, precision.unit)}</strong>
          </td>
        </tr>
      </tbody>
    </Table>
  );
}

const HOW = { bearing: 'stands on', housed: 'is housed in', pins: 'lies on pins in', screws: 'hangs on screws alone in' } as const;

function FloorPath({ c }: { c: CarriedMember }) {
  const { solution, select } = useBench();
  const precision = usePrecision();
  const steps = pathToFloor(solution.carried, c.member.id);
  const name = (id: string) =>
    id === 'floor' ? 'the floor' : `${solution.shape.members.find((m) => m.id === id)?.role ?? id} ${solution.letters[id] ?? ''}`.trim();
  return (
    <details style={{ marginTop: 8, fontSize: 13 }}>
      <summary>The way to the floor</summary>
      <ol>
        {steps.map((s, i) => (
          <li key={i} style={{ padding: '2px 0' }}>
            <Button data-quiet onPress={() => select(s.from)} style={{ padding: 0, minHeight: 0 }}>
              {name(s.from)}
            </Button>{' '}
            {HOW[s.how]} {name(s.to)}: {writeForce(s.newtons, precision.unit)}
          </li>
        ))}
      </ol>
    </details>
  );
}

function Remedies({ c }: { c: CarriedMember }) {
  const { settled, workshop, commit, setDraft, draft } = useBench();
  const precision = usePrecision();
  const [open, setOpen] = useState<number | null>(null);
  const remedies = useMemo(() => remediesFor(settled, workshop, settled.letters, c.member.id), [settled, workshop, c.member.id]);
  const state = settled.carried.members.get(c.member.id)?.state;
  if (state !== 'fails' && state !== 'close') return null;
  const look = (i: number, edit: PieceEdit) => {
    setOpen(i);
    setDraft({ kind: 'edit', edit, look: true });
  };
  return (
    <section aria-label="Ways to stiffen it" style={{ marginTop: 14 }}>
      <h2>Ways to stiffen it</h2>
      <Faint>Each was tried: these pass, the least change first.</Faint>
      {remedies.length === 0 ? <p>None of the changes that were tried is enough. Lighten the load, or narrow the bay.</p> : null}
      <ul>
        {remedies.map((r, i) => {
          const label = writeSentence(r.label, precision);
          const shown = open === i && draft?.look === true;
          return (
            <li key={label} style={{ padding: '6px 0', borderBottom: `1px solid ${line}` }}>
              {shown ? (
                <>
                  <strong>{label}</strong>
                  <MovedList moved={r.moved} most={4} />
                  <Row style={{ marginTop: 4 }}>
                    <Button data-main autoFocus onPress={() => commit(r.edit, label.slice(0, 150))}>
                      Do it
                    </Button>
                    <Button onPress={() => setDraft(null)}>Leave it</Button>
                  </Row>
                </>
              ) : (
                <Button onPress={() => look(i, r.edit)} style={{ textAlign: 'left' }}>
                  {label}
                </Button>
              )}
              <div>
                <Faint>
                  {r.today === null
                    ? 'then nothing bends'
                    : `then ${writeFine(r.today, precision.unit)} today${r.later === null ? '' : `, ${writeFine(r.later, precision.unit)} later`}`}
                  {`, ${r.addedKg >= 0 ? '+' : '−'}${writeMass(Math.abs(r.addedKg), precision.unit)}`}
                  {r.newlyFailing.length > 0 ? `; then ${r.newlyFailing.map((id) => settled.letters[id] ?? id).join(', ')} fails` : ''}
                </Faint>
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** The right side of Carry: the three answers, the load, its way down, and remedies for the selected member. */
export function CarryAnswers() {
  const { solution, selection } = useBench();
  const loaded = useLoaded();
  const c = solution.carried.members.get(selection) ?? loaded[0];
  if (!c) return <Faint>Nothing to carry yet.</Faint>;
  const letter = solution.letters[c.member.id] ?? '';
  return (
    <section aria-label={`${c.member.role} ${letter}`}>
      <h1>
        {c.member.role.charAt(0).toUpperCase() + c.member.role.slice(1)} {letter}
      </h1>
      <Faint>{c.member.label}</Faint>
      {c.missing ? (
        <Row style={{ marginTop: 6 }}>
          <StateMark state="not judged" /> <span>Not judged: {c.missing}.</span>
        </Row>
      ) : null}
      {c.throughout ? <p>Carried along its whole length, so that nothing bends.</p> : null}
      <Verdict c={c} />
      <LoadList c={c} />
      <FloorPath c={c} />
      <Remedies c={c} />
    </section>
  );
}

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
