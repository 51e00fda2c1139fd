import { useState } from 'react';
import { againstPlan, otherHand, type AgainstPlan } from '../../../core/checks/index.js';
import { formatLength, fromUnits, type Length } from '../../../core/length/index.js';
import { couldBecome } from '../../../core/build/index.js';
import { lettersText, rowsOf, type Part } from '../../../core/parts/index.js';
import { PROGRAM, type MadePart } from '../../../core/survey/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { newId } from '../../data/defaults.js';
import { usePrecision, useProject } from '../../data/project.js';
import { WRONG, waysOut, type CameOut } from './came-out.js';
import { ReworkView } from './rework-view.js';
import { dayText } from '../../shared/clock.js';
import { LengthField } from '../../shared/length-field.js';
import { isUnlikely } from '../../shared/unlikely.js';
import { Button, Faint, Fault, Grid, Row, Select, Table } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';
import { Term } from '../../shared/term.js';

/** How a part compares with the plan, in a few words. */
function againstText(off: AgainstPlan, write: (l: Length) => string): string {
  const said = [
    ['long', 'short', off.length],
    ['wide', 'narrow', off.width],
  ] as const;
  const parts = said.flatMap(([over, under, by]) => (by === 0 ? [] : [`${write(fromUnits(Math.abs(by)))} too ${by > 0 ? over : under}`]));
  return off.is === 'as planned' ? 'as planned' : parts.join(', ');
}

type AsCut = Pick<MadePart, 'length' | 'width' | 'thickness' | 'wrong'>;

const plannedOf = (part: Part): Omit<AsCut, 'wrong'> => ({
  length: part.cut.length.set,
  width: part.cut.width.set,
  thickness: part.thickness.value,
});

/** Notes what became of parts; the last note of each counts, none is ever changed. @param asCut as measured, and how it came out; as planned where it is left out */
function useNote() {
  const { bench, saver } = useProject();
  const { pieceId } = useSettledBench();
  return (parts: readonly Part[], is: MadePart['is'], asCut?: AsCut) => {
    const taken = bench.made.map((m) => m.id);
    const at = new Date().toISOString();
    const facts = parts.map((part) => {
      const id = newId(`made ${part.letter}`, taken);
      taken.push(id);
      const planned = plannedOf(part);
      return { id, data: { piece: pieceId, part: part.id, is, ...(asCut ?? planned), planned, program: PROGRAM, at } };
    });
    void saver.make(facts);
  };
}

/** One part that is measured: its sizes as the tape found them, asked again where they cannot well be right. */
function Measured({ part, made }: { part: Part; made: MadePart | undefined }) {
  const precision = usePrecision();
  const { settled, workshop } = useSettledBench();
  const note = useNote();
  const planned = plannedOf(part);
  const start = made ? { length: made.length, width: made.width, thickness: made.thickness } : planned;
  const [sizes, setSizes] = useState(start);
  const [came, setCame] = useState<CameOut>(made?.wrong ?? 'as drawn');
  const ways = waysOut(part);
  const other = made?.wrong === 'reflection' ? otherHand(part, settled.parts) : undefined;
  const doubtful = (['length', 'width', 'thickness'] as const).filter((k) => isUnlikely(sizes[k], planned[k]));
  const write = (l: Length) => `${formatLength(l, precision)} ${precision.unit}`;
  const field = (key: keyof typeof planned, label: string) => (
    <LengthField
      label={label}
      value={sizes[key]}
      precision={precision}
      onCommit={(value) => value !== null && setSizes({ ...sizes, [key]: value })}
    />
  );
  const off = made ? againstPlan(part, made) : null;
  const uses = off?.is === 'too small' && made ? couldBecome(made, part, settled.parts, workshop.made) : [];
  return (
    <Laid.section aria-label={`Part ${part.letter} as it was cut`} $most={560}>
      <h3>
        {part.letter}: <Term>{part.member.role}</Term>
      </h3>
      <Faint>
        Planned {write(planned.length)} by {write(planned.width)}, {write(planned.thickness)} thick.
        {made
          ? ` Noted on ${dayText(made.at.slice(0, 10))}, when ${write(made.planned.length)} by ${write(made.planned.width)} was planned${made.program ? ` by version ${made.program}` : ''}.`
          : ''}
      </Faint>
      <Grid $columns={3} $above={8} $below={8}>
        {field('length', 'Length as cut')}
        {field('width', 'Width as cut')}
        {field('thickness', 'Thickness')}
        {ways.length > 1 ? <Select label="It came out" value={came} choices={ways} onChange={setCame} /> : null}
      </Grid>
      {doubtful.length > 0 ? (
        <Fault role="alert">
          {doubtful.map((k) => `The ${k} of ${write(sizes[k])} is far from the ${write(planned[k])} that was planned`).join('. ')}. Read the
          tape again; if it is so, note it.
        </Fault>
      ) : null}
      <Row>
        <Button onPress={() => note([part], 'cut', { ...sizes, ...(came === 'as drawn' ? {} : { wrong: came }) })}>
          {made ? 'Note it again' : 'It is cut'}
        </Button>
        {made ? (
          <>
            <Button onPress={() => note([part], 'spoiled', sizes)}>It is spoiled: cut another</Button>
            <Button onPress={() => note([part], 'planned')}>It was not cut after all</Button>
          </>
        ) : null}
      </Row>
      {made && other && !workshop.made?.has(other.id) ? (
        <Row $above={8}>
          <Button
            onPress={() => {
              note([other], 'cut', { length: made.length, width: made.width, thickness: made.thickness });
              note([part], 'planned');
            }}
          >
            Take it for {other.letter}
          </Button>
        </Row>
      ) : null}
      {off && off.is !== 'as planned' ? (
        <Laid.p $above={8}>
          It is {againstText(off, write)} for the plan as it is now.
          {off.is === 'too large' ? ' It can be cut down.' : ''}
        </Laid.p>
      ) : null}
      {off?.is === 'too small' ? (
        <p>
          {uses.length > 0
            ? `It can still become ${uses.map((u) => `${u.part.letter} (${u.part.member.role}, ${write(u.off.length)} off its length and ${write(u.off.width)} off its width)`).join(', or ')}.`
            : 'No part that is not cut yet comes out of it.'}
        </p>
      ) : null}
    </Laid.section>
  );
}

/** What is cut already, beside what is planned of it now. */
export function CutParts() {
  const { settled, workshop, pieceId, selection, select } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const note = useNote();
  const made = workshop.made ?? new Map<string, MadePart>();
  const rows = rowsOf(settled.parts);
  const picked = settled.parts.find((p) => p.id === selection);
  const write = (l: Length) => formatLength(l, precision);
  const notes = bench.made.filter((m) => m.data.piece === pieceId);
  return (
    <>
      <h2>Parts that are cut</h2>
      <Faint>
        {made.size} of {settled.parts.length} are cut. A part that is cut never changes: what is not cut follows, and what no longer fits is
        told by the checks. Pick one to enter what the tape says.
      </Faint>
      <Table aria-label="Parts that are cut" $above={10} $below={16}>
        <thead>
          <tr>
            <th>Part</th>
            <th className="figure">Planned</th>
            <th className="figure">As cut</th>
            <th>Against the plan</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((row) => {
            const open = row.parts.filter((p) => !made.has(p.id));
            const cut = row.parts.filter((p) => made.has(p.id));
            const plan = `${write(row.first.cut.length.set)} × ${write(row.first.cut.width.set)}`;
            return [
              ...cut.map((p) => {
                const fact = made.get(p.id) as MadePart;
                const off = againstPlan(p, fact);
                return (
                  <tr key={p.id}>
                    <td>
                      <strong>{p.letter}</strong> <Term>{p.member.role}</Term>
                    </td>
                    <td className="figure">{plan}</td>
                    <td className="figure">
                      {write(fact.length)} × {write(fact.width)}
                    </td>
                    <td>
                      {off.is === 'too small' || fact.wrong ? (
                        <Fault as="span">
                          {[
                            ...(off.is === 'as planned' && fact.wrong ? [] : [againstText(off, write)]),
                            ...(fact.wrong ? [WRONG[fact.wrong]] : []),
                          ].join(', ')}
                        </Fault>
                      ) : (
                        againstText(off, write)
                      )}
                    </td>
                    <td>
                      <Button data-quiet onPress={() => select(p.id)}>
                        Measure
                      </Button>
                    </td>
                  </tr>
                );
              }),
              ...(open.length > 0
                ? [
                    <tr key={`${row.first.id} open`}>
                      <td>
                        <strong>{lettersText(open.map((p) => p.letter))}</strong> <Term>{row.first.member.role}</Term>
                      </td>
                      <td className="figure">{plan}</td>
                      <td />
                      <td>
                        <Faint>not cut yet</Faint>
                      </td>
                      <td>
                        <Row $wrap={false}>
                          <Button data-quiet onPress={() => select((open[0] as Part).id)}>
                            Measure {open[0]?.letter}
                          </Button>
                          <Button data-quiet onPress={() => note(open, 'cut')}>
                            {open.length > 1 ? `All ${open.length} cut` : 'Cut'}
                          </Button>
                        </Row>
                      </td>
                    </tr>,
                  ]
                : []),
            ];
          })}
        </tbody>
      </Table>
      {picked ? <Measured key={`${picked.id} ${made.get(picked.id)?.at ?? ''}`} part={picked} made={made.get(picked.id)} /> : null}
      {made.size > 0 ? <ReworkView /> : null}
      {notes.length > 0 ? (
        <Faint as="p" $above={12}>
          {notes.length} {notes.length === 1 ? 'note is' : 'notes are'} kept; a later one stands over an earlier one, and undo leaves them
          all.
        </Faint>
      ) : null}
    </>
  );
}
