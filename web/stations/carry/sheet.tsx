import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { alike, assumedOn, limitName, type CarriedMember } from '../../../core/carry/index.js';
import { hangs } from '../../../core/piece/index.js';
import { writeFine, writeWeight, writeMass } from '../../../core/figure/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { usePrecision } from '../../data/project.js';
import { useBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { StateMark } from '../../shared/state-mark.js';
import { LineLoadField } from '../../shared/line-load-field.js';
import { Button, Faint, WideTick } from '../../shared/ui.js';
import { line, link, tape, tapePale } from '../../theme/tokens.js';
import { useDrawnOut } from './in-pose.js';
import { standingOf, useCarried, useLoaded } from './loaded.js';
import { TipList } from './tip-list.js';
import { Laid } from '../../shared/laid.js';
import { Term } from '../../shared/term.js';

const List = styled.ul`
  border-top: 1px solid ${line};
  li {
    border-bottom: 1px solid ${line};
  }
  li > button {
    all: unset;
    box-sizing: border-box;
    display: flex;
    gap: 8px;
    width: 100%;
    padding: 7px 6px;
    cursor: pointer;
    align-items: flex-start;
  }
  li > button:focus-visible {
    outline: 3px solid ${link};
  }
  li > button[aria-pressed='true'] {
    background: ${tapePale};
    box-shadow: inset 0 0 0 2px ${tape};
  }
`;

const Letters = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 2px 0 6px 30px;
  font-size: 13px;
  button {
    padding: 2px 6px;
    min-height: 0;
  }
`;

/** So many letters of members like the chosen one are listed. */
const MOST_LETTERS = 20;

/** The worksheet of Carry: every member that bends, worst first. */
export function CarrySheet() {
  const { solution, piece, workshop, commit } = useBench();
  const { change } = usePieceFields();
  const chosen = useCarried();
  const precision = usePrecision();
  const { project } = useParams();
  const loaded = useLoaded();
  const [out] = useDrawnOut();
  const { settings } = workshop;
  const assumed = assumedOn([...solution.carried.members.values()]);
  return (
    <>
      <Laid.header $below={10}>
        <h1>What bends</h1>
        <Faint>
          Limit {limitName(settings.limit)}, service class {settings.serviceClass}. Change them in{' '}
          <Link to={`/p/${project}/settings`}>the project’s settings</Link>.
        </Faint>
      </Laid.header>
      <List>
        {alike(loaded).map((group) => (
          <Alike key={group[0]?.member.id} group={group} chosen={chosen?.member.id} />
        ))}
      </List>
      <Laid.p $above={12} $size={13}>
        {hangs(solution.shape) ? 'Total weight on the wall: ' : 'Total weight on the floor: '}
        <strong>{writeWeight(solution.carried.floor, precision.unit)}</strong>, of which the piece itself is{' '}
        {writeMass(solution.carried.massKg, precision.unit)}
        {assumed > 0 ? `, and ${writeMass(assumed, precision.unit)} are assumed` : ''}.
      </Laid.p>
      <Laid.div $above={8} $below={8}>
        <LineLoadField
          label="Load on every shelf"
          value={piece.shelfLoad ?? null}
          onCommit={(shelfLoad) =>
            commit(
              { kind: 'piece', ...(shelfLoad === null ? { patch: {}, without: ['shelfLoad'] } : { patch: { shelfLoad } }) },
              'Change the load on every shelf',
            )
          }
        />
      </Laid.div>
      {assumed > 0 ? (
        <WideTick
          isSelected={piece.forBooks ?? false}
          onChange={(forBooks) => change({ forBooks }, forBooks ? 'Its shelves are for books' : 'Its shelves are for stores')}
        >
          Empty shelves are for books
        </WideTick>
      ) : null}
      {out === null ? <TipList /> : null}
    </>
  );
}

/** Where a member is, beside its letter: the bay of a shelf, the drawer of what belongs to one. */
function placeOf({ member }: CarriedMember, solution: Solution): string {
  if (member.role === 'shelf') return member.label.split(',')[0] ?? '';
  return solution.shape.bodies.find((b) => b.members.includes(member.id))?.label ?? '';
}

/** Members that bend alike on one line: the chosen one of them, and the letters of the others once one is chosen. */
function Alike({ group, chosen }: { group: readonly CarriedMember[]; chosen: string | undefined }) {
  const { solution, select } = useBench();
  const precision = usePrecision();
  const [c] = [...group.filter((one) => one.member.id === chosen), ...group] as [CarriedMember, ...CarriedMember[]];
  const on = c.member.id === chosen;
  const others = group.length - 1;
  const stands = standingOf(solution, c);
  return (
    <li>
      <button onClick={() => select(c.member.id)} aria-pressed={on}>
        <StateMark state={stands.state} severity={stands.severity} />
        <span>
          <strong>
            <Term>{c.member.role}</Term> {solution.letters[c.member.id]}
          </strong>{' '}
          <Faint>{[placeOf(c, solution), others > 0 ? `and ${others} more like it` : ''].filter(Boolean).join(', ')}</Faint>
          <br />
          {c.bending && (c.missing === null || c.bending.verdict.today.state === 'fails') ? (
            <Laid.span $size={13}>
              {writeFine(c.bending.verdict.today.mm, precision.unit)} today
              {c.bending.verdict.later ? `, ${writeFine(c.bending.verdict.later.mm, precision.unit)} later` : ''}
            </Laid.span>
          ) : (
            <Faint>{c.falls ? `comes down: ${c.missing}` : c.throughout ? 'carried along its whole length' : c.missing}</Faint>
          )}
          <span className="visually-hidden">, {stands.word}</span>
        </span>
      </button>
      {on && others > 0 ? (
        <Letters>
          <Faint>like it:</Faint>
          {group
            .filter((one) => one !== c)
            .slice(0, MOST_LETTERS)
            .map((one) => (
              <Button key={one.member.id} data-quiet onPress={() => select(one.member.id)} aria-label={`${one.member.label}, like it`}>
                {solution.letters[one.member.id] ?? one.member.label}
              </Button>
            ))}
          {others > MOST_LETTERS ? <Faint>and {others - MOST_LETTERS} more, on the drawing</Faint> : null}
        </Letters>
      ) : null}
    </li>
  );
}
