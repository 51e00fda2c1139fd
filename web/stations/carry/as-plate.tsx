import { useMemo, useState } from 'react';
import { allowed, isAcross, panelSpecOf, stateOf, type BendingAnswer, type Beside } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { Fold } from '../../shared/fold.js';
import { seen } from './loaded.js';
import { StateMark } from '../../shared/state-mark.js';
import { Button, Faint, Row, Select, type Choice } from '../../shared/ui.js';
import { useWorker } from '../../shared/use-worker.js';
import { ink, line, tape } from '../../theme/tokens.js';
import type { PlateReply } from './plate.worker.js';
import { Laid } from '../../shared/laid.js';

/** The edges beside its span: its front and back, or where it spans from rear to front its left and right. */
function heldChoices(deep: boolean): readonly Choice<Beside>[] {
  return [
    { id: 'none', label: 'Both other edges free' },
    { id: 'back', label: deep ? 'Held at one side too' : 'Held at the back too' },
    { id: 'both', label: 'Held on all four sides' },
  ];
}

const startPlate = () => new Worker(new URL('./plate.worker.ts', import.meta.url), { type: 'module' });
const FAILED: PlateReply = { error: 'this browser could not start it' };

/** The panel seen from above, the darker the further it sags; its front at the foot. */
function SagMap({ grid, most, deep, ratio }: { grid: readonly (readonly number[])[]; most: number; deep: boolean; ratio: number }) {
  // Rows go from the front of the panel to its back, or, where it spans from rear to front, from left to right.
  const columns = grid[0]?.length ?? 0;
  const across = deep ? grid.length : columns;
  const up = deep ? columns : grid.length;
  const [width, height] = [100, 100 * (deep ? 1 / ratio : ratio)];
  const [w, h] = [width / across, height / up];
  const at = (i: number, j: number) => (deep ? grid[i]?.[up - 1 - j] : grid[up - 1 - j]?.[i]) ?? 0;
  return (
    <Laid.svg viewBox={`0 0 ${width} ${height}`} width="100%" $mostHigh={170} role="img" aria-label="Sag over the panel, its front below">
      {Array.from({ length: across * up }, (_, n) => {
        const [i, j] = [n % across, Math.floor(n / across)];
        const shade = most > 0 ? (0.85 * Math.max(0, at(i, j))) / most : 0;
        return <rect key={n} x={i * w} y={j * h} width={w + 0.1} height={h + 0.1} fill={ink} fillOpacity={shade} />;
      })}
      <rect width={width} height={height} fill="none" stroke={line} strokeWidth={0.5} />
      <line x1={0} x2={width} y1={height - 0.4} y2={height - 0.4} stroke={tape} strokeWidth={0.8} />
    </Laid.svg>
  );
}

/** A member solved as a plate, with its long edges free or held: drawer bottoms, shelves held at the back, strips on one edge. */
export function AsPlate(props: { bending: BendingAnswer }) {
  return <Fold summary="As a plate, edges free or held">{() => <Plate {...props} />}</Fold>;
}

function Plate({ bending }: { bending: BendingAnswer }) {
  const { workshop } = useBench();
  const { unit } = usePrecision();
  const t = useTerms();
  const [held, setHeld] = useState<Beside>(bending.beside);
  const panel = useMemo(() => panelSpecOf(bending, held), [bending, held]);
  const { work: run, stop } = useWorker(startPlate, panel, FAILED);
  const most = bending.room ?? allowed(workshop.settings.limit, Math.min(bending.span, bending.across));
  const deep = !isAcross(bending.along);
  const creep = bending.verdict.creep.judged ? bending.verdict.creep.factor : 1;
  const sags = run.kind === 'done' && !('error' in run.reply) ? stateOf(run.reply.answer.mm * creep, most) : 'not checked';
  return (
    <>
      <Laid.div $above={6} $below={6}>
        <Select label="Beside its span" value={held} choices={heldChoices(deep)} onChange={setHeld} />
      </Laid.div>
      {run.kind === 'working' ? (
        <Row role="status">
          Working it out… <Button onPress={stop}>Stop</Button>
        </Row>
      ) : run.kind === 'stopped' ? (
        <p>Stopped.</p>
      ) : 'error' in run.reply ? (
        <p>
          <StateMark state="not checked" size={14} /> Not checked: {run.reply.error}.
        </p>
      ) : (
        <>
          <p>
            <StateMark state={sags} severity={seen(sags)} size={14} /> Sags {writeFine(run.reply.answer.mm, unit, 3)} today,{' '}
            {writeFine(run.reply.answer.mm * creep, unit, 3)} later
            {deep
              ? ''
              : `: front edge ${writeFine(run.reply.answer.front, unit)}, back edge ${writeFine(run.reply.answer.back, unit)} today`}
            .
          </p>
          <SagMap grid={run.reply.answer.grid} most={run.reply.answer.mm} deep={deep} ratio={bending.section.width / bending.span} />
          <Faint>
            Mesh error {(run.reply.answer.meshError * 100).toFixed(2)} %, worked out in {Math.round(run.reply.answer.took)} ms. An edge
            counts as held only in a groove, under a {t('rebate')}, through screws into studs, or by a glued back of{' '}
            {writeFine(12, unit, 1)} or more.{' '}
            {held !== bending.beside
              ? 'The verdict above does not count on it.'
              : bending.panel
                ? 'The verdict above is of this panel.'
                : 'The verdict above takes it as a beam.'}
          </Faint>
        </>
      )}
    </>
  );
}
