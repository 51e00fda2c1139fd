import { fireEvent, render, screen } from '@testing-library/react';
import { Fold } from './fold.js';

test('what is folded away is not worked out until it is opened, and not any more when it is shut', () => {
  let worked = 0;
  render(
    <Fold summary="More">
      {() => {
        worked += 1;
        return <p>all of it</p>;
      }}
    </Fold>,
  );
  expect([worked, screen.queryByText('all of it')]).toEqual([0, null]);
  const fold = screen.getByText('More').closest('details') as HTMLDetailsElement;
  const toggle = (open: boolean) => {
    fold.open = open;
    fireEvent(fold, new Event('toggle'));
  };
  toggle(true);
  expect(screen.getByText('all of it')).toBeTruthy();
  toggle(false);
  expect(screen.queryByText('all of it')).toBeNull();
});
