import sharp from 'sharp';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
const send = (id: string, bytes: Buffer, type = 'image/jpeg') =>
  running.http.post(`${shed}/photos?id=${id}`).set('content-type', type).send(bytes);
const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#884400' } });

test('a photo is scaled down and turned upright, and where it was taken is gone', async () => {
  // Lying on its side by its orientation, with a place in it.
  const exif = { IFD0: { Copyright: 'print shed' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } };
  const taken = await plain(4000, 2000).withExif(exif).withMetadata({ orientation: 6 }).jpeg().toBuffer();
  const kept = await send('saw', taken);
  // 4000 x 2000 turned is 2000 x 4000, and 800 x 1600 kept.
  expect([kept.status, kept.body]).toEqual([201, { id: 'saw', width: 800, height: 1600 }]);
  const shown = await running.http
    .get(`${shed}/photos/saw`)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (c: Buffer) => chunks.push(c));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    });
  const known = await sharp(shown.body as Buffer).metadata();
  expect([shown.headers['content-type'], known.format, known.width, known.height, known.exif, known.orientation]).toEqual([
    'image/jpeg',
    'jpeg',
    800,
    1600,
    undefined,
    undefined,
  ]);
});

test('it is never changed: another one of its id is refused, and a small one keeps its size', async () => {
  expect((await send('small', await plain(30, 20).png().toBuffer(), 'image/png')).body).toEqual({ id: 'small', width: 30, height: 20 });
  expect((await send('small', await plain(40, 20).png().toBuffer(), 'image/png')).status).toBe(409);
});

test('what is no photo, too large, broken off, or for nobody is refused in words', async () => {
  const detail = async (answer: ReturnType<typeof send>) => {
    const { status, text } = await answer;
    return [status, (JSON.parse(text) as { detail: string }).detail] as const;
  };
  expect(await detail(send('text', Buffer.from('this is no photo')))).toEqual([400, expect.stringContaining('not a picture')]);
  expect(await detail(send('svg', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 'image/svg+xml'))).toEqual(
    [400, expect.stringContaining('it is a svg file')],
  );
  expect(await detail(send('none', Buffer.alloc(0)))).toEqual([400, expect.stringContaining('nothing was sent')]);
  const whole = await plain(800, 600).jpeg().toBuffer();
  expect(await detail(send('half', whole.subarray(0, whole.length / 2)))).toEqual([400, expect.stringContaining('broken off')]);
  // A hundred megapixels, which are small on the disk.
  const huge = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: 'white' }, limitInputPixels: false })
    .png()
    .toBuffer();
  expect(await detail(send('huge', huge, 'image/png'))).toEqual([400, expect.stringContaining('100 megapixels')]);
  expect(await detail(send('heavy', Buffer.alloc(50 * 1024 * 1024)))).toEqual([413, expect.stringContaining('25 MB for a photo')]);
  expect((await send('Bad Id', whole)).status).toBe(400);
  expect((await running.http.post('/api/projects/nowhere/photos?id=a').set('content-type', 'image/jpeg').send(whole)).status).toBe(404);
  expect((await running.http.get(`${shed}/photos/none`)).status).toBe(404);
}, 60_000);
