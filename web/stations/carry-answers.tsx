import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { NAMED_LIMITS, limitName, pathToFloor, type CarriedMember } from '../../core/carry/index.js';
import { writeFine, writeForce, writeMass, writeSentence } from '../../core/figure/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import { remediesFor } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import { MovedList } from '../bench/moved.js';
import { StateMark } from '../shared/state-mark.js';
import { Button, Faint, Row, Table } from '../shared/ui.js';
import { line } from '../theme/tokens.js';
import { STATE_WORD, useLoaded } from './carry.js';

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

const HOW = {
  bearing: 'stands on',
  housed: 'is housed in',
  pins: 'lies on pins in',
  screws: 'hangs on screws alone in',
  slide: 'runs on slides on',
  glued: 'is glued along',
  'screwed along': 'is screwed along',
} as const;

function FloorPath({ c }: { c: CarriedMember }) {
  const { solution, select } = useBench();
  const precision = usePrecision();
  const steps = pathToFloor(solution.carried, c.member.id);
  const name = (id: string) =>
    id === 'floor'
      ? 'the floor'
      : id === 'place'
        ? 'what is there already'
        : `${solution.shape.members.find((m) => m.id === id)?.role ?? id} ${solution.letters[id] ?? ''}`.trim();
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
