import { useState } from 'react';
import { LEAST_SET, pieceInUnit, settingsIn, type SizesThen } from '../../core/formats/change-unit.js';
import { DEFAULT_STEP, UNIT_NAMES, formatLength, type LengthUnit } from '../../core/length/index.js';
import { useProject } from '../data/project.js';
import { Button, Panel, Row, Select } from '../shared/ui.js';

/** The units a project may work in. */
export const UNITS = (['mm', 'in'] as const).map((id) => ({ id, label: UNIT_NAMES[id] }));

const stepText = (unit: LengthUnit) => `${formatLength(DEFAULT_STEP[unit], { unit, step: DEFAULT_STEP[unit] })} ${unit}`;

/** Asks what a change of the project's unit does to its sizes, and makes it. */
export function ChangeUnit({ to, onSettled }: { to: LengthUnit; onSettled: () => void }) {
  const { bench, saver } = useProject();
  const { project } = bench;
  const [sizes, setSizes] = useState<SizesThen>('kept');
  const step = DEFAULT_STEP[to];
  const change = () => {
    for (const { id, data } of bench.records.pieces) {
      const piece = pieceInUnit(data.piece, to, sizes);
      if (piece !== data.piece) saver.save('pieces', id, piece, `Round to ${stepText(to)}`, data.piece);
    }
    saver.saveProject({ ...project, settings: settingsIn(project.settings, to) }, project);
    onSettled();
  };
  return (
    <Panel role="group" aria-label={`Change to ${UNIT_NAMES[to]}`} $above={12}>
      <p>
        Fields, figures, prints and files are then in {UNIT_NAMES[to]}. New sizes are rounded to {stepText(to)}. Readings, stock and
        hardware stay as they measure.
      </p>
      <Select
        label="Sizes in the pieces"
        value={sizes}
        choices={[
          { id: 'kept', label: 'keep every size as it is' },
          { id: 'set', label: `set sizes over ${formatLength(LEAST_SET, { unit: to, step }).replace('≈', '')} ${to} to ${stepText(to)}` },
        ]}
        onChange={setSizes}
      />
      <Row $above={10}>
        <Button data-main onPress={change}>
          Change to {UNIT_NAMES[to]}
        </Button>
        <Button onPress={onSettled}>Keep {UNIT_NAMES[project.settings.unit]}</Button>
      </Row>
    </Panel>
  );
}
