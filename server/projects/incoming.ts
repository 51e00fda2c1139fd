import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { IncomingMessage } from 'node:http';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable, PayloadTooLargeException, type OnModuleInit } from '@nestjs/common';
import { CONFIG, type Config } from '../config.js';
import { stopped } from '../problems/problem.js';

/** Passes on so many bytes and no more. @throws PayloadTooLargeException for more */
const atMost = (most: number) => {
  let came = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      came += chunk.length;
      if (came > most) done(new PayloadTooLargeException());
      else done(null, chunk);
    },
  });
};

/** Files that come in are put on the disk as they come, so that none is held in memory whole, and taken away once they were read. */
@Injectable()
export class Incoming implements OnModuleInit {
  private readonly folder: string;

  constructor(@Inject(CONFIG) { dataFolder }: Config) {
    this.folder = join(dataFolder, 'coming-in');
  }

  /** What a server that was killed left there is of no use. */
  onModuleInit(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }

  /**
   * Has something done with a file that is sent, in a folder of its own that is there until it is done.
   * @throws PayloadTooLargeException for more than so many bytes, ProblemException where the sending breaks off
   */
  async received<T>(sent: IncomingMessage, most: number, use: (path: string, folder: string) => Promise<T>): Promise<T> {
    // What says that it is too large is not begun with, so that whoever sends it is told and not cut off.
    if (Number(sent.headers['content-length'] ?? 0) > most) throw new PayloadTooLargeException();
    const folder = join(this.folder, randomUUID());
    const path = join(folder, 'sent');
    mkdirSync(folder, { recursive: true });
    try {
      await pipeline(sent, atMost(most), createWriteStream(path)).catch((error: NodeJS.ErrnoException) => {
        throw error.code === 'ERR_STREAM_PREMATURE_CLOSE' || error.code === 'ECONNRESET' ? stopped() : error;
      });
      return await use(path, folder);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
}
