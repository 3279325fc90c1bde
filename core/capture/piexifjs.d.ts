declare module 'piexifjs' {
  type Tags = Record<number, string | number | undefined>;
  interface Exif {
    '0th'?: Tags;
    Exif?: Tags;
  }
  const piexif: {
    ImageIFD: { Orientation: number };
    ExifIFD: { DateTimeOriginal: number };
    /** Reads a JPEG file, or an Exif block, each letter of which is a byte. Throws where it cannot be read. */
    load(bytes: string): Exif;
    /** An Exif block, each letter of which is a byte. */
    dump(exif: Exif): string;
  };
  export default piexif;
}
