import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { Plus } from 'lucide-react';
import { inch, mm } from '../../core/length/index.js';
import type { Length } from '../../core/length/index.js';
import { BODY_MEANT, measureOf, type Measured, type Person } from '../../core/project/index.js';
import { newId } from '../data/defaults.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { Header } from '../shared/header.js';
import { LengthField } from '../shared/length-field.js';
import { TakeOut } from '../shared/take-out.js';
import { Button, Faint, Fault, Grid, Page, Panel, Row, TextInput } from '../shared/ui.js';

function PersonRow({ id, person }: { id: string; person: Person }) {
  const { saver } = useProject();
  const precision = usePrecision();
  const [name, setName] = useState(person.name);
  const save = (next: Person, label: string) => saver.save('people', id, next, label.slice(0, 150), person);
  const taken = (key: Measured, next: Length | null): Person => {
    const { [key]: gone, ...rest } = person;
    void gone;
    return next === null ? rest : { ...rest, [key]: next };
  };
  return (
    <Panel $below={8} role="group" aria-label={person.name}>
      <Grid $columns={4}>
        <TextField
          aria-label="Name"
          value={name}
          onChange={setName}
          onBlur={() => name.trim() && name.trim() !== person.name && save({ ...person, name: name.trim() }, `Renamed ${person.name}`)}
        >
          <TextInput maxLength={80} />
        </TextField>
        <LengthField
          label="Height"
          value={person.height}
          {...BODY_MEANT}
          precision={precision}
          onCommit={(height) => height !== null && save({ ...person, height }, `Height of ${person.name}`)}
        />
        {MEASURES.map(([key, label]) => (
          <LengthField
            key={key}
            label={label}
            optional
            standsIn={measureOf(person, key)}
            value={person[key] ?? null}
            {...BODY_MEANT}
            precision={precision}
            onCommit={(next) => save(taken(key, next), `${label} of ${person.name}`)}
          />
        ))}
        <TakeOut name={person.name} onPress={() => void saver.remove('people', id)} />
      </Grid>
    </Panel>
  );
}

const MEASURES: readonly (readonly [Measured, string])[] = [
  ['reach', 'Reaches up to'],
  ['elbow', 'Elbow, standing'],
  ['hollow', 'Hollow of the knee'],
  ['lap', 'Lap, sitting'],
  ['lapWide', 'Across the lap'],
  ['sitting', 'Seat to crown'],
];

const PEOPLE = ['people'];

/** The people that pieces are drawn beside. */
export function People() {
  const { bench, saver } = useProject();
  const precision = usePrecision();
  const [problem, setProblem] = useState<string | null>(null);
  const { people } = bench.records;
  const history = useHistory(PEOPLE);
  const add = () =>
    saver
      .create(
        'people',
        newId(
          'person',
          people.map((p) => p.id),
        ),
        { name: 'Someone', height: precision.unit === 'mm' ? mm(1700) : inch(67) },
        'Added a person',
      )
      .catch((e: Error) => setProblem(e.message));
  return (
    <>
      <Header history={history} />
      <Page>
        <h1>People</h1>
        <Faint>Pieces are drawn beside who uses them, to scale. What is not measured follows from the height.</Faint>
        {problem ? <Fault role="alert">{problem}</Fault> : null}
        <Row $above={12} $below={12}>
          <Button data-main onPress={() => void add()}>
            <Plus aria-hidden /> A person
          </Button>
        </Row>
        {people.map((p) => (
          <PersonRow key={p.id} id={p.id} person={p.data} />
        ))}
      </Page>
    </>
  );
}
