import { Worker } from 'node:worker_threads';

/** What came of one seed: an answer, none in the time there was, or the end of its thread. */
export type Came<T> =
  { readonly seed: number; readonly answer: T } | { readonly seed: number; readonly answer: null; readonly why: string };

/**
 * Gives seeds to threads one after the other; a thread that does not answer in time is ended and another takes its place.
 * @param script the thread's program: answers each seed that it is sent with one message
 */
export async function onThreads<T>(
  script: URL,
  seeds: readonly number[],
  { threads, limit }: { readonly threads: number; readonly limit: number },
  told: (came: Came<T>) => void,
): Promise<void> {
  const waiting = [...seeds];
  const fresh = () => new Worker(script, { resourceLimits: { maxOldGenerationSizeMb: 1200 } });
  const one = async () => {
    let worker = fresh();
    for (let seed = waiting.shift(); seed !== undefined; seed = waiting.shift()) {
      const asked = seed;
      const came = await new Promise<Came<T>>((resolve) => {
        const end = (came: Came<T>) => {
          clearTimeout(timer);
          worker.off('message', onMessage);
          worker.off('error', onError);
          resolve(came);
        };
        const onMessage = (answer: T) => end({ seed: asked, answer });
        const onError = (error: Error) => end({ seed: asked, answer: null, why: error.message });
        const timer = setTimeout(() => end({ seed: asked, answer: null, why: `no answer in ${limit / 1000} s` }), limit);
        worker.on('message', onMessage);
        worker.on('error', onError);
        worker.postMessage(asked);
      });
      if (came.answer === null) {
        await worker.terminate();
        worker = fresh();
      }
      told(came);
    }
    await worker.terminate();
  };
  await Promise.all(Array.from({ length: threads }, one));
}
