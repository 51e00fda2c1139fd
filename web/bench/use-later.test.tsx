import { act, renderHook } from '@testing-library/react';
import { usePaused } from './use-later.js';

interface Asked {
  readonly value: string;
  readonly waits: boolean;
}

const after = (ms: number) => act(() => jest.advanceTimersByTime(ms));

function paused(asked: Asked) {
  const hook = renderHook(({ value, waits }: Asked) => usePaused(value, waits, 'settled'), { initialProps: asked });
  return { told: () => hook.result.current, ask: (next: Asked) => hook.rerender(next), gone: hook.unmount };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('what does not wait is told at once', () => {
  const { told, ask } = paused({ value: 'a', waits: false });
  expect(told()).toBe('a');
  ask({ value: 'b', waits: false });
  expect(told()).toBe('b');
});

test('keys in a row are told once there is a pause, and the last of them alone', () => {
  const { told, ask } = paused({ value: '1', waits: true });
  expect(told()).toBe('settled');
  after(150);
  ask({ value: '12', waits: true });
  after(150);
  expect(told()).toBe('settled');
  after(50);
  expect(told()).toBe('12');
  ask({ value: '123', waits: true });
  expect(told()).toBe('12');
  after(200);
  expect(told()).toBe('123');
});

test('what was typed is done: it is told at once, and nothing of it when the next is typed', () => {
  const { told, ask } = paused({ value: '1', waits: true });
  after(200);
  ask({ value: 'done', waits: false });
  expect(told()).toBe('done');
  after(0);
  ask({ value: '2', waits: true });
  expect(told()).toBe('settled');
});

test('a page that is left asks for nothing more', () => {
  const { gone } = paused({ value: '1', waits: true });
  gone();
  expect(jest.getTimerCount()).toBe(0);
});
