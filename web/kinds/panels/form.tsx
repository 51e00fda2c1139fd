import { withPanels, type Panels } from '../../../core/interiors/index.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { useSettledBench } from '../../bench/bench.js';
import { PictureChoice } from '../../shared/picture-choice.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, Section } from '../../shared/ui.js';
import { FIXES } from './pictures.js';

const USES = { shelves: 'Shelves of', dividers: 'Dividers of' } as const;

/** How all shelves and dividers of a piece are made, unless one of them says otherwise. */
export function PanelsForm() {
  const { piece } = useSettledBench();
  const { change, length } = usePieceFields();
  const { shelves, stock } = piece.panels;
  const patch = (of: Partial<Panels['shelves']>) => withPanels(piece, { shelves: { ...shelves, ...of } });
  return (
    <Section>
      <h2>Shelves and dividers</h2>
      <Grid>
        <PictureChoice
          label="Shelves fixed"
          value={shelves.fix}
          choices={FIXES}
          onChange={(fix) => change(patch({ fix }), 'Fixed the shelves another way')}
        />
        {shelves.fix === 'housed'
          ? length('Housing depth', shelves.housing, (housing) => patch({ housing }))
          : length('End clearance', shelves.looseEnd, (looseEnd) => patch({ looseEnd }), true)}
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
