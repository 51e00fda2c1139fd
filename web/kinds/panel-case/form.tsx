import type { Back, Base, PanelCase } from '../../../core/shells/index.js';
import { ZERO, inch, mm } from '../../../core/length/index.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { useSettledBench } from '../../bench/bench.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, Section, WideTick } from '../../shared/ui.js';
import { GridFields, EdgeFields, usePieceFields } from '../../bench/piece-fields.js';
import { without } from '../../shared/without.js';
import { BarFields } from './bar-fields.js';
import { BlockFields } from './block-fields.js';
import { HungFields } from './hung-fields.js';
import { LidFields } from './lid-fields.js';
import { OutlineFields } from './outline-fields.js';
import { BACKS, BASES, BOTTOMS, TOPS } from './pictures.js';

const USES = {
  sides: 'Sides of',
  top: 'Top of',
  bottom: 'Bottom of',
  back: 'Back of',
  base: 'Base of',
} as const;

/** What a stock is of: that of the sides also of all that none was chosen for. */
function ofWhat({ stock, base, back }: PanelCase, use: keyof typeof USES): string {
  if (use !== 'sides') return USES[use];
  const there = { top: true, bottom: true, back: back.kind !== 'none', base: base.kind !== 'none' };
  const all = ['sides', ...(['top', 'bottom', 'back', 'base'] as const).filter((u) => there[u] && stock[u] === undefined)];
  const listed = all.length > 1 ? `${all.slice(0, -1).join(', ')} and ${all.at(-1)}` : 'sides';
  return `S${listed.slice(1)} of`;
}

function baseOf(kind: Base['kind'], now: Base, unit: 'mm' | 'in'): Base {
  if (kind === 'none') return { kind };
  const kept =
    now.kind === 'none'
      ? { height: unit === 'mm' ? mm(80) : inch(3), setback: unit === 'mm' ? mm(50) : inch(2), bearers: false }
      : { height: now.height, setback: now.setback, bearers: now.bearers };
  return kind === 'toe' && now.kind === 'toe' && now.rear ? { kind, ...kept, rear: true } : { kind, ...kept };
}

function backOf(kind: Back['kind'], unit: 'mm' | 'in'): Back {
  const [six, ten, one] = unit === 'mm' ? [mm(6), mm(10), mm(1)] : [inch(1 / 4), inch(3 / 8), inch(1 / 32)];
  if (kind === 'groove') return { kind, depth: six, inset: ten, slack: one };
  if (kind === 'rebate') return { kind, depth: ten, slack: one };
  return { kind };
}

/** How a case is made: base, back, corners, edges, stock, and how it is brought to the grid. */
export function PanelCaseForm({ piece }: { piece: PanelCase }) {
  const precision = usePrecision();
  const { unit } = precision;
  const { commit } = useSettledBench();
  const { change, length, way } = usePieceFields();
  const t = useTerms();
  const { base, back, overhang = { sides: ZERO, front: ZERO } } = piece;
  return (
    <Section>
      <h2>How the case is made</h2>
      <Grid>
        {way('Base', base.kind, BASES, (kind) => ({ base: baseOf(kind, base, unit) }), 'Changed the base')}
        {base.kind !== 'none' ? (
          <>
            {length('Base height', base.height, (height) => ({ base: { ...base, height } }))}
            {length(
              base.kind === 'toe' ? 'Toe-kick setback' : 'Plinth setback',
              base.setback,
              (setback) => ({ base: { ...base, setback } }),
              true,
            )}
            <WideTick
              isSelected={base.bearers}
              onChange={(bearers) =>
                change({ base: { ...base, bearers } }, bearers ? 'Put bearers under the dividers' : 'Took the bearers out')
              }
            >
              Bearers under the dividers
            </WideTick>
            {base.kind === 'toe' ? (
              <WideTick
                isSelected={base.rear ?? false}
                onChange={(rear) => {
                  const rest = without(base, 'rear');
                  change({ base: rear ? { ...rest, rear } : rest }, rear ? 'Put a bearer along the rear' : 'Took the rear bearer out');
                }}
              >
                A bearer along the rear of the bottom
              </WideTick>
            ) : null}
          </>
        ) : null}
        <HungFields piece={piece} />
        {way('Back', back.kind, BACKS, (kind) => ({ back: backOf(kind, unit) }), 'Changed the back')}
        {back.kind === 'applied' ? (
          <WideTick
            isSelected={back.allRound ?? false}
            onChange={(allRound) =>
              change(
                { back: allRound ? { ...back, allRound } : without(back, 'allRound') },
                allRound ? 'Screwed the back to top and bottom too' : 'Screwed the back to the sides alone',
              )
            }
          >
            The back is screwed to top and bottom too
          </WideTick>
        ) : null}
        {back.kind === 'applied' ? (
          <LengthField
            label="Left open under the back, for air"
            optional
            of={{ in: 'piece', field: 'back.air' }}
            value={back.air ?? null}
            precision={precision}
            onCommit={(air) =>
              change({ back: air === null ? without(back, 'air') : { ...back, air } }, 'Changed what is open under the back')
            }
          />
        ) : null}
        {back.kind === 'groove' ? (
          <WideTick
            isSelected={back.glued ?? false}
            onChange={(glued) => {
              const rest = without(back, 'glued');
              change(
                { back: glued ? { ...rest, glued } : rest },
                glued ? 'Glued the back into its grooves' : 'Left the back loose in its grooves',
              );
            }}
          >
            The back is glued into its grooves
          </WideTick>
        ) : null}
        {back.kind === 'groove' || back.kind === 'rebate' ? (
          <>
            {length(back.kind === 'groove' ? 'Groove depth' : 'Rebate width', back.depth, (depth) => ({ back: { ...back, depth } }))}
            {length('Back cut small by', back.slack, (slack) => ({ back: { ...back, slack } }), true)}
          </>
        ) : null}
        {back.kind === 'groove' ? length('Groove in from rear', back.inset, (inset) => ({ back: { ...back, inset } }), true) : null}
        {way('Top', piece.top, TOPS, (top) => ({ top }), 'Changed how the top sits')}
        {way('Bottom', piece.bottom, BOTTOMS, (bottom) => ({ bottom }), 'Changed how the bottom sits')}
        {piece.top === 'over' && !piece.lid && piece.topDeep === undefined ? (
          <>
            {length('Top past the sides', overhang.sides, (sides) => ({ overhang: { ...overhang, sides } }), true)}
            {length('Top past the front', overhang.front, (front) => ({ overhang: { ...overhang, front } }), true)}
          </>
        ) : null}
        {[piece.top, piece.bottom].some((c) => c === 'rebated' || c === 'housed') ? (
          <LengthField
            label="Into the sides by"
            optional
            value={piece.rebate ?? null}
            precision={precision}
            onCommit={(rebate) =>
              rebate === null
                ? commit({ kind: 'piece', patch: {}, without: ['rebate'] }, t('Rebates half as deep as the sides'))
                : change({ rebate }, t('Changed the rebates'))
            }
          />
        ) : null}
        {back.kind === 'none' ? null : (
          <LengthField
            label="Holes in the back for cables, across"
            optional
            of={{ in: 'piece', field: 'cables' }}
            value={piece.cables ?? null}
            precision={precision}
            onCommit={(cables) =>
              cables === null
                ? commit({ kind: 'piece', patch: {}, without: ['cables'] }, 'No holes for cables')
                : change({ cables }, 'Changed the holes for cables')
            }
          />
        )}
        <BlockFields piece={piece} />
        <BarFields piece={piece} />
        <LidFields piece={piece} />
        <OutlineFields piece={piece} />
        <EdgeFields />
        {(Object.keys(USES) as (keyof typeof USES)[]).map((use) => (
          <StockSelect
            key={use}
            label={ofWhat(piece, use)}
            value={piece.stock[use] ?? piece.stock.sides}
            onChange={(id) => change({ stock: { ...piece.stock, [use]: id } }, `Changed the stock of the ${use}`)}
          />
        ))}
        <GridFields />
      </Grid>
    </Section>
  );
}
