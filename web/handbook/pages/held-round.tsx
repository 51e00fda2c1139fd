import { useMemo, useState } from 'react';
import { sagAllRound, sagOfPanel, type Bending, type PanelSpec } from '../../../core/carry/index.js';
import { writeFine, writeStiffness } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { Faint, Grid, Panel, Table } from '../../shared/ui.js';
import { evenBeam, LengthTrial, MassTrial, MaterialTrial, propertiesFor, sagOfShelf } from '../trial.js';

/** What it does to a panel that more than its ends is held: shelves at a back, bottoms in grooves. */
export function HeldRound() {
  const { unit } = usePrecision();
  const t = useTerms();
  const [wide, setWide] = useState(mm(600));
  const [deep, setDeep] = useState(mm(450));
  const [thickness, setThickness] = useState(mm(6));
  const [kg, setKg] = useState(12);
  const [material, setMaterial] = useState('birch-plywood-thin');
  const rows = useMemo(() => {
    const properties = propertiesFor(material);
    const [a, b] = [toMm(wide), toMm(deep)];
    const [span, width] = [Math.min(a, b), Math.max(a, b)];
    const shelf = { span, depth: width, thickness: toMm(thickness), kg };
    const section: Bending = { width, thickness: shelf.thickness, properties };
    const panel: Omit<PanelSpec, 'edges' | 'beams' | 'lines'> = { beam: evenBeam(shelf, properties), section };
    const back = sagOfPanel({ ...panel, edges: { front: 'free', back: 'simple' }, beams: [], lines: [], mesh: 8 }).mm;
    return [
      ['on the two longer edges alone, as a beam of the shorter span', sagOfShelf(shelf, properties).bending.greatest.mm],
      ['on three edges, one of the shorter ones free', back],
      ['on all four edges', sagAllRound(panel).mm],
    ] as const;
  }, [wide, deep, thickness, kg, material]);
  return (
    <>
      <p>
        A panel that lies on two edges bends like a shelf. Hold a third edge, and it can only sag at the one that is free; hold all four, as
        the grooves of a drawer do, and it bends both ways at once, like the skin of a drum. How much that helps is a matter of shape: a
        square gains most, a long narrow panel hardly anything, since its middle does not know of the ends.
      </p>
      <Panel role="group" aria-label="A panel to try">
        <Grid $columns={3}>
          <LengthTrial label="Wide" value={wide} set={setWide} />
          <LengthTrial label="Deep" value={deep} set={setDeep} />
          <LengthTrial label="Thick" value={thickness} set={setThickness} />
          <MassTrial label="Load, spread evenly" value={kg} set={setKg} most={500} />
          <MaterialTrial value={material} set={setMaterial} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>Held</th>
              <th className="figure">Sags today</th>
              <th className="figure">Of a beam</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([held, sag]) => (
              <tr key={held}>
                <td>{held}</td>
                <td className="figure">{writeFine(sag, unit)}</td>
                <td className="figure">{Math.round((100 * sag) / rows[0][1])} %</td>
              </tr>
            ))}
          </tbody>
        </Table>
        <Faint>
          With its own weight, the sheet running along the shorter span. Thin plates: Navier’s series for four edges, elements for three.
          All edges are free to turn.
        </Faint>
      </Panel>
      <p>
        An edge counts as held in a groove or a {t('rebate')}, on a ledge, or glued or screwed to something that is itself stiff. A thin
        back that is tacked on holds no shelf: it counts from {writeFine(12, unit, 1)} on when it is glued, or where screws go through it
        into studs that were found.
      </p>
      <p>
        A panel that is held on three edges, or on one line, also twists, and that goes by the shear modulus G of the sheet in its own
        plane. Plies crossed at right angles all have the same low one: {writeStiffness(0.62, unit)} for birch plywood, whatever its two E
        may be. A rule that makes G out of E would have it five times too stiff.
      </p>
      <p>
        A {t('toe board')} on the floor pushes up under the front of the bottom panel and never pulls it down, so that such a bottom sags at
        its rear. A bearer along the rear, or a back screwed to it, holds that edge too. On a plinth it spans from rail to rail.
      </p>
      <p>
        A bottom under the box, or in a {t('rebate')} from below, hangs on its screws or on glue. Screws that are pulled out of the edge of
        plywood or particleboard have no published values: a groove is the safer way.
      </p>
    </>
  );
}
