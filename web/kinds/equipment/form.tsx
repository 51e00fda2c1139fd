import { ZERO, inch, mm, type Length } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import { DEVICE_SIDES, type DeviceSide, type Equipment } from '../../../core/interiors/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Grid, NumberInput, Section, Select, WideTick, type Choice } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';

type Why = Equipment['free']['left']['why'];

const SIDES: Readonly<Record<DeviceSide, string>> = {
  left: 'Free at the left',
  right: 'Free at the right',
  front: 'Free in front',
  rear: 'Free behind',
  above: 'Free above',
  below: 'Free below',
};

const WHYS: readonly Choice<Why>[] = [
  { id: 'fit', label: 'to fit' },
  { id: 'heat', label: 'for heat' },
  { id: 'cables', label: 'for cables' },
  { id: 'hands', label: 'for hands' },
  { id: 'controls', label: 'for controls' },
];

/** Devices in a space, what is kept free on their six sides and why, what hangs below, and what they give off. */
export function EquipmentForm({ space, equipment }: { space: PlacedSpace; equipment: Equipment }) {
  const { unit } = usePrecision();
  const { bench } = useProject();
  const { commit } = useSettledBench();
  const { change, length } = useMakingFields(space.id, equipment);
  const { free, controls } = equipment;
  const kept = (side: DeviceSide, patch: Partial<Equipment['free']['left']>) => ({
    free: { ...free, [side]: { ...free[side], ...patch } },
  });
  const leave = (field: 'controls' | 'heat', label: string) =>
    commit({ kind: 'filling', space: space.id, filling: without(equipment, field) }, label);
  return (
    <Section>
      <h2>Equipment</h2>
      <Grid>
        <Select
          label="What it is"
          value={equipment.thing}
          choices={bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))}
          onChange={(thing) => change({ thing }, 'Changed the equipment')}
        />
        <NumberInput
          label="Side by side"
          value={equipment.count}
          minValue={1}
          maxValue={20}
          onChange={(count) => Number.isFinite(count) && count !== equipment.count && change({ count }, 'Changed how many there are')}
        />
        {DEVICE_SIDES.map((side) => (
          <FreeFields key={side} side={side} kept={free[side]} length={length} change={change} as={(patch) => kept(side, patch)} />
        ))}
        {equipment.count > 1 ? length('Free between two', equipment.between, (between) => ({ between }), true) : null}
        <NumberInput
          label="Heat of one, W"
          value={equipment.heat ?? Number.NaN}
          minValue={0}
          maxValue={20_000}
          onChange={(heat) =>
            Number.isFinite(heat) && heat > 0 ? change({ heat }, 'Said what heat it gives off') : leave('heat', 'Took its heat away')
          }
        />
        <WideTick
          isSelected={controls !== undefined}
          onChange={(on) =>
            on
              ? change(
                  { controls: unit === 'mm' ? { hang: mm(26), free: mm(8) } : { hang: inch(1), free: inch(3 / 8) } },
                  'Controls hang below',
                )
              : leave('controls', 'No controls hang below')
          }
        >
          Controls hang under what it stands on
        </WideTick>
        {controls ? (
          <>
            {length('Controls hang', controls.hang, (hang) => ({ controls: { ...controls, hang } }))}
            {length('Free under them', controls.free, (room) => ({ controls: { ...controls, free: room } }), true)}
          </>
        ) : null}
      </Grid>
    </Section>
  );
}

interface FreeProps {
  readonly side: DeviceSide;
  readonly kept: Equipment['free']['left'];
  readonly length: ReturnType<typeof useMakingFields<Equipment>>['length'];
  readonly change: ReturnType<typeof useMakingFields<Equipment>>['change'];
  readonly as: (patch: Partial<Equipment['free']['left']>) => Partial<Equipment>;
}

/** What is kept free on one side, and why. */
function FreeFields({ side, kept, length, change, as }: FreeProps) {
  return (
    <>
      {length(SIDES[side], kept.size, (size: Length) => as({ size }), true)}
      {kept.size > ZERO ? (
        <Select
          label={`${SIDES[side]}: why`}
          value={kept.why}
          choices={WHYS}
          onChange={(why) => change(as({ why }), 'Changed why it is free')}
        />
      ) : (
        <span />
      )}
    </>
  );
}
