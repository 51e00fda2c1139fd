import { QueryClient } from '@tanstack/react-query';
import { mm } from '../../core/length/index.js';
import { thing, workshop } from '../../core/testing/samples.js';
import { askAhead } from './ahead.js';
import { ApiError, api, type Problem, type Workbench } from './api.js';
import { Saver } from './saver.js';
import { benchKey } from './told.js';
import { asKg } from '../../core/measures/index.js';

const bench: Workbench = {
  id: 'shed',
  version: 1,
  project: { name: 'Shed', settings: workshop().settings },
  records: {
    openings: [],
    things: [{ id: 'tin', version: 4, data: thing() }],
    stock: [],
    slides: [],
    hardware: [],
    cuttings: [],
    buildings: [],
    log: [],
    people: [{ id: 'ada', version: 1, data: { name: 'Ada', height: mm(1700) } }],
    pieces: [],
  },
  readings: [],
  made: [],
};

const problem = (status: number, extra: Partial<Problem> = {}) => new ApiError({ type: '', title: '', status, detail: 'no', ...extra });

function setUp() {
  const client = new QueryClient();
  client.setQueryData(benchKey('shed'), bench);
  const saver = new Saver(client, 'shed');
  const tin = () => client.getQueryData<Workbench>(benchKey('shed'))?.records.things[0];
  return { client, saver, tin };
}

const save = jest.spyOn(api, 'save');
afterEach(() => save.mockReset());

/** A server that keeps what it is sent and counts versions up. */
function keeping() {
  save.mockImplementation((_, __, id, version, data) => Promise.resolve({ id, version: version + 1, data }));
}

test('an edit shows at once, and later ones name the version that came back', async () => {
  keeping();
  const { saver, tin } = setUp();
  saver.save('things', 'tin', thing({ count: 1 }), 'one');
  saver.save('things', 'tin', thing({ count: 2 }), 'two');
  expect(tin()?.data.count).toBe(2);
  expect(saver.getWaiting()).toBe(2);
  await saver.settled();
  expect(save.mock.calls.map((c) => [c[3], c[5]])).toEqual([
    [4, 'one'],
    [5, 'two'],
  ]);
  expect(tin()).toMatchObject({ version: 6, data: { count: 2 } });
});

test('a lost race waits for a choice; later edits of the record join it, those of others go on', async () => {
  save.mockImplementation((_, kind, id, version, data) =>
    kind === 'things' && version === 4
      ? Promise.reject(problem(409, { current: { version: 9, data: thing({ count: 77 }) } }))
      : Promise.resolve({ id, version: version + 1, data }),
  );
  const { saver, tin } = setUp();
  saver.save('things', 'tin', thing({ count: 1 }), 'one');
  saver.save('things', 'tin', thing({ count: 2 }), 'two');
  saver.save('people', 'ada', { name: 'Ada', height: mm(1710) }, 'taller');
  await saver.settled();
  expect(saver.trouble).toMatchObject({ label: 'two', yours: { count: 2 } });
  expect(save.mock.calls.map((c) => c[1])).toEqual(['things', 'people']);
  saver.resolve('mine');
  await saver.settled();
  expect([saver.trouble, save.mock.lastCall?.[3], tin()?.data.count]).toEqual([null, 9, 2]);
});

test('taking what is stored shows it and sends nothing', async () => {
  save.mockRejectedValue(problem(409, { current: { version: 9, data: thing({ count: 77 }) } }));
  const { saver, tin } = setUp();
  saver.save('things', 'tin', thing({ count: 1 }), 'one');
  await saver.settled();
  saver.resolve('theirs');
  await saver.settled();
  expect([tin()?.version, tin()?.data.count, save.mock.calls.length]).toEqual([9, 77, 1]);
});

test('edits wait while the server is away, and are sent by themselves, in order, once each', async () => {
  jest.useFakeTimers();
  save.mockRejectedValue(problem(0));
  const { saver, tin } = setUp();
  saver.save('things', 'tin', thing({ count: 5 }), 'five');
  saver.save('people', 'ada', { name: 'Ada', height: mm(1710) }, 'taller');
  await saver.settled();
  expect([saver.trouble, saver.getWaiting(), saver.getAway(), tin()?.data.count]).toEqual([null, 2, true, 5]);
  expect(saver.names()).toEqual(['five', 'taller']);
  await jest.advanceTimersByTimeAsync(1000);
  // Asked again, and still away: the second one does not overtake the first.
  expect(save.mock.calls.map((c) => c[5])).toEqual(['five', 'five']);
  save.mockClear();
  keeping();
  await jest.advanceTimersByTimeAsync(2000);
  await saver.settled();
  jest.useRealTimers();
  expect(save.mock.calls.map((c) => c[5])).toEqual(['five', 'taller']);
  expect([saver.getWaiting(), saver.getAway(), tin()?.version]).toEqual([0, false, 5]);
});

test('an edit of which the answer was lost is not sent over itself, and not asked about', async () => {
  // The server took it, and counted up; the fields of what it has are in another order.
  const { kind, ...rest } = thing({ count: 5 }) as unknown as Record<string, unknown>;
  save.mockRejectedValue(problem(409, { current: { version: 5, data: { ...rest, kind } } }));
  const { saver, tin } = setUp();
  saver.save('things', 'tin', thing({ count: 5 }), 'five');
  await saver.settled();
  expect([saver.trouble, tin()?.version, tin()?.data.count]).toEqual([null, 5, 5]);
});

test('what was read before an edit was taken is read again, so that it is not shown in its place', async () => {
  let answer: (saved: { id: string; version: number; data: unknown }) => void = () => undefined;
  save.mockImplementation(
    (_, __, id, version, data) => new Promise((resolve) => (answer = () => resolve({ id, version: version + 1, data }))),
  );
  const { saver } = setUp();
  const later = { ...bench, records: { ...bench.records, things: [{ id: 'tin', version: 5, data: thing({ count: 5 }) }] } };
  const look = jest.spyOn(api, 'workbench');
  look.mockImplementationOnce(async () => {
    // The edit is made and taken while this answer, which knows nothing of it, is on its way.
    saver.save('things', 'tin', thing({ count: 5 }), 'five');
    await Promise.resolve();
    answer({ id: 'tin', version: 5, data: null });
    await saver.settled();
    return bench;
  });
  look.mockImplementation(() => Promise.resolve(later));
  const shown = await saver.look();
  expect([shown.records.things[0]?.version, look.mock.calls.length]).toEqual([5, 2]);
  look.mockRestore();
});

test('what is made while the server is away is shown, and is there for what is changed in it next', async () => {
  const away = problem(0);
  const create = jest.spyOn(api, 'create').mockRejectedValueOnce(away);
  keeping();
  const { client, saver } = setUp();
  const adas = () => client.getQueryData<Workbench>(benchKey('shed'))?.records.people;
  void saver.create('people', 'ben', { name: 'Ben', height: mm(1800) }, 'Added Ben');
  saver.save('people', 'ben', { name: 'Ben', height: mm(1810) }, 'taller');
  await saver.settled();
  expect([saver.getWaiting(), adas()?.map((p) => p.data.height)]).toEqual([2, [mm(1700), mm(1810)]]);
  create.mockImplementation((_, __, id, data) => Promise.resolve({ id, version: 1, data }));
  saver.tryNow();
  await saver.settled();
  expect(save.mock.calls.map((c) => [c[2], c[3]])).toEqual([['ben', 1]]);
  expect(adas()?.at(-1)).toMatchObject({ id: 'ben', version: 2, data: { height: mm(1810) } });
  // One that is refused is taken away again.
  create.mockRejectedValue(problem(400));
  const looked = jest.spyOn(client, 'invalidateQueries');
  await expect(saver.create('people', 'cas', { name: 'Cas', height: mm(1750) }, 'Added Cas')).rejects.toThrow('no');
  expect(looked).toHaveBeenCalled();
  create.mockRestore();
});

describe('an edit by another tab', () => {
  test('is never written over by one that was made before it was seen', async () => {
    keeping();
    const { client, saver } = setUp();
    save.mockRejectedValueOnce(problem(0));
    saver.save('things', 'tin', thing({ count: 5 }), 'five');
    await saver.settled();
    // The page has looked meanwhile: the record is at another version there.
    client.setQueryData<Workbench>(benchKey('shed'), (now) => ({
      ...(now as Workbench),
      records: { ...(now as Workbench).records, things: [{ id: 'tin', version: 9, data: thing({ count: 77 }) }] },
    }));
    saver.tryNow();
    await saver.settled();
    expect(save.mock.calls.map((c) => c[3])).toEqual([4, 4]);
  });

  test('keeps its fields where mine is kept and did not touch them', async () => {
    const seen = thing({ count: 2 });
    save.mockRejectedValueOnce(problem(409, { current: { version: 9, data: { ...seen, name: 'Tub' } } }));
    const { client, saver, tin } = setUp();
    client.setQueryData<Workbench>(benchKey('shed'), (now) => ({
      ...(now as Workbench),
      records: { ...(now as Workbench).records, things: [{ id: 'tin', version: 4, data: seen }] },
    }));
    saver.save('things', 'tin', { ...seen, count: 5 }, 'five', seen);
    await saver.settled();
    keeping();
    saver.resolve('mine');
    await saver.settled();
    expect([save.mock.lastCall?.[3], tin()?.data]).toEqual([9, { ...seen, name: 'Tub', count: 5 }]);
  });

  test('is not taken back by an undo that was meant for one’s own', async () => {
    keeping();
    save.mockImplementation((_, __, id, version, data) => Promise.resolve({ id, version: version + 1, data, change: 40 }));
    const undo = jest.spyOn(api, 'undo').mockResolvedValue({ undo: null, redo: null, undoChange: null, redoChange: null });
    const { saver } = setUp();
    const shown = { change: 12, asOf: Date.now() - 1000 };
    saver.save('things', 'tin', thing({ count: 5 }), 'five');
    // Pressed while the edit is on its way, and what is shown is still the one before it.
    void saver.walk('undo', ['things/tin'], shown);
    await saver.settled();
    expect(undo.mock.calls.map((c) => c[2])).toEqual([40]);
  });

  test('is stepped over by none of several undos in a row, each of which takes back one', async () => {
    const undo = jest.spyOn(api, 'undo');
    undo.mockClear();
    const before = new Map<number | null, number | null>([
      [40, 39],
      [39, 38],
      [38, null],
    ]);
    undo.mockImplementation((_, __, change) =>
      Promise.resolve({ undo: null, redo: null, undoChange: before.get(change) ?? null, redoChange: change }),
    );
    const { saver } = setUp();
    const shown = { change: 40, asOf: Date.now() - 1000 };
    for (let i = 0; i < 4; i += 1) void saver.walk('undo', ['things'], shown);
    await saver.settled();
    // The fourth has nothing to take back.
    expect(undo.mock.calls.map((c) => c[2])).toEqual([40, 39, 38]);
  });
});

test('listeners hear of every change', async () => {
  keeping();
  const { saver } = setUp();
  const heard = jest.fn();
  const leave = saver.subscribe(heard);
  saver.save('things', 'tin', thing({ count: 1 }), 'one');
  await saver.settled();
  leave();
  const times = heard.mock.calls.length;
  expect(times).toBeGreaterThanOrEqual(2);
  saver.save('things', 'tin', thing({ count: 2 }), 'two');
  await saver.settled();
  expect(heard.mock.calls.length).toBe(times);
});

describe('taking out', () => {
  test('is told with the way back, until the next edit', async () => {
    keeping();
    jest.spyOn(api, 'remove').mockResolvedValue(undefined);
    const { saver, tin } = setUp();
    await saver.remove('things', 'tin');
    expect([tin(), saver.getNotice()]).toEqual([undefined, { text: 'Took out tin.', tone: 'done', undo: ['things/tin'] }]);
    saver.save('people', 'ada', { name: 'Ada', height: mm(1710) }, 'taller');
    expect(saver.getNotice()).toBeNull();
    await saver.settled();
  });

  test('that is refused, as undo that is, says why and keeps the record', async () => {
    jest.spyOn(api, 'remove').mockRejectedValue(problem(409, { detail: 'This thing is used by Ink case.' }));
    jest.spyOn(api, 'undo').mockRejectedValue(problem(409, { detail: 'It would need the stock elm.' }));
    const { saver, tin } = setUp();
    await saver.remove('things', 'tin');
    expect([tin()?.version, saver.getNotice()]).toEqual([4, { text: 'This thing is used by Ink case.', tone: 'refused' }]);
    await saver.walk('undo', ['things']);
    expect(saver.getNotice()?.text).toBe('It would need the stock elm.');
  });
});

test('two edits of one record made on the same view both arrive', async () => {
  keeping();
  const { saver, tin } = setUp();
  const seen = tin()?.data as ReturnType<typeof thing>;
  saver.save('things', 'tin', { ...seen, count: 7 }, 'count', seen);
  saver.save('things', 'tin', { ...seen, mass: asKg(3) }, 'mass', seen);
  expect(tin()?.data).toEqual({ ...seen, count: 7, mass: 3 });
  await saver.settled();
  expect(save.mock.calls.at(-1)?.[4]).toEqual({ ...seen, count: 7, mass: 3 });
});

test('what is added by whoever waited for the last errand is done too', async () => {
  keeping();
  jest.spyOn(api, 'create').mockImplementation((_, __, id, data) => Promise.resolve({ id, version: 1, data }));
  const { saver } = setUp();
  const added = ['a', 'b', 'c'];
  for (const id of added) await saver.create('people', id, { name: id, height: mm(1700) }, 'Added');
  let taken = false;
  void saver.create('people', 'd', { name: 'd', height: mm(1700) }, 'Added').then(() => {
    saver.save('people', 'd', { name: 'd', height: mm(1710) }, 'taller');
    taken = true;
  });
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect([taken, saver.getWaiting()]).toEqual([true, 0]);
});

test('the first look takes what was asked ahead, and later ones ask again; not for another project, nor after an edit was taken', async () => {
  keeping();
  const asked = jest.spyOn(api, 'workbench');
  const named = (name: string) => asked.mockResolvedValueOnce({ ...bench, project: { ...bench.project, name } });
  const look = async (saver: Saver) => (await saver.look()).project.name;
  named('ahead');
  askAhead('shed');
  expect(asked.mock.calls).toEqual([['shed']]);
  const { saver } = setUp();
  expect(await look(saver)).toBe('ahead');
  named('later');
  expect(await look(saver)).toBe('later');

  named('of another');
  askAhead('mill');
  named('its own');
  expect(await look(setUp().saver)).toBe('its own');

  const edited = setUp().saver;
  edited.save('things', 'tin', thing({ count: 3 }), 'three');
  named('before it');
  askAhead('shed');
  await edited.settled();
  named('with it');
  expect(await look(edited)).toBe('with it');
  asked.mockRestore();
});

test('what failed when it was asked ahead is told to who looks, and is asked again then', async () => {
  const asked = jest.spyOn(api, 'workbench');
  asked.mockRejectedValueOnce(problem(503));
  askAhead('shed');
  const { saver } = setUp();
  await expect(saver.look()).rejects.toThrow('no');
  asked.mockResolvedValueOnce(bench);
  expect((await saver.look()).id).toBe('shed');
  asked.mockRestore();
});

describe('a fault of the server', () => {
  test.each([500, 507])(
    '%s keeps what was typed and all after it, sends nothing by itself, and sends all again when it is told to',
    async (status) => {
      jest.useFakeTimers();
      save.mockRejectedValue(problem(status, { detail: 'Something went wrong here.' }));
      const { saver, tin } = setUp();
      saver.save('things', 'tin', thing({ count: 5 }), 'five');
      saver.save('people', 'ada', { name: 'Ada', height: mm(1710) }, 'taller');
      await saver.settled();
      expect([saver.trouble, saver.getWaiting(), saver.getAway(), saver.getFault(), tin()?.data.count]).toEqual([
        null,
        2,
        false,
        'Something went wrong here.',
        5,
      ]);
      await jest.advanceTimersByTimeAsync(60_000);
      expect(save.mock.calls.map((c) => c[5])).toEqual(['five']);
      jest.useRealTimers();
      save.mockClear();
      keeping();
      saver.tryNow();
      await saver.settled();
      expect(save.mock.calls.map((c) => c[5])).toEqual(['five', 'taller']);
      expect([saver.getWaiting(), saver.getFault()]).toEqual([0, null]);
    },
  );

  test('is told of every kind of edit: a new person, a removal, a reading, parts and settings wait as well', async () => {
    const { saver } = setUp();
    const gone = problem(500, { detail: 'Something went wrong here.' });
    const asked = [
      jest.spyOn(api, 'create').mockRejectedValue(gone),
      jest.spyOn(api, 'remove').mockRejectedValue(gone),
      jest.spyOn(api, 'saveProject').mockRejectedValue(gone),
    ];
    asked.forEach((a) => a.mockClear());
    const left = [
      saver.create('people', 'bo', { name: 'Bo', height: mm(1800) }, 'Added Bo').catch((e: Error) => e.message),
      saver.remove('things', 'tin'),
    ];
    saver.saveProject({ ...bench.project, name: 'Shed two' }, bench.project);
    await saver.settled();
    expect(saver.names()).toEqual(['Added Bo', 'Take out tin', 'Changed the settings']);
    expect(asked.map((a) => a.mock.calls.length)).toEqual([1, 0, 0]);
    for (let waits = 2; waits >= 0; waits -= 1) {
      saver.leaveOut();
      await saver.settled();
      expect(saver.getWaiting()).toBe(waits);
    }
    expect(asked.map((a) => a.mock.calls.length)).toEqual([1, 1, 1]);
    expect((await Promise.all(left))[0]).toBe('Something went wrong here.');
    expect(saver.getFault()).toBeNull();
    asked.forEach((a) => a.mockRestore());
  });
});
