import { useState } from 'react';
import { NAMED_LIMITS } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import { Faint, Grid, Panel } from '../../shared/ui.js';
import { ink } from '../../theme/tokens.js';
import { LengthTrial, NumberTrial } from '../trial.js';
import { Laid } from '../../shared/laid.js';

/** A shelf edge drawn bent at its true proportions. */
function Edge({ over }: { over: number }) {
  const sag = 700 / over;
  return (
    <svg viewBox="0 0 700 22" width="100%" role="img" aria-label={`A shelf edge that sags its span over ${over}, in true proportion`}>
      <path d={`M0 4 Q350 ${4 + 2 * sag} 700 4 L700 16 Q350 ${16 + 2 * sag} 0 16 Z`} fill={ink} fillOpacity={0.8} />
    </svg>
  );
}

/** What limits of sag mean to the eye. */
export function Sight() {
  const { unit } = usePrecision();
  const [span, setSpan] = useState(mm(800));
  const [over, setOver] = useState(384);
  const L = toMm(span);
  return (
    <>
      <p>
        A clean front edge looks straight up to about 1/32 inch on each foot of span, span/384. Above that, most people see it. Many shelves
        that people live with pass that line after some years. Being seen to sag is not breaking: that is why strength is judged by itself.
      </p>
      <Panel role="group" aria-label="An edge to look at">
        <Grid>
          <LengthTrial label="Span" value={span} set={setSpan} />
          <NumberTrial label="Span over" value={over} set={setOver} least={50} most={1000} step={1} />
        </Grid>
        <Laid.div $above={14}>
          <Edge over={over} />
        </Laid.div>
        <p>
          In true proportion: {writeFine(L / over, unit)} on {writeFine(L, unit, 1)}. Is it straight? Put a ruler to it.
        </p>
        {NAMED_LIMITS.map((l) => (
          <Laid.div key={l.over} $above={6}>
            <Edge over={l.over} />
            <Faint>
              span/{l.over}, {writeFine(L / l.over, unit)}: {l.meaning}
            </Faint>
          </Laid.div>
        ))}
      </Panel>
      <p>
        What makes it seen earlier: a long straight line close by, such as a row of tiles; a light from the side; a loose thing that rolls
        to the middle. What hides it: a strip along the front, a face frame, a row of things of uneven height.
      </p>
    </>
  );
}
