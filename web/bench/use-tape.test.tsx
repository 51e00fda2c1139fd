import { act, renderHook } from '@testing-library/react';
import type { KeyboardEvent } from 'react';
import { mm } from '../../core/length/index.js';
import { solve, tapeThrough } from '../../core/solution/index.js';
import { divided, piece, workshop } from '../../core/testing/samples.js';
import { useTape, type TapeOptions } from './use-tape.js';

const solution = solve(piece(divided('in', 'up', 3)), workshop(), {});

function setUp(extra: Partial<TapeOptions> = {}) {
  const calls = { select: jest.fn(), draft: jest.fn(), commit: jest.fn(), rules: jest.fn() };
  const options: TapeOptions = {
    axis: 'up',
    lines: tapeThrough(solution, 'in-1', 'up').lines,
    precision: { unit: 'mm', step: mm(0.5) },
    freshIds: () => ({ member: 'm', first: 'a', beyond: 'b' }),
    way: 'up',
    selection: 'in-1',
    onSelect: calls.select,
    onDraft: calls.draft,
    onCommit: calls.commit,
    onRules: calls.rules,
    ...extra,
  };
  const hook = renderHook((props: TapeOptions) => useTape(props), { initialProps: options });
  const key = (name: string, more: Partial<KeyboardEvent> = {}) => {
    const event = {
      key: name,
      altKey: false,
      ctrlKey: false,
      metaKey: false,
      shiftKey: false,
      preventDefault: jest.fn(),
      stopPropagation: jest.fn(),
      ...more,
    };
    act(() => hook.result.current.onKeyDown(event as unknown as KeyboardEvent));
    return event;
  };
  return { hook, calls, key, options };
}

test('the tape goes to the line of what is selected elsewhere', () => {
  const { hook, options } = setUp();
  expect(hook.result.current.state.focus).toBe(1);
  hook.rerender({ ...options, selection: 'in-3' });
  expect(hook.result.current.state.focus).toBe(5);
});

test('keys of the tape are taken, others are left to the page', () => {
  const { key, calls } = setUp();
  expect(key('ArrowUp').preventDefault).toHaveBeenCalled();
  expect(calls.select).toHaveBeenCalledWith('in-m1/shelf/1');
  expect(key('Tab').preventDefault).not.toHaveBeenCalled();
  expect(key('1', { altKey: true }).preventDefault).not.toHaveBeenCalled();
  expect(key('z', { ctrlKey: true }).preventDefault).not.toHaveBeenCalled();
});

test('a size is typed, tried and committed', () => {
  const { hook, key, calls } = setUp();
  key('4');
  act(() => hook.result.current.change('420'));
  expect(calls.draft).toHaveBeenLastCalledWith({ kind: 'rule', space: 'in-1', rule: { kind: 'fixed', size: mm(420) } });
  act(() => hook.result.current.leave());
  expect(calls.commit).toHaveBeenCalledTimes(1);
});

test('two steps in one moment both count', () => {
  const { hook, calls } = setUp();
  act(() => {
    hook.result.current.drag(2, mm(700));
    hook.result.current.drop();
  });
  expect(calls.commit).toHaveBeenCalledWith({ kind: 'pin', member: 'in-m1', at: mm(700) }, 'Moved shelf 1');
});

test('when lines go away the focus stays on the tape', () => {
  const { hook, options } = setUp({ selection: 'in-3' });
  hook.rerender({ ...options, lines: options.lines.slice(0, 3), selection: 'gone' });
  expect(hook.result.current.state.focus).toBe(2);
});

test('arrows walk on over lines that select the same, and do not bounce between two of them', () => {
  const { hook, key, options } = setUp();
  // Three lines of one drawer: what is free below it, the drawer, what is free above.
  const lines = options.lines.map((l, i) => (i >= 1 && i <= 3 ? { ...l, selects: 'drawer' } : l));
  let selection = 'drawer';
  const draw = () => hook.rerender({ ...options, lines, selection, onSelect: (id) => (selection = id) });
  draw();
  const walked = [1, 2, 3, 4].map(() => {
    key('ArrowUp');
    draw();
    return hook.result.current.state.focus;
  });
  expect(walked).toEqual([2, 3, 4, 5]);
});
