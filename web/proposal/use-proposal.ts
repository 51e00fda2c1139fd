import { useEffect, useMemo, useState } from 'react';
import {
  LARGEST_PROGRAM,
  groupsOf,
  itemsOf,
  programOf,
  propose,
  proposalOf,
  type Proposal,
  type Room,
  type Wanted,
} from '../../core/proposal/index.js';
import type { Answered, Asked } from './solver.worker.js';

/** How sure it is that no shelves are lower: still looked for, proven, within a part of it, out of time, or not looked for. */
export type Surety = { readonly kind: 'looking' | 'proven' | 'late' | 'large' } | { readonly kind: 'gap'; readonly part: number };

export interface Proposed {
  readonly proposal: Proposal;
  readonly surety: Surety;
  readonly stop: () => void;
}

/** How long the solver may look for a lower answer, s. */
const SECONDS = 30;

/** Proposes shelves at once, then looks for a lower answer in a worker until it is proven, stopped, or out of time. */
export function useProposal(wanted: readonly Wanted[], room: Room): Proposed {
  const first = useMemo(() => propose(wanted, room), [wanted, room]);
  const [better, setBetter] = useState<{ for: Proposal; proposal: Proposal; surety: Surety } | null>(null);
  const { items, misfits } = useMemo(() => itemsOf(wanted, room), [wanted, room]);
  const large = items.length * first.shelves.length > LARGEST_PROGRAM;
  const [stopped, setStopped] = useState<Proposal | null>(null);
  useEffect(() => {
    const most = first.shelves.length;
    if (most === 0 || large || stopped === first) return;
    const worker = new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Answered>) => {
      const found = data.values ? proposalOf(groupsOf(items, data.values, room), room, misfits) : first;
      const proposal = found.height < first.height && found.shelves.length > 0 ? found : first;
      const part = data.cost > 0 ? Math.max(0, (data.cost - data.bound) / data.cost) : 0;
      // Where the time was up before anything was found, nothing is known of how far it is.
      const unproven: Surety = Number.isFinite(part) ? { kind: 'gap', part } : { kind: 'late' };
      setBetter({ for: first, proposal, surety: data.proven ? { kind: 'proven' } : unproven });
      worker.terminate();
    };
    worker.onerror = () => setBetter({ for: first, proposal: first, surety: { kind: 'large' } });
    const asked: Asked = { program: programOf(items, most, room), seconds: SECONDS };
    worker.postMessage(asked);
    return () => worker.terminate();
  }, [first, items, misfits, large, room, stopped]);
  const known = better?.for === first ? better : null;
  return {
    proposal: known?.proposal ?? first,
    surety: known?.surety ?? (large || stopped === first ? { kind: 'large' } : { kind: 'looking' }),
    stop: () => setStopped(first),
  };
}
