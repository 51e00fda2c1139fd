import { Suspense, act, useState } from 'react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { Boundary, fetched } from './boundary.js';

const back = { to: '/shed', label: 'To the shed' };
let quiet: jest.SpyInstance;
beforeEach(() => (quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)));
afterEach(() => quiet.mockRestore());

test('what fails is told in its own part with a way back, and is drawn again when it can be', async () => {
  let broken = true;
  const Sheet = () => {
    if (broken) throw new Error('no such shelf');
    return <p>shelves</p>;
  };
  render(
    <MemoryRouter>
      <p>header</p>
      <Boundary name="The worksheet" showing="divide" back={back}>
        <Sheet />
      </Boundary>
    </MemoryRouter>,
  );
  expect(screen.getByText('header')).toBeTruthy();
  expect(screen.getByRole('alert').textContent).toContain('no such shelf');
  expect(screen.getByRole('link', { name: 'To the shed' }).getAttribute('href')).toBe('/shed');
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('shelves')).toBeTruthy();
});

test('another station is tried at once', async () => {
  const Sheet = ({ station }: { station: string }) => {
    if (station === 'carry') throw new Error('bent');
    return <p>{station}</p>;
  };
  const Stations = () => {
    const [station, go] = useState('carry');
    return (
      <>
        <button onClick={() => go('parts')}>Parts</button>
        <Boundary name="The worksheet" showing={station} back={back}>
          <Sheet station={station} />
        </Boundary>
      </>
    );
  };
  render(
    <MemoryRouter>
      <Stations />
    </MemoryRouter>,
  );
  expect(screen.getByRole('alert')).toBeTruthy();
  await userEvent.click(screen.getByText('Parts'));
  expect(screen.getByText('parts')).toBeTruthy();
});

test('a script that failed to load is fetched again, and once only where it did not fail', async () => {
  const load = jest.fn<Promise<() => React.ReactNode>, []>();
  load.mockRejectedValueOnce(new Error('not reached')).mockResolvedValue(() => <p>stockroom</p>);
  const Stockroom = fetched(load);
  await act(() => {
    render(
      <MemoryRouter>
        <Boundary name="The stockroom" showing="stock" back={back}>
          <Suspense fallback="Opening…">
            <Stockroom />
          </Suspense>
        </Boundary>
      </MemoryRouter>,
    );
    return Promise.resolve();
  });
  expect((await screen.findByRole('alert')).textContent).toContain('not reached');
  await act(() => userEvent.click(screen.getByRole('button', { name: 'Try again' })));
  expect(await screen.findByText('stockroom')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(2);
});

test('what was fetched ahead is not fetched again when it is shown', async () => {
  const load = jest.fn(() => Promise.resolve(() => <p>things</p>));
  const Things = fetched(load);
  Things.ahead();
  expect(load).toHaveBeenCalledTimes(1);
  await act(() => {
    render(
      <Suspense fallback="Opening…">
        <Things />
      </Suspense>,
    );
    return Promise.resolve();
  });
  expect(await screen.findByText('things')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(1);
});
