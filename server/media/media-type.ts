/** Media types by format, as registered with IANA. */
const types: Record<string, string> = {
  pdf: 'application/pdf',
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  odt: 'application/vnd.oasis.opendocument.text',
  pptx: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  odp: 'application/vnd.oasis.opendocument.presentation',
  markdown: 'text/markdown; charset=utf-8',
  text: 'text/plain; charset=utf-8',
  mp3: 'audio/mpeg',
  m4a: 'audio/mp4',
  ogg: 'audio/ogg',
  wav: 'audio/wav',
  mp4: 'video/mp4',
};

/** Media type of a file that is handed out; WebM is the one format that holds both sounds and clips. */
export const mediaType = (kind: 'document' | 'sound' | 'clip', format: string): string =>
  types[format] ?? (kind === 'sound' ? 'audio/webm' : 'video/webm');
