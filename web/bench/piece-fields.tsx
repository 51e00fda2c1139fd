import { inch, mm } from '../../core/length/index.js';
import type { PiecePatch } from '../../core/piece/index.js';
import type { Rounding } from '../../core/run/index.js';
import { usePrecision } from '../data/project.js';
import { Select, WideTick } from '../shared/ui.js';
import { useSettledBench } from './bench.js';
import { useEditFields } from './edit-fields.js';

/** How fields of the piece itself are changed. */
export function usePieceFields() {
  return useEditFields('piece', (patch: PiecePatch) => ({ kind: 'piece', patch }));
}

/** Whether front edges are eased, covered or left as they are sawn. */
export function EdgeFields() {
  const { edges } = useSettledBench().piece;
  const { unit } = usePrecision();
  const { change, length } = usePieceFields();
  return (
    <>
      <Select
        label="Front edges"
        value={edges.front}
        choices={[
          { id: 'eased', label: 'Eased' },
          { id: 'banded', label: 'Covered' },
          { id: 'square', label: 'Left square' },
        ]}
        onChange={(front) =>
          change(
            { edges: { front, banding: front === 'banded' ? edges.banding || (unit === 'mm' ? mm(1) : inch(1 / 32)) : edges.banding } },
            'Changed the front edges',
          )
        }
      />
      {edges.front === 'banded' ? length('Edging thick', edges.banding, (banding) => ({ edges: { ...edges, banding } }), true) : null}
    </>
  );
}

/** What is brought to the grid of the shop, and what a piece is used for. @param asksWall false where it hangs on the wall anyway, or is carried about */
export function GridFields({ asksWall = true }: { asksWall?: boolean }) {
  const { piece, workshop } = useSettledBench();
  const { change, length } = usePieceFields();
  const rounding = piece.rounding ?? workshop.settings.rounding;
  return (
    <>
      <Select
        label="What is rounded"
        value={rounding.set}
        choices={[
          { id: 'gaps', label: 'The spaces (for spacers)' },
          { id: 'edges', label: 'The edges (for a tape)' },
          { id: 'exact', label: 'Nothing: exact' },
        ]}
        onChange={(set) => change({ rounding: { ...rounding, set } }, 'Changed what is set to the grid')}
      />
      {rounding.set === 'gaps' ? (
        <Select
          label="Leftover"
          value={rounding.leftover}
          choices={[
            { id: 'last', label: 'to the last spaces' },
            { id: 'first', label: 'to the first spaces' },
            { id: 'spread', label: 'spread evenly' },
          ]}
          onChange={(leftover: Rounding['leftover']) => change({ rounding: { ...rounding, leftover } }, 'Changed where steps go')}
        />
      ) : null}
      {rounding.set !== 'exact' ? length('Round to', rounding.grid, (grid) => ({ rounding: { ...rounding, grid } })) : null}
      {asksWall ? (
        <WideTick
          isSelected={piece.fixedToWall}
          onChange={(fixedToWall) => change({ fixedToWall }, fixedToWall ? 'To be fixed to the wall' : 'Not fixed to the wall')}
        >
          Will be fixed to the wall
        </WideTick>
      ) : null}
      <WideTick
        isSelected={piece.noOneOn ?? false}
        onChange={(noOneOn) => change({ noOneOn }, noOneOn ? 'No one will sit or step on it' : 'Someone may sit or step on it')}
      >
        No one will sit, step or kneel on it
      </WideTick>
      <WideTick
        isSelected={piece.noHeads ?? false}
        onChange={(noHeads) => change({ noHeads }, noHeads ? 'No screw heads are to be seen' : 'Screw heads may be seen')}
      >
        No screw heads to be seen outside
      </WideTick>
    </>
  );
}
