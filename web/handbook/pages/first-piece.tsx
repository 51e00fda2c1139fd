import { Link } from 'react-router';
import { usePrecision, useProject } from '../../data/project.js';
import { Faint } from '../../shared/ui.js';

/** One thing to do, with the name of the button, link or field as it stands on the screen. */
type Step =
  | { readonly press: string; readonly so: string }
  | { readonly type: string; readonly into: string; readonly so: string }
  | { readonly choose: string; readonly at: string; readonly so: string };

const bookcase = (width: string, height: string, ply: string): readonly Step[] => [
  { press: 'Shed', so: 'All pieces of the project stand here.' },
  { press: 'Case', so: 'Its usual sizes stand in the fields.' },
  { type: width, into: 'Width', so: 'That is the width over the sides.' },
  { type: height, into: 'Height', so: 'That is the height from the floor.' },
  { choose: ply, at: 'Made of, to begin with', so: 'Every panel is then cut from it.' },
  { press: 'Start the case', so: 'The case stands in the drawing, with its sizes on two tapes.' },
  { press: 'Shelf in it', so: 'The inside is two spaces now.' },
  { press: 'Shelf', so: 'Three equal spaces.' },
  { press: 'Parts', so: 'This is the cut list: each part with the size to cut.' },
  { press: 'Stock', so: 'The parts lie on the sheets you buy.' },
  { press: 'What to buy', so: 'Sheets and fastenings, with prices once you enter them.' },
  { press: 'Build', so: 'The steps in their order, with each setting of the saw.' },
];

function Told({ step }: { step: Step }) {
  if ('press' in step)
    return (
      <>
        Press <b>{step.press}</b>.
      </>
    );
  if ('type' in step)
    return (
      <>
        Type <b>{step.type}</b> into <b>{step.into}</b>.
      </>
    );
  return (
    <>
      Choose <b>{step.choose}</b> at <b>{step.at}</b>.
    </>
  );
}

/** A bookcase from nothing to its steps, with what to press. */
export function FirstPiece() {
  const { id } = useProject();
  const { unit } = usePrecision();
  const steps = unit === 'mm' ? bookcase('900', '1200', 'Birch ply 18') : bookcase('36', '48', 'Birch ply 3/4');
  return (
    <>
      <p>
        A bookcase with two shelves takes about three minutes, from an empty <Link to={`/p/${id}`}>shed</Link> to the cut list. Nothing
        needs to be saved: every step is kept and can be undone.
      </p>
      <ol aria-label="Steps to your first piece">
        {steps.map((step, i) => (
          <li key={i}>
            <Told step={step} /> <Faint>{step.so}</Faint>
          </li>
        ))}
      </ol>
      <p>Then put a tape to your own place. Choose “an opening I measure” where the sizes are asked, and type what the tape says.</p>
    </>
  );
}
