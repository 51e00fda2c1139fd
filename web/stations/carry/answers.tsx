import { useBench } from '../../bench/bench.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Row } from '../../shared/ui.js';
import { useCarried, useLoaded } from './loaded.js';
import { Fixings } from './fixings.js';
import { useDrawnOut } from './in-pose.js';
import { FloorPath, LoadList } from './loads.js';
import { AsPlate } from './as-plate.js';
import { Remedies } from './remedies.js';
import { Verdict } from './verdict.js';
import { GetAwayWith, IfOff } from './what-if.js';
import { Laid } from '../../shared/laid.js';
import { useTerms } from '../../data/project.js';

/** The right side of Carry: the three answers, remedies, the load and its way down, and what if things were otherwise. */
export function CarryAnswers() {
  const { solution } = useBench();
  const loaded = useLoaded();
  const [out] = useDrawnOut();
  const t = useTerms();
  const c = useCarried() ?? loaded[0];
  if (!c) return <Faint>Nothing to carry yet.</Faint>;
  const letter = solution.letters[c.member.id] ?? '';
  const role = t(c.member.role);
  return (
    <section aria-label={`${role} ${letter}`}>
      <h1>
        {role.charAt(0).toUpperCase() + role.slice(1)} {letter}
      </h1>
      <Faint>{c.member.label}</Faint>
      {c.missing ? (
        <Row $above={6} $wrap={false} $align="flex-start">
          <StateMark state={c.falls ? 'fails' : 'not checked'} />{' '}
          <span>{c.falls ? `Comes down: ${c.missing}.` : `Not checked: ${c.missing}.`}</span>
        </Row>
      ) : null}
      {c.throughout ? <p>Carried along its whole length, so that nothing bends.</p> : null}
      <Verdict c={c} />
      {out === null ? <Remedies c={c} /> : null}
      <Laid.div $above={12}>
        <LoadList c={c} />
        <FloorPath c={c} />
        <Fixings c={c} />
        {c.bending ? (
          <>
            <GetAwayWith c={c} bending={c.bending} />
            <IfOff bending={c.bending} />
            <AsPlate key={c.member.id} bending={c.bending} />
          </>
        ) : null}
      </Laid.div>
    </section>
  );
}
