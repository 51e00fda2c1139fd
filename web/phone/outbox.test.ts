import { ApiError } from '../data/api.js';
import { Outbox, type Shelf, type Tick } from './outbox.js';

const tick = (step: string, done = true): Tick => ({ project: 'shed', piece: 'case', step, at: '2026-05-04T18:00:00Z', done });
const steps = (box: Outbox) => box.getWaiting().map((t) => t.step);

function shelf(): Shelf & { kept: string | null } {
  return {
    kept: null,
    getItem() {
      return this.kept;
    },
    setItem(_: string, value: string) {
      this.kept = value;
    },
  };
}

const away = () => Promise.reject(new ApiError({ type: '', title: '', status: 0, detail: 'away' }));
const settle = () => new Promise((done) => setTimeout(done, 0));

beforeEach(() => void jest.useFakeTimers({ doNotFake: ['setTimeout'] }));
afterEach(() => void jest.useRealTimers());

test('what cannot be sent waits, survives the page, and is sent in order once the server answers', async () => {
  const kept = shelf();
  const first = new Outbox(kept, away);
  first.add(tick('buy'));
  first.add(tick('saw'));
  await settle();
  expect(steps(first)).toEqual(['buy', 'saw']);
  const came: string[] = [];
  let told = 0;
  const again = new Outbox(
    kept,
    (t) => Promise.resolve(came.push(t.step)),
    () => (told += 1),
  );
  expect(steps(again)).toEqual(['buy', 'saw']);
  await again.flush();
  expect([came, steps(again), told]).toEqual([['buy', 'saw'], [], 1]);
  expect(new Outbox(kept, away).getWaiting()).toEqual([]);
});

test('a tick that is refused is told and does not hold up those after it', async () => {
  const came: string[] = [];
  const box = new Outbox(shelf(), (t) =>
    t.step === 'gone'
      ? Promise.reject(new ApiError({ type: '', title: '', status: 404, detail: 'There is no piece.' }))
      : Promise.resolve(came.push(t.step)),
  );
  box.add(tick('gone'));
  box.add(tick('saw'));
  await settle();
  await box.flush();
  expect([came, steps(box), box.refused]).toEqual([['saw'], [], 'There is no piece.']);
});

test('what waits counts before what is known elsewhere, the last word of it', () => {
  const box = new Outbox(shelf(), away);
  const piece = { project: 'shed', piece: 'case' };
  expect(box.isDone(piece, 'saw', true)).toBe(true);
  box.add(tick('saw', false));
  expect(box.isDone(piece, 'saw', true)).toBe(false);
  box.add(tick('saw', true));
  expect(box.isDone(piece, 'saw', false)).toBe(true);
  expect(box.isDone({ project: 'shed', piece: 'other' }, 'saw', false)).toBe(false);
});

test('a shelf that holds nonsense is an empty one', () => {
  for (const kept of ['{', '{"a":1}', 'null'])
    expect(new Outbox({ ...shelf(), kept, getItem: () => kept } as never, away).getWaiting()).toEqual([]);
});
