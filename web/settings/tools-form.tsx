import { USUAL_KEEP } from '../../core/layout/index.js';
import { ZERO, inch, mm, type Length } from '../../core/length/index.js';
import { KERF_MEANT, type Settings, type Tools } from '../../core/project/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Faint, Grid, NumberInput, Section, WideTick } from '../shared/ui.js';

/** Tools with some of them changed; what is undefined is left out. */
function changed(tools: Tools, patch: { readonly [K in keyof Tools]?: Tools[K] | undefined }): Tools {
  return Object.fromEntries(Object.entries({ ...tools, ...patch }).filter(([, value]) => value !== undefined));
}

/** What there is to saw with, what it is limited by, and what is kept of the rests. */
export function ToolsForm({ settings, onSave }: { settings: Settings; onSave: (patch: Partial<Settings>) => void }) {
  const precision = usePrecision();
  const { tools = {} } = settings;
  const { shop, car, clamps, keep = USUAL_KEEP } = tools;
  const save = (patch: { readonly [K in keyof Tools]?: Tools[K] | undefined }) => onSave({ tools: changed(tools, patch) });
  const size = (metric: number, imperial: number): Length => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const limit = (key: 'fence' | 'guide' | 'mitre', label: string) => (
    <LengthField
      label={label}
      value={tools[key] ?? null}
      optional
      precision={precision}
      onCommit={(value) => save({ [key]: value ?? undefined })}
    />
  );
  const kerf = (key: keyof NonNullable<Tools['kerfs']>, label: string) =>
    tools[key] === undefined ? null : (
      <LengthField
        label={label}
        value={tools.kerfs?.[key] ?? null}
        {...KERF_MEANT}
        optional
        precision={precision}
        onCommit={(value) => {
          const { [key]: before, ...others } = tools.kerfs ?? {};
          void before;
          const kerfs = { ...others, ...(value === null ? {} : { [key]: value }) };
          save({ kerfs: Object.keys(kerfs).length > 0 ? kerfs : undefined });
        }}
      />
    );
  const trim = (key: 'trimEnds' | 'trimEdges', label: string) => (
    <LengthField
      label={label}
      value={tools[key] ?? ZERO}
      least={ZERO}
      precision={precision}
      onCommit={(value) => value !== null && save({ [key]: value })}
    />
  );
  return (
    <Section id="tools" aria-label="Saws and stock">
      <h2>Saws and stock</h2>
      <Faint>
        Leave empty what there is none of. Each cut then says what it is made with, and which no saw here can make. A stock is laid out with
        the widest kerf of the saws that may come to it.
      </Faint>
      <Grid $columns={2} $above={8}>
        {limit('fence', 'Table saw: the fence opens to')}
        {limit('mitre', 'Mitre saw: crosses boards up to')}
        {limit('guide', 'Hand saw along a guide: cuts up to')}
        {kerf('fence', 'Kerf of the table saw, if another')}
        {kerf('mitre', 'Kerf of the mitre saw, if another')}
        {kerf('guide', 'Kerf of the hand saw, if another')}
        {trim('trimEnds', 'Taken off each end first')}
        {trim('trimEdges', 'Taken off each edge of a sheet first')}
        <LengthField
          label="A rest is kept from this length"
          value={keep.length}
          precision={precision}
          onCommit={(length) => length !== null && save({ keep: { ...keep, length } })}
        />
        <LengthField
          label="and from this width"
          value={keep.width}
          precision={precision}
          onCommit={(width) => width !== null && save({ keep: { ...keep, width } })}
        />
        <WideTick isSelected={tools.router !== false} onChange={(has) => save({ router: has ? undefined : false })}>
          There is a router; without one, grooves are sawn and cleared with a chisel
        </WideTick>
        <NumberInput
          label="Clamps"
          value={clamps?.count ?? NaN}
          minValue={0}
          maxValue={200}
          onChange={(n) =>
            save({ clamps: Number.isFinite(n) ? { count: Math.round(n), reach: clamps?.reach ?? size(1000, 40) } : undefined })
          }
        />
        {clamps ? (
          <LengthField
            label="The longest of them opens to"
            value={clamps.reach}
            precision={precision}
            onCommit={(reach) => reach !== null && save({ clamps: { ...clamps, reach } })}
          />
        ) : null}
        <WideTick
          isSelected={shop !== undefined}
          onChange={(has) => save({ shop: has ? { free: 3, each: 1, least: size(200, 8) } : undefined })}
        >
          The shop that sells sheets cuts them
        </WideTick>
        {shop ? (
          <>
            <NumberInput
              label="Cuts in the price"
              value={shop.free}
              minValue={0}
              maxValue={1000}
              onChange={(free) => Number.isFinite(free) && save({ shop: { ...shop, free: Math.round(free) } })}
            />
            <NumberInput
              label="Each cut more"
              value={shop.each}
              minValue={0}
              maxValue={1e4}
              formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
              onChange={(each) => Number.isFinite(each) && save({ shop: { ...shop, each } })}
            />
            <LengthField
              label="It cuts nothing narrower than"
              value={shop.least}
              precision={precision}
              onCommit={(least) => least !== null && save({ shop: { ...shop, least } })}
            />
          </>
        ) : null}
        {kerf('shop', 'Kerf of the saw of the shop, if another')}
        <WideTick
          isSelected={car !== undefined}
          onChange={(has) => save({ car: has ? { length: size(2000, 78), width: size(1000, 40) } : undefined })}
        >
          It must go into a car
        </WideTick>
        {car ? (
          <>
            <LengthField
              label="Goes in, long"
              value={car.length}
              precision={precision}
              onCommit={(length) => length !== null && save({ car: { ...car, length } })}
            />
            <LengthField
              label="and wide"
              value={car.width}
              precision={precision}
              onCommit={(width) => width !== null && save({ car: { ...car, width } })}
            />
          </>
        ) : null}
      </Grid>
    </Section>
  );
}
