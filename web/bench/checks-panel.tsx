import { memo, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { writeSentence } from '../../core/figure/index.js';
import type { Check, Fix } from '../../core/checks/index.js';
import { compare, newStops, type TriedFix } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { StateMark, severityWord } from '../shared/state-mark.js';
import { Button, Faint } from '../shared/ui.js';
import { line as rule, link } from '../theme/tokens.js';
import { useBench, useSettledBench, type Draft } from './bench.js';
import { MovedList } from './moved.js';
import { TriedLine, useTriedFixes } from './tried-fixes.js';
import { useLater } from './use-later.js';
import { Laid } from '../shared/laid.js';

const List = styled.ul`
  border-top: 1px solid ${rule};
  > li {
    display: flex;
    gap: 10px;
    padding: 9px 0;
    border-bottom: 1px solid ${rule};
  }
  > li > div {
    min-width: 0;
  }
  p {
    line-height: 1.3;
  }
`;

const Fixes = styled.ul`
  margin-top: 4px;
  display: grid;
  gap: 4px;
  > li {
    display: grid;
    gap: 4px;
    justify-items: start;
  }
`;

const Sentence = styled.button`
  all: unset;
  cursor: pointer;
  display: block;
  &:focus-visible {
    outline: 3px solid ${link};
  }
`;

/** What a way to mend something would change, while the bench shows it. */
function FixChanges() {
  const { settled, solution } = useBench();
  const precision = usePrecision();
  const [stop] = newStops(settled, solution);
  return (
    <>
      <MovedList moved={compare(settled, solution)} most={4} />
      {stop ? (
        <p>
          <StateMark state={stop.state} severity="stop" size={15} /> But then: {writeSentence(stop.sentence, precision)}
        </p>
      ) : null}
    </>
  );
}

function draftOf(change: Fix['change']): Draft {
  switch (change.target) {
    case 'piece':
      return { kind: 'edit', edit: change.edit, look: true };
    case 'opening':
      return { kind: 'opening', id: change.id, opening: change.opening, look: true };
    case 'built':
      return { kind: 'built', read: change, look: true };
  }
}

/** A way to mend something: looked at on the drawing first, then used. */
function FixRow({ fix, name, looking, tried }: { fix: Fix; name: string; looking: boolean; tried: TriedFix | undefined }) {
  const { applyChange, setDraft } = useSettledBench();
  const precision = usePrecision();
  const [open, setOpen] = useState(false);
  const label = writeSentence(fix.label, precision);
  const look = () => {
    setOpen(true);
    setDraft(draftOf(fix.change));
  };
  const leave = () => {
    setOpen(false);
    setDraft(null);
  };
  if (!open || !looking) {
    return (
      <li>
        <Button onPress={look} aria-label={`${label}: look at it first. ${name}`} $text="left">
          {label}
        </Button>
        {tried ? <TriedLine tried={tried} /> : null}
      </li>
    );
  }
  return (
    <li>
      <strong>{label}</strong>
      <FixChanges />
      <Laid.div $display="flex" $gap={6}>
        <Button data-main autoFocus onPress={() => (setOpen(false), applyChange(fix.change, label.slice(0, 150)))}>
          Do it
        </Button>
        <Button onPress={leave}>Cancel</Button>
      </Laid.div>
    </li>
  );
}

/** The ways to mend what a check tells, in the order of what they come to once they were tried; none that would stop the build. */
function FixList({ check, looking, tried }: { check: Check; looking: boolean; tried: readonly TriedFix[] }) {
  const precision = usePrecision();
  if (check.fixes.length === 0) return null;
  const name = `For: ${writeSentence(check.sentence, precision)}`;
  const by = new Map(tried.map((t) => [t.at, t]));
  const order = [...by.keys(), ...check.fixes.flatMap((_, i) => (by.has(i) ? [] : [i]))];
  return (
    <Fixes>
      {order.map((i) => {
        const fix = check.fixes[i];
        return fix && !by.get(i)?.stops ? <FixRow key={i} fix={fix} looking={looking} name={name} tried={by.get(i)} /> : null;
      })}
    </Fixes>
  );
}

/** What each check leads to: the station where it can be looked into. */
function CheckLink({ check }: { check: Check }) {
  const { project, piece } = useParams();
  if (!check.remedyFor) return null;
  return <Link to={`/p/${project}/pieces/${piece}/carry?at=${encodeURIComponent(check.remedyFor)}`}>Ways to stiffen it</Link>;
}

/** How many are shown before the rest is asked for. */
const FIRST = { open: 12, good: 3 };

/** The checks of the piece, worst first. The figures that are typed are painted before them. */
export function ChecksPanel() {
  const { solution, settled, draft } = useBench();
  const looking = draft?.look === true;
  // While a fix is looked at, the checks stay as they are, so that it can be done or left.
  const { checks } = useLater(looking ? settled : solution);
  return <CheckList checks={checks} looking={looking} />;
}

/** Checks, worst first; those that are fine are folded. */
const CheckList = memo(function CheckList({ checks, looking }: { checks: readonly Check[]; looking: boolean }) {
  const { select } = useSettledBench();
  const precision = usePrecision();
  const [all, setAll] = useState(false);
  const open = checks.filter((c) => c.severity !== 'good');
  const good = checks.filter((c) => c.severity === 'good');
  const shown = all ? [...open, ...good] : [...open.slice(0, FIRST.open), ...good.slice(0, FIRST.good)];
  const moreOpen = Math.max(0, open.length - FIRST.open);
  const moreGood = Math.max(0, good.length - FIRST.good);
  const more = [...(moreOpen > 0 ? [`${moreOpen} more to look at`] : []), ...(moreGood > 0 ? [`${moreGood} more are fine`] : [])];
  const tried = useTriedFixes(open.slice(0, FIRST.open));
  const pick = (check: Check) => 'id' in check.about && select(check.about.id);
  return (
    <section aria-label="Checks on this piece">
      <Laid.h2 $below={6}>Checks on this piece</Laid.h2>
      {shown.length === 0 ? <Faint>Nothing to check yet.</Faint> : null}
      <List>
        {shown.map((check) => (
          <li key={check.id} data-check={check.id}>
            <StateMark state={check.state} severity={check.severity} />
            <div>
              <span className="visually-hidden">{severityWord(check.severity, check.state)}: </span>
              {'id' in check.about ? (
                <Sentence onClick={() => pick(check)}>{writeSentence(check.sentence, precision)}</Sentence>
              ) : (
                <p>{writeSentence(check.sentence, precision)}</p>
              )}
              <CheckLink check={check} />
              <FixList check={check} looking={looking} tried={tried.get(check.id) ?? []} />
            </div>
          </li>
        ))}
      </List>
      {more.length > 0 ? (
        <Button data-quiet onPress={() => setAll(!all)}>
          {all ? 'Fewer' : more.join(', ')}
        </Button>
      ) : null}
    </section>
  );
});
