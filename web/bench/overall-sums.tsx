import { usePrecision } from '../data/project.js';
import { LengthText } from '../shared/length-text.js';
import { Sum } from '../shared/sum.js';
import { useBench } from './bench.js';
import { Laid } from '../shared/laid.js';

/** How the outside came about, one sum for each reach. */
export function OverallSums() {
  const { solution } = useBench();
  const precision = usePrecision();
  return (
    <section aria-label="How the outside came about">
      {(['width', 'height', 'depth'] as const).map((reach) => {
        const figure = solution.shape.overall[reach];
        return (
          <Laid.div key={reach} $below={14}>
            <h2>
              Overall {reach}: <LengthText value={figure.value} precision={precision} />
            </h2>
            {figure.operation.kind === 'leaf' ? null : <Sum figure={figure} precision={precision} answer={`overall ${reach}`} />}
          </Laid.div>
        );
      })}
      <h2>
        Across its corners: <LengthText value={solution.shape.diagonal.value} precision={precision} />
      </h2>
      <Sum figure={solution.shape.diagonal} precision={precision} answer="across its corners" />
    </section>
  );
}
