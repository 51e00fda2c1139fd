import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { drawnOutOf, heldOutOf } from '../../../core/solution/index.js';
import type { Fetched } from '../../shared/boundary.js';
import { PosedBench, useBench, useSettledBench } from '../../bench/bench.js';

/** Which body is drawn out at Carry: in the address, so that all three columns show the same. */
export function useDrawnOut(): readonly [string | null, (id: string | null) => void] {
  const [params, setParams] = useSearchParams();
  const { settled } = useSettledBench();
  // What the address names may be taken out of the piece by now.
  const out = heldOutOf(settled).find((b) => b.id === params.get('out'))?.id ?? null;
  const set = (id: string | null) =>
    setParams(
      (now) => {
        if (id === null) now.delete('out');
        else now.set('out', id);
        return now;
      },
      { replace: true },
    );
  return [out, set];
}

/** A part of the Carry station as it is with what is drawn out. */
export function inPose(Part: Fetched<object>): Fetched<object> {
  const InPose = () => {
    const { solution } = useBench();
    const [out] = useDrawnOut();
    const posed = useMemo(() => {
      const body = heldOutOf(solution).find((b) => b.id === out);
      return body ? drawnOutOf(solution, body) : null;
    }, [solution, out]);
    if (!posed) return <Part />;
    return (
      <PosedBench posed={posed}>
        <Part />
      </PosedBench>
    );
  };
  return Object.assign(InPose, { ahead: Part.ahead });
}
