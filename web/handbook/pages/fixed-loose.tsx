import { useState } from 'react';
import { writeFine } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MassTrial, MaterialTrial, propertiesFor, sagOfShelf } from '../trial.js';

/** What fixed and loose shelves do and cost. */
export function FixedLoose() {
  const { unit } = usePrecision();
  const t = useTerms();
  const [span, setSpan] = useState(mm(800));
  const [kg, setKg] = useState(30);
  const [material, setMaterial] = useState('birch-plywood');
  const shelf = { span: toMm(span), depth: 300, thickness: 18, kg };
  const [loose, fixed] = [false, true].map((f) => sagOfShelf({ ...shelf, fixed: f }, propertiesFor(material)).mm) as [number, number];
  return (
    <>
      <p>
        On paper, ends that cannot turn make a shelf five times as stiff. In wood they turn: pins and cleats hold nothing, and a{' '}
        {t('housing')} or a few screws give long before the shelf is held. So every verdict takes the ends as free to turn, and the best
        case is shown beside it.
      </p>
      <Panel role="group" aria-label="Ends to try">
        <Grid $columns={3}>
          <LengthTrial label="Span" value={span} set={setSpan} />
          <MassTrial label="Load, spread evenly" value={kg} set={setKg} most={1000} />
          <MaterialTrial value={material} set={setMaterial} />
        </Grid>
        <Table $above={10}>
          <tbody>
            <tr>
              <td>Ends free to turn: what is judged</td>
              <td className="figure">{writeFine(loose, unit)}</td>
            </tr>
            <tr>
              <td>Ends that cannot turn: the best there could be</td>
              <td className="figure">{writeFine(fixed, unit)}</td>
            </tr>
          </tbody>
        </Table>
      </Panel>
      <h2>What each costs</h2>
      <ul>
        <li>
          A fixed shelf ties the sides together and keeps the case from racking. It stays where it is, and its {t('housings')} weaken the
          sides.
        </li>
        <li>A loose one moves later and is made in a minute. It does nothing for the case, which then wants a back or a fixed shelf.</li>
        <li>A usual way: one fixed shelf near the middle height, the others loose.</li>
      </ul>
    </>
  );
}
