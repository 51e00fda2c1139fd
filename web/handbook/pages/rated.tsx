import { useState } from 'react';
import { writeFine, writeMass } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Grid, Panel } from '../../shared/ui.js';
import { MassTrial, SizeTrial } from '../trial.js';
import { asKg } from '../../../core/measures/index.js';

/** What a rating says and what it leaves out. */
export function Rated() {
  const { unit } = usePrecision();
  const [rating, setRating] = useState(45);
  const [contents, setContents] = useState(30);
  const [drawer, setDrawer] = useState(6);
  const [at, setAt] = useState(450);
  const used = (contents + drawer) / rating;
  // Makers test at one length; a longer slide is levered by more.
  const longer = used * Math.max(1, at / 450);
  return (
    <>
      <p>
        A pair of drawer slides is rated for a mass in the drawer, spread evenly, the drawer itself counted, at one length, mostly{' '}
        {writeFine(450, unit, 1)}, over so many thousand openings. It is the pair that is rated, not each. It says nothing of a child on the
        open drawer.
      </p>
      <Panel role="group" aria-label="Slides to try">
        <Grid>
          <MassTrial label="Rating of the pair" value={rating} set={setRating} least={1} most={500} />
          <MassTrial label="In the drawer" value={contents} set={setContents} most={500} />
          <MassTrial label="The drawer itself" value={drawer} set={setDrawer} most={100} />
          <SizeTrial label="Slide long" value={at} set={setAt} />
        </Grid>
        <p>
          <StateMark state={used > 1 ? 'fails' : used >= 0.8 ? 'close' : 'fine'} size={15} /> {writeMass(asKg(contents + drawer), unit)} is{' '}
          {Math.round(used * 100)} % of the rating.
        </p>
        {at > 450 ? (
          <p>
            <StateMark state={longer > 1 ? 'fails' : longer >= 0.8 ? 'close' : 'fine'} size={15} /> If it was rated at{' '}
            {writeFine(450, unit, 1)}, the lever of the longer slide makes it {Math.round(longer * 100)} %. Look for the maker’s figure at
            this length.
          </p>
        ) : null}
      </Panel>
      <p>
        Other ratings are read the same way: for what, at which length, static or over how many uses, with what left over. Where a maker
        states one, it comes before any sum here. Leave a fifth.
      </p>
    </>
  );
}
