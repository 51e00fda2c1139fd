import { readConfig } from './config.js';

test('the environment and the command line decide how the server runs', () => {
  expect(readConfig({ PORT: '0', RUVOK_DATA: '/tmp/shed' }, ['--empty'], { webFolder: null, worker: null })).toMatchObject({
    port: 0,
    dataFolder: '/tmp/shed',
    demo: false,
  });
  expect(readConfig({}, [], { webFolder: '/web', worker: '/worker.js' })).toMatchObject({
    port: 4170,
    demo: true,
    webFolder: '/web',
    worker: '/worker.js',
  });
});

test('names and proxies are lists', () => {
  const read = (env: NodeJS.ProcessEnv) => readConfig(env, [], { webFolder: null, worker: null });
  expect([...read({ RUVOK_HOSTS: 'Shed.example, bench.example' }).hosts]).toEqual(['shed.example', 'bench.example']);
  expect(read({ RUVOK_TRUST: '127.0.0.1 10.0.0.0/8,::1' }).trusted).toEqual(['127.0.0.1', '10.0.0.0/8', '::1']);
  expect(read({}).trusted).toEqual([]);
});

test.each([
  { PORT: 'eighty' },
  { PORT: '70000' },
  { RUVOK_LEAST_FREE: 'much' },
  { RUVOK_PER_MINUTE: '0' },
  { RUVOK_TRUST: 'everybody' },
  { RUVOK_TRUST: '10.0.0.0/33' },
])('%o is refused', (env) => {
  expect(() => readConfig(env, [], { webFolder: null, worker: null })).toThrow(RangeError);
});

test.each(['mysql://here/ruvok', 'here', 'postgres//here'])('%s is no address of a database, and is not repeated', (text) => {
  const read = () => readConfig({ RUVOK_DATABASE_URL: text }, [], { webFolder: null, worker: null });
  expect(read).toThrow(/RUVOK_DATABASE_URL is no address of a PostgreSQL database/);
  expect(read).not.toThrow(text);
});
