import { useMemo } from 'react';
import { allScrews, clashesOf, fixingsOf, pathToFloor, screwsAlong, worse, type CarriedMember } from '../../../core/carry/index.js';
import { clashSentence, heldIn } from '../../../core/checks/index.js';
import { writeForce, writeMass, writeSentence } from '../../../core/figure/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { StateMark } from '../../shared/state-mark.js';
import { Button, Table } from '../../shared/ui.js';
import { STATE_WORD, nameIn } from './loaded.js';

/** What a member carries; each load that comes from above can be followed up. */
export function LoadList({ c }: { c: CarriedMember }) {
  const { solution, select } = useBench();
  const { unit } = usePrecision();
  return (
    <details style={{ marginTop: 8, fontSize: 13 }}>
      <summary>What it carries: {writeForce(c.total, unit)}</summary>
      <Table>
        <caption className="visually-hidden">What it carries</caption>
        <tbody>
          <tr>
            <td>its own weight</td>
            <td className="figure">{writeMass(c.selfKg, unit)}</td>
          </tr>
          {c.standing.map((s) => (
            <tr key={s.space}>
              <td>stands on it: {solution.shape.spaces.get(s.space)?.label}</td>
              <td className="figure">{writeMass(s.kg, unit)}</td>
            </tr>
          ))}
          {c.handed.map((h, i) => (
            <tr key={i}>
              <td>
                handed down by{' '}
                <Button data-quiet onPress={() => select(h.from)} style={{ padding: 0, minHeight: 0 }}>
                  {nameIn(solution, h.from)}
                </Button>
              </td>
              <td className="figure">{writeForce(h.newtons, unit)}</td>
            </tr>
          ))}
          <tr>
            <td>
              <strong>in all</strong>
            </td>
            <td className="figure">
              <strong>{writeForce(c.total, unit)}</strong>
            </td>
          </tr>
        </tbody>
      </Table>
    </details>
  );
}

const HOW = {
  bearing: 'stands on',
  housed: 'is housed in',
  pins: 'lies on pins in',
  screws: 'hangs on screws alone in',
  'pocket screws': 'hangs on pocket screws in',
  nails: 'is nailed to',
  slide: 'runs on slides on',
  glued: 'is glued along',
  'screwed along': 'is screwed along',
  'held along': 'is held along its edge by',
} as const;

/** The way of a member's load to the floor, joint by joint; each step can be clicked and is drawn. */
export function FloorPath({ c }: { c: CarriedMember }) {
  const { solution, select } = useBench();
  const { unit } = usePrecision();
  const steps = useMemo(() => pathToFloor(solution.carried, c.member.id), [solution, c]);
  return (
    <details style={{ marginTop: 8, fontSize: 13 }}>
      <summary>
        The way to the floor: {steps.length} {steps.length === 1 ? 'joint' : 'joints'}, drawn in blue
      </summary>
      <ol style={{ paddingLeft: 18 }}>
        {steps.map((s, i) => (
          <li key={i} style={{ padding: '2px 0' }}>
            <Button data-quiet onPress={() => select(s.from)} style={{ padding: 0, minHeight: 0 }}>
              {nameIn(solution, s.from)}
            </Button>{' '}
            {HOW[s.how]} {nameIn(solution, s.to)}: {writeForce(s.newtons, unit)}
          </li>
        ))}
      </ol>
    </details>
  );
}

/** How the ends of a member are held, and what that takes. */
export function Fixings({ c }: { c: CarriedMember }) {
  const { solution, workshop } = useBench();
  const precision = usePrecision();
  const ends = useMemo(() => {
    const members = new Map(solution.shape.members.map((m) => [m.id, m]));
    return fixingsOf(c, members, workshop.settings);
  }, [solution, c, workshop]);
  const clashes = useMemo(
    () => clashesOf(allScrews(solution.carried)).filter((clash) => heldIn(clash).includes(c.member.id)),
    [solution, c],
  );
  const along = c.bending?.builtUp ? screwsAlong(c.bending.builtUp) : [];
  if (ends.length + along.length === 0) return null;
  const worst = [...ends, ...along].map((f) => f.state).reduce(worse, clashes.length > 0 ? 'fails' : 'fine');
  return (
    <details style={{ marginTop: 8, fontSize: 13 }}>
      <summary>
        <StateMark state={worst} size={14} /> How it is held: {clashes.length > 0 ? 'screws in the way' : STATE_WORD[worst]}
      </summary>
      <ul>
        {ends.map((f, i) => (
          <li key={i} style={{ padding: '3px 0' }}>
            <StateMark state={f.state} size={13} /> {nameIn(solution, f.support.carrier)}, {writeForce(f.support.newtons, precision.unit)}.{' '}
            {writeSentence(f.sentence, precision)}
          </li>
        ))}
        {clashes.map((clash, i) => (
          <li key={`clash-${i}`} style={{ padding: '3px 0' }}>
            <StateMark state="fails" size={13} />{' '}
            {writeSentence(
              clashSentence(clash, (id) => nameIn(solution, id)),
              precision,
            )}
          </li>
        ))}
        {along.map((f) => (
          <li key={f.member.id} style={{ padding: '3px 0' }}>
            <StateMark state={f.state} size={13} /> {writeSentence(f.sentence, precision)}
          </li>
        ))}
      </ul>
      <HandbookLink page="screws">What screws hold</HandbookLink>
    </details>
  );
}
