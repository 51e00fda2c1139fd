import { unzipSync, zipSync, type UnzipFileInfo } from 'fflate';
import { LARGEST_FILE, type Fault } from '../../core/formats/index.js';
import { isId } from '../../core/ids/index.js';

/** A photo by its id, as it is kept. */
export interface PackedPhoto {
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** What lies in an archive, or why it cannot be taken for one. */
export type Unpacked =
  | { readonly ok: true; readonly document: unknown; readonly photos: readonly PackedPhoto[] }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** What is taken at the most: bytes of an archive, photos in it, and bytes of one. */
export const MOST_ARCHIVE = 150 * 1024 * 1024;
const MOST_PHOTOS = 3000;
const MOST_PHOTO = 5 * 1024 * 1024;

/** By how much packing makes a project file smaller at most, and a photo, which is packed already; smaller ones are made by no camera and no Ruvok. */
const MOST_RATIO = { project: 300, photo: 1.5 } as const;
/** What is so small is not asked, bytes. */
const TINY = 64 * 1024;

const PROJECT = 'project.json';
const PHOTO = /^photos\/([^/]+)\.jpg$/;
const ACCEPTED = `a ZIP with ${PROJECT} and photos/ID.jpg, as Ruvok saves one`;

/** A project with its photos as a ZIP: its project file, and each photo under its id. Photos are small already, so they are only stored. */
export function packed(project: string, photos: readonly PackedPhoto[]): Uint8Array {
  const pictures = photos.map(({ id, bytes }) => [`photos/${id}.jpg`, [bytes, { level: 0 }]] as const);
  return zipSync({ [PROJECT]: new TextEncoder().encode(project), ...Object.fromEntries(pictures) });
}

const refused = (path: string, message: string): Unpacked => ({ ok: false, faults: [{ path, message, accepted: ACCEPTED }] });

/** What is wrong with one entry, by what the archive says of it before it is unpacked; null where nothing is. */
function faultOf({ name, size, originalSize }: UnzipFileInfo): string | null {
  const id = PHOTO.exec(name)?.[1];
  const is = name === PROJECT ? 'project' : id !== undefined && isId(id) ? 'photo' : null;
  if (is === null) return 'it is none of what a project has';
  if (originalSize > (is === 'project' ? LARGEST_FILE : MOST_PHOTO)) return `it is ${Math.round(originalSize / 1e6)} MB long`;
  const swells = originalSize > TINY && originalSize > MOST_RATIO[is] * size;
  return swells ? `it is packed to ${size} bytes and would come to ${Math.round(originalSize / 1e3)} kB` : null;
}

/** Reads an archive. Nothing is unpacked that is larger than what is taken, whatever it comes to unpacked. */
export function unpacked(bytes: Uint8Array): Unpacked {
  let wrong: Unpacked | null = null;
  const names = new Set<string>();
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: (entry) => {
        if (wrong || entry.name.endsWith('/')) return false;
        const twice = names.has(entry.name) ? 'it is in there twice' : null;
        names.add(entry.name);
        const message = names.size > MOST_PHOTOS + 1 ? `it has more than ${MOST_PHOTOS} photos` : (twice ?? faultOf(entry));
        if (message !== null) wrong = refused(`/${entry.name}`, message);
        return wrong === null;
      },
    });
  } catch (error) {
    return refused('', `this is no ZIP, or it breaks off (${error instanceof Error ? error.message : 'unreadable'})`);
  }
  if (wrong) return wrong;
  const project = entries[PROJECT];
  if (!project) return refused('', `there is no ${PROJECT} in it`);
  const photos = Object.entries(entries).flatMap(([name, photo]): PackedPhoto[] => {
    const id = PHOTO.exec(name)?.[1];
    return id === undefined ? [] : [{ id, bytes: photo }];
  });
  try {
    return { ok: true, document: JSON.parse(new TextDecoder().decode(project)) as unknown, photos };
  } catch {
    return refused(`/${PROJECT}`, 'it breaks off or is not JSON');
  }
}
