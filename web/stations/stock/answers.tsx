import { markOf } from '../../../core/layout/names.js';
import { ZERO, formatLength, type Length } from '../../../core/length/index.js';
import { useMoney, usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { Button, Faint, Grid, Row, Section, Select, Tick } from '../../shared/ui.js';
import { WentWrong } from './cut-list.js';
import { allPinned, turnable, unpinned } from './edits.js';
import { useMoves } from './use-moves.js';
import { boundText, sheetName, sumsText } from './words.js';
import {
  lookAgain,
  sheetsOf,
  stopLooking,
  sumsFor,
  useCutting,
  useLayouts,
  usePicked,
  useStockShown,
  type StockToCut,
} from './use-cutting.js';
import type { Layout } from './layouts.js';
import { Laid } from '../../shared/laid.js';

/** How the search for a better layout stands, with a way to end it. */
function Looking({ stock, layout }: { stock: StockToCut; layout: Layout | undefined }) {
  const done = layout?.standing?.done ?? 0;
  if (layout?.ended === 'stopped') {
    return (
      <Row $above={6}>
        <Faint>Stopped: the best so far is kept.</Faint>
        <Button onPress={() => lookAgain(stock)}>Look on</Button>
      </Row>
    );
  }
  if (done >= 1 || layout?.ended) return null;
  return (
    <Row $above={6}>
      <Laid.progress max={1} value={done} aria-label={`Looking for a better layout of ${stock.stock.name}`} $width={120} />
      <Faint>{Math.round(done * 100)} %</Faint>
      <Button onPress={() => stopLooking(stock)}>Stop</Button>
    </Row>
  );
}

/** The part that is picked: where it lies, turned, held, moved to another sheet. */
function PickedPart({ stock, layout }: { stock: StockToCut; layout: Layout | undefined }) {
  const precision = usePrecision();
  const { cutting, change, pieces } = useCutting();
  const [picked] = usePicked(stock);
  const sheets = sheetsOf(stock, layout);
  const { placeOf, isHeld: held, mayTurn, move, turn, holdOrLetGo } = useMoves(stock, sheets);
  if (!picked) return <Faint>Pick a part to see where it lies, and to move it.</Faint>;
  const place = placeOf(picked);
  const at = place?.nth ?? -1;
  const [sheet, part] = [sheets[at], place?.part];
  const mark = markOf(picked, pieces);
  const write = (l: Length) => formatLength(l, precision);
  const isHeld = held(picked);
  const open = sheets.map((s, nth) => ({ s, nth })).filter(({ s }) => !s.begun);
  return (
    <section aria-label={`Part ${mark}`}>
      <h1>{picked.test ? 'To try settings on' : `${mark}: ${picked.part.member.role}`}</h1>
      <Faint>
        {pieces.length > 1 ? `${picked.piece.solution.piece.name}. ` : ''}
        {write(picked.length)} × {write(picked.width)} {precision.unit}
        {picked.strip ? `, strip ${picked.strip.nth + 1} of ${picked.strip.of} that it is glued from` : ''}
        {picked.spare ? ', to spare' : ''}. {picked.grain ? 'Its grain runs along its length.' : 'It may lie either way.'}
      </Faint>
      {!part || !sheet ? (
        <p>It has no place.</p>
      ) : (
        <>
          <Laid.p $above={6} $below={6}>
            {sheetName(stock, sheet, at)}; it lies {part.turned ? 'across' : 'along'}
            {isHeld ? ', held there' : ''}.
          </Laid.p>
          {sheet.begun ? (
            <WentWrong begun={sheet.begun} partKey={picked.key} mark={mark} props={{ stock, sheets, marks: new Map(), cutting, change }} />
          ) : (
            <>
              <Grid $columns={2}>
                <LengthField
                  label="From the end"
                  value={part.x}
                  least={ZERO}
                  precision={precision}
                  onCommit={(x) => x !== null && move(picked, { spot: { x } })}
                />
                <LengthField
                  label="From the edge"
                  value={part.y}
                  least={ZERO}
                  precision={precision}
                  onCommit={(y) => y !== null && move(picked, { spot: { y } })}
                />
              </Grid>
              {open.length > 1 ? (
                <Laid.div $above={8}>
                  <Select
                    label="Lies on"
                    value={`${at}`}
                    choices={open.map(({ s, nth }) => ({ id: `${nth}`, label: sheetName(stock, s, nth) }))}
                    onChange={(nth) => Number(nth) !== at && move(picked, { sheet: Number(nth) })}
                  />
                </Laid.div>
              ) : null}
              <Row $above={8}>
                <Button onPress={() => holdOrLetGo(picked)}>{isHeld ? 'Let it lie anywhere' : 'Hold it here'}</Button>
                <Button isDisabled={!mayTurn(picked)} onPress={() => turn(picked)}>
                  Turn
                </Button>
              </Row>
              {picked.grain ? (
                <Laid.div $above={8}>
                  <Tick
                    isSelected={cutting.turns.includes(picked.key)}
                    onChange={(to) => change(turnable(cutting, picked, to), `${mark} ${to ? 'may lie' : 'does not lie'} across the grain`)}
                  >
                    May lie across the grain
                  </Tick>
                </Laid.div>
              ) : null}
              <Row $above={8}>
                <Button
                  data-quiet
                  onPress={() =>
                    change(allPinned(cutting, stock.id, sheet.laid), `Held all on ${sheetName(stock, sheet, at).toLowerCase()}`)
                  }
                >
                  Hold everything on this {stock.stock.form}
                </Button>
              </Row>
            </>
          )}
        </>
      )}
    </section>
  );
}

/** What the layout of a stock comes to, and the part that is picked. */
export function StockAnswers() {
  const inMoney = useMoney();
  const { bench } = useProject();
  const precision = usePrecision();
  const { stocks, cutting, change } = useCutting();
  const [stock] = useStockShown(stocks);
  const layouts = useLayouts(stocks, stock);
  if (!stock) return <Faint>No parts yet.</Faint>;
  const layout = layouts.get(stock.id);
  const sums = sumsFor(stock, layout, bench);
  const answer = layout?.standing?.answer;
  const looking = !layout?.ended && (layout?.standing?.done ?? 0) < 1;
  const held = new Set(cutting.pins.filter((p) => p.stock === stock.id).map((p) => p.part));
  return (
    <>
      <PickedPart stock={stock} layout={layout} />
      <Section $above={14} aria-label={`What ${stock.stock.name} comes to`}>
        <h2>{stock.stock.name}</h2>
        {sums ? (
          <>
            <p>
              {sumsText(stock, sums) || 'Nothing is opened'}
              {sums.money > 0 ? `: ${inMoney(sums.money)}` : ''}
              {sums.atLeast ? ' (no price)' : ''}. {Math.round(sums.yield * 100)} % becomes parts; {sums.cuts}{' '}
              {sums.cuts === 1 ? 'cut' : 'cuts'}, {sums.settings} {sums.settings === 1 ? 'setting' : 'settings'}.
            </p>
            {answer ? <p>{boundText(stock, sums, answer, looking)}</p> : null}
            {sums.rests.length > 0 ? (
              <p>
                Left over to keep:{' '}
                {sums.rests
                  .slice(0, 4)
                  .map((r) => `${formatLength(r.length, precision)} × ${formatLength(r.width, precision)}`)
                  .join(', ')}
                {sums.rests.length > 4 ? ` and ${sums.rests.length - 4} more` : ''}.
              </p>
            ) : null}
          </>
        ) : null}
        <Looking stock={stock} layout={layout} />
        {held.size > 0 ? (
          <Row $above={6}>
            <Button onPress={() => change(unpinned(cutting, held), `All of ${stock.stock.name} may lie anywhere`)}>
              Let all {held.size} held lie anywhere
            </Button>
          </Row>
        ) : null}
      </Section>
    </>
  );
}
