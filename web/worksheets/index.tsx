import type { PlacedSpace } from '../../core/piece/index.js';
import { BoardsForm } from './boards-form.js';
import { CellsForm } from './cells-form.js';
import { DrawersForm } from './drawers-form.js';
import { SlatsForm } from './slats-form.js';

export { FillMenu } from './fill-menu.js';

/** The worksheet of what a space is filled with; none for shelves and dividers, which the piece itself makes. */
export function MakingForm({ space }: { space: PlacedSpace }) {
  const { split, cells } = space.space;
  if (cells) return <CellsForm space={space} cells={cells} />;
  switch (split?.making?.kind) {
    case 'drawers':
      return <DrawersForm bank={space} making={split.making} />;
    case 'boards':
      return <BoardsForm space={space} making={split.making} />;
    case 'slats':
      return <SlatsForm space={space} making={split.making} />;
    default:
      return null;
  }
}
