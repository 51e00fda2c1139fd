import { useNavigate } from 'react-router';
import { PHASE_NAMES } from '../../../core/build/index.js';
import { cutTruth, paceLearnt } from '../../../core/log/index.js';
import { formatLength } from '../../../core/length/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { newId } from '../../data/defaults.js';
import { usePrecision, useProject } from '../../data/project.js';
import { today } from '../../shared/clock.js';
import { Button, Faint } from '../../shared/ui.js';
import { useBuilding } from '../build/use-building.js';
import { Laid } from '../../shared/laid.js';

/** What building taught, and a new start from it. */
export function LogAnswers() {
  const { id, bench, saver } = useProject();
  const { pieceId, piece, workshop } = useSettledBench();
  const { pace } = useBuilding();
  const precision = usePrecision();
  const navigate = useNavigate();
  const truth = cutTruth(workshop.made ?? new Map());
  const paces = paceLearnt(pace);
  const nextTime = bench.records.log.filter((e) => e.data.is === 'next time');
  const nameOf = (of: string) => bench.records.pieces.find((p) => p.id === of)?.data.piece.name ?? 'a piece that is gone';
  const from = bench.records.log.find((e) => e.data.piece === pieceId && e.data.from)?.data.from;
  const anew = async () => {
    const next = newId(
      `${piece.name} again`,
      bench.records.pieces.map((p) => p.id),
    );
    try {
      await saver.create(
        'pieces',
        next,
        { ...piece, name: `${piece.name}, again`.slice(0, 80) },
        `Started ${piece.name} again`.slice(0, 150),
      );
      await saver.create(
        'log',
        newId(
          `log ${next}`,
          bench.records.log.map((e) => e.id),
        ),
        { piece: next, day: today(), is: 'note', text: `Started anew from ${piece.name}.`, from: pieceId },
        'Where it was started from',
      );
      void navigate(`/p/${id}/pieces/${next}/measure`);
    } catch (error) {
      saver.say({ tone: 'refused', text: (error as Error).message });
    }
  };
  return (
    <>
      <section aria-label="What was learnt">
        <h1>What was learnt</h1>
        {truth ? (
          <p>
            {truth.count} {truth.count === 1 ? 'part' : 'parts'} measured: usually {formatLength(truth.usually, precision)} {precision.unit}{' '}
            off the plan, at the farthest {formatLength(truth.farthest, precision)} {precision.unit}.
          </p>
        ) : (
          <Faint>Measure parts as they are cut, and note what steps took: what you learn is used in the next plan.</Faint>
        )}
        {paces.map(({ phase, times }) => (
          <p key={phase}>
            {PHASE_NAMES[phase].charAt(0).toUpperCase()}
            {PHASE_NAMES[phase].slice(1)} takes you{' '}
            {times > 1 ? `${times.toFixed(1)} times as long as` : `${Math.round(times * 100)} % of what is`} reckoned; plans go by that.
          </p>
        ))}
      </section>
      {nextTime.length > 0 ? (
        <Laid.section aria-label="Next time" $above={14}>
          <h3>Next time</h3>
          <ul>
            {nextTime.map((e) => (
              <Laid.li key={e.id} $pad="3px 0">
                {e.data.text} <Faint>{e.data.piece === pieceId ? '' : nameOf(e.data.piece)}</Faint>
              </Laid.li>
            ))}
          </ul>
        </Laid.section>
      ) : null}
      <Laid.section aria-label="Start anew" $above={14}>
        <h3>For another place</h3>
        {from ? <p>It was started from {nameOf(from)}.</p> : null}
        <Button onPress={() => void anew()}>Start a new piece from this one</Button>
      </Laid.section>
    </>
  );
}
