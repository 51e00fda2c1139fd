import { useState } from 'react';
import { KEPT_FROM, PASS, tippingOf } from '../../../core/carry/index.js';
import { writeWeight, writeMass } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import { LengthText } from '../../shared/length-text.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Grid, Panel } from '../../shared/ui.js';
import { LengthTrial, MassTrial } from '../trial.js';
import { asKg } from '../../../core/measures/index.js';

/** What tips a piece, and how it is kept from it. */
export function Anchoring() {
  const precision = usePrecision();
  const { unit } = precision;
  const [height, setHeight] = useState(mm(1200));
  const [depth, setDepth] = useState(mm(400));
  const [kg, setKg] = useState(45);
  const [open, setOpen] = useState(mm(300));
  const [inDrawers, setInDrawers] = useState(20);
  const [H, D, out] = [height, depth, open].map((l) => toMm(l)) as [number, number, number];
  const heaps = [
    { kg: asKg(kg), y: H / 2, z: D / 2 },
    { kg: asKg(inDrawers), y: H / 2, z: D / 2 + out },
  ];
  const t = tippingOf({ heaps, foot: D, pullAt: H, lean: D + out, keeps: true });
  return (
    <>
      <p>
        A piece tips about its front feet. What holds it down is its own mass behind them; what tips it is every mass in front of them, a
        pull at the top, and whoever leans or climbs on an open drawer. Drawers that are full and open at once are the worst.
      </p>
      <Panel role="group" aria-label="A chest to try">
        <Grid $columns={3}>
          <LengthTrial label="Height" value={height} set={setHeight} />
          <LengthTrial label="Depth" value={depth} set={setDepth} />
          <MassTrial label="Mass of the case" value={kg} set={setKg} least={1} most={500} />
          <LengthTrial label="Drawers come out" value={open} set={setOpen} />
          <MassTrial label="In the open drawers" value={inDrawers} set={setInDrawers} most={500} />
        </Grid>
        <p>
          <StateMark state={t.state} size={15} />{' '}
          {t.pull <= 0
            ? 'It falls by itself.'
            : `A pull of ${writeWeight(t.pull, unit)} at the top lifts its back${t.onDrawer === null ? '' : `, or ${writeMass(asKg(Math.max(0, t.onDrawer)), unit)} on the open drawer`}.`}
        </p>
        <Faint>
          On carpet, leaning forward 1°. It should stand {writeWeight(PASS.pull, unit)} and {writeMass(PASS.onDrawer, unit)} (ASTM
          F2057-23).
        </Faint>
      </Panel>
      <h2>Fixed to the wall</h2>
      <ul>
        <li>
          Storage from <LengthText value={mm(KEPT_FROM)} precision={precision} unit /> tall that stands free is fixed to the wall, whatever
          the sum says. Children climb. Tables, stools and benches are not.
        </li>
        <li>Into a stud or into masonry. Wallboard anchors are not counted on.</li>
        <li>At the top, at two places, with a strap or an angle that has its own screws into the case, not into a thin back.</li>
        <li>Local codes and makers’ instructions have the last word.</li>
      </ul>
    </>
  );
}
