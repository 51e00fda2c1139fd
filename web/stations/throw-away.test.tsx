import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { addThrowAway, throwAway } from '../../core/testing/throw-away.js';
import { stock, thing, workshop } from '../../core/testing/samples.js';
import type { Workbench } from '../data/api.js';
import { INTERIOR_PAGES, SHELL_PAGES, cards, fillings } from '../kinds/kinds.js';
import type { InteriorPage, ShellPage } from '../kinds/page.js';
import { inProject } from '../test/in-project.js';
import { PiecePage } from './piece-page.js';

const shell: ShellPage = {
  kind: 'trestle',
  Form: ({ piece }) => <p>{piece.name} is a trestle</p>,
  unmeasured: () => ({ title: 'A trestle', text: 'It stands anywhere.' }),
  cards: [{ id: 'trestle', name: 'Trestle', says: 'Two ends', picture: [], filling: null, begin: () => throwAway, ideas: [] }],
};
const interior: InteriorPage = {
  kind: 'rods',
  Form: ({ space }) => <p>How the rods of {space.label} are made</p>,
  onPiece: null,
  fillings: [{ id: 'rods', label: 'Rods', uses: () => [], fill: (_, space) => ({ kind: 'clear', space }) }],
  cards: [],
};

let takeOut: readonly (() => void)[];
beforeAll(() => {
  takeOut = [addThrowAway(), SHELL_PAGES.add(shell), INTERIOR_PAGES.add(interior)];
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  // Charts say that they have no size here.
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  globalThis.fetch = () => Promise.reject(new Error('nothing is asked of a server here'));
});
afterAll(() => [...takeOut].reverse().forEach((take) => take()));

const one = <T,>(id: string, data: T) => ({ id, version: 1, data });
const bench: Workbench = {
  id: 'shed',
  version: 1,
  project: { name: 'Shed', settings: workshop().settings },
  records: {
    openings: [],
    things: [one('tin', thing())],
    stock: [one('ply', stock())],
    slides: [],
    hardware: [],
    cuttings: [],
    buildings: [],
    log: [],
    people: [],
    pieces: [one('it', { piece: throwAway, letters: {} })],
  },
  readings: [],
  made: [],
};

async function open(at: string) {
  await inProject(bench, at, <PiecePage />);
  return userEvent.setup();
}

test('measure says what there is to measure of it, and how its sizes come about', async () => {
  await open('measure');
  expect(await screen.findByRole('heading', { name: 'A trestle' })).toBeTruthy();
  expect(await screen.findByRole('heading', { name: 'Overall width: 1000' })).toBeTruthy();
});

test('divide shows its gaps, its own forms, and its checks; it can be filled and begun from', async () => {
  const user = await open('divide');
  expect(await screen.findByText(/is a trestle/)).toBeTruthy();
  expect(await screen.findByText('How the rods of inside are made')).toBeTruthy();
  expect(screen.getByText(/3 gaps/)).toBeTruthy();
  expect(screen.getByText(/Nothing keeps the ends of the trestle from leaning over/)).toBeTruthy();
  const sheet = screen.getByRole('complementary', { name: 'Worksheet' });
  await user.click(within(sheet).getAllByText('gap 2')[0] as HTMLElement);
  expect(await screen.findByText('Or fill it with')).toBeTruthy();
  expect(fillings().map((f) => f.label)).toContain('Rods');
  expect(cards().map((c) => c.name)).toContain('Trestle');
});

test('carry lists its floor, and parts all its parts', async () => {
  await open('carry');
  expect(await screen.findByRole('heading', { name: 'What bends' })).toBeTruthy();
});

test('the list of its parts', async () => {
  await open('parts');
  const table = await screen.findByRole('grid', { name: 'Parts' });
  const parts = within(table)
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('rowheader')[2]?.textContent);
  expect(parts).toEqual(['side', 'bottom', 'slat']);
});
