import { GRAVITY, sagOf, type BeamSpec, type Sag } from '../../core/carry/index.js';
import { fromFahrenheit, inFahrenheit } from '../../core/figure/index.js';
import { mm, toMm, type Length } from '../../core/length/index.js';
import { MATERIALS, propertiesOf, type Stock, type StockProperties } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { LineLoadField } from '../shared/line-load-field.js';
import { MassField } from '../shared/mass-field.js';
import { NumberInput, Select } from '../shared/ui.js';

/** A number to try. */
export function NumberTrial(props: {
  label: string;
  value: number;
  set: (n: number) => void;
  least?: number;
  most: number;
  step?: number;
}) {
  const { label, value, set, least = 0, most, step } = props;
  return (
    <NumberInput
      label={label}
      value={value}
      onChange={(n) => Number.isFinite(n) && set(n)}
      minValue={least}
      maxValue={most}
      {...(step ? { step } : {})}
    />
  );
}

/** A length to try. */
export function LengthTrial({ label, value, set }: { label: string; value: Length; set: (l: Length) => void }) {
  const precision = usePrecision();
  return (
    <LengthField
      label={label}
      value={value}
      least={mm(3)}
      precision={precision}
      onCommit={(v) => v !== null && set(v)}
      onDraft={(v) => v !== null && set(v)}
    />
  );
}

/** A mass to try, kg, as the shop writes it. */
export function MassTrial({
  label,
  value,
  set,
  least,
  most,
}: {
  label: string;
  value: number;
  set: (kg: number) => void;
  least?: number;
  most: number;
}) {
  return (
    <MassField
      label={label}
      value={value}
      {...(least === undefined ? {} : { least })}
      most={most}
      onChange={(kg) => Number.isFinite(kg) && set(kg)}
    />
  );
}

/** A length to try that is kept as a number of mm. */
export function SizeTrial({ label, value, set }: { label: string; value: number; set: (mm: number) => void }) {
  const precision = usePrecision();
  return (
    <LengthField label={label} value={mm(value)} least={mm(0.01)} precision={precision} onCommit={(v) => v !== null && set(toMm(v))} />
  );
}

/** A load along a shelf to try, kg on a metre; on a foot where the shop works in inches. */
export function LineLoadTrial({
  label,
  value,
  set,
  least = 0,
  most,
}: {
  label: string;
  value: number;
  set: (n: number) => void;
  least?: number;
  most: number;
}) {
  return <LineLoadField label={label} value={value} onCommit={(n) => n !== null && n >= least && n <= most && set(n)} />;
}

/** A warmth to try, °C. */
export function WarmthTrial({ label, value, set }: { label: string; value: number; set: (celsius: number) => void }) {
  const { unit } = usePrecision();
  if (unit === 'mm') return <NumberTrial label={`${label}, °C`} value={value} set={set} least={-10} most={45} step={1} />;
  const shown = Math.round(inFahrenheit(value));
  return (
    <NumberTrial label={`${label}, °F`} value={shown} set={(f) => f !== shown && set(fromFahrenheit(f))} least={14} most={113} step={1} />
  );
}

/** A material to try. */
export function MaterialTrial({ value, set, only }: { value: string; set: (id: string) => void; only?: (id: string) => boolean }) {
  const choices = MATERIALS.filter((m) => !only || only(m.id)).map((m) => ({ id: m.id, label: m.name }));
  return <Select label="Material" value={value} choices={choices} onChange={set} />;
}

/** The properties of a material as a sheet of it would have them. */
export function propertiesFor(material: string): StockProperties {
  const size = mm(1000);
  const stock: Stock = { name: '', form: 'sheet', material, nominal: mm(18), thickness: mm(18), length: size, width: size };
  return propertiesOf(stock);
}

/** A shelf on two supports under an even load and its own weight. Lengths in mm. */
export interface Shelf {
  readonly span: number;
  readonly depth: number;
  readonly thickness: number;
  readonly kg: number;
  readonly fixed?: boolean;
}

/** A shelf as a beam under an even load and its own weight. */
export function evenBeam({ span, depth, thickness, kg, fixed = false }: Shelf, properties: StockProperties): Omit<BeamSpec, 'stretches'> {
  const own = properties.density * 1e-9 * depth * thickness * span;
  const perMm = ((kg + own) * GRAVITY) / span;
  const supports = [
    { x: 0, fixed },
    { x: span, fixed },
  ];
  return { length: span, supports, lines: [{ from: 0, to: span, perMm }], points: [] };
}

/** How far a shelf sags. */
export function sagOfShelf(shelf: Shelf, properties: StockProperties): Sag {
  return sagOf(evenBeam(shelf, properties), { width: shelf.depth, thickness: shelf.thickness, properties });
}
