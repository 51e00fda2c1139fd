import { useState } from 'react';
import { cleatFaces, cleatForces, lagWithdrawal, shareOfStud, studsCrossed } from '../../../core/carry/index.js';
import { writeFine, writeForce } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MassTrial, NumberTrial } from '../trial.js';
import { asKg, asNewtons } from '../../../core/measures/index.js';

/** A quarter-inch lag into a softwood stud. */
const LAG = { diameter: 0.25, gravity: 0.42 } as const;

/** What a bevelled cleat and its studs have to hold. */
export function Cleat() {
  const { unit } = usePrecision();
  const [kg, setKg] = useState(38);
  const [out, setOut] = useState(mm(120));
  const [drop, setDrop] = useState(mm(520));
  const [friction, setFriction] = useState(0);
  const [long, setLong] = useState(mm(1000));
  const [spacing, setSpacing] = useState(mm(450));
  const [thread, setThread] = useState(mm(40));
  const [board, setBoard] = useState(mm(120));
  const [thick, setThick] = useState(mm(18));
  const f = cleatForces({ kg: asKg(kg), out: toMm(out), drop: toMm(drop), friction });
  const studs = studsCrossed(toMm(long), toMm(spacing));
  const faces = cleatFaces(toMm(board), toMm(thick), 3);
  const atStud = f.pull * shareOfStud(studs.sure);
  const each = lagWithdrawal(LAG.gravity, LAG.diameter, toMm(thread));
  const row = (name: string, value: string, note = '') => (
    <tr>
      <td>{name}</td>
      <td className="figure">{value}</td>
      <td>
        <Faint>{note}</Faint>
      </td>
    </tr>
  );
  return (
    <>
      <p>
        A board cut along its middle at 45° makes both halves: one on the wall, one on the piece, which wedges down onto it. The bevel turns
        weight into an outward pull, as much as the weight itself where nothing rubs. The piece hanging off the wall pulls too. Design for
        the greater.
      </p>
      <Panel role="group" aria-label="A cleat to try">
        <Grid $columns={3}>
          <MassTrial label="In all" value={kg} set={setKg} least={1} most={500} />
          <LengthTrial label="Its middle from the wall" value={out} set={setOut} />
          <LengthTrial label="Cleat to bumper" value={drop} set={setDrop} />
          <NumberTrial label="Friction, °" value={friction} set={setFriction} most={44} />
          <LengthTrial label="Cleat long" value={long} set={setLong} />
          <LengthTrial label="Studs every" value={spacing} set={setSpacing} />
          <LengthTrial label="Thread in the stud" value={thread} set={setThread} />
          <LengthTrial label="Board wide" value={board} set={setBoard} />
          <LengthTrial label="Board thick" value={thick} set={setThick} />
        </Grid>
        <Table $above={10}>
          <tbody>
            {row('Weight on the cleat', writeForce(f.shear, unit), 'V')}
            {row('Pulled by hanging off the wall', writeForce(f.moment, unit), 'V e / h')}
            {row('Pushed out by the bevel', writeForce(f.wedge, unit), 'V tan(45° − friction)')}
            {row('Studs it is sure to cross', `${studs.sure}`, studs.most > studs.sure ? `${studs.most} at best` : '')}
            {row('Pull at one stud', writeForce(asNewtons(atStud), unit), 'studs do not share evenly: one and a half even shares')}
            {row('A lag of 1/4 in holds', writeForce(asNewtons(each), unit), 'half of NDS 12.2-1, softwood stud')}
            {row(
              'Wide and narrow faces',
              `${writeFine(faces.wide, unit)}, ${writeFine(faces.narrow, unit)}`,
              'kerf of 3 square to the blade',
            )}
          </tbody>
        </Table>
        <p>
          <StateMark state={studs.sure < 1 || atStud > each ? 'fails' : 'fine'} size={15} />{' '}
          {studs.sure < 1
            ? 'It may cross no stud at all: stop, and do not hang it on wallboard anchors.'
            : atStud > each
              ? `It takes ${Math.ceil(atStud / each)} such screws in each stud.`
              : 'One such screw in each stud holds the pull; use two, one above the other.'}
        </p>
      </Panel>
      <p>
        A bumper as thick as the cleat goes along the bottom, so that the piece hangs plumb and pushes there instead of prying at the top.
      </p>
    </>
  );
}
