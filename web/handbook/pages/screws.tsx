import { useState } from 'react';
import {
  KEEP,
  WOOD_SCREWS,
  combined,
  gravityOf,
  lateral,
  leftBeforePoint,
  penetration,
  shankOf,
  withdrawal,
  type ScrewJoint,
  type ScrewValue,
} from '../../../core/carry/index.js';
import { writeFine, writeForce } from '../../../core/figure/index.js';
import { pocketScrewLength } from '../../../core/joints/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { MATERIALS } from '../../../core/stock/index.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Grid, Panel, Select, Table } from '../../shared/ui.js';
import { LengthTrial, NumberTrial, propertiesFor } from '../trial.js';
import { asDegrees, asNewtons } from '../../../core/measures/index.js';

/** What a screw holds, sideways, pulled out, and both. */
export function Screws() {
  const { unit } = usePrecision();
  const t = useTerms();
  const [name, setName] = useState('No. 8');
  const [length, setLength] = useState(mm(50));
  const [through, setThrough] = useState(mm(18));
  const [deep, setDeep] = useState(mm(100));
  const [into, setInto] = useState('white-pine');
  const [grain, setGrain] = useState<'side' | 'end'>('side');
  const [degrees, setDegrees] = useState(0);
  const screw = WOOD_SCREWS.find((s) => s.name === name) ?? WOOD_SCREWS[1];
  if (!screw) return null;
  const gravity = gravityOf(propertiesFor(into));
  const wood = (endGrain: boolean) => (gravity === undefined ? { endGrain } : { gravity, endGrain });
  const joint: ScrewJoint = {
    screw,
    length: toMm(length),
    side: { thickness: toMm(through), wood: wood(false) },
    main: { thickness: toMm(deep), wood: wood(grain === 'end') },
  };
  const [across, out] = [lateral(joint), withdrawal(joint)];
  const both = across.judged && out.judged && out.newtons > 0 ? combined(out.newtons, across.newtons, asDegrees(degrees)) : null;
  const said = (v: ScrewValue) => (v.judged ? writeForce(v.newtons, unit) : 'not checked');
  const why = (v: ScrewValue) => (v.judged ? v.basis : v.reason);
  const D = shankOf(screw);
  const left = leftBeforePoint(joint);
  const pocket = pocketScrewLength(through, unit);
  return (
    <>
      <p>
        A screw that is pushed sideways bends and crushes the wood; one that is pulled strips it. In end grain it holds two thirds sideways
        and is not counted on against a pull at all. In the edges of MDF and particleboard nothing is published, so nothing is checked.
      </p>
      <Panel role="group" aria-label="A screw to try">
        <Grid $columns={3}>
          <Select label="Screw" value={name} choices={WOOD_SCREWS.map((s) => ({ id: s.name, label: s.name }))} onChange={setName} />
          <LengthTrial label="Length" value={length} set={setLength} />
          <LengthTrial label="Goes through" value={through} set={setThrough} />
          <Select
            label="Into"
            value={into}
            choices={MATERIALS.filter((m) => m.form !== 'metal').map((m) => ({ id: m.id, label: m.name }))}
            onChange={setInto}
          />
          <Select
            label="Grain"
            value={grain}
            choices={[
              { id: 'side', label: 'side grain, a face' },
              { id: 'end', label: 'end grain' },
            ]}
            onChange={setGrain}
          />
          <LengthTrial label="That is deep" value={deep} set={setDeep} />
          <NumberTrial label="Pull at, ° from the face" value={degrees} set={setDegrees} most={90} />
        </Grid>
        <Table $above={10}>
          <tbody>
            <tr>
              <td>In the wood</td>
              <td className="figure">{writeFine(penetration(joint), unit, 1)}</td>
              <td>
                <Faint>
                  at least {writeFine(6 * D, unit, 1)}, full value at {writeFine(10 * D, unit, 1)}
                </Faint>
              </td>
            </tr>
            <tr>
              <td>
                <StateMark state={left < 0 ? 'fails' : left < D ? 'close' : 'fine'} size={14} /> Left before its point
              </td>
              <td className="figure">{left < 0 ? `pokes ${writeFine(-left, unit, 1)} through` : writeFine(left, unit, 1)}</td>
              <td>
                <Faint>nothing pokes through, hits another screw or lands on a seam</Faint>
              </td>
            </tr>
            <tr>
              <td>Sideways, for years</td>
              <td className="figure">{said(across)}</td>
              <td>
                <Faint>{why(across)}</Faint>
              </td>
            </tr>
            <tr>
              <td>Pulled out, for years</td>
              <td className="figure">{said(out)}</td>
              <td>
                <Faint>{why(out)}</Faint>
              </td>
            </tr>
            <tr>
              <td>Both, at {degrees}°</td>
              <td className="figure">{both === null ? 'not checked' : writeForce(asNewtons(both), unit)}</td>
              <td>
                <Faint>NDS 2018 12.4-1</Faint>
              </td>
            </tr>
            <tr>
              <td>Keep from an edge, an end, the next</td>
              <td className="figure">{[KEEP.edge, KEEP.endAlongGrain, KEEP.between].map((k) => writeFine(k * D, unit, 0)).join(', ')}</td>
              <td>
                <Faint>with a pilot hole</Faint>
              </td>
            </tr>
            <tr>
              <td>Pocket screw for this thickness</td>
              <td className="figure">{pocket === null ? 'none usual' : writeFine(toMm(pocket), unit, 1)}</td>
              <td>
                <Faint>typical; makers’ tables have the last word</Faint>
              </td>
            </tr>
          </tbody>
        </Table>
      </Panel>
      <p>Nothing heavy hangs on screws alone: {t('house')} it, or let it stand on something, and let the screws only keep it there.</p>
    </>
  );
}
