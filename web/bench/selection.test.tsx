import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, useNavigate, useSearchParams } from 'react-router';
import { useSelection } from './selection.js';

function setUp(address: string) {
  const wrapper = ({ children }: { children: ReactNode }) => <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>;
  return renderHook(
    () => {
      const [selection, select] = useSelection('first');
      const [params] = useSearchParams();
      return { selection, select, at: params.get('at'), navigate: useNavigate() };
    },
    { wrapper },
  ).result;
}

test('the address names what is selected, or nothing does', () => {
  expect(setUp('/bench?at=tubs').current.selection).toBe('tubs');
  expect(setUp('/bench').current.selection).toBe('first');
});

test('a selection holds at once, the last of several wins, and the address follows it', () => {
  const bench = setUp('/bench?at=tubs&view=side');
  act(() => {
    bench.current.select('a');
    bench.current.select('b');
  });
  expect([bench.current.selection, bench.current.at]).toEqual(['b', 'b']);
});

test('an address from elsewhere changes it, also back to what was selected before', () => {
  const bench = setUp('/bench?at=tubs');
  act(() => bench.current.select('a'));
  act(() => void bench.current.navigate('/bench?at=other'));
  expect(bench.current.selection).toBe('other');
  act(() => void bench.current.navigate('/bench?at=a'));
  expect(bench.current.selection).toBe('a');
});
