import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { Plus } from 'lucide-react';
import { writeStiffness } from '../../core/figure/index.js';
import { MATERIALS, THICKNESS_MEANT, propertiesOf, type Stock } from '../../core/stock/index.js';
import { reservedOf } from '../../core/layout/supply.js';
import { newId, newStock } from '../data/defaults.js';
import { stockroomOf } from '../data/yard.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { useRecordList } from '../data/record-list.js';
import { TakeOut } from '../shared/take-out.js';
import { Header } from '../shared/header.js';
import { BoardTest } from './board-test.js';
import { Offcuts } from './offcuts.js';
import { LengthField } from '../shared/length-field.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Fault, FieldLabel, Grid, NumberInput, Page, Panel, Row, Scroll, Select, Table, TextInput } from '../shared/ui.js';
import { StockList } from './stock-list.js';
import { HardwareList } from './hardware-list.js';
import { Slides } from './slides.js';
import { Laid } from '../shared/laid.js';

const MATERIAL_CHOICES = MATERIALS.map((m) => ({ id: m.id, label: m.name }));

/** What stiffness and density are typed in: one million psi is 6.894757 GPa, one lb/ft³ 16.018463 kg/m³. */
const MEASURES = {
  mm: ['GPa', 1, 'kg/m³', 1],
  in: ['million psi', 6.894757, 'lb/ft³', 16.018463],
} as const;

/** A number that may be left empty. */
function OptionalNumber({
  label,
  value,
  onChange,
  least,
  most,
  each = 1,
}: {
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  least: number;
  most: number;
  /** What one of what is typed is of what is kept. */
  each?: number;
}) {
  const shown = (kept: number) => Number((kept / each).toFixed(3));
  return (
    <NumberInput
      label={label}
      value={value === undefined ? NaN : shown(value)}
      onChange={(n) => onChange(Number.isFinite(n) ? n * each : undefined)}
      minValue={shown(least)}
      maxValue={shown(most)}
      formatOptions={{ maximumFractionDigits: 3, useGrouping: false }}
    />
  );
}

function without<K extends keyof Stock>(stock: Stock, key: K, value: Stock[K] | undefined): Stock {
  const next = { ...stock };
  if (value === undefined) delete next[key];
  else next[key] = value;
  return next;
}

/** What is known of one stock; each field is kept as it is left. */
function StockForm({
  id,
  stock,
  onSave,
  onClose,
}: {
  id: string;
  stock: Stock;
  onSave: (stock: Stock, label: string) => void;
  onClose: () => void;
}) {
  const precision = usePrecision();
  const [stiff, perStiff, dense, perDense] = MEASURES[precision.unit];
  const [name, setName] = useState(stock.name);
  const known = propertiesOf(stock);
  const length = (key: 'nominal' | 'thickness' | 'length' | 'width', label: string) => (
    <LengthField
      label={label}
      of={{ in: 'stock', id, field: key }}
      value={stock[key]}
      {...(key === 'nominal' || key === 'thickness' ? THICKNESS_MEANT : {})}
      precision={precision}
      onCommit={(value) => value !== null && onSave({ ...stock, [key]: value }, `${label} of ${stock.name}`)}
    />
  );
  const keepName = () =>
    name.trim() !== '' && name.trim() !== stock.name && onSave({ ...stock, name: name.trim() }, `Renamed ${stock.name}`);
  return (
    <Panel $above={10} $below={10} role="group" aria-label={`What is known of ${stock.name}`}>
      <Grid $columns={4}>
        <TextField value={name} onChange={setName} onBlur={keepName} autoFocus>
          <FieldLabel>Name</FieldLabel>
          <TextInput maxLength={80} />
        </TextField>
        <Select
          label="Form"
          value={stock.form}
          choices={[
            { id: 'sheet', label: 'Sheet' },
            { id: 'board', label: 'Board' },
          ]}
          onChange={(form) => onSave({ ...stock, form }, `Form of ${stock.name}`)}
        />
        <Select
          label="Material"
          value={stock.material}
          choices={MATERIAL_CHOICES}
          onChange={(material) => onSave({ ...stock, material }, `Material of ${stock.name}`)}
        />
        {length('nominal', 'Sold as')}
        {length('thickness', 'Measured thickness')}
        {length('length', 'Length')}
        {length('width', 'Width')}
        <OptionalNumber
          label="Price of one"
          value={stock.price}
          least={0}
          most={1e6}
          onChange={(price) => onSave(without(stock, 'price', price), `Price of ${stock.name}`)}
        />
        <OptionalNumber
          label="On hand"
          value={stock.onHand}
          least={0}
          most={10_000}
          onChange={(onHand) =>
            onSave(without(stock, 'onHand', onHand === undefined ? undefined : Math.round(onHand)), `On hand of ${stock.name}`)
          }
        />
        <OptionalNumber
          label={`Own E, ${stiff}`}
          each={perStiff}
          value={stock.elastic}
          least={0.05}
          most={250}
          onChange={(elastic) => {
            // A figure typed by hand is no longer that of a test.
            const { test, ...rest } = stock;
            void test;
            onSave(without(rest, 'elastic', elastic), `Stiffness of ${stock.name}`);
          }}
        />
        <OptionalNumber
          label={`Own G in its plane, ${stiff}`}
          each={perStiff}
          value={stock.shear}
          least={0.005}
          most={100}
          onChange={(shear) => onSave(without(stock, 'shear', shear), `Shear stiffness of ${stock.name}`)}
        />
        <OptionalNumber
          label={`Own density, ${dense}`}
          each={perDense}
          value={stock.density}
          least={50}
          most={9000}
          onChange={(density) => onSave(without(stock, 'density', density), `Density of ${stock.name}`)}
        />
      </Grid>
      <Laid.p $above={8}>
        <Faint>
          Judged with E {writeStiffness(known.elastic, precision.unit)} along and {writeStiffness(known.elasticAcross, precision.unit)}{' '}
          across, G {writeStiffness(known.shear, precision.unit)}
          {known.spread !== undefined
            ? `, by your own test, out by up to ${Math.round(known.spread * 100)} %`
            : known.ownElastic
              ? ', your own'
              : ` (${known.material.source})`}{' '}
          and {Math.round(known.density / perDense)} {dense}. The measured thickness counts everywhere; measure each new sheet.
        </Faint>
      </Laid.p>
      <Offcuts stock={stock} onSave={onSave} />
      <BoardTest stock={stock} onUse={onSave} />
      <Row $above={8}>
        <Button onPress={onClose}>Close</Button>
      </Row>
    </Panel>
  );
}

/** How many are on hand, what is left of others, how many of both are reserved, and how many are begun and not taken off yet. */
function onHandText({ onHand, offcuts = [] }: Stock, begun: number, reserved: number): string {
  const rests = offcuts.reduce((sum, o) => sum + o.count, 0);
  const words = [
    ...(onHand !== undefined || rests > 0 || begun > 0 ? [`${onHand ?? 0}`] : []),
    ...(rests > 0 ? [`${rests} ${rests === 1 ? 'offcut' : 'offcuts'}`] : []),
    ...(reserved > 0 ? [`${reserved} reserved`] : []),
    ...(begun > 0 ? [`${begun} begun`] : []),
  ];
  return words.join(', ');
}

const ON_HAND = ['stock', 'slides', 'hardware'];

/** What is on hand, measured and priced. */
export function Stockroom() {
  const precision = usePrecision();
  const { records: stock, open, setOpen, problem, chosen, add, keep, takeOut } = useRecordList('stock');
  const history = useHistory(ON_HAND);
  const { bench, saver } = useProject();
  const cuttings = bench.records.cuttings.map((c) => c.data);
  const begunOf = (id: string) => cuttings.flatMap((c) => c.begun).filter((b) => b.stock === id && !b.booked).length;
  // What is begun is counted among what is kept: it is told on its own.
  const reservedFor = (id: string) => Math.max(0, reservedOf(id, cuttings).reduce((sum, r) => sum + r.count, 0) - begunOf(id));
  // What is there under its name already stays as it is.
  const known = { stock: bench.records.stock.map((s) => s.data.name), slides: bench.records.slides.map((s) => s.data.name) };
  const missing = stockroomOf(bench.project.settings.unit, 'yard').filter(({ kind, data }) => !known[kind].includes(data.name));
  const addYard = async () => {
    for (const { kind, id, data } of missing) {
      const ids = bench.records[kind].map((r) => r.id);
      await saver.create(kind, newId(id, ids), data, `Added ${data.name}`);
    }
  };
  const readIn = (read: readonly Stock[]) => {
    for (const next of read) {
      const there = stock.find((s) => s.data.name === next.name);
      if (there) keep(there.id, next, `Read ${next.name} from a list`);
      else void add(next);
    }
  };
  return (
    <>
      <Header history={history} />
      <Page>
        <h1>Stockroom</h1>
        <Faint>
          Sheets and boards as they are bought and as they measure. Change a measured thickness and every piece made of it follows.
        </Faint>
        {problem ? <Fault role="alert">{problem}</Fault> : null}
        <Row $above={12} $below={12}>
          <Button data-main onPress={() => void add(newStock(precision.unit))}>
            <Plus aria-hidden /> Stock
          </Button>
          {missing.length > 0 ? (
            <Button onPress={() => void addYard()}>
              <Plus aria-hidden /> Usual stock of a yard ({missing.length})
            </Button>
          ) : null}
          <StockList stocks={stock.map((s) => s.data)} onRead={readIn} />
        </Row>
        <Scroll>
          <Table>
            <thead>
              <tr>
                <th>Stock</th>
                <th>Material</th>
                <th className="figure">Sold as</th>
                <th className="figure">Measures</th>
                <th className="figure">Length</th>
                <th className="figure">Width</th>
                <th className="figure">On hand</th>
                <th className="figure">Price</th>
                <th className="figure">E</th>
                <th>
                  <span className="visually-hidden">Take out</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {stock.map((s) => (
                <tr key={s.id} aria-selected={open === s.id}>
                  <td>
                    <Button data-quiet onPress={() => setOpen(s.id)} aria-label={`Change ${s.data.name}`}>
                      {s.data.name}
                    </Button>
                  </td>
                  <td>{propertiesOf(s.data).material.name}</td>
                  {[s.data.nominal, s.data.thickness, s.data.length, s.data.width].map((l, i) => (
                    <td key={i} className="figure">
                      <LengthText
                        value={l}
                        precision={
                          i === 1
                            ? { ...precision, step: precision.unit === 'mm' ? (8000 as typeof precision.step) : precision.step }
                            : precision
                        }
                      />
                    </td>
                  ))}
                  <td className="figure">{onHandText(s.data, begunOf(s.id), reservedFor(s.id))}</td>
                  <td className="figure">{s.data.price ?? ''}</td>
                  <td className="figure">{writeStiffness(propertiesOf(s.data).elastic, precision.unit)}</td>
                  <td>
                    <TakeOut name={s.data.name} onPress={() => takeOut(s.id)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroll>
        {chosen ? (
          <StockForm
            key={chosen.id}
            id={chosen.id}
            stock={chosen.data}
            onSave={(next, label) => keep(chosen.id, next, label)}
            onClose={() => setOpen(null)}
          />
        ) : null}
        <Slides />
        <HardwareList />
      </Page>
    </>
  );
}
