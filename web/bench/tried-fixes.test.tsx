import { act, screen } from '@testing-library/react';
import type { Check } from '../../core/checks/index.js';
import { mm } from '../../core/length/index.js';
import { onBench, projectWith } from '../test/on-bench.js';
import { SHELVED } from '../test/shelved.js';
import { useBench } from './bench.js';
import { useTriedFixes } from './tried-fixes.js';

const deeper: Check['fixes'][number] = {
  label: ['Deeper'],
  change: { target: 'piece', edit: { kind: 'rule', id: 'in', rule: { kind: 'fixed', size: mm(300) } } },
} as unknown as Check['fixes'][number];

/** A piece whose checks are others while somebody types, as they are on the bench. */
function Typist() {
  const { draft, setDraft } = useBench();
  const check = { id: draft ? 'of what is typed' : 'of what is kept', fixes: [deeper] } as unknown as Check;
  useTriedFixes([check]);
  const typed = { kind: 'edit', edit: { kind: 'several', edits: [] } } as const;
  return (
    <>
      <button onClick={() => setDraft(typed)}>type</button>
      <button onClick={() => setDraft(null)}>done</button>
    </>
  );
}

test('fixes are tried of a piece that rests: not while somebody types, and of what is kept after it', async () => {
  await onBench(projectWith(SHELVED), { shown: <Typist />, at: 'divide' });
  const asked: string[] = [];
  globalThis.Worker = class {
    readonly postMessage = ({ checks }: { checks: readonly string[] }) => asked.push(...checks);
    readonly terminate = () => undefined;
  } as unknown as typeof Worker;
  const pause = () => act(() => new Promise((resolve) => setTimeout(resolve, 300)));
  await pause();
  expect(asked).toEqual(['of what is kept']);
  for (let key = 0; key < 3; key += 1) {
    act(() => screen.getByRole('button', { name: 'type' }).click());
    await pause();
  }
  expect(asked).toHaveLength(1);
  act(() => screen.getByRole('button', { name: 'done' }).click());
  await pause();
  expect(asked).toEqual(['of what is kept', 'of what is kept']);
});
