import type { Standing, ToLay } from '../../../core/layout/plan.js';
import { Layouts } from './layouts.js';

/** A worker that says what a test tells it to. */
class FakeWorker {
  onmessage: ((event: { data: Standing }) => void) | null = null;
  onerror: (() => void) | null = null;
  ended = false;
  asked: ToLay | null = null;
  postMessage(asked: ToLay) {
    this.asked = asked;
  }
  terminate() {
    this.ended = true;
  }
}

const toLay = (name: string) => ({ problem: { first: name }, along: false }) as unknown as ToLay;
const standing = (done: number) => ({ answer: { cost: done }, done }) as unknown as Standing;

function store() {
  const workers: FakeWorker[] = [];
  const layouts = new Layouts(() => {
    const worker = new FakeWorker();
    workers.push(worker);
    return worker as unknown as Worker;
  });
  const ask = (...keys: string[]) => layouts.ask(keys.map((key) => ({ key, asked: toLay(key) })));
  return { workers, layouts, ask };
}

test('two at a time, the first asked first; the next begins when one is done', () => {
  const { workers, layouts, ask } = store();
  ask('a', 'b', 'c');
  expect(workers.map((w) => w.asked)).toEqual([toLay('a'), toLay('b')]);
  workers[0]?.onmessage?.({ data: standing(0.5) });
  expect(layouts.get('a').standing?.done).toBe(0.5);
  workers[0]?.onmessage?.({ data: standing(1) });
  expect(workers[0]?.ended).toBe(true);
  expect(workers[2]?.asked).toEqual(toLay('c'));
});

test('what nobody asks for any more is ended, what is done is not worked out again', () => {
  const { workers, layouts, ask } = store();
  ask('a', 'b');
  workers[0]?.onmessage?.({ data: standing(1) });
  ask('a', 'c');
  expect(workers[1]?.ended).toBe(true);
  expect(workers).toHaveLength(3);
  expect(layouts.get('a').standing?.done).toBe(1);
  expect(layouts.get('b').standing).toBeNull();
});

test('stopped: the best so far is kept and nothing is looked for until one asks again', () => {
  const { workers, layouts, ask } = store();
  const told = jest.fn();
  layouts.subscribe(told);
  ask('a');
  workers[0]?.onmessage?.({ data: standing(0.3) });
  layouts.stop('a');
  ask('a');
  expect(workers).toHaveLength(1);
  expect(layouts.get('a')).toMatchObject({ standing: { done: 0.3 }, ended: 'stopped' });
  layouts.again('a', toLay('a'));
  expect(workers).toHaveLength(2);
  expect(layouts.get('a').ended).toBeNull();
  expect(told).toHaveBeenCalledTimes(3);
});

test('stopped before there is any answer: the first one is kept', () => {
  const { workers, layouts, ask } = store();
  ask('a');
  layouts.stop('a');
  expect(layouts.get('a').ended).toBeNull();
  workers[0]?.onmessage?.({ data: standing(0) });
  expect(layouts.get('a')).toMatchObject({ standing: { done: 0 }, ended: 'stopped' });
  expect(workers[0]?.ended).toBe(true);
});

test('a worker that fails is told, and the others go on', () => {
  const { workers, layouts, ask } = store();
  ask('a', 'b', 'c');
  workers[0]?.onerror?.();
  expect(layouts.get('a').ended).toBe('failed');
  expect(workers[2]?.asked).toEqual(toLay('c'));
});
