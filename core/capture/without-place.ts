import piexif from 'piexifjs';

/** Marks of a JPEG file (ITU-T T.81, table B.1). */
const mark = {
  soi: 0xd8,
  eoi: 0xd9,
  sos: 0xda,
  app0: 0xe0,
  app1: 0xe1,
  app2: 0xe2,
  app14: 0xee,
  app15: 0xef,
  comment: 0xfe,
};
/** Marks without a length after them: stuffed zeros, restarts, and a lone TEM. */
const standsAlone = (one: number): boolean => one === 0x00 || one === 0x01 || (one >= 0xd0 && one <= 0xd7);

/** Exif tags (CIPA DC-008): which way up a picture is, and when it was taken. */
const orientation = piexif.ImageIFD.Orientation;
const takenAt = piexif.ExifIFD.DateTimeOriginal;

/** An Exif block with nothing but the orientation and the date of another one. */
function pickedExif(body: Uint8Array): string {
  const text = Array.from(body, (byte) => String.fromCharCode(byte)).join('');
  try {
    const read = piexif.load(text);
    const turned = read['0th']?.[orientation];
    const taken = read.Exif?.[takenAt];
    return piexif.dump({
      '0th': typeof turned === 'number' && turned >= 1 && turned <= 8 ? { [orientation]: turned } : {},
      Exif:
        typeof taken === 'string' && /^\d{4}(?::\d\d){2} \d\d(?::\d\d){2}\0?$/.test(taken)
          ? { [takenAt]: taken }
          : {},
    });
  } catch {
    // Broken Exif is common; there is nothing in it that could be kept.
    return piexif.dump({});
  }
}

/** The segment of a file that holds an Exif block. */
function exifSegment(block: string): Uint8Array {
  const bytes = new Uint8Array(4 + block.length);
  new DataView(bytes.buffer).setUint32(0, (0xff00 + mark.app1) * 0x10000 + block.length + 2);
  for (let at = 0; at < block.length; at++) bytes[4 + at] = block.charCodeAt(at);
  return bytes;
}

const startsWith = (bytes: Uint8Array, text: string): boolean =>
  [...text].every((letter, at) => bytes[at] === letter.charCodeAt(0));

/** How the colours of a file are coded takes so many bytes (ITU-T T.872, 6.5.3; from memory). */
const colourCodingBytes = 12;

/** What of a file's notes is needed to show it as it is: its density, its colour profile, how its colours are coded. */
const isKept = (one: number, body: Uint8Array): boolean =>
  one < mark.app0 || one > mark.app15
    ? one !== mark.comment
    : one === mark.app0
      ? startsWith(body, 'JFIF')
      : one === mark.app2
        ? startsWith(body, 'ICC_PROFILE')
        : one === mark.app14 && body.length === colourCodingBytes;

/**
 * A JPEG file without anything that could say where it was made: of all that cameras and programs write beside the picture only the
 * way up, the date and the colour profile are kept, and what lies behind its end (second pictures, with notes of their own) goes.
 * The picture itself is the same, byte for byte.
 *
 * @returns null for what is no JPEG file, or a broken one
 */
export function withoutPlace(file: Uint8Array): Uint8Array<ArrayBuffer> | null {
  if (file[0] !== 0xff || file[1] !== mark.soi) return null;
  const kept: Uint8Array[] = [];
  let exif: Uint8Array | null = null;
  let at = 2;
  while (at < file.length) {
    if (file[at] !== 0xff) return null;
    const one = file[at + 1] ?? 0;
    // Marks may be filled up before.
    if (one === 0xff) {
      at += 1;
      continue;
    }
    if (one === mark.eoi) {
      // What says how dense a picture is stands first (T.871), before the Exif block.
      const ahead = kept[0]?.[1] === mark.app0 ? 1 : 0;
      const notes = [...kept.slice(0, ahead), ...(exif ? [exif] : []), ...kept.slice(ahead)];
      const pieces = [file.subarray(0, 2), ...notes, file.subarray(at, at + 2)];
      const whole = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
      let to = 0;
      for (const piece of pieces) {
        whole.set(piece, to);
        to += piece.length;
      }
      return whole;
    }
    const length = standsAlone(one) ? 0 : ((file[at + 2] ?? 0) << 8) + (file[at + 3] ?? 0);
    let end = at + 2 + length;
    const body = file.subarray(at + 4, end);
    if (one === mark.app1 && startsWith(body, 'Exif\0\0')) exif ??= exifSegment(pickedExif(body));
    // The lines of the picture follow their heading, up to the next mark that is none of theirs.
    if (one === mark.sos)
      while (
        end < file.length &&
        !(file[end] === 0xff && !standsAlone(file[end + 1] ?? 0) && file[end + 1] !== 0xff)
      )
        end += 1;
    if (isKept(one, body)) kept.push(file.subarray(at, end));
    at = end;
  }
  return null;
}
