import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { creepOf } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { MATERIALS } from '../../../core/stock/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Panel, Table } from '../../shared/ui.js';
import { SizeTrial } from '../trial.js';

const SHOWN = ['red-oak', 'birch-plywood', 'osb3', 'particleboard-moisture', 'particleboard', 'mdf-moisture', 'mdf'];

/** How sag grows under a load that stays. */
export function Creep() {
  const { unit } = usePrecision();
  const { workshop } = useProject();
  const { project } = useParams();
  const [today, setToday] = useState(1);
  const said = (id: string, serviceClass: 1 | 2 | 3, creepSchool: 'kdef' | 'half') => {
    const material = MATERIALS.find((m) => m.id === id);
    const creep = material && creepOf(material, { serviceClass, creepSchool });
    return creep?.judged ? writeFine(today * creep.factor, unit) : 'not for it';
  };
  return (
    <>
      <p>
        Wood gives way slowly. Under a load that stays for years a shelf sags again as much as on the first day, or more. When the load is
        taken off, part of that stays. Warm, damp and changing air make it worse, and boards of chips and fibres give way most.
      </p>
      <Panel role="group" aria-label="Sag today and later">
        <SizeTrial label="Sag today" value={today} set={setToday} />
        <Table $above={10}>
          <thead>
            <tr>
              <th>In the long term</th>
              <th className="figure">1, heated room</th>
              <th className="figure">2, unheated</th>
              <th className="figure">3, wet</th>
              <th className="figure">half as much again</th>
            </tr>
          </thead>
          <tbody>
            {SHOWN.map((id) => (
              <tr key={id}>
                <td>{MATERIALS.find((m) => m.id === id)?.name}</td>
                {([1, 2, 3] as const).map((c) => (
                  <td key={c} className="figure">
                    {said(id, c, 'kdef')}
                  </td>
                ))}
                <td className="figure">{said(id, workshop.settings.serviceClass, 'half')}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
      <p>
        Two schools. EN 1995-1-1 multiplies the lasting load’s sag by 1 + kdef, by material and service class (table 3.2): it is the
        default. The other adds half as much again for seasoned solid wood, and doubles for panels, as NDS does. What is put in wet sags far
        more. We show today and the long term and draw no curve between, since that wants a law for the wood in hand.
      </p>
      <p>
        Choose the class and the school in <Link to={`/p/${project}/settings`}>the project’s settings</Link>; what each does to the verdicts
        is shown there.
      </p>
    </>
  );
}
