/** A JPEG is read no further: it is none, or breaks off. */
export class NoJpeg extends Error {}

const [SOI, EOI, SOS, COM] = [0xd8, 0xd9, 0xda, 0xfe] as const;
/** Markers that stand alone: those between which the data of a scan may begin anew. */
const isAlone = (marker: number): boolean => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7);
/** What programs may put in that is about the picture: its density, its colours, and how they are coded. All else they put in is not. */
const ABOUT: Readonly<Record<number, string>> = { 0xe0: 'JFIF\0', 0xe2: 'ICC_PROFILE\0', 0xee: 'Adobe' };

/** Whether a segment is no part of the picture. @param says what it begins with */
const isOthers = (marker: number, says: Uint8Array): boolean =>
  marker === COM ||
  (marker >= 0xe0 && marker <= 0xef && !(ABOUT[marker] && Buffer.from(says).toString('latin1').startsWith(ABOUT[marker])));

/**
 * A JPEG without anything but its picture: no comments, nothing of cameras and programs, nothing behind its end. The picture
 * itself stays as it is, to the byte (ITU T.81, annex B).
 * @throws NoJpeg for what is none, or breaks off
 */
export function plainJpeg(bytes: Uint8Array): Uint8Array {
  const at = (i: number): number => {
    const value = bytes[i];
    if (value === undefined) throw new NoJpeg('it breaks off');
    return value;
  };
  if (at(0) !== 0xff || at(1) !== SOI) throw new NoJpeg('it is no JPEG');
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  for (let i = 2; ;) {
    if (at(i) !== 0xff) throw new NoJpeg('it is damaged');
    const marker = at(i + 1);
    if (marker === 0xff) {
      i += 1;
      continue;
    }
    if (marker === EOI) {
      kept.push(bytes.subarray(i, i + 2));
      return Buffer.concat(kept);
    }
    let end = i + 2 + (isAlone(marker) ? 0 : at(i + 2) * 256 + at(i + 3));
    // Behind the head of a scan is its data, up to a marker that does not stand for a byte or begins it anew.
    if (marker === SOS) while (!(at(end) === 0xff && at(end + 1) !== 0 && !isAlone(at(end + 1)))) end += 1;
    at(end);
    if (!isOthers(marker, bytes.subarray(i + 4, i + 16))) kept.push(bytes.subarray(i, end));
    i = end;
  }
}
