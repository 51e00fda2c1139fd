import { useEffect, useState } from 'react';

/** How work in a worker stands. */
export type Work<Reply> = { readonly kind: 'working' } | { readonly kind: 'stopped' } | { readonly kind: 'done'; readonly reply: Reply };

/**
 * Asks a worker, which is ended when it has answered, when something else is asked, or when it is stopped.
 * @param start makes the worker; the same function each time
 * @param ask what is asked, null for nothing
 * @param failed the reply where the worker could not be started
 */
export function useWorker<Ask, Reply>(start: () => Worker, ask: Ask | null, failed: Reply): { work: Work<Reply>; stop: () => void } {
  const [done, setDone] = useState<{ readonly for: Ask; readonly reply: Reply } | null>(null);
  const [stopped, setStopped] = useState<Ask | null>(null);
  useEffect(() => {
    if (ask === null || stopped === ask) return;
    const fails = () => setDone({ for: ask, reply: failed });
    let worker: Worker;
    try {
      worker = start();
    } catch {
      // No worker is to be had here at all.
      queueMicrotask(fails);
      return undefined;
    }
    worker.onmessage = ({ data }: MessageEvent<Reply>) => {
      setDone({ for: ask, reply: data });
      worker.terminate();
    };
    worker.onerror = fails;
    worker.postMessage(ask);
    return () => worker.terminate();
  }, [start, ask, stopped, failed]);
  const stop = () => setStopped(ask);
  if (ask !== null && stopped === ask) return { work: { kind: 'stopped' }, stop };
  return { work: done && done.for === ask ? { kind: 'done', reply: done.reply } : { kind: 'working' }, stop };
}
