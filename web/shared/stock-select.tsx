import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { MATERIALS, type Stock } from '../../core/stock/index.js';
import { newId, newStock } from '../data/defaults.js';
import { usePrecision, useProject } from '../data/project.js';
import { LengthField } from './length-field.js';
import { Button, FieldLabel, Grid, Panel, Row, Select, TextInput, Wide } from './ui.js';

/** Stands for a stock that is not in the stockroom yet. */
const ANOTHER = 'another stock';
/** Stands for none of them: no id is so. */
const NONE = 'no stock';

/** A stock that is put into the stockroom where it is wanted: what it is, and as thick as it was measured. */
function NewStock({ onSave, onCancel }: { onSave: (stock: Stock) => void; onCancel: () => void }) {
  const precision = usePrecision();
  const [stock, setStock] = useState(() => newStock(precision.unit));
  const size = (key: 'length' | 'width', label: string) => (
    <LengthField
      label={label}
      value={stock[key]}
      precision={precision}
      onCommit={(value) => value !== null && setStock((now) => ({ ...now, [key]: value }))}
    />
  );
  return (
    <Panel role="group" aria-label="A stock to add" $across $pad={10}>
      <Grid>
        <Wide>
          <TextField value={stock.name} onChange={(name) => setStock((now) => ({ ...now, name }))} autoFocus>
            <FieldLabel>Sold as</FieldLabel>
            <TextInput maxLength={80} onFocus={(e) => e.target.select()} />
          </TextField>
        </Wide>
        <Wide>
          <Select
            label="It is"
            value={stock.material}
            choices={MATERIALS.map((m) => ({ id: m.id, label: m.name }))}
            onChange={(material) =>
              setStock((now) => ({
                ...now,
                material,
                form: MATERIALS.find((m) => m.id === material)?.form === 'sheet' ? 'sheet' : 'board',
              }))
            }
          />
        </Wide>
        <LengthField
          label="Measured thickness"
          value={stock.thickness}
          precision={precision}
          onCommit={(thickness) => thickness !== null && setStock((now) => ({ ...now, thickness, nominal: thickness }))}
        />
        {size('length', 'Long')}
        {size('width', 'Wide')}
      </Grid>
      <Row $above={8}>
        <Button data-main isDisabled={stock.name.trim() === ''} onPress={() => onSave({ ...stock, name: stock.name.trim() })}>
          Save
        </Button>
        <Button onPress={onCancel}>Cancel</Button>
      </Row>
    </Panel>
  );
}

interface StockSelectProps<None extends string | undefined> {
  readonly label: string;
  readonly value: None extends string ? string | null : string;
  /** What it is called that none is chosen, where that may be. */
  readonly none?: None;
  readonly onChange: (id: None extends string ? string | null : string) => void;
}

/** Chooses a stock out of the stockroom, or puts another one there. */
export function StockSelect<None extends string | undefined = undefined>({ label, value, none, onChange }: StockSelectProps<None>) {
  const { bench, saver } = useProject();
  const [adding, setAdding] = useState(false);
  const { stock } = bench.records;
  const add = (fresh: Stock) => {
    const id = newId(
      fresh.name,
      stock.map((s) => s.id),
    );
    setAdding(false);
    void saver
      .create('stock', id, fresh, `Added ${fresh.name}`.slice(0, 150))
      .then(() => onChange(id))
      .catch((error: Error) => saver.say({ tone: 'refused', text: error.message }));
  };
  return (
    <>
      <Select
        label={label}
        value={value ?? NONE}
        choices={[
          ...(none === undefined ? [] : [{ id: NONE, label: none }]),
          ...stock.map((s) => ({ id: s.id, label: s.data.name })),
          { id: ANOTHER, label: 'Another stock…' },
        ]}
        onChange={(id) => (id === ANOTHER ? setAdding(true) : onChange((id === NONE ? null : id) as string))}
      />
      {adding ? <NewStock onSave={add} onCancel={() => setAdding(false)} /> : null}
    </>
  );
}
