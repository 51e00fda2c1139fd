import { ZERO, inch, mm } from '../../../core/length/index.js';
import type { Frame, PullOut } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision, useProject } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, NumberInput, Section, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { FeetFields } from './feet-fields.js';
import { asDegrees } from '../../../core/measures/index.js';

/** Hinged slats are lifted so far as they are begun, degrees. */
const OPENS = asDegrees(75);

/** A pull-out as it is begun: of what the top is made of, drawn out by two thirds. */
function usual(piece: Frame, unit: 'mm' | 'in', stock: readonly { readonly id: string }[]): PullOut {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const thin = piece.top.level.deck?.stock ?? stock[0]?.id ?? piece.posts.stock;
  return {
    board: { stock: thin, wide: s(95, 3.75) },
    legs: { stock: piece.top.level.rails.stock, wide: s(70, 2.75), count: 2 },
    overlap: s(180, 7),
    behind: s(20, 0.75),
    guides: { count: 2, gap: s(1, 1 / 32) },
  };
}

/** What is drawn out of a frame with every other slat of its top. */
export function PullOutFields({ piece }: { piece: Frame }) {
  const { bench } = useProject();
  const { unit } = usePrecision();
  const { commit } = useSettledBench();
  const { change, length } = usePieceFields();
  const { pullOut, top } = piece;
  const begin = () => {
    const { deck } = top.level;
    const slats = deck?.slats ?? { wide: unit === 'mm' ? mm(95) : inch(3.75), count: 9 };
    const stock = deck?.stock ?? top.level.rails.stock;
    const slatted = { ...top, level: { ...top.level, deck: { gap: ZERO, ...deck, stock, goes: 'over' as const, slats } } };
    change({ top: slatted, pullOut: usual(piece, unit, bench.records.stock) }, 'Gave it a pull-out');
  };
  const put = (patch: Partial<PullOut>) => ({ pullOut: { ...(pullOut as PullOut), ...patch } });
  return (
    <Section>
      <h2>What is drawn out of it</h2>
      <Grid>
        <WideTick
          isSelected={pullOut !== undefined}
          onChange={(on) => (on ? begin() : commit({ kind: 'piece', patch: {}, without: ['pullOut'] }, 'Took the pull-out away'))}
        >
          A pull-out with every other slat of the top
        </WideTick>
        {pullOut ? (
          <>
            {length('Overlap when it is drawn out', pullOut.overlap, (overlap) => put({ overlap }))}
            {length('Free behind its slats', pullOut.behind, (behind) => put({ behind }), true)}
            <NumberInput
              label="Slats that guide it"
              value={pullOut.guides.count}
              minValue={0}
              maxValue={20}
              onChange={(count) =>
                Number.isFinite(count) && change(put({ guides: { ...pullOut.guides, count } }), 'Changed how many slats guide it')
              }
            />
            {pullOut.guides.count > 0
              ? length('Gap beside those', pullOut.guides.gap, (gap) => put({ guides: { ...pullOut.guides, gap } }), true)
              : null}
            <StockSelect
              label="Its front board of"
              value={pullOut.board.stock}
              onChange={(stock) => change(put({ board: { ...pullOut.board, stock } }), 'Changed its board')}
            />
            {length('Its front board wide', pullOut.board.wide, (wide) => put({ board: { ...pullOut.board, wide } }))}
            <StockSelect
              label="Its legs and rail of"
              value={pullOut.legs.stock}
              onChange={(stock) => change(put({ legs: { ...pullOut.legs, stock } }), 'Changed its legs')}
            />
            {length('Its legs wide', pullOut.legs.wide, (wide) => put({ legs: { ...pullOut.legs, wide } }))}
            <NumberInput
              label="Its legs"
              value={pullOut.legs.count}
              minValue={2}
              maxValue={20}
              onChange={(count) =>
                Number.isFinite(count) && change(put({ legs: { ...pullOut.legs, count } }), 'Changed how many legs it has')
              }
            />
            <FeetFields
              of="Its legs stand"
              feet={pullOut.feet}
              as={(feet) => put({ feet })}
              onFloor={() => change({ pullOut: without(pullOut, 'feet') }, 'Put its legs on the floor')}
              change={change}
              length={length}
            />
            <WideTick
              isSelected={pullOut.handHold ?? false}
              onChange={(on) =>
                change(
                  on ? put({ handHold: true }) : { pullOut: without(pullOut, 'handHold') },
                  on ? 'A hand-hold in its board' : 'No hand-hold',
                )
              }
            >
              A hand-hold in its board
            </WideTick>
            <WideTick
              isSelected={pullOut.hinged !== undefined}
              onChange={(on) =>
                change(
                  on ? put({ hinged: { opens: OPENS } }) : { pullOut: without(pullOut, 'hinged') },
                  on ? 'Hinged its slats' : 'Fixed its slats',
                )
              }
            >
              Its slats are hinged at the board, to be lifted
            </WideTick>
            {pullOut.hinged ? (
              <NumberInput
                label="They are lifted by, degrees"
                value={pullOut.hinged.opens}
                minValue={10}
                maxValue={100}
                onChange={(opens) =>
                  Number.isFinite(opens) && change(put({ hinged: { opens: asDegrees(opens) } }), 'Changed how far its slats are lifted')
                }
              />
            ) : null}
          </>
        ) : null}
      </Grid>
    </Section>
  );
}
