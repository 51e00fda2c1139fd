import { useMemo } from 'react';
import { pathToFloor, type CarriedMember } from '../../../core/carry/index.js';
import { writeForce, writeMass, writeWeight } from '../../../core/figure/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { Button, Faint, Table } from '../../shared/ui.js';
import { LineLoadField } from '../../shared/line-load-field.js';
import { nameIn } from './loaded.js';
import { Laid } from '../../shared/laid.js';
import { asNewtons } from '../../../core/measures/index.js';

/** What a member carries; each load that comes from above can be followed up. */
export function LoadList({ c }: { c: CarriedMember }) {
  const { solution, select, commit } = useBench();
  const { unit } = usePrecision();
  // The open spaces whose floor it is: what stands there is entered here.
  const over = [...solution.shape.spaces.values()].filter(
    ({ space, neighbours }) => neighbours.below === c.member.id && !space.split && !space.filling,
  );
  return (
    <Laid.details $above={8} $size={13}>
      <summary>What it carries: {writeWeight(c.total, unit)}</summary>
      <Table>
        <caption className="visually-hidden">What it carries</caption>
        <tbody>
          <tr>
            <td>its own weight</td>
            <td className="figure">{writeMass(c.selfKg, unit)}</td>
          </tr>
          {c.standing.map((s) => (
            <tr key={s.space}>
              <td>
                {s.assumed ? 'assumed, as at home, since nothing is entered' : 'stands on it'}: {solution.shape.spaces.get(s.space)?.label}
              </td>
              <td className="figure">{writeMass(s.kg, unit)}</td>
            </tr>
          ))}
          {c.handed.map((h, i) => (
            <tr key={i}>
              <td>
                handed down by{' '}
                <Button data-quiet onPress={() => select(h.from)} $pad={0} $leastHigh={0}>
                  {nameIn(solution, h.from)}
                </Button>
              </td>
              <td className="figure">{writeWeight(h.newtons, unit)}</td>
            </tr>
          ))}
          <tr>
            <td>
              <strong>in all</strong>
            </td>
            <td className="figure">
              <strong>{writeWeight(c.total, unit)}</strong> <Faint>{writeForce(c.total, unit)}</Faint>
            </td>
          </tr>
          {c.bending ? (
            <tr>
              <td>on each {unit === 'mm' ? 'metre' : 'foot'} of its span</td>
              <td className="figure">{writeWeight(asNewtons(c.total / (c.bending.span / (unit === 'mm' ? 1000 : 304.8))), unit)}</td>
            </tr>
          ) : null}
        </tbody>
      </Table>
      {over.map((space) => (
        <LineLoadField
          key={space.id}
          label={`Load in ${space.label}`}
          value={space.space.load ?? null}
          onCommit={(load) => commit({ kind: 'load', space: space.id, load }, `Change the load in ${space.label}`.slice(0, 150))}
        />
      ))}
    </Laid.details>
  );
}

const HOW = {
  bearing: 'stands on',
  housed: 'is housed in',
  pins: 'lies on pins in',
  screws: 'hangs on screws alone in',
  'pocket screws': 'hangs on pocket screws in',
  bolts: 'hangs on bolts in',
  nails: 'is nailed to',
  slide: 'runs on slides on',
  glued: 'is glued along',
  'screwed along': 'is screwed along',
  'held along': 'is held along its edge by',
  hung: 'hangs on',
  pivot: 'turns on a pin in',
} as const;

/** The way of a member's load to the floor, joint by joint; each step can be clicked and is drawn. */
export function FloorPath({ c }: { c: CarriedMember }) {
  const { solution, select } = useBench();
  const { unit } = usePrecision();
  const t = useTerms();
  const steps = useMemo(() => pathToFloor(solution.carried, c.member.id), [solution, c]);
  return (
    <Laid.details $above={8} $size={13}>
      <summary>
        What holds it up: {steps.length} {steps.length === 1 ? 'joint' : 'joints'}, drawn in blue
      </summary>
      <Laid.ol $pad="0 0 0 18px">
        {steps.map((s, i) => (
          <Laid.li key={i} $pad="2px 0">
            <Button data-quiet onPress={() => select(s.from)} $pad={0} $leastHigh={0}>
              {nameIn(solution, s.from)}
            </Button>{' '}
            {t(HOW[s.how])} {nameIn(solution, s.to)}: {writeWeight(s.newtons, unit)} <Faint>{writeForce(s.newtons, unit)}</Faint>
          </Laid.li>
        ))}
      </Laid.ol>
    </Laid.details>
  );
}
