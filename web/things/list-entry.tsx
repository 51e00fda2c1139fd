import { useState } from 'react';
import { TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { readThings } from '../../core/formats/things-csv.js';
import { SAMPLE_SETS, type Thing } from '../../core/things/index.js';
import { newId } from '../data/defaults.js';
import { usePrecision, useProject } from '../data/project.js';
import { Button, Faint, Fault, FieldLabel, Panel, Row, fieldBox } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';
import { UnderstoodList } from '../shared/understood.js';

const Lines = styled(TextArea)`
  ${fieldBox}
  width: 100%;
  min-height: 110px;
  font-family: inherit;
`;

/** A list of things: typed, pasted from a spreadsheet, a CSV file, or a set to start from. */
export function ListEntry({ onDone }: { onDone: () => void }) {
  const { bench, saver } = useProject();
  const { unit } = usePrecision();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { things, faults, understood } = readThings(text, unit);
  const add = async (list: readonly Thing[], label: string) => {
    const taken = bench.records.things.map((t) => t.id);
    try {
      for (const thing of list) {
        const id = newId(thing.name, taken);
        taken.push(id);
        await saver.create('things', id, thing, label);
      }
      onDone();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const load = async (file: File | undefined) => {
    if (file) setText(await file.text());
  };
  return (
    <Panel $above={10} $below={10} role="group" aria-label="A list of things">
      <TextField value={text} onChange={setText} autoFocus>
        <FieldLabel>One thing a line: name, width, height, depth, count, mass of one in {unit === 'mm' ? 'kg' : 'lb'}</FieldLabel>
        <Lines placeholder={unit === 'mm' ? 'Ink tin, 100, 88, 100, 24, 1.05' : 'Ink tin, 4, 3 1/2, 4, 24, 2.3'} />
      </TextField>
      <Faint>
        Lines copied out of a spreadsheet go in as they are. A line may name the columns, in any order and with their units; “diameter”
        makes round things.
      </Faint>
      <UnderstoodList understood={understood} faults={faults} />
      {problem ? <Fault role="alert">{problem}</Fault> : null}
      <Row $above={10}>
        <Button data-main isDisabled={things.length === 0} onPress={() => void add(things, 'Added a list of things')}>
          {things.length === 1 ? 'Add 1 thing' : `Add ${things.length} things`}
        </Button>
        <Laid.label $size={13}>
          A CSV file <Laid.input type="file" accept=".csv,.tsv,.txt,text/csv" onChange={(e) => void load(e.target.files?.[0])} $size={13} />
        </Laid.label>
        <Button onPress={onDone}>Cancel</Button>
      </Row>
      <Row $above={10} role="group" aria-label="Sets to start from">
        <Faint>Or start from:</Faint>
        {SAMPLE_SETS.map((set) => (
          <Button key={set.id} onPress={() => void add(set.things, `Added ${set.name.toLowerCase()}`)}>
            {set.name}
          </Button>
        ))}
      </Row>
    </Panel>
  );
}
