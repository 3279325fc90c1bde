/**
 * Bytes as text: by the byte order mark where there is one, else UTF-8, else Windows-1252, in which every byte is a
 * letter (encodings by the WHATWG Encoding Standard).
 */
export function textOf(bytes: Uint8Array): string {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Whether bytes can be a text file: something is in them, and no zero bytes unless it is UTF-16. */
export function looksLikeText(bytes: Uint8Array): boolean {
  const [first, second] = bytes;
  const wide = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  return bytes.length > 0 && (wide || !bytes.subarray(0, 64 * 1024).includes(0));
}
