import { ZERO, inch, mm, type Length } from '../../../core/length/index.js';
import type { Inset, PanelCase, SideOutline } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { Select } from '../../shared/ui.js';
import { without } from '../../shared/without.js';

const CORNERS = [
  ['frontTop', 'Upper front corners'],
  ['rearTop', 'Upper rear corners'],
  ['frontBottom', 'Lower front corners'],
  ['rearBottom', 'Lower rear corners'],
] as const;

const SIDES = [
  ['front', 'Between the sides, in from the front'],
  ['rear', 'Between the sides, in from the rear'],
  ['top', 'Top in from the upper ends'],
  ['bottom', 'Bottom in from the lower ends'],
] as const;

const NO_INSET: Inset = { front: ZERO, rear: ZERO, top: ZERO, bottom: ZERO };

/** What the sides of a case are cut to, and how far what is between them stands in from their edges. */
export function OutlineFields({ piece }: { piece: PanelCase }) {
  const { commit } = useSettledBench();
  const { change, length } = usePieceFields();
  const precision = usePrecision();
  const { outline = {}, inset = NO_INSET } = piece;
  const put = (next: SideOutline, label: string) =>
    Object.keys(next).length > 0 ? change({ outline: next }, label) : commit({ kind: 'piece', patch: {}, without: ['outline'] }, label);
  const stand = (side: keyof Inset, by: Length) => {
    const next = { ...inset, [side]: by };
    const none = Object.values(next).every((v) => v === ZERO);
    return none
      ? commit({ kind: 'piece', patch: {}, without: ['inset'] }, 'Flush with the sides')
      : change({ inset: next }, 'Stands in from the sides');
  };
  const corner = (at: (typeof CORNERS)[number][0], is: 'square' | 'round' | 'cut') => {
    const { corners = {} } = outline;
    const by = corners[at]?.by ?? (precision.unit === 'mm' ? mm(30) : inch(1.25));
    const others = is === 'square' ? without(corners, at) : { ...corners, [at]: { is, by } };
    return put(
      Object.keys(others).length > 0 ? { ...outline, corners: others } : without(outline, 'corners'),
      'Changed the corners of the sides',
    );
  };
  return (
    <>
      <Select
        label="Sides cut at the front"
        value={outline.front ?? 'straight'}
        choices={[
          { id: 'straight', label: 'Straight' },
          { id: 'stepped', label: 'In steps, as deep as each shelf' },
          { id: 'sloped', label: 'Aslant from shelf to shelf' },
        ]}
        onChange={(front) =>
          put(front === 'straight' ? without(outline, 'front') : { ...outline, front }, 'Changed the front edges of the sides')
        }
      />
      <LengthField
        label="Top only so deep"
        optional
        of={{ in: 'piece', field: 'topDeep' }}
        value={piece.topDeep ?? null}
        precision={precision}
        onCommit={(deep) =>
          deep === null
            ? commit({ kind: 'piece', patch: {}, without: ['topDeep'] }, 'A top as deep as the case')
            : change({ topDeep: deep }, 'Changed how deep the top is')
        }
      />
      {CORNERS.filter(([at]) => !outline.front || !at.startsWith('front')).map(([at, label]) => {
        const cut = outline.corners?.[at];
        return (
          <div key={at}>
            <Select
              label={label}
              value={cut?.is ?? 'square'}
              choices={[
                { id: 'square', label: 'Square' },
                { id: 'round', label: 'Rounded' },
                { id: 'cut', label: 'Cut off' },
              ]}
              onChange={(is) => corner(at, is)}
            />
            {cut
              ? length(cut.is === 'round' ? `${label}: radius` : `${label}: cut off by`, cut.by, (by) => ({
                  outline: { ...outline, corners: { ...outline.corners, [at]: { ...cut, by } } },
                }))
              : null}
          </div>
        );
      })}
      {SIDES.map(([side, label]) => (
        <LengthField
          key={side}
          label={label}
          least={ZERO}
          of={{ in: 'piece', field: `inset.${side}` }}
          value={inset[side]}
          precision={precision}
          onCommit={(by) => stand(side, by ?? ZERO)}
        />
      ))}
    </>
  );
}
