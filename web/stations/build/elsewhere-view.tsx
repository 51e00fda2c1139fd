import { useDeferredValue, useMemo, useState } from 'react';
import { TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { againstList, standsThere } from '../../../core/elsewhere/index.js';
import { writeSentence } from '../../../core/figure/index.js';
import { readCutList } from '../../../core/formats/cut-list-in.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, FieldLabel, Row, WordButton, fieldBox } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';
import { UnderstoodList } from '../../shared/understood.js';

const Typed = styled(TextField)`
  margin-top: 10px;
`;

const Pasted = styled(TextArea)`
  ${fieldBox}
  width: 100%;
  min-height: 170px;
  resize: vertical;
  font-variant-numeric: tabular-nums;
`;

const Found = styled.ul`
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
  max-width: 80ch;
  li {
    padding: 6px 0;
  }
`;

const EXAMPLE = 'Side, 2, 2091, 320, 18';

/** Whether a piece of the plan's sizes does where it is to stand, and for whoever uses it. */
function OnceThere() {
  const { settled } = useSettledBench();
  const precision = usePrecision();
  const { checks, missing } = standsThere(settled);
  const unsaid = { place: 'which place it is for', person: 'who uses it' } as const;
  return (
    <section aria-label="Once it stands there">
      <Laid.h3 $above={18}>Once it stands there</Laid.h3>
      <Found>
        {checks.map((c) => (
          <li key={c.id}>
            <Row $align="flex-start" $wrap={false}>
              <StateMark state={c.state} />
              <span>{writeSentence(c.sentence, precision)}</span>
            </Row>
          </li>
        ))}
      </Found>
      {missing.length > 0 ? (
        <Faint>Not held against everything: say at Measure {missing.map((m) => unsaid[m]).join(' and ')}.</Faint>
      ) : null}
    </section>
  );
}

/** A cut list that was found or bought, held against this piece: what does not add up, and what it would do. */
export function ElsewhereView() {
  const { settled, select } = useSettledBench();
  const precision = usePrecision();
  const [text, setText] = useState('');
  const later = useDeferredValue(text);
  const read = useMemo(() => readCutList(later, precision.unit), [later, precision.unit]);
  const told = useMemo(() => (read.rows.length > 0 ? againstList(read.rows, settled) : []), [read, settled]);
  const load = async (files: FileList | null) => {
    const file = files?.[0];
    if (file) setText(await file.text());
  };
  return (
    <>
      <h2>A plan from elsewhere</h2>
      <Faint>
        Give this piece the overall sizes of a plan that you found or bought, and paste its cut list: name, count, length, width, thickness,
        a line each. What does not add up is told before it is sawn.
      </Faint>
      <Typed value={text} onChange={setText}>
        <FieldLabel>Cut list, in {precision.unit} where it says nothing else</FieldLabel>
        <Pasted placeholder={EXAMPLE} />
      </Typed>
      <Row data-screen-only $above={6}>
        <label>
          <Faint>or a CSV file: </Faint>
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            aria-label="Cut list as a file"
            onChange={(e) => void load(e.target.files)}
          />
        </label>
      </Row>
      <UnderstoodList understood={read.understood} faults={read.faults} />
      {read.rows.length > 0 ? (
        <section aria-label="What does not add up">
          <Laid.h3 $above={14}>
            {told.length === 0
              ? `All ${read.rows.length} lines add up with this piece.`
              : `${told.length} ${told.length === 1 ? 'thing does' : 'things do'} not add up`}
          </Laid.h3>
          <Found>
            {told.map((d, i) => (
              <li key={i}>
                <Row $align="flex-start" $wrap={false}>
                  <StateMark state="fails" />
                  <span>
                    {writeSentence(d.sentence, precision)}{' '}
                    {d.parts[0] ? (
                      <WordButton type="button" onClick={() => select(d.parts[0] as string)}>
                        Pick it
                      </WordButton>
                    ) : null}
                  </span>
                </Row>
              </li>
            ))}
          </Found>
        </section>
      ) : null}
      <OnceThere />
    </>
  );
}
