import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { mm } from '../../core/length/index.js';
import { thing, workshop } from '../../core/testing/samples.js';
import { ApiError, api, type Workbench } from './api.js';
import { BrowserErrands, errandName, type Errand } from './errands.js';
import { Saver } from './saver.js';
import { benchKey } from './told.js';

// A browser without locks tells pages apart by their own name alone.
const box = (page: string) => new BrowserErrands(Promise.resolve(page));
const edit = (label: string): Errand => ({
  does: 'save',
  kind: 'things',
  id: 'tin',
  base: 4,
  seen: thing(),
  data: thing({ count: 5 }),
  label,
});
const names = async (page: string, project = 'shed') => (await box(page).left(project)).map((k) => errandName(k.errand));

test('what is kept is there for the same page after a reload, in order, for its own project, until it is dropped', async () => {
  const first = box('one');
  const n = await first.keep('shed', edit('first'));
  await first.keep('shed', edit('second'));
  await first.keep('loft', edit('elsewhere'));
  expect(await names('one')).toEqual(['first', 'second']);
  expect(await names('one', 'loft')).toEqual(['elsewhere']);
  await first.drop(n);
  expect(await names('one')).toEqual(['second']);
  // Another page that is open has none of it.
  expect(await names('two')).toEqual([]);
});

test('edits that waited when the page was closed are shown and sent by the next one', async () => {
  const bench = {
    id: 'shed',
    version: 1,
    project: { name: 'Shed', settings: workshop().settings },
    records: {
      things: [{ id: 'tin', version: 4, data: thing({ count: 1 }) }],
      people: [{ id: 'ada', version: 1, data: { name: 'Ada', height: mm(1700) } }],
    },
    readings: [],
    made: [],
  } as unknown as Workbench;
  const away = new ApiError({ type: '', title: '', status: 0, detail: 'away' });
  const save = jest.spyOn(api, 'save').mockRejectedValue(away);
  const nowhere = new QueryClient();
  nowhere.setQueryData(benchKey('shop'), bench);
  const unkept = new Saver(nowhere, 'shop');
  unkept.save('things', 'tin', thing({ count: 8 }), 'eight');
  await unkept.settled();
  // In a browser without a store of its own it would be lost with the page, which asks before it is closed.
  expect(unkept.isKept()).toBe(false);
  const client = new QueryClient();
  client.setQueryData(benchKey('shop'), bench);
  const before = new Saver(client, 'shop', box('three'));
  before.save('things', 'tin', thing({ count: 8 }), 'eight');
  before.save('people', 'ada', { name: 'Ada', height: mm(1720) }, 'taller');
  await before.settled();
  expect(await names('three', 'shop')).toEqual(['eight', 'taller']);
  expect(before.isKept()).toBe(true);

  save.mockClear();
  const soon = () => new Promise((resolve) => setTimeout(resolve, 10));
  save.mockImplementation(async (_, __, id, version, data) => {
    await soon();
    return { id, version: version + 1, data };
  });
  const next = new QueryClient();
  const after = new Saver(next, 'shop', box('three'));
  // As the server has it, with what waits over it.
  jest.spyOn(api, 'workbench').mockResolvedValue(bench);
  const shown = await after.look();
  await after.settled();
  expect([save.mock.calls.map((c) => [c[3], c[5]]), after.getWaiting()]).toEqual([
    [
      [4, 'eight'],
      [1, 'taller'],
    ],
    0,
  ]);
  expect(shown.records.things[0]?.data.count).toBe(8);
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(await names('three', 'shop')).toEqual([]);
  before.tryNow();
  unkept.tryNow();
  save.mockRestore();
});
