import { withPanels, type Panels } from '../../../core/interiors/index.js';

import { mm } from '../../../core/length/index.js';
import type { PiecePatch } from '../../../core/piece/index.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { useSettledBench } from '../../bench/bench.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, NumberInput, Section, WideTick } from '../../shared/ui.js';
import { FIXES } from './pictures.js';

const USES = { shelves: 'Shelves of', dividers: 'Dividers of' } as const;

/** So many holes over and under each, as far apart as this, to begin with. */
const USUAL = { pitch: mm(32), each: 3 } as const;

/** Holes by which loose shelves can be moved. */
function PinRows({ patch }: { patch: (of: Partial<Panels['shelves']>) => PiecePatch }) {
  const { piece } = useSettledBench();
  const { change, length } = usePieceFields();
  const { rows, ...single } = piece.panels.shelves;
  return (
    <>
      <WideTick
        isSelected={rows !== undefined}
        onChange={(is) =>
          change(
            is ? patch({ rows: USUAL }) : withPanels(piece, { shelves: single }),
            is ? 'Rows of pin holes' : 'Pin holes for one height each',
          )
        }
      >
        Rows of pin holes, so that shelves can be moved
      </WideTick>
      {rows ? (
        <>
          {length('Between pin holes', rows.pitch, (pitch) => patch({ rows: { ...rows, pitch } }))}
          <NumberInput
            label="Holes over and under a shelf"
            value={rows.each}
            minValue={1}
            maxValue={20}
            onChange={(each) => {
              if (Number.isInteger(each)) change(patch({ rows: { ...rows, each } }), 'How many pin holes over and under a shelf');
            }}
          />
        </>
      ) : null}
    </>
  );
}

/** How all shelves and dividers of a piece are made, unless one of them says otherwise. */
export function PanelsForm() {
  const { piece } = useSettledBench();
  const { change, length, way } = usePieceFields();
  const { shelves, stock } = piece.panels;
  const patch = (of: Partial<Panels['shelves']>) => withPanels(piece, { shelves: { ...shelves, ...of } });
  return (
    <Section>
      <h2>Shelves and dividers</h2>
      <Grid>
        {way('Shelves fixed', shelves.fix, FIXES, (fix) => patch({ fix }), 'Fixed the shelves another way')}
        {shelves.fix === 'housed'
          ? length('Housing depth', shelves.housing, (housing) => patch({ housing }))
          : length('End clearance', shelves.looseEnd, (looseEnd) => patch({ looseEnd }), true)}
        {shelves.fix === 'loose' ? <PinRows patch={patch} /> : null}
        {length('Shelf setback', shelves.setback, (setback) => patch({ setback }), true)}
        {(['shelves', 'dividers'] as const).map((use) => (
          <StockSelect
            key={use}
            label={USES[use]}
            value={stock[use]}
            onChange={(id) => change(withPanels(piece, { stock: { ...stock, [use]: id } }), `Changed the stock of the ${use}`)}
          />
        ))}
      </Grid>
    </Section>
  );
}
