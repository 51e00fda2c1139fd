import type { PlacedSpace } from '../../../core/piece/index.js';
import type { Boards } from '../../../core/interiors/index.js';
import { Faint, Grid, Section, Tick, Wide } from '../../shared/ui.js';
import { useMakingFields } from '../fields.js';

/** How the boards of a layout are made. */
export function BoardsForm({ space, making }: { space: PlacedSpace; making: Boards }) {
  const { change, length, wood } = useMakingFields(space.id, making);
  return (
    <Section>
      <h2>How the boards are made</h2>
      <Faint>Lay it out full-size with tape on the bench before cutting.</Faint>
      <Grid>
        {wood('Boards of', making.stock, (stock) => ({ stock }))}
        {length('Boards high', making.high, (high) => ({ high }))}
        {length('Short in all, to press in', making.fit, (fit) => ({ fit }), true)}
        {length('Channels deep', making.channel, (channel) => ({ channel }), true)}
        <Wide>
          <Tick
            isSelected={making.ends}
            onChange={(ends) => change({ ends }, ends ? 'Put boards at both ends' : 'Took the end boards out')}
          >
            A board at both ends
          </Tick>
          <Tick isSelected={making.glued} onChange={(glued) => change({ glued }, glued ? 'Boards glued' : 'Boards pressed in')}>
            Glued, not pressed in
          </Tick>
        </Wide>
      </Grid>
    </Section>
  );
}
