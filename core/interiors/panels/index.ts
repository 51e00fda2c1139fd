import { size } from '../../figure/index.js';
import { stockUses, type Axis, type DividingRole } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import type { DividingKind, SplitKind } from '../kind.js';
import { panelMembers } from './members.js';
import { panelRemedies } from './remedies.js';
import { PanelsSchema, withPanels } from './spec.js';
import { panelStock, panelThickness } from './stock.js';

const ROLES: Readonly<Record<Axis, DividingRole>> = { up: 'shelf', across: 'divider', deep: 'partition' };
const MANY: Readonly<Record<Axis, string>> = { up: 'shelves', across: 'dividers', deep: 'partitions' };
const PARTS: Readonly<Record<Axis, string>> = { up: 'space', across: 'bay', deep: 'part' };

/** A space divided by panels: shelves up, dividers across, partitions from the rear to the front. */
function inRun(axis: Axis): SplitKind {
  return {
    names: { one: ROLES[axis], many: MANY[axis], part: PARTS[axis] },
    // Bays stay exactly equal, so that all shelves in them are cut with one setting; only heights are set out by spacer or tape.
    set: axis === 'up',
    roleOf: (member) => (member.room !== undefined ? 'room' : member.rail !== undefined && axis === 'up' ? 'rail' : ROLES[axis]),
    extent: (member, { workshop, panels }) =>
      member.room !== undefined
        ? size('left free', member.room)
        : member.rail !== undefined && axis === 'up'
          ? size('rail', member.rail, { in: 'member', id: member.id, field: 'rail' })
          : panelThickness(member, woodOf(workshop, panelStock(member, axis, panels))),
    ends: () => ({ before: null, after: null }),
    endShare: 1,
    endIds: () => null,
    over: { before: null, after: null },
    insets: () => null,
  };
}

export const panels: DividingKind<undefined> = {
  kind: 'panels',
  schema: null,
  names: () => [],
  onPiece: {
    fields: { panels: PanelsSchema },
    uses: (piece) => stockUses('panels/stock', piece.panels.stock, (stock) => withPanels(piece, { stock })),
  },
  seenFrom: 'front',
  split: (_, axis) => inRun(axis),
  made: (_, at) => panelMembers(at),
  filled: (axis) => ({ up: 'divided by shelves', across: 'divided by dividers', deep: 'divided front from rear' })[axis],
  holdsAt: null,
  withStock: () => null,
  remedies: () => [],
  memberRemedies: panelRemedies,
};
