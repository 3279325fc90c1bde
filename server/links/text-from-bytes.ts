/**
 * Text of a page from its bytes: by the charset it was sent with, else by the one its first kilobyte names (HTML Standard,
 * "prescan a byte stream to determine its encoding", in its common forms), else as UTF-8. Bytes that make no sense become
 * replacement characters.
 */
export function textFromBytes(bytes: Uint8Array, contentType: string): string {
  const sent = /charset\s*=\s*["']?([^\s"';]+)/i.exec(contentType)?.[1];
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  const named = /<meta[^>]+charset\s*=[\s"']*([^\s"'/>;]+)/i.exec(start)?.[1];
  for (const label of [sent, named, 'utf-8'])
    if (label)
      try {
        return new TextDecoder(label).decode(bytes);
      } catch {
        // A charset nobody knows: the next guess.
      }
  return '';
}
