import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { unzipSync, zipSync } from 'fflate';
import sharp, { type Sharp } from 'sharp';
import { PRINT_SHED } from '../demo/print-shed.js';
import { photos } from './data/schema.js';
import { plainJpeg } from './photos/plain-jpeg.js';
import { packed } from './projects/archive.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
/** The shed with one piece in it. */
const SMALL = JSON.stringify({
  ...PRINT_SHED,
  pieces: { 'ink-case': PRINT_SHED.pieces['ink-case'] },
  cuttings: {},
  buildings: {},
  log: {},
  readings: {},
  made: {},
});
const PROJECT = new TextEncoder().encode(SMALL);
const picture = (extra: (s: Sharp) => Sharp = (s) => s) =>
  extra(sharp({ create: { width: 400, height: 300, channels: 3, background: '#845' } }))
    .jpeg()
    .toBuffer();
/** An archive in one. */
async function packedWhole(...given: Parameters<typeof packed>): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  for await (const part of packed(...given)) parts.push(part);
  return Buffer.concat(parts);
}
const binary = (path: string) =>
  running.http
    .get(path)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    });
const read = (id: string, zip: Uint8Array) =>
  running.http.post(`/api/projects/files?id=${id}`).set('content-type', 'application/zip').send(Buffer.from(zip));
const faultsOf = (answer: { text: string }) => (JSON.parse(answer.text) as { errors: { path: string; message: string }[] }).errors;

test('a project goes out with its photos and comes back with them, bit for bit', async () => {
  await running.http
    .post(`${shed}/photos?id=glue-up`)
    .set('content-type', 'image/jpeg')
    .send(await picture())
    .expect(201);
  const data = { piece: 'ink-case', day: '2026-05-04', is: 'photo', text: 'Glue-up', photo: 'glue-up' };
  await running.http.post(`${shed}/log`).send({ id: 'one', data, label: 'Photo' }).expect(201);
  const kept = (await binary(`${shed}/photos/glue-up`)).body as Buffer;
  const out = await binary(`${shed}/archive`);
  expect([out.status, out.headers['content-type']]).toEqual([200, 'application/zip']);
  const inside = unzipSync(new Uint8Array(out.body as Buffer));
  expect(Object.keys(inside).sort()).toEqual(['photos/glue-up.jpg', 'project.json']);
  expect(Buffer.compare(Buffer.from(inside['photos/glue-up.jpg'] as Uint8Array), kept)).toBe(0);

  await read('again', out.body as Buffer).expect(201);
  const back = (await binary('/api/projects/again/photos/glue-up')).body as Buffer;
  expect(Buffer.compare(back, kept)).toBe(0);
  const log = (await running.http.get('/api/projects/again/log/one')).body as { data: object };
  expect(log.data).toEqual(data);
}, 60_000);

test('a photo that is not as this program keeps them is made so: smaller, and with nothing about when and where', async () => {
  const told = await picture((s) =>
    s.resize(3000, 2000).withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } }),
  );
  await read('told', await packedWhole(SMALL, [{ id: 'p', bytes: told }])).expect(201);
  const kept = await sharp((await binary('/api/projects/told/photos/p')).body as Buffer).metadata();
  expect([kept.format, kept.width, kept.exif]).toEqual(['jpeg', 1600, undefined]);
}, 30_000);

test.each<[string, () => Uint8Array | Promise<Uint8Array>, string, RegExp]>([
  ['no ZIP at all', () => Buffer.from('nothing of the kind'), '', /this is no ZIP/],
  ['one that breaks off', async () => (await packedWhole(SMALL, [])).subarray(0, 1500), '', /this is no ZIP/],
  ['one without a project', () => zipSync({ 'photos/a.jpg': new Uint8Array(3) }), '', /there is no project\.json in it/],
  [
    'a way out of its folder',
    () => zipSync({ 'project.json': PROJECT, 'photos/../../x.jpg': new Uint8Array(3) }),
    '/photos/../../x.jpg',
    /none of what a project has/,
  ],
  [
    'what is no photo by its name',
    () => zipSync({ 'project.json': PROJECT, 'run.sh': new Uint8Array(3) }),
    '/run.sh',
    /none of what a project has/,
  ],
  [
    'a photo of 20 MB that packs small',
    () => zipSync({ 'project.json': PROJECT, 'photos/a.jpg': [new Uint8Array(20e6), { level: 1 }] }),
    '/photos/a.jpg',
    /20 MB long/,
  ],
  ['a project that is none', () => zipSync({ 'project.json': new TextEncoder().encode('{"format":') }), '/project.json', /not JSON/],
  ['what is no picture', () => zipSync({ 'project.json': PROJECT, 'photos/a.jpg': new Uint8Array(300) }), '/photo', /not a picture/],
  [
    'a picture that breaks off',
    async () => zipSync({ 'project.json': PROJECT, 'photos/a.jpg': new Uint8Array(await picture()).slice(0, 900) }),
    '/photo',
    /broken off|not a picture/,
  ],
])(
  '%s is refused in words, and nothing is there',
  async (_, make, path, message) => {
    const answer = await read('bad', await make());
    expect([answer.status, faultsOf(answer)[0]?.path]).toEqual([400, path]);
    expect(faultsOf(answer)[0]?.message).toMatch(message);
    expect((await running.http.get('/api/projects/bad')).status).toBe(404);
  },
  120_000,
);

describe('an archive that swells', () => {
  test('photos of nothing are refused by what the archive says of them, before one is unpacked', async () => {
    const zeros = new Uint8Array(5 * 1024 * 1024 - 1);
    const answer = await read('bomb', zipSync({ 'project.json': PROJECT, 'photos/a.jpg': zeros, 'photos/b.jpg': zeros })).expect(400);
    expect(faultsOf(answer)[0]).toMatchObject({
      path: '/photos/a.jpg',
      message: expect.stringContaining('would come to 5243 kB') as string,
    });
    await running.http.get('/api/projects/bomb').expect(404);
  });

  test('a project file that unpacks to hundreds of times itself is refused as well', async () => {
    const zip = zipSync({ 'project.json': new Uint8Array(8 * 1024 * 1024).fill(32) });
    const [fault] = faultsOf(await read('blank', zip).expect(400));
    expect(fault).toMatchObject({ path: '/project.json', message: expect.stringContaining('would come to') as string });
  });
});

/** The same archive, where the list at its end says another size of each entry than they come to. */
function lying(zip: Uint8Array, says: number): Buffer {
  const bytes = Buffer.from(zip);
  for (let at = bytes.indexOf('PK\x01\x02', 0, 'latin1'); at >= 0; at = bytes.indexOf('PK\x01\x02', at + 1, 'latin1'))
    bytes.writeUInt32LE(says, at + 24);
  return bytes;
}

test('an archive that says less than it comes to is refused as it is unpacked', async () => {
  const [fault] = faultsOf(await read('lies', lying(zipSync({ 'project.json': PROJECT }), 500)).expect(400));
  expect(fault?.message).toMatch(/breaks off \(.*too many bytes/);
  await running.http.get('/api/projects/lies').expect(404);
});

test('all of an archive may be 200 MB, whatever each of its photos is', async () => {
  // Each is as large as one may be and is stored once; the list names it again and again.
  const noise = randomBytes(5_000_000);
  const one = Buffer.from(zipSync({ 'project.json': PROJECT, 'photos/p-00.jpg': noise }, { level: 0 }));
  const end = one.indexOf('PK\x05\x06', 0, 'latin1');
  const last = one.lastIndexOf('PK\x01\x02', undefined, 'latin1');
  const again = Array.from({ length: 41 }, (_, i) => {
    const entry = Buffer.from(one.subarray(last, end));
    entry.write(`${i + 10}`, entry.indexOf('p-00') + 2, 'latin1');
    return entry;
  });
  const tail = Buffer.from(one.subarray(end));
  tail.writeUInt16LE(43, 8);
  tail.writeUInt16LE(43, 10);
  tail.writeUInt32LE(tail.readUInt32LE(12) + 41 * (end - last), 12);
  const [fault] = faultsOf(await read('much', Buffer.concat([one.subarray(0, end), ...again, tail])).expect(400));
  expect(fault?.message).toBe('all of it is more than 200 MB');
});

test('comments, and what trails a photo, are in no project and no archive; the picture is the same to the byte', async () => {
  const plain = await picture();
  const comment = Buffer.concat([Buffer.from([0xff, 0xfe, 0, 2 + 11]), Buffer.from('lives at 7.')]);
  const told = Buffer.concat([plain.subarray(0, 2), comment, plain.subarray(2), Buffer.from('behind the picture')]);
  expect(Buffer.compare(plainJpeg(told) as Buffer, plain)).toBe(0);
  await read('plain', await packedWhole(SMALL, [{ id: 'p', bytes: told }])).expect(201);
  const kept = (await binary('/api/projects/plain/photos/p')).body as Buffer;
  expect(Buffer.compare(kept, plain)).toBe(0);
  // One that was taken in before that was seen to goes out plain.
  await running.database.db.update(photos).set({ bytes: told }).where(eq(photos.projectId, 'plain'));
  const out = unzipSync(new Uint8Array((await binary('/api/projects/plain/archive')).body as Buffer));
  expect(Buffer.compare(Buffer.from(out['photos/p.jpg'] as Uint8Array), plain)).toBe(0);
});

test('an archive that meets a fault once it is begun is broken off, and the server goes on', async () => {
  await read('spoiled', await packedWhole(SMALL, [{ id: 'p', bytes: await picture() }])).expect(201);
  await running.database.db
    .update(photos)
    .set({ bytes: randomBytes(300) })
    .where(eq(photos.projectId, 'spoiled'));
  await expect(binary('/api/projects/spoiled/archive')).rejects.toThrow(/aborted|hang up/);
  await running.http.get('/api/projects/spoiled').expect(200);
});

test('a picture in several scans, and one whose data begins anew, are kept to the byte; what breaks off is told', async () => {
  const noise = sharp(randomBytes(120 * 90 * 3), { raw: { width: 120, height: 90, channels: 3 } });
  for (const progressive of [true, false]) {
    const bytes = await noise.clone().jpeg({ progressive, quality: 95 }).toBuffer();
    expect(Buffer.compare(plainJpeg(bytes) as Buffer, bytes)).toBe(0);
    expect(() => plainJpeg(bytes.subarray(0, bytes.length - 40))).toThrow('it breaks off');
  }
  expect(() => plainJpeg(Buffer.from('no picture'))).toThrow('it is no JPEG');
});
