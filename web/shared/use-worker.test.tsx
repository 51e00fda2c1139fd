import { act, renderHook } from '@testing-library/react';
import { useWorker } from './use-worker.js';

/** Stands in for a worker, which jsdom has none of. */
class Hands {
  onmessage: ((event: MessageEvent<string>) => void) | null = null;
  onerror: (() => void) | null = null;
  asked: unknown[] = [];
  ended = false;
  postMessage(ask: unknown) {
    this.asked.push(ask);
  }
  terminate() {
    this.ended = true;
  }
}

function working(ask: object | null) {
  const made: Hands[] = [];
  const start = () => {
    const hands = new Hands();
    made.push(hands);
    return hands as unknown as Worker;
  };
  const hook = renderHook(({ asked }: { asked: object | null }) => useWorker<object, string>(start, asked, 'failed'), {
    initialProps: { asked: ask },
  });
  const answer = (hands: Hands | undefined, data: string) => act(() => hands?.onmessage?.({ data } as MessageEvent<string>));
  return { made, hook, answer };
}

test('asks one worker, tells its answer, and ends it', () => {
  const { made, hook, answer } = working({ n: 1 });
  expect(hook.result.current.work).toEqual({ kind: 'working' });
  expect(made.map((m) => m.asked)).toEqual([[{ n: 1 }]]);
  answer(made[0], 'four');
  expect(hook.result.current.work).toEqual({ kind: 'done', reply: 'four' });
  expect(made[0]?.ended).toBe(true);
});

test('when something else is asked, the first worker is ended and its answer no longer counts', () => {
  const { made, hook, answer } = working({ n: 1 });
  answer(made[0], 'four');
  hook.rerender({ asked: { n: 2 } });
  expect(hook.result.current.work).toEqual({ kind: 'working' });
  expect([made.length, made[0]?.ended]).toEqual([2, true]);
  answer(made[1], 'five');
  expect(hook.result.current.work).toEqual({ kind: 'done', reply: 'five' });
});

test('stopped, it is ended and says so; something else starts it again', () => {
  const { made, hook } = working({ n: 1 });
  act(() => hook.result.current.stop());
  expect(hook.result.current.work).toEqual({ kind: 'stopped' });
  expect(made[0]?.ended).toBe(true);
  hook.rerender({ asked: { n: 2 } });
  expect(hook.result.current.work).toEqual({ kind: 'working' });
});

test('nothing is asked of a worker where there is nothing to ask, and one that cannot start gives the reply for that', () => {
  expect(working(null).made).toEqual([]);
  const { made, hook } = working({ n: 1 });
  act(() => made[0]?.onerror?.());
  expect(hook.result.current.work).toEqual({ kind: 'done', reply: 'failed' });
});
