import { useMemo } from 'react';
import {
  OFF_BY,
  PERSON,
  getAwayWith,
  ifOff,
  ofWhatIsSafe,
  type BendingAnswer,
  type CarriedMember,
  type Would,
  partOfPerson,
  withPerson,
} from '../../../core/carry/index.js';
import { writeFine, writeMass } from '../../../core/figure/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { Fold } from '../../shared/fold.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Table } from '../../shared/ui.js';
import { STATE_WORD, seen } from './loaded.js';
import { Laid } from '../../shared/laid.js';
import { asKg } from '../../../core/measures/index.js';

/** The longest, thinnest and heaviest that would still do, everything else as it is. */
export function GetAwayWith(props: { c: CarriedMember; bending: BendingAnswer }) {
  return <Fold summary="What could I get away with?">{() => <CouldBe {...props} />}</Fold>;
}

function CouldBe({ c, bending }: { c: CarriedMember; bending: BendingAnswer }) {
  const { workshop, solution } = useBench();
  const { unit } = usePrecision();
  const most = useMemo(() => getAwayWith(bending, workshop.settings), [bending, workshop]);
  const person = useMemo(
    () => withPerson(bending, workshop.settings, partOfPerson(solution.shape, c.member)),
    [bending, workshop, solution, c],
  );
  const kg = c.standing.reduce((sum, s) => sum + s.kg, 0);
  const rows = [
    [
      'longest span',
      most.span === null ? 'none' : most.span === Infinity ? 'any' : writeFine(most.span, unit, 1),
      writeFine(bending.span, unit, 1),
    ],
    ...(bending.builtUp
      ? []
      : [
          [
            'least thickness',
            most.thickness === null ? 'none' : writeFine(most.thickness, unit),
            writeFine(bending.section.thickness, unit),
          ],
        ]),
    most.load === null || kg === 0
      ? ['most load', most.load === null ? 'none' : `${most.load.toFixed(2)} times`, 'as it is']
      : ['most load', writeMass(asKg(kg * most.load), unit), writeMass(asKg(kg), unit)],
  ];
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th>Passes up to</th>
            <th className="figure">could be</th>
            <th className="figure">is</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, could, is]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="figure">{could}</td>
              <td className="figure">{is}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Faint>One at a time, in the long term, under as much on each length of it.</Faint>
      <Laid.p $above={6}>
        <StateMark state={person.state} size={14} /> If someone of {writeMass(asKg(PERSON.kg), unit)} sits down or stands{' '}
        {person.stands === 'in the middle' ? 'on its middle' : 'on the middle of its edge'}, which counts twice:{' '}
        {writeFine(person.mm, unit)} of sag
        {person.used === null ? ', strength not checked' : `, ${ofWhatIsSafe(person.used, false)}`}. Anything people sit, sleep or stand on
        wants more care than this figure.
      </Laid.p>
    </>
  );
}

const WHAT = {
  load: ['the load', 'more', 'less'],
  span: ['the span', 'longer', 'shorter'],
  thickness: ['the thickness', 'thinner', 'thicker'],
  elastic: ['the stiffness of the wood', 'softer', 'stiffer'],
  creep: ['creep', 'more', 'less'],
} as const;

function Then({ would }: { would: Would }) {
  const { unit } = usePrecision();
  return (
    <>
      {writeFine(would.mm, unit)}{' '}
      <StateMark state={would.state} severity={would.state === 'fails' && (would.used ?? 0) > 1 ? 'stop' : seen(would.state)} size={13} />
      <span className="visually-hidden">{STATE_WORD[would.state]}</span>
    </>
  );
}

/** How the verdict changes when what it rests on is off by a fifth. */
export function IfOff(props: { bending: BendingAnswer }) {
  return <Fold summary="If the load or wood differs">{() => <Off {...props} />}</Fold>;
}

function Off({ bending }: { bending: BendingAnswer }) {
  const { workshop } = useBench();
  const { each, all } = useMemo(() => ifOff(bending, workshop.settings), [bending, workshop]);
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th>{bending.verdict.creep.judged ? 'Sag later' : 'Sag today'}</th>
            <th className="figure">{OFF_BY * 100} % against you</th>
            <th className="figure">{OFF_BY * 100} % for you</th>
          </tr>
        </thead>
        <tbody>
          {each.map((e) => (
            <tr key={e.what}>
              <td>
                {WHAT[e.what][0]}{' '}
                <Faint>
                  {WHAT[e.what][1]}, {WHAT[e.what][2]}
                </Faint>
              </td>
              <td className="figure">
                <Then would={e.against} />
              </td>
              <td className="figure">
                <Then would={e.better} />
              </td>
            </tr>
          ))}
          <tr>
            <td>
              <strong>all against you</strong>
            </td>
            <td className="figure">
              <Then would={all} />
            </td>
            <td />
          </tr>
        </tbody>
      </Table>
    </>
  );
}
