import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useFocusKept } from './use-focus-kept.js';

/** Ticks in groups: one that changes its group is another element. */
function Groups({ groups }: { groups: readonly (readonly string[])[] }) {
  const kept = useFocusKept(groups);
  return (
    <>
      <div {...kept}>
        {groups.map((ids) => (
          <fieldset key={ids[0]}>
            {ids.map((id) => (
              <input key={id} id={id} type="checkbox" aria-label={id} />
            ))}
          </fieldset>
        ))}
      </div>
      <button type="button">elsewhere</button>
    </>
  );
}

const focus = (name: string) => act(() => screen.getByRole('checkbox', { name }).focus());

test('what had the focus has it again where it is drawn anew', () => {
  const { rerender } = render(<Groups groups={[['a', 'b'], ['c']]} />);
  focus('b');
  const before = screen.getByRole('checkbox', { name: 'b' });
  rerender(<Groups groups={[['a'], ['c', 'b']]} />);
  expect(screen.getByRole('checkbox', { name: 'b' })).not.toBe(before);
  expect(document.activeElement).toBe(screen.getByRole('checkbox', { name: 'b' }));
});

test('what is gone for a while has it when it is back', () => {
  const { rerender } = render(<Groups groups={[['a'], ['b']]} />);
  focus('b');
  rerender(<Groups groups={[['a']]} />);
  expect(document.activeElement).toBe(document.body);
  rerender(<Groups groups={[['a', 'b']]} />);
  expect(document.activeElement).toBe(screen.getByRole('checkbox', { name: 'b' }));
});

test('what was left does not take the focus back', async () => {
  const { rerender } = render(<Groups groups={[['a', 'b'], ['c']]} />);
  focus('b');
  await userEvent.click(document.body);
  rerender(<Groups groups={[['a'], ['c', 'b']]} />);
  expect(document.activeElement).toBe(document.body);
  focus('b');
  await userEvent.click(screen.getByRole('button'));
  rerender(<Groups groups={[['a', 'b'], ['c']]} />);
  expect(document.activeElement).toBe(screen.getByRole('button'));
});
