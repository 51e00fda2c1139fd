import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { CarriedMember } from '../../../core/carry/index.js';
import { weakEnds } from '../../../core/checks/index.js';
import { writeFine, writeWeight, writeMass, writeSentence } from '../../../core/figure/index.js';
import { toMm } from '../../../core/length/index.js';
import type { PieceEdit } from '../../../core/piece/index.js';
import { breaksThrough, type Remedy } from '../../../core/solution/index.js';
import { useBench } from '../../bench/bench.js';
import { MovedList } from '../../bench/moved.js';
import { useMoney, usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { Button, Faint, Row } from '../../shared/ui.js';
import { useWorker } from '../../shared/use-worker.js';
import { line } from '../../theme/tokens.js';
import { nameIn } from './loaded.js';
import type { RemediesAsked } from './remedies.worker.js';
import { Laid } from '../../shared/laid.js';
import { asKg, asNewtons } from '../../../core/measures/index.js';

const Tried = styled.li`
  padding: 6px 0;
  border-bottom: 1px solid ${line};
`;

/** What a remedy costs, in one line. */
function Price({ r }: { r: Remedy }) {
  const inMoney = useMoney();
  const precision = usePrecision();
  const { unit } = precision;
  const signed = (n: number, text: string) => `${n < 0 ? '−' : '+'}${text}`;
  const parts = [
    r.today === null
      ? 'then nothing bends'
      : `${writeFine(r.today, unit)} today${r.later === null ? '' : `, ${writeFine(r.later, unit)} later`}`,
    signed(r.addedKg, writeMass(asKg(Math.abs(r.addedKg)), unit)),
    ...(r.addedCost === null ? ['price not known'] : [`cost ${signed(r.addedCost, inMoney(Math.abs(r.addedCost)))}`]),
    ...(r.lostHeight > 0 ? [`${writeFine(toMm(r.lostHeight), unit, 1)} of height lost`] : []),
  ];
  return <Faint>{parts.join(' · ')}</Faint>;
}

/** What a remedy does to the rest of the piece. */
function Effects({ r }: { r: Remedy }) {
  const { settled } = useBench();
  const precision = usePrecision();
  return (
    <Laid.div $size={13}>
      <p>It shows: {writeSentence(r.looks, precision)}.</p>
      {r.endsFail ? <p>Its ends do not hold after it either: that is a check of its own.</p> : null}
      {r.below.length > 0 ? (
        <p>
          Carries more below:{' '}
          {r.below
            .slice(0, 3)
            .map(
              (b) =>
                `${nameIn(settled, b.id)} ${writeWeight(asNewtons(b.after), precision.unit)}, was ${writeWeight(asNewtons(b.before), precision.unit)}`,
            )
            .join('; ')}
          .
        </p>
      ) : null}
      <MovedList moved={r.moved} most={4} />
    </Laid.div>
  );
}

const startRemedies = () => new Worker(new URL('./remedies.worker.ts', import.meta.url), { type: 'module' });
const NONE: readonly Remedy[] = [];

/** Changes that make a member pass, tried in the solver in a worker, looked at on the drawing and done with one click. */
export function Remedies({ c }: { c: CarriedMember }) {
  const { settled, workshop, commit, setDraft, draft } = useBench();
  const precision = usePrecision();
  const [open, setOpen] = useState<number | null>(null);
  const state = settled.carried.members.get(c.member.id)?.state;
  const endsFail = weakEnds(settled.checks).has(c.member.id);
  const wanted = state === 'fails' || state === 'close' || endsFail || breaksThrough(settled, c.member.id);
  const member = c.member.id;
  const ask = useMemo<RemediesAsked | null>(
    () => (wanted ? { piece: settled.piece, workshop, letters: settled.letters, member } : null),
    [settled, workshop, member, wanted],
  );
  const { work, stop } = useWorker(startRemedies, ask, NONE);
  if (!wanted) return null;
  const remedies = work.kind === 'done' ? work.reply : NONE;
  const look = (i: number, edit: PieceEdit) => {
    setOpen(i);
    setDraft({ kind: 'edit', edit, look: true });
  };
  return (
    <Laid.section aria-label="Ways to stiffen it" $above={14}>
      <h2>Ways to stiffen it</h2>
      <Faint>
        Each was tried: these pass, the least wood first. <HandbookLink page="stiffeners">Strips, layers and twist</HandbookLink> ·{' '}
        <HandbookLink page="thumb">rules of thumb</HandbookLink>
      </Faint>
      {work.kind === 'working' ? (
        <Row role="status">
          Trying changes… <Button onPress={stop}>Stop</Button>
        </Row>
      ) : null}
      {work.kind === 'stopped' ? <p>Stopped.</p> : null}
      {work.kind === 'done' && remedies.length === 0 ? (
        <p>
          None is enough: other stock, strips, a second layer, an upright or a divider more, the back, a bearer or a muntin under it, its
          ends held otherwise with as many screws as go in, and what stands on it moved elsewhere were all tried. Lighten the load, or
          narrow the bay.
        </p>
      ) : null}
      <ul>
        {remedies.map((r, i) => {
          const label = writeSentence(r.label, precision);
          const shown = open === i && draft?.look === true;
          return (
            <Tried key={label}>
              {shown ? (
                <>
                  <strong>{label}</strong>
                  <Effects r={r} />
                  <Row $above={4}>
                    <Button data-main autoFocus onPress={() => commit(r.edit, label.slice(0, 150))}>
                      Do it
                    </Button>
                    <Button onPress={() => setDraft(null)}>Cancel</Button>
                  </Row>
                </>
              ) : (
                <Button onPress={() => look(i, r.edit)} $text="left">
                  {label}
                </Button>
              )}
              <div>
                <Price r={r} />
              </div>
            </Tried>
          );
        })}
      </ul>
    </Laid.section>
  );
}
