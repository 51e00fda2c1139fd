import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Controller, useForm, type Control } from 'react-hook-form';
import { Input, NumberField, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Plus, Trash2 } from 'lucide-react';
import { ZERO, type Length } from '../../core/length/index.js';
import { needOfThings, type Thing } from '../../core/things/index.js';
import { newId, newThing } from '../data/defaults.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { Header } from '../shared/header.js';
import { LengthField } from '../shared/length-field.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Fault, FieldLabel, Grid, Page, Panel, Row, Scroll, Select, Table, TextInput, fieldBox } from '../shared/ui.js';

const Entry = styled(NumberField)`
  input {
    ${fieldBox}
  }
`;

/** A thing as it stands in its form: both shapes' sizes side by side. */
interface Form {
  name: string;
  kind: 'box' | 'cylinder';
  width: Length;
  height: Length;
  depth: Length;
  mass: number;
  count: number;
  clearance: Length;
  wayUp: Thing['wayUp'];
  stack: number;
}

function formOf(thing: Thing): Form {
  const { shape } = thing;
  const [width, depth] = shape.kind === 'box' ? [shape.width, shape.depth] : [shape.diameter, shape.diameter];
  return {
    name: thing.name,
    kind: shape.kind,
    width,
    height: shape.height,
    depth,
    mass: thing.mass ?? NaN,
    count: thing.count,
    clearance: thing.clearance,
    wayUp: thing.wayUp,
    stack: thing.stack,
  };
}

function thingOf(form: Form): Thing {
  const shape: Thing['shape'] =
    form.kind === 'box'
      ? { kind: 'box', width: form.width, height: form.height, depth: form.depth }
      : { kind: 'cylinder', diameter: form.width, height: form.height };
  const { name, count, clearance, wayUp, stack, mass } = form;
  return { name: name.trim(), shape, count, clearance, wayUp, stack, ...(Number.isFinite(mass) ? { mass } : {}) };
}

function LengthEntry({
  control,
  name,
  label,
  least,
}: {
  control: Control<Form>;
  name: 'width' | 'height' | 'depth' | 'clearance';
  label: string;
  least?: Length;
}) {
  const precision = usePrecision();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <LengthField
          label={label}
          value={field.value}
          precision={precision}
          {...(least === undefined ? {} : { least })}
          onCommit={(value) => value !== null && field.onChange(value)}
        />
      )}
    />
  );
}

function NumberEntry({
  control,
  name,
  label,
  least,
  most,
  whole,
}: {
  control: Control<Form>;
  name: 'mass' | 'count' | 'stack';
  label: string;
  least: number;
  most: number;
  whole?: boolean;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Entry
          value={field.value}
          onChange={field.onChange}
          minValue={least}
          maxValue={most}
          step={whole ? 1 : 0.001}
          formatOptions={{ maximumFractionDigits: 3, useGrouping: false }}
        >
          <FieldLabel>{label}</FieldLabel>
          <Input onBlur={field.onBlur} />
        </Entry>
      )}
    />
  );
}

/** The form of a thing, new or known. */
function ThingForm({ thing, onSave, onCancel }: { thing: Thing; onSave: (thing: Thing) => void; onCancel: () => void }) {
  const { control, handleSubmit, watch, formState } = useForm<Form>({ defaultValues: formOf(thing) });
  const kind = watch('kind');
  return (
    <Panel
      as="form"
      onSubmit={(e: React.FormEvent) => void handleSubmit((form) => onSave(thingOf(form)))(e)}
      aria-label={`Sizes of ${thing.name}`}
      style={{ margin: '10px 0' }}
    >
      <Grid $columns={4}>
        <Controller
          control={control}
          name="name"
          rules={{ validate: (v) => v.trim() !== '' || 'Give it a name' }}
          render={({ field, fieldState }) => (
            <TextField value={field.value} onChange={field.onChange} isInvalid={fieldState.invalid} autoFocus>
              <FieldLabel>What it is</FieldLabel>
              <TextInput maxLength={80} onFocus={(e) => e.target.select()} />
              {fieldState.error ? <Fault role="alert">{fieldState.error.message}</Fault> : null}
            </TextField>
          )}
        />
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <Select
              label="Shape"
              value={field.value}
              choices={[
                { id: 'box', label: 'A box' },
                { id: 'cylinder', label: 'A cylinder' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
        <NumberEntry control={control} name="count" label="How many" least={1} most={10_000} whole />
        <NumberEntry control={control} name="mass" label="Mass of one, kg" least={0} most={5000} />
        <LengthEntry control={control} name="width" label={kind === 'box' ? 'Wide' : 'Diameter'} />
        <LengthEntry control={control} name="height" label="High" />
        {kind === 'box' ? <LengthEntry control={control} name="depth" label="Deep" /> : null}
        <LengthEntry control={control} name="clearance" label="Free above, for a hand" least={ZERO} />
        <Controller
          control={control}
          name="wayUp"
          render={({ field }) => (
            <Select
              label="Which way up"
              value={field.value}
              choices={[
                { id: 'upright', label: 'Upright' },
                { id: 'lying', label: 'Lying' },
                { id: 'any', label: 'Any way' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
        <NumberEntry control={control} name="stack" label="Stacked at most" least={1} most={100} whole />
      </Grid>
      <Row style={{ marginTop: 10 }}>
        <Button type="submit" data-main>
          Keep it
        </Button>
        <Button onPress={onCancel}>Leave it</Button>
        {formState.isSubmitted && !formState.isValid ? <Fault>Something is missing above.</Fault> : null}
      </Row>
    </Panel>
  );
}

/** The things a project's pieces must hold. */
export function Things() {
  const { id, bench, saver } = useProject();
  const precision = usePrecision();
  const [params] = useSearchParams();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { things } = bench.records;
  const scope = useMemo(() => things.map((t) => `things/${t.id}`), [things]);
  const history = useHistory(scope);
  const target = params.get('for');
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
        <Row style={{ margin: '12px 0' }}>
          <Button data-main onPress={() => setOpen('new')}>
            <Plus aria-hidden /> A thing
          </Button>
          {target ? <Link to={`/p/${id}/pieces/${target}/divide`}>To the case, to put them into spaces</Link> : null}
        </Row>
        {open === 'new' ? <ThingForm thing={newThing(precision.unit)} onSave={add} onCancel={() => setOpen(null)} /> : null}
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
                      <td className="figure">{t.data.mass === undefined ? 'not known' : `${t.data.mass} kg`}</td>
                      <td className="figure">
                        <LengthText value={t.data.clearance} precision={precision} />
                      </td>
                      <td>
                        <Button
                          data-quiet
                          aria-label={`Take ${t.data.name} out`}
                          onPress={() => void saver.remove('things', t.id).catch((e: Error) => setProblem(e.message))}
                        >
                          <Trash2 aria-hidden />
                        </Button>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </Table>
          </Scroll>
        ) : null}
        {open && open !== 'new' ? (
          <ThingForm
            key={open}
            thing={things.find((t) => t.id === open)?.data ?? newThing(precision.unit)}
            onSave={(thing) => {
              saver.save('things', open, thing, `Changed ${thing.name}`.slice(0, 150));
              setOpen(null);
            }}
            onCancel={() => setOpen(null)}
          />
        ) : null}
        {things.length > 0 ? (
          <p style={{ marginTop: 12 }}>
            Side by side on one shelf as deep as the deepest of them, they would take{' '}
            <LengthText value={need.width} precision={precision} unit />, and the tallest asks for{' '}
            <LengthText value={need.height} precision={precision} unit /> clear.
          </p>
        ) : null}
      </Page>
    </>
  );
}
