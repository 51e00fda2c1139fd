import { fireEvent, render, screen } from '@testing-library/react';
import { steady } from './steady.js';

let drawn = 0;
const Field = steady(({ label, of, onChange }: { label: string; of?: { readonly id: string }; onChange: (value: string) => void }) => {
  drawn += 1;
  return (
    <button onClick={() => onChange(label)}>
      {label} {of?.id}
    </button>
  );
});

test('it is drawn again only when what it shows is another, and calls what it was given last', () => {
  drawn = 0;
  const [first, second] = [jest.fn(), jest.fn()];
  const { rerender } = render(<Field label="Width" of={{ id: 'a' }} onChange={first} />);
  // Another function, and another object that says the same.
  rerender(<Field label="Width" of={{ id: 'a' }} onChange={second} />);
  expect(drawn).toBe(1);
  fireEvent.click(screen.getByRole('button'));
  expect([first.mock.calls, second.mock.calls]).toEqual([[], [['Width']]]);
  rerender(<Field label="Width" of={{ id: 'b' }} onChange={second} />);
  expect([drawn, screen.getByRole('button').textContent]).toEqual([2, 'Width b']);
  rerender(<Field label="Height" onChange={first} />);
  expect([drawn, screen.getByRole('button').textContent]).toEqual([3, 'Height ']);
  fireEvent.click(screen.getByRole('button'));
  expect(first.mock.calls).toEqual([['Height']]);
});
