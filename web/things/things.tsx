import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Plus } from 'lucide-react';
import type { Length } from '../../core/length/index.js';
import { needOfThings, type Thing } from '../../core/things/index.js';
import { newId, newThing } from '../data/defaults.js';
import { useHistory } from '../data/history.js';
import { writeMass } from '../../core/figure/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { TakeOut } from '../shared/take-out.js';
import { Header } from '../shared/header.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Fault, Page, Row, Scroll, Table } from '../shared/ui.js';
import { ListEntry } from './list-entry.js';
import { ThingForm, formOf } from './thing-form.js';
import { Laid } from '../shared/laid.js';
import { asKg } from '../../core/measures/index.js';

const THINGS = ['things'];

/** The things a project's pieces must hold. */
export function Things() {
  const { id, bench, saver } = useProject();
  const precision = usePrecision();
  const [params] = useSearchParams();
  const { things } = bench.records;
  const target = params.get('for');
  // Who comes from a piece that things should decide begins with the list.
  const [open, setOpen] = useState<string | null>(() => (target && things.length === 0 ? 'list' : params.get('open')));
  const [problem, setProblem] = useState<string | null>(null);
  const history = useHistory(THINGS);
  const chosen = things.find((t) => t.id === open)?.data;
  const add = (thing: Thing) => {
    setOpen(null);
    saver
      .create(
        'things',
        newId(
          thing.name,
          things.map((t) => t.id),
        ),
        thing,
        `Added ${thing.name}`.slice(0, 150),
      )
      .catch((e: Error) => setProblem(e.message));
  };
  const need = needOfThings(
    things.map((t) => ({ id: t.id, thing: t.data, count: t.data.count })),
    Math.max(1, ...things.map((t) => formOf(t.data).depth)) as Length,
  );
  return (
    <>
      <Header history={history} />
      <Page>
        <h1>Things</h1>
        <Faint>What the pieces must hold: size, count, mass, and what must stay clear.</Faint>
        {problem ? <Fault role="alert">{problem}</Fault> : null}
        <Row $above={12} $below={12}>
          <Button data-main onPress={() => setOpen('new')}>
            <Plus aria-hidden /> A thing
          </Button>
          <Button onPress={() => setOpen('list')}>
            <Plus aria-hidden /> A list
          </Button>
          {target ? <Link to={`/p/${id}/pieces/${target}/divide`}>Next: shelves for them</Link> : null}
        </Row>
        {open === 'new' ? <ThingForm thing={newThing(precision.unit)} onSave={add} onCancel={() => setOpen(null)} /> : null}
        {open === 'list' ? <ListEntry onDone={() => setOpen(null)} /> : null}
        {things.length === 0 ? <p>Nothing listed yet.</p> : null}
        {things.length > 0 ? (
          <Scroll>
            <Table>
              <thead>
                <tr>
                  <th>Thing</th>
                  <th className="figure">Wide</th>
                  <th className="figure">High</th>
                  <th className="figure">Deep</th>
                  <th className="figure">Count</th>
                  <th className="figure">Mass of one</th>
                  <th className="figure">Free above</th>
                  <th>
                    <span className="visually-hidden">Take out</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {things.map((t) => {
                  const f = formOf(t.data);
                  return (
                    <tr key={t.id} aria-selected={open === t.id}>
                      <td>
                        <Button data-quiet onPress={() => setOpen(t.id)} aria-label={`Change ${t.data.name}`}>
                          {t.data.name}
                        </Button>
                        <Faint> {f.kind === 'cylinder' ? 'cylinder' : ''}</Faint>
                      </td>
                      {[f.width, f.height, f.depth].map((l, i) => (
                        <td key={i} className="figure">
                          <LengthText value={l} precision={precision} />
                        </td>
                      ))}
                      <td className="figure">{t.data.count}</td>
                      <td className="figure">{t.data.mass === undefined ? 'not known' : writeMass(asKg(t.data.mass), precision.unit)}</td>
                      <td className="figure">
                        <LengthText value={t.data.clearance} precision={precision} />
                      </td>
                      <td>
                        <TakeOut name={t.data.name} onPress={() => void saver.remove('things', t.id)} />
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </Table>
          </Scroll>
        ) : null}
        {open && chosen ? (
          <ThingForm
            key={open}
            id={open}
            thing={chosen}
            onSave={(thing) => {
              saver.save('things', open, thing, `Changed ${thing.name}`.slice(0, 150), chosen);
              setOpen(null);
            }}
            onCancel={() => setOpen(null)}
          />
        ) : null}
        {things.length > 0 ? (
          <Laid.p $above={12}>
            Side by side on one shelf as deep as the deepest of them, they would take{' '}
            <LengthText value={need.width} precision={precision} unit />, and the tallest asks for{' '}
            <LengthText value={need.height} precision={precision} unit /> clear.
          </Laid.p>
        ) : null}
      </Page>
    </>
  );
}
