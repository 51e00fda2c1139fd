import sharp, { type Metadata } from 'sharp';
import { plainJpeg } from './plain-jpeg.js';
import { badInput } from '../problems/problem.js';

/** What is taken at the most: bytes, and pixels across and down. */
export const MOST_BYTES = 25 * 1024 * 1024;
const MOST_PIXELS = 60e6;
/** The longer side of what is kept, pixels: enough to see a joint by. */
const KEPT = 1600;

/** A photo as it is kept: a JPEG, scaled down, turned upright, with nothing in it about when and where. */
export interface Picture {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

const ACCEPTED = 'a JPEG, PNG, WebP or AVIF picture of at most 25 MB and 60 megapixels';

function refused(message: string) {
  return badInput([{ path: '/photo', message, accepted: ACCEPTED }], `This photo cannot be kept: ${message}. Taken is ${ACCEPTED}.`);
}

/** Whether a photo is as this program keeps them: small enough, and with nothing in it about when and where. */
function isKeptSo({ format, width = Infinity, height = Infinity, exif, xmp, iptc }: Metadata): boolean {
  return format === 'jpeg' && Math.max(width, height) <= KEPT && !exif && !xmp && !iptc;
}

/**
 * A photo that was kept before, as it comes back: as it is where it is what this program keeps, else made so anew.
 * @throws ProblemException 400 for what is no picture, is too large, or is broken
 */
export async function pictureAgain(bytes: Buffer): Promise<Picture> {
  const known = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .metadata()
    .catch(() => null);
  if (!known || !isKeptSo(known)) return pictureOf(bytes);
  // All of it is looked at, so that what breaks off is not kept.
  try {
    await sharp(bytes, { failOn: 'error' }).raw().toBuffer();
    return { bytes: Buffer.from(plainJpeg(bytes)), width: known.width, height: known.height };
  } catch {
    throw refused('it is broken off or damaged');
  }
}

/** The bytes of a photo that is kept, with nothing beside its picture: one that was taken in before that was seen to may have comments. */
export async function plainBytes(kept: Uint8Array): Promise<Uint8Array> {
  try {
    return plainJpeg(kept);
  } catch {
    return (await pictureOf(Buffer.from(kept))).bytes;
  }
}

/**
 * Makes a photo ready to be kept.
 * @throws ProblemException 400 for what is no picture, is too large, or is broken
 */
export async function pictureOf(sent: Buffer): Promise<Picture> {
  if (sent.length === 0) throw refused('nothing was sent');
  let known: Metadata;
  try {
    known = await sharp(sent, { limitInputPixels: false }).metadata();
  } catch {
    throw refused('it is not a picture that can be read here');
  }
  const pixels = (known.width ?? 0) * (known.height ?? 0);
  if (!['jpeg', 'png', 'webp', 'heif'].includes(known.format ?? '')) throw refused(`it is a ${known.format ?? 'file'} file`);
  if (pixels > MOST_PIXELS) throw refused(`it has ${Math.round(pixels / 1e6)} megapixels`);
  try {
    const { data, info } = await sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: KEPT, height: KEPT, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: 'white' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height };
  } catch {
    throw refused('it is broken off or damaged');
  }
}
