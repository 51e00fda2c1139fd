import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { writeSentence } from '../../core/figure/index.js';
import type { Check, Fix } from '../../core/checks/index.js';
import { applyEdit } from '../../core/piece/index.js';
import { compare, solve } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { StateMark, severityWord } from '../shared/state-mark.js';
import { Button, Faint } from '../shared/ui.js';
import { line as rule } from '../theme/tokens.js';
import { useBench } from './bench.js';
import { MovedList } from './moved.js';

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
    outline: 3px solid #1b5aa8;
  }
`;

/** A way to mend something: looked at on the drawing first, then used. */
function FixRow({ fix, name }: { fix: Fix; name: string }) {
  const { applyChange, setDraft, draft, piece, workshop, settled } = useBench();
  const precision = usePrecision();
  const [open, setOpen] = useState(false);
  const label = writeSentence(fix.label, precision);
  const shown = open && draft?.look === true;
  const look = () => {
    setOpen(true);
    setDraft(
      fix.change.target === 'piece'
        ? { kind: 'edit', edit: fix.change.edit, look: true }
        : { kind: 'opening', id: fix.change.id, opening: fix.change.opening, look: true },
    );
  };
  const leave = () => {
    setOpen(false);
    setDraft(null);
  };
  if (!shown) {
    return (
      <li>
        <Button onPress={look} aria-label={`${label}: look at it first. ${name}`} style={{ textAlign: 'left' }}>
          {label}
        </Button>
      </li>
    );
  }
  const after =
    fix.change.target === 'piece'
      ? solve(applyEdit(piece, fix.change.edit), workshop, settled.letters)
      : solve(piece, { ...workshop, openings: new Map(workshop.openings).set(fix.change.id, fix.change.opening) }, settled.letters);
  return (
    <li>
      <strong>{label}</strong>
      <MovedList moved={compare(settled, after)} most={4} />
      <div style={{ display: 'flex', gap: 6 }}>
        <Button data-main autoFocus onPress={() => (setOpen(false), applyChange(fix.change, label.slice(0, 150)))}>
          Do it
        </Button>
        <Button onPress={leave}>Leave it</Button>
      </div>
    </li>
  );
}

/** What each check leads to: the station where it can be looked into. */
function CheckLink({ check }: { check: Check }) {
  const { project, piece } = useParams();
  if (!check.remedyFor) return null;
  return <Link to={`/p/${project}/pieces/${piece}/carry?at=${encodeURIComponent(check.remedyFor)}`}>Ways to stiffen it</Link>;
}

const FOLDED = 3;

/** The checks of the piece, worst first; those that are fine are folded. */
export function ChecksPanel() {
  const { solution, settled, draft, select } = useBench();
  const precision = usePrecision();
  const [all, setAll] = useState(false);
  // While a fix is looked at, the checks stay as they are, so that it can be done or left.
  const { checks } = draft?.look ? settled : solution;
  const open = checks.filter((c) => c.severity !== 'good');
  const good = checks.filter((c) => c.severity === 'good');
  const shown = [...open, ...(all ? good : good.slice(0, FOLDED))];
  const pick = (check: Check) => 'id' in check.about && select(check.about.id);
  return (
    <section aria-label="Checks on this piece">
      <h2 style={{ marginBottom: 6 }}>Checks on this piece</h2>
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
              {check.fixes.length > 0 ? (
                <Fixes>
                  {check.fixes.map((fix, i) => (
                    <FixRow key={i} fix={fix} name={`For: ${writeSentence(check.sentence, precision)}`} />
                  ))}
                </Fixes>
              ) : null}
            </div>
          </li>
        ))}
      </List>
      {good.length > FOLDED ? (
        <Button data-quiet onPress={() => setAll(!all)}>
          {all ? 'Fewer' : `${good.length - FOLDED} more are fine`}
        </Button>
      ) : null}
    </section>
  );
}
