import { useState } from 'react';
import { fromUnits, formatLength, mm, type Length } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import { Panel } from '../../shared/ui.js';
import { LengthTrial, NumberTrial } from '../trial.js';

/** Marks from one end, and gaps set one after the other. */
export function Chained() {
  const precision = usePrecision();
  const [count, setCount] = useState(12);
  const [step, setStep] = useState<Length>(mm(0.5));
  const write = (l: number) => `${formatLength(fromUnits(l), precision)} ${precision.unit}`;
  return (
    <>
      <p>
        Twelve slats can be set two ways: every place marked from one end of the tape, or each gap set with a block from the one before. A
        tape is read to about half of its finest line, wherever one reads it. A gap that is measured anew each time is out by as much each
        time, and the errors add up.
      </p>
      <Panel role="group" aria-label="Chained or from one end">
        <NumberTrial label="Gaps" value={count} set={(n) => setCount(Math.round(n))} least={1} most={200} step={1} />
        <LengthTrial label="The finest step that is read" value={step} set={setStep} />
        <p aria-live="polite">
          From one end every mark is within {write(step / 2)}. Measured gap after gap the last one may be {write((count * step) / 2)} out at
          the worst; chance makes it more like {write((Math.sqrt(count) * step) / 2)}.
        </p>
      </Panel>
      <p>
        A spacer is another matter: all gaps are alike, and what is wrong with the block is wrong every time. A block that is a tenth too
        long is a whole gap out after as many gaps as there are tenths in it. So cut the block, set all of them dry, and look at what is
        left at the end before the first one is fastened.
      </p>
      <p>
        A stick with all places on it, held against each part in turn, does away with both: whatever is wrong with it is wrong on every part
        alike, and what matters is that they agree. Ruvok lists such sticks under Build, with the error that chaining would make.
      </p>
    </>
  );
}
