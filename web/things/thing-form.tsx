import styled from 'styled-components';
import { Controller, useForm, useWatch, type Control } from 'react-hook-form';
import { TextField } from 'react-aria-components';
import { ZERO, type Length } from '../../core/length/index.js';
import { FILLS, massOfFill, type Thing } from '../../core/things/index.js';
import { usePrecision } from '../data/project.js';
import { fieldOf } from '../shared/leads.js';
import { LengthField } from '../shared/length-field.js';
import { asKg } from '../../core/measures/index.js';
import { MassField } from '../shared/mass-field.js';
import { Button, Fault, FieldLabel, Grid, NumberInput, Panel, Row, Select, TextInput, Tick } from '../shared/ui.js';

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
  often: boolean;
  facesOut: boolean;
  oneRow: boolean;
  together: string;
  mayStandOut: Length;
  onFeet: boolean;
  feetAside: Length;
  feetDeep: Length;
}

export function formOf(thing: Thing): Form {
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
    often: thing.often ?? false,
    facesOut: thing.facesOut ?? false,
    oneRow: thing.oneRow ?? false,
    together: thing.together ?? '',
    mayStandOut: thing.mayStandOut ?? ZERO,
    onFeet: thing.feet !== undefined,
    feetAside: thing.feet?.aside ?? ZERO,
    feetDeep: thing.feet?.deep ?? ZERO,
  };
}

function thingOf(form: Form): Thing {
  const shape: Thing['shape'] =
    form.kind === 'box'
      ? { kind: 'box', width: form.width, height: form.height, depth: form.depth }
      : { kind: 'cylinder', diameter: form.width, height: form.height };
  const { name, count, clearance, wayUp, stack, mass, often, facesOut, oneRow, together, mayStandOut, onFeet, feetAside, feetDeep } = form;
  return {
    name: name.trim(),
    shape,
    count,
    clearance,
    wayUp,
    stack,
    ...(Number.isFinite(mass) ? { mass: asKg(mass) } : {}),
    ...(often ? { often } : {}),
    ...(facesOut ? { facesOut } : {}),
    ...(oneRow ? { oneRow } : {}),
    ...(together.trim() ? { together: together.trim().slice(0, 80) } : {}),
    ...(mayStandOut > ZERO ? { mayStandOut } : {}),
    ...(onFeet ? { feet: { aside: feetAside, deep: feetDeep } } : {}),
  };
}

function LengthEntry({
  control,
  name,
  label,
  least,
}: {
  control: Control<Form>;
  name: 'width' | 'height' | 'depth' | 'clearance' | 'mayStandOut' | 'feetAside' | 'feetDeep';
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
  name: 'count' | 'stack';
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
        <NumberInput
          label={label}
          value={field.value}
          onChange={field.onChange}
          minValue={least}
          maxValue={most}
          step={whole ? 1 : 0.001}
          formatOptions={{ maximumFractionDigits: 3, useGrouping: false }}
          onBlur={field.onBlur}
        />
      )}
    />
  );
}

const TICKS = [
  ['often', 'Used often'],
  ['facesOut', 'Its front faces out'],
  ['onFeet', 'It stands on four feet'],
  ['oneRow', 'One row only, none behind'],
] as const;

/** The form of a thing, new or known. */
/** Marks what is in it, and takes no place of its own. */
const Unboxed = styled.div`
  display: contents;
`;

export function ThingForm({
  id,
  thing,
  onSave,
  onCancel,
}: {
  id?: string;
  thing: Thing;
  onSave: (thing: Thing) => void;
  onCancel: () => void;
}) {
  const { control, handleSubmit, formState, getValues, setValue } = useForm<Form>({ defaultValues: formOf(thing) });
  const kind = useWatch({ control, name: 'kind' });
  const onFeet = useWatch({ control, name: 'onFeet' });
  return (
    <Panel
      as="form"
      onSubmit={(e: React.FormEvent) => void handleSubmit((form) => onSave(thingOf(form)))(e)}
      aria-label={`Sizes of ${thing.name}`}
      $above={10}
      $below={10}
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
        <NumberEntry control={control} name="count" label="Qty" least={1} most={10_000} whole />
        <Controller
          control={control}
          name="mass"
          render={({ field }) => (
            <MassField label="Mass of one" value={field.value} most={5000} onChange={field.onChange} onBlur={field.onBlur} />
          )}
        />
        <Select
          label="Or full of"
          value="own"
          choices={[{ id: 'own', label: 'work the mass out' }, ...FILLS.map((f) => ({ id: f.id, label: f.label }))]}
          onChange={(id) => {
            const fill = FILLS.find((f) => f.id === id);
            if (fill) setValue('mass', Number(massOfFill(thingOf(getValues()).shape, fill).toPrecision(3)), { shouldDirty: true });
          }}
        />
        <Unboxed {...fieldOf(id === undefined ? undefined : { in: 'thing', id, field: 'shape' })}>
          <LengthEntry control={control} name="width" label={kind === 'box' ? 'Wide' : 'Diameter'} />
        </Unboxed>
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
        <LengthEntry control={control} name="mayStandOut" label="May stand out in front" least={ZERO} />
        <Controller
          control={control}
          name="together"
          render={({ field }) => (
            <TextField value={field.value} onChange={field.onChange}>
              <FieldLabel>Together with all called</FieldLabel>
              <TextInput maxLength={80} />
            </TextField>
          )}
        />
        {onFeet ? (
          <>
            <LengthEntry control={control} name="feetAside" label="Feet in from its sides" least={ZERO} />
            <LengthEntry control={control} name="feetDeep" label="Feet in from front and rear" least={ZERO} />
          </>
        ) : null}
        {TICKS.map(([key, label]) => (
          <Controller
            key={key}
            control={control}
            name={key}
            render={({ field }) => (
              <Tick isSelected={field.value} onChange={field.onChange}>
                {label}
              </Tick>
            )}
          />
        ))}
      </Grid>
      <Row $above={10}>
        <Button type="submit" data-main>
          Save
        </Button>
        <Button onPress={onCancel}>Cancel</Button>
        {formState.isSubmitted && !formState.isValid ? <Fault>Something is missing above.</Fault> : null}
      </Row>
    </Panel>
  );
}
