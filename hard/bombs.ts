import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync, type Zippable } from 'fflate';
import sharp from 'sharp';
import { PRINT_SHED } from '../demo/print-shed.js';
import { startServer } from './server.js';

/** What came of archives and photos that are made to swell, and of one that is merely large. */
export interface BombsTried {
  readonly tried: number;
  readonly wrong: number;
  /** By how much the server's memory grew at most while one was taken in, MB. */
  readonly grew: number;
}

/** An import may take so much memory, MB. */
const MOST_MB = 200;

/** What the system says of a process's memory, MB: the most that it has had, or what it has now. */
function memoryOf(pid: number, which: 'VmHWM' | 'VmRSS'): number {
  const kb = new RegExp(`${which}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
  return Number(kb) / 1024;
}

const project = () =>
  new TextEncoder().encode(
    JSON.stringify({
      ...PRINT_SHED,
      pieces: { 'ink-case': PRINT_SHED.pieces['ink-case'] },
      cuttings: {},
      buildings: {},
      log: {},
      readings: {},
      made: {},
    }),
  );

const named = (count: number, bytes: Uint8Array, level: 0 | 6): Zippable =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`photos/p-${i}.jpg`, [bytes, { level }] as const]));

/** One that is sent, and whether it is to be taken. */
interface Bomb {
  readonly name: string;
  readonly path: string;
  readonly type: string;
  readonly make: () => Uint8Array | Promise<Uint8Array>;
  readonly good: boolean;
}

const archive = (name: string, make: () => Zippable | Promise<Zippable>, good = false): Bomb => ({
  name,
  path: '/api/projects/files?id=bomb',
  type: 'application/zip',
  make: async () => zipSync(await make()),
  good,
});

const photo = (name: string, make: () => Promise<Uint8Array>): Bomb => ({
  name,
  path: '/api/projects/print-shed/photos?id=bomb',
  type: 'image/png',
  make,
  good: false,
});

const blank = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: 'white' }, limitInputPixels: false });

const BOMBS: readonly Bomb[] = [
  archive('300 photos of 5 MB of nothing', () => ({ 'project.json': project(), ...named(300, new Uint8Array(5 * 1024 * 1024 - 1), 6) })),
  archive('a project file of 9 MB of blanks', () => ({ 'project.json': new Uint8Array(9_000_000).fill(32) })),
  archive('a project file of 9 MB of one list in another', () => ({ 'project.json': new TextEncoder().encode('['.repeat(9_000_000)) })),
  archive('an archive within an archive', () => ({ 'project.json': project(), 'more.zip': zipSync({ a: new Uint8Array(4_000_000) }) })),
  archive('30,000 entries', () => ({ 'project.json': project(), ...named(30_000, new Uint8Array(1), 0) })),
  archive(
    '400 photos as a camera makes them',
    async () => {
      const noise = await sharp(randomBytes(600 * 450 * 3), { raw: { width: 600, height: 450, channels: 3 } })
        .jpeg({ quality: 92 })
        .toBuffer();
      return { 'project.json': project(), ...named(Math.min(400, Math.floor(120e6 / noise.length)), noise, 0) };
    },
    true,
  ),
  photo('a photo of 100 megapixels of nothing', () => blank(10_000, 10_000).png().toBuffer()),
  photo('a photo of 268 megapixels of nothing', () => blank(16_383, 16_383).png().toBuffer()),
];

/**
 * Sends archives and photos that unpack to far more than they are, and a large one that is right: the bad are refused in words,
 * the good one is taken, and the server's memory stays in bounds.
 * @returns null where this machine does not tell how much memory a process takes
 */
export async function sendBombs(told: (text: string) => void): Promise<BombsTried | null> {
  if (process.platform !== 'linux') return null;
  let [wrong, grew] = [0, 0];
  for (const { name, path, type, make, good } of BOMBS) {
    const folder = mkdtempSync(join(tmpdir(), 'ruvok-bombs-'));
    const running = await startServer(folder);
    const body = Buffer.from(await make());
    const pid = running.process.pid ?? 0;
    const before = memoryOf(pid, 'VmRSS');
    const answer = await fetch(running.url + path, { method: 'POST', headers: { 'content-type': type }, body }).catch(() => null);
    const more = memoryOf(pid, 'VmHWM') - before;
    const well = await fetch(`${running.url}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    const asMeant = answer !== null && (good ? answer.status === 201 : answer.status >= 400 && answer.status < 500);
    const isLarge = more > MOST_MB;
    if (!asMeant || !well || isLarge) wrong += 1;
    grew = Math.max(grew, more);
    told(
      `${name}, ${(body.length / 1e6).toFixed(1)} MB: ${answer?.status ?? 'no answer'}, memory ${before.toFixed(0)} and ${more.toFixed(0)} MB more at most`,
    );
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  return { tried: BOMBS.length, wrong, grew };
}
