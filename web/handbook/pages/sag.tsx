import { useState } from 'react';
import { NAMED_LIMITS, creepOf } from '../../../core/carry/index.js';
import { writeFine, writeStiffness } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Faint, Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MassTrial, MaterialTrial, propertiesFor, sagOfShelf } from '../trial.js';
import { Laid } from '../../shared/laid.js';

/** A shelf to try figures on. */
function ShelfTrial() {
  const precision = usePrecision();
  const { workshop } = useProject();
  const [span, setSpan] = useState(mm(800));
  const [depth, setDepth] = useState(mm(300));
  const [thickness, setThickness] = useState(mm(18));
  const [kg, setKg] = useState(30);
  const [material, setMaterial] = useState('birch-plywood');
  const properties = propertiesFor(material);
  const [L, b, t] = [span, depth, thickness].map((l) => toMm(l)) as [number, number, number];
  // As full on each length.
  const at = (length: number, thick: number) =>
    sagOfShelf({ span: length, depth: b, thickness: thick, kg: (kg * length) / L }, properties).mm;
  const now = at(L, t);
  const creep = creepOf(properties.material, workshop.settings);
  const write = (value: number) => writeFine(value, precision.unit);
  return (
    <Panel role="group" aria-label="A shelf to try">
      <Grid $columns={3}>
        <LengthTrial label="Span" value={span} set={setSpan} />
        <LengthTrial label="Depth" value={depth} set={setDepth} />
        <LengthTrial label="Thickness" value={thickness} set={setThickness} />
        <MassTrial label="Load, spread evenly" value={kg} set={setKg} most={2000} />
        <MaterialTrial value={material} set={setMaterial} />
      </Grid>
      <Table $above={12}>
        <thead>
          <tr>
            <th>Shelf</th>
            <th className="figure">Sags today</th>
            <th className="figure">In the long term</th>
            <th className="figure">Times</th>
          </tr>
        </thead>
        <tbody>
          {(
            [
              ['as above', L, t],
              ['a quarter longer, as full', L * 1.25, t],
              ['a quarter thicker', L, t * 1.25],
              ['twice as thick', L, t * 2],
            ] as const
          ).map(([name, length, thick]) => {
            const sag = at(length, thick);
            return (
              <tr key={name}>
                <td>{name}</td>
                <td className="figure">{write(sag)}</td>
                <td className="figure">{creep.judged ? write(sag * creep.factor) : 'not checked'}</td>
                <td className="figure">{(sag / now).toFixed(2)}</td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Laid.p $above={8}>
        <Faint>
          {NAMED_LIMITS.map((l) => `span/${l.over} allows ${write(L / l.over)}`).join('; ')}. E{' '}
          {writeStiffness(properties.elastic, precision.unit)}, {properties.material.source}.
        </Faint>
      </Laid.p>
    </Panel>
  );
}

/** Why shelves sag, with a shelf to try its claims on. */
export function Sag() {
  return (
    <>
      <p>
        A shelf bends under what stands on it and under its own weight. Four things decide how far: the load, the span, the thickness and
        the stiffness of the material. They do not count alike.
      </p>
      <h2>Span counts most</h2>
      <p>
        With the same load on each foot of shelf, sag grows with the fourth power of the span: a quarter longer is 2.4 times the sag. With
        the same load in all, it grows with the third. Depth hardly matters, since a deeper shelf is stiffer by as much as it holds more.
      </p>
      <h2>Then thickness</h2>
      <p>
        Sag falls with the third power of thickness. Twice as thick is an eighth of the sag, if the two layers are glued. Two loose layers
        are only twice as stiff as one.
      </p>
      <ShelfTrial />
      <h2>How far to trust it</h2>
      <p>
        Boards of one kind differ in stiffness by some 20 %. From 80 % of a limit on, a member is shown as close. Typical values are
        replaced by the maker’s figure or your own test, in the stockroom. Where something is missing, a mass or a class the material is not
        made for, the answer is “not checked” and never green.
      </p>
      <h2>The way to the floor</h2>
      <p>
        A shelf gives half its load to each side. A divider that takes half of many shelves stands on the bottom panel, and where nothing is
        under that panel, it bends far more than any shelf. A support counts only when its own load reaches the floor.
      </p>
    </>
  );
}
