import { act, screen } from '@testing-library/react';
import { useEffect } from 'react';
import { mm } from '../../core/length/index.js';
import { onBench, projectWith } from '../test/on-bench.js';
import { SHELVED } from '../test/shelved.js';
import { useSettledBench, type SettledBench } from './bench.js';
import { MovedPanel } from './moved.js';

let bench: SettledBench;
function Shown() {
  const now = useSettledBench();
  useEffect(() => {
    bench = now;
  });
  return <MovedPanel />;
}

/** What is told of the last edit. */
const told = () => screen.queryByRole('status', { name: 'What changed' })?.textContent ?? '';

/** Does something, and waits for what follows from it. */
const doing = (work: () => void) =>
  act(async () => {
    work();
    await Promise.resolve();
  });

const deep = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

test('what an edit moved is told until it is taken back, and again once it is done again', async () => {
  const project = await onBench(projectWith(SHELVED), { shown: <Shown />, at: 'divide' });
  const was = project.now();
  await doing(() => bench.commit({ kind: 'piece', patch: { depth: deep(311) } }, 'Depth 311'));
  // 300 before; loose shelves are 10 less deep.
  expect(told()).toContain('overall depth300→311');
  const is = project.now();
  await project.back(was);
  expect(told()).toBe('');
  await project.back(is);
  expect(told()).toContain('overall depth300→311');
});

test('the next edit is told, and not the one before it; it goes once it was looked at', async () => {
  const project = await onBench(projectWith(SHELVED), { shown: <Shown />, at: 'divide' });
  await doing(() => bench.commit({ kind: 'piece', patch: { depth: deep(311) } }, 'Depth 311'));
  const first = project.now();
  await doing(() => bench.commit({ kind: 'piece', patch: { depth: deep(320) } }, 'Depth 320'));
  expect(told()).toContain('overall depth311→320');
  await project.back(first);
  expect(told()).toBe('');
  await doing(() => bench.commit({ kind: 'piece', patch: { depth: deep(320) } }, 'Depth 320'));
  await doing(() => screen.getByRole('button', { name: 'Dismiss' }).click());
  expect(told()).toBe('');
});
