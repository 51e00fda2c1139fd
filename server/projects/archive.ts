import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { LARGEST_FILE, type Fault } from '../../core/formats/index.js';
import { isId } from '../../core/ids/index.js';

/** A photo by its id, as it is kept. */
export interface PackedPhoto {
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** What lies in an archive beside its photos, or why it cannot be taken for one. */
export type Unpacked = { readonly ok: true; readonly document: unknown } | { readonly ok: false; readonly faults: readonly Fault[] };

/** What is taken at the most: bytes of an archive, of all that is in it, photos, and bytes of one. */
export const MOST_ARCHIVE = 150 * 1024 * 1024;
const MOST_IN_ALL = 200 * 1024 * 1024;
const MOST_PHOTOS = 3000;
const MOST_PHOTO = 5 * 1024 * 1024;

/** By how much packing makes a project file smaller at most, and a photo, which is packed already; smaller ones are made by no camera and no Ruvok. */
const MOST_RATIO = { project: 300, photo: 1.5 } as const;
/** What is so small is not asked, bytes. */
const TINY = 64 * 1024;

const PROJECT = 'project.json';
const PHOTO = /^photos\/([^/]+)\.jpg$/;
const ACCEPTED = `a ZIP with ${PROJECT} and photos/ID.jpg, as Ruvok saves one`;

/**
 * A project with its photos as a ZIP: its project file, and each photo under its id, one after the other. Photos are small
 * already, so they are only stored.
 */
export async function* packed(project: string, photos: AsyncIterable<PackedPhoto> | Iterable<PackedPhoto>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    ready.push(bytes);
  });
  const text = new ZipDeflate(PROJECT, { level: 6 });
  zip.add(text);
  text.push(new TextEncoder().encode(project), true);
  yield* ready.splice(0);
  for await (const { id, bytes } of photos) {
    const entry = new ZipPassThrough(`photos/${id}.jpg`);
    zip.add(entry);
    entry.push(bytes, true);
    yield* ready.splice(0);
  }
  zip.end();
  yield* ready.splice(0);
}

/** Something is wrong with an archive. */
class Unfit extends Error {
  constructor(
    readonly path: string,
    message: string,
  ) {
    super(message);
  }
}

/** Entries of an archive that were looked at before any is unpacked. */
interface Opened {
  readonly zip: ZipFile;
  readonly project: Entry;
  readonly photos: readonly { readonly id: string; readonly entry: Entry }[];
}

const nameOf = ({ fileName }: Entry): string => fileName.toString();

/** What is wrong with one entry, by what the archive says of it; null where nothing is. */
function faultOf(entry: Entry): string | null {
  const { compressedSize, uncompressedSize } = entry;
  const name = nameOf(entry);
  const id = PHOTO.exec(name)?.[1];
  const is = name === PROJECT ? 'project' : id !== undefined && isId(id) ? 'photo' : null;
  if (is === null) return 'it is none of what a project has';
  if (uncompressedSize > (is === 'project' ? LARGEST_FILE : MOST_PHOTO)) return `it is ${Math.round(uncompressedSize / 1e6)} MB long`;
  const swells = uncompressedSize > TINY && uncompressedSize > MOST_RATIO[is] * compressedSize;
  return swells ? `it is packed to ${compressedSize} bytes and would come to ${Math.round(uncompressedSize / 1e3)} kB` : null;
}

const isFolder = (entry: Entry) => nameOf(entry).endsWith('/');

/** Looks at all that an archive says is in it. @throws Unfit for the first thing that is not taken */
async function opened(path: string): Promise<Opened> {
  // Names are looked at here and no file is made of one.
  const zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false, decodeStrings: false, validateEntrySizes: true });
  try {
    const names = new Set<string>();
    const photos: { id: string; entry: Entry }[] = [];
    let project: Entry | null = null;
    let inAll = 0;
    for await (const entry of zip.eachEntry()) {
      if (isFolder(entry)) continue;
      const name = nameOf(entry);
      inAll += entry.uncompressedSize;
      const before = names.has(name) ? 'it is in there twice' : inAll > MOST_IN_ALL ? 'all of it is more than 200 MB' : null;
      names.add(name);
      const message = names.size > MOST_PHOTOS + 1 ? `it has more than ${MOST_PHOTOS} photos` : (before ?? faultOf(entry));
      if (message !== null) throw new Unfit(`/${name}`, message);
      const id = PHOTO.exec(name)?.[1];
      if (id === undefined) project = entry;
      else photos.push({ id, entry });
    }
    if (project === null) throw new Unfit('', `there is no ${PROJECT} in it`);
    return { zip, project, photos };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** Unpacks one entry, which comes to no more than it says. */
async function bytesOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

const refused = (path: string, message: string): Unpacked => ({ ok: false, faults: [{ path, message, accepted: ACCEPTED }] });

/** Reads the project file out of an archive. Nothing is unpacked that is larger than what is taken, whatever it comes to unpacked. */
export async function unpacked(path: string): Promise<Unpacked> {
  let text: string;
  try {
    const { zip, project } = await opened(path);
    text = await bytesOf(zip, project)
      .then((bytes) => bytes.toString())
      .finally(() => zip.close());
  } catch (error) {
    if (error instanceof Unfit) return refused(error.path, error.message);
    return refused('', `this is no ZIP, or it breaks off (${error instanceof Error ? error.message : 'unreadable'})`);
  }
  try {
    return { ok: true, document: JSON.parse(text) as unknown };
  } catch {
    return refused(`/${PROJECT}`, 'it breaks off or is not JSON');
  }
}

/** The photos of an archive that was looked at before, one after the other. @throws Error for one that is not as the archive says */
export async function* photosIn(path: string): AsyncGenerator<PackedPhoto> {
  const { zip, photos } = await opened(path);
  try {
    for (const { id, entry } of photos) yield { id, bytes: await bytesOf(zip, entry) };
  } finally {
    zip.close();
  }
}
