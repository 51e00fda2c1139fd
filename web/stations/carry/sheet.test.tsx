import { fireEvent, screen, within } from '@testing-library/react';
import { onBench, projectWith, textOf } from '../../test/on-bench.js';
import { SHELVED } from '../../test/shelved.js';
import { CarrySheet } from './sheet.js';

/** What is pressed in the list of what bends. */
const rows = () => within(screen.getAllByRole('list')[0] as HTMLElement).getAllByRole('button');

test('what is loaded comes first with how far it bends, and what is said to carry nothing is not checked', async () => {
  await onBench(projectWith(SHELVED), { shown: <CarrySheet />, at: 'carry' });
  const said = rows().map(textOf);
  // 1/384 of 864 are 2.25: what it comes to in time is past that.
  expect(said[0]).toMatch(/^shelf F shelf 1 1\.\d\d mm today, 2\.[3-9]\d mm later, past the limit$/);
  // Nothing is entered for the upper one: what stores at home hold is assumed, nearly as much.
  expect(said[1]).toMatch(/^shelf G shelf 2 1\.2\d mm today, 2\.2\d mm later, close$/);
  expect(said.slice(2)).toEqual([
    'top C nothing is said to stand on it, not checked',
    'bottom D nothing is said to stand on it, not checked',
  ]);
});

test('the weight on the floor is that of the piece and of all that stands in it', async () => {
  await onBench(projectWith(SHELVED), { shown: <CarrySheet />, at: 'carry' });
  // 2.167 m² of parts, 18 thick, 680 kg/m³: 26.5 kg; ten things of 2 kg, and 0.65 kN on a square metre of the empty shelf.
  expect(document.body.textContent).toContain(
    'Total weight on the floor: 63.7 kg, of which the piece itself is 26.5 kg, and 17.2 kg are assumed.',
  );
});

test('a member that is pressed is the one that is looked at', async () => {
  await onBench(projectWith(SHELVED), { shown: <CarrySheet />, at: 'carry' });
  const on = () => rows().map((row) => row.getAttribute('aria-pressed') === 'true');
  expect(on()).toEqual([false, false, false, false]);
  fireEvent.click(rows()[2] as HTMLElement);
  expect(on()).toEqual([false, false, true, false]);
});

test('empty shelves that are for books are taken to hold twice as much', async () => {
  await onBench(projectWith(SHELVED), { shown: <CarrySheet />, at: 'carry' });
  fireEvent.click(screen.getByRole('checkbox', { name: 'Empty shelves are for books' }));
  // 1.4 kN on a square metre of 864 x 300 would be 37: 35 kg on a metre are the most.
  await screen.findByText(/and 30\.2 kg are assumed/);
});
