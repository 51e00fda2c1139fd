import styled from 'styled-components';
import {
  NAMED_LIMITS,
  bestCase,
  leavesOut,
  limitName,
  movementOf,
  ofWhatIsSafe,
  type BendingAnswer,
  type CarriedMember,
  type PanelSag,
} from '../../../core/carry/index.js';
import { writeFine, writeSentence, writeStiffness, writeStress } from '../../../core/figure/index.js';
import { toMm } from '../../../core/length/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Row } from '../../shared/ui.js';
import { line } from '../../theme/tokens.js';
import { STATE_WORD, seen } from './loaded.js';
import { Laid } from '../../shared/laid.js';

const Answers = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0;
  border: 1px solid ${line};
  margin: 8px 0;
  > div {
    padding: 8px;
    border-left: 1px solid ${line};
  }
  > div:first-child {
    border-left: 0;
  }
  strong {
    display: block;
    font-size: 16px;
    line-height: 1.2;
    white-space: nowrap;
  }
`;

/** Today, in the long term, and the limit that is met: three answers side by side. */
function ThreeAnswers({ verdict }: { verdict: BendingAnswer['verdict'] }) {
  const { unit } = usePrecision();
  return (
    <Answers>
      <div>
        <Faint>Today</Faint>
        <strong>{writeFine(verdict.today.mm, unit)}</strong>
        <Row $gap={4}>
          <StateMark state={verdict.today.state} severity={seen(verdict.today.state)} size={15} />{' '}
          <Faint>{STATE_WORD[verdict.today.state]}</Faint>
        </Row>
      </div>
      <div>
        <Faint>After years</Faint>
        <strong>{verdict.later ? writeFine(verdict.later.mm, unit) : 'not checked'}</strong>
        <Row $gap={4}>
          <StateMark state={verdict.later?.state ?? 'not checked'} severity={seen(verdict.later?.state ?? 'not checked')} size={15} />{' '}
          <Faint>{verdict.later ? STATE_WORD[verdict.later.state] : ''}</Faint>
        </Row>
      </div>
      <div>
        <Faint>Meets</Faint>
        <strong>{verdict.meets ? `span/${verdict.meets.over}` : 'none'}</strong>
        <Faint>{verdict.meets ? verdict.meets.meaning : `span/${Math.floor(verdict.ratio)}: plainly bowed`}</Faint>
      </div>
    </Answers>
  );
}

/** How near the member is to breaking. */
function StrengthLine({ strength }: Pick<BendingAnswer, 'strength'>) {
  return (
    <Row $gap={6} $size={13} $align="flex-start" $wrap={false}>
      <StateMark state={strength.state} size={15} />
      <span>
        {strength.used === null || !strength.strength.judged
          ? `Strength is not checked: ${strength.strength.judged ? '' : strength.strength.reason}.`
          : `Carries ${ofWhatIsSafe(strength.used)}.`}
      </span>
    </Row>
  );
}

/** What a verdict rests on, in full. */
function RestsOn({ c, bending }: { c: CarriedMember; bending: BendingAnswer }) {
  const { workshop, solution } = useBench();
  const precision = usePrecision();
  const { unit } = precision;
  const members = new Map(solution.shape.members.map((m) => [m.id, m]));
  const left = leavesOut(c, members, workshop.settings).map((s) => writeSentence(s, precision));
  const { verdict, span, sag, strength, patterns, builtUp, section } = bending;
  const moves = movementOf(c.member.stock.material, toMm(c.member.width.value), workshop.settings.serviceClass);
  const { properties } = section;
  const best = bestCase(bending);
  return (
    <Laid.details $size={13} $above={4}>
      <summary>All limits, and what this rests on</summary>
      <Laid.ul $above={4} $below={4}>
        {NAMED_LIMITS.map((l) => (
          <li key={l.over}>
            span/{l.over}: {writeFine(span / l.over, unit, 3)}, {verdict.today.mm <= span / l.over ? 'met today' : 'not met today'}
            {verdict.later ? (verdict.later.mm <= span / l.over ? ', met later' : ', not met later') : ''} <Faint>{l.meaning}</Faint>
          </li>
        ))}
      </Laid.ul>
      <p>
        E {writeStiffness(properties.elastic, unit)} for {c.member.stock.name},{' '}
        {properties.spread !== undefined
          ? `by your own test, which may be out by ${Math.round(properties.spread * 100)} %`
          : properties.ownElastic
            ? 'your own or the maker’s figure'
            : properties.material.source}
        . G in its plane {writeStiffness(properties.shear, unit)}. The ends are free to turn
        {best === null ? '' : `; ends that cannot turn would leave ${writeFine(best, unit)} today, the best there could be`}.{' '}
        {patterns.tried > 1
          ? `${patterns.tried} ways of loading its spans were tried; ${patterns.placed ? 'things close together where it gives most is the worst, and counts' : patterns.partial ? 'some spans empty is the worst, and counts' : 'all loaded is the worst'}.`
          : ''}
      </p>
      <p>
        The table’s E is read two ways, and the greater sag counts: bending alone {writeFine(sag.bending.greatest.mm, unit, 3)}, with shear
        by itself {writeFine(sag.withShear().greatest.mm, unit, 3)}.
        {section.narrow ? ' It is narrower at its notches, and its strength is judged by what they leave.' : ''}
        {builtUp
          ? ` Its parts are ${builtUp.connection.kind === 'glued' ? 'glued, so that they bend as one' : `screwed every ${unit === 'mm' ? '150 mm' : '5 7/8 in'}, so that they slip (EN 1995-1-1 annex B)`}.`
          : ''}
      </p>
      {strength.strength.judged ? (
        <p>
          Strength: bent to {writeStress(strength.stress, unit)} of {writeStress(strength.strength.allowed, unit)};{' '}
          {writeSentence(strength.strength.basis, precision)}.
        </p>
      ) : null}
      <p>Left out, or taken for granted:</p>
      <Laid.ul $above={4} $below={4}>
        {left.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </Laid.ul>
      {moves ? (
        <p>
          Solid wood moves: over a year it gets {writeFine(moves.quarter, unit)} (quarter sawn) to {writeFine(moves.flat, unit)} (flat sawn)
          wider and narrower again, from {moves.from} to {moves.to} % moisture (USDA Wood Handbook, table 13-5
          {moves.stretched ? ', stretched past the 6 to 14 % it holds for' : ''}).{' '}
          <HandbookLink page="movement">Solid wood moves</HandbookLink>
        </p>
      ) : null}
      <p>
        <HandbookLink page="sag">Why sag grows as it does</HandbookLink> · <HandbookLink page="creep">today and later</HandbookLink> ·{' '}
        <HandbookLink page="sight">limits of sight</HandbookLink> · <HandbookLink page="fixed">fixed and loose</HandbookLink> ·{' '}
        <HandbookLink page="tables">why tables disagree</HandbookLink>
        {section.properties.material.form === 'sheet' ? (
          <>
            {' '}
            · <HandbookLink page="direction">which way the sheet runs</HandbookLink>
          </>
        ) : null}
      </p>
    </Laid.details>
  );
}

/** How a panel bends that is no beam. */
function BothWays({ bending: { beside, builtUp, sag, lines }, panel }: { bending: BendingAnswer; panel: PanelSag }) {
  const { unit } = usePrecision();
  return (
    <Laid.p $size={13} $above={4}>
      {beside === 'both' ? (
        <>
          Held on all four sides it bends both ways, as a plate. As a beam of its span alone it would sag {writeFine(sag.mm, unit)}.{' '}
          <HandbookLink page="round">Panels held all round</HandbookLink>
        </>
      ) : (
        <>
          {builtUp?.oneSided
            ? 'The strip holds one edge and the other sags by twist'
            : lines.length > 1
              ? 'It lies on rails under its front and its rear, and spans from one to the other'
              : lines.length === 1
                ? 'What stands under its front holds that, and it sags at the rear'
                : 'Held at the back, it sags at the front'}
          : front {writeFine(panel.front, unit)}, back {writeFine(panel.back, unit)} today.{' '}
          {builtUp ? (
            <HandbookLink page="stiffeners">Strips and twist</HandbookLink>
          ) : (
            <HandbookLink page="round">Panels held all round</HandbookLink>
          )}
        </>
      )}
    </Laid.p>
  );
}

/** The verdict on a member that bends: sag, strength, and what it rests on. */
export function Verdict({ c }: { c: CarriedMember }) {
  const { workshop } = useBench();
  const { unit } = usePrecision();
  if (!c.bending) return null;
  const { verdict, span, panel, strength, room, across } = c.bending;
  return (
    <>
      <ThreeAnswers verdict={verdict} />
      <StrengthLine strength={strength} />
      {panel ? <BothWays bending={c.bending} panel={panel} /> : null}
      <Laid.p $size={13} $above={4}>
        Span {writeFine(Math.min(span, across), unit)}.{' '}
        {room === null
          ? `${limitName(workshop.settings.limit)} allows ${writeFine(verdict.allowed, unit)}.`
          : room === Infinity
            ? 'Nobody sees it and nothing is under it: it has only to hold.'
            : `Nobody sees it: it has only to hold, and ${writeFine(room, unit)} of room is under it.`}{' '}
        {verdict.creep.judged ? `Long term: × ${Number(verdict.creep.factor.toFixed(2))} (${verdict.creep.basis}).` : verdict.creep.reason}
      </Laid.p>
      <RestsOn c={c} bending={c.bending} />
    </>
  );
}
