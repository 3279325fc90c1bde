import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { zipSync, type Zippable } from 'fflate';

/**
 * Small files that are costly to read: each is what somebody who means harm, or a broken program, could send. They are made
 * here and not kept, since what makes them costly is how they are made.
 */
export interface HostileFile {
  name: string;
  make: () => Buffer;
}

const text = (content: string): Uint8Array => new TextEncoder().encode(content);
const zip = (files: Zippable): Buffer => Buffer.from(zipSync(files, { level: 1 }));

const contentTypes = text(
  '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
);
const rels = text(
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
);

/** A DOCX with this between the tags of its body (ECMA-376). */
const docx = (body: string, more: Zippable = {}): Buffer =>
  zip({
    '[Content_Types].xml': contentTypes,
    '_rels/.rels': rels,
    'word/document.xml': text(
      `<?xml version="1.0"?><w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>${body}</w:body></w:document>`,
    ),
    ...more,
  });

/** An ODT with this between the tags of its text (OpenDocument 1.3). */
const odt = (body: string): Buffer =>
  zip({
    mimetype: [text('application/vnd.oasis.opendocument.text'), { level: 0 }],
    'content.xml': text(
      `<?xml version="1.0"?><office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:text>${body}</office:text></office:body></office:document-content>`,
    ),
  });

/** Writes smaller sizes into an archive's own records than what its files really have. */
function lying(archive: Buffer): Buffer {
  const lies = Buffer.from(archive);
  for (let at = 0; at + 46 < lies.length; at++) {
    const signature = lies.readUInt32LE(at);
    // Local and central records have the unpacked size at these places (PKWARE's APPNOTE, 4.3.7 and 4.3.12).
    if (signature === 0x04034b50) lies.writeUInt32LE(100, at + 22);
    if (signature === 0x02014b50) lies.writeUInt32LE(100, at + 24);
  }
  return lies;
}

/** A PDF with one page and these objects after the first four (ISO 32000). */
function pdf(content: string, resources: string, objects: readonly string[] = []): Buffer {
  const stream = (body: string, dictionary = '') => {
    const packed = deflateSync(Buffer.from(body, 'latin1')).toString('latin1');
    return `<< ${dictionary} /Filter /FlateDecode /Length ${packed.length} >>\nstream\n${packed}\nendstream`;
  };
  const all = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 600 800] /Contents 4 0 R /Resources << ${resources} >> >>`,
    stream(content),
    ...objects.map((object) => {
      const [dictionary = '', body] = object.split('\u0000');
      return body === undefined ? dictionary : stream(body, dictionary);
    }),
  ];
  let file = '%PDF-1.7\n';
  const offsets = all.map((object, at) => {
    const offset = file.length;
    file += `${at + 1} 0 obj\n${object}\nendobj\n`;
    return offset;
  });
  const start = file.length;
  file += `xref\n0 ${all.length + 1}\n0000000000 65535 f \n${offsets.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('')}trailer\n<< /Size ${all.length + 1} /Root 1 0 R >>\nstartxref\n${start}\n%%EOF\n`;
  return Buffer.from(file, 'latin1');
}

const font = '/Font << /F1 << /Type /Font /Subtype /Type1 /BaseFont /Helvetica >> >>';

/** Forms that call each other: so many levels, each calling the next so often. */
function nestedForms(deep: number, wide: number): Buffer {
  const form = (next: string, body: string) =>
    `/Type /XObject /Subtype /Form /BBox [0 0 600 800] /Resources << ${next} >>\u0000${body}`;
  const objects = Array.from({ length: deep }, (_, level) =>
    level === deep - 1
      ? form('', '0 0 600 800 re f '.repeat(20))
      : form(`/XObject << /N ${level + 6} 0 R >>`, '/N Do '.repeat(wide)),
  );
  return pdf('/N Do', '/XObject << /N 5 0 R >>', objects);
}

/** A recording of the demo that says it has two thousand million samples. */
function endlessClip(): Buffer {
  const clip = Buffer.from(
    readFileSync(join(import.meta.dirname, '../../demo/pictures/tide-clock/hand-time-lapse.mp4')),
  );
  for (const box of ['stsz', 'stts', 'stco', 'stsc', 'ctts'])
    for (let at = clip.indexOf(box); at >= 0; at = clip.indexOf(box, at + 4))
      // Version, flags and, in a list of sizes, the common size come before the count (ISO 14496-12).
      clip.writeUInt32BE(0x7fffffff, at + (box === 'stsz' ? 12 : 8));
  return clip;
}

const megabytes = (count: number) => new Uint8Array(count * 1024 * 1024);

export const hostileFiles: readonly HostileFile[] = [
  {
    name: 'unpacks-to-40-mb-of-words.docx',
    make: () => docx(`<w:p><w:r><w:t>${' '.repeat(40 * 1024 * 1024)}</w:t></w:r></w:p>`),
  },
  {
    name: 'says-it-is-small.docx',
    make: () => lying(docx(`<w:p><w:r><w:t>${'a'.repeat(40 * 1024 * 1024)}</w:t></w:r></w:p>`)),
  },
  { name: 'pictures-of-210-mb.docx', make: () => docx('<w:p/>', { 'word/media/a.png': megabytes(210) }) },
  {
    name: 'pictures-of-210-mb-that-say-they-are-small.docx',
    make: () => lying(docx('<w:p/>', { 'word/media/a.png': megabytes(210) })),
  },
  {
    name: 'ten-megabytes-of-words.docx',
    make: () => docx('<w:p><w:r><w:t>word </w:t></w:r></w:p>'.repeat(280_000)),
  },
  {
    name: 'tables-in-tables.docx',
    make: () => docx(`${'<w:tbl><w:tr><w:tc>'.repeat(4000)}<w:p/>${'</w:tc></w:tr></w:tbl>'.repeat(4000)}`),
  },
  {
    name: 'nested.odt',
    make: () => odt(`<text:p>${'<text:span>'.repeat(100_000)}x${'</text:span>'.repeat(100_000)}</text:p>`),
  },
  {
    name: 'lists-in-lists.odt',
    make: () =>
      odt(
        `${'<text:list><text:list-item>'.repeat(3000)}<text:p>x</text:p>${'</text:list-item></text:list>'.repeat(3000)}`,
      ),
  },
  { name: 'letters.pdf', make: () => pdf(`BT /F1 1 Tf (${'ab '.repeat(1_700_000)}) Tj ET`, font) },
  { name: 'paths.pdf', make: () => pdf(`0 0 m ${'600 800 l 0 9 l '.repeat(1_500_000)} S`, '') },
  { name: 'forms-in-forms.pdf', make: () => nestedForms(7, 12) },
  {
    name: 'a-form-in-itself.pdf',
    make: () =>
      pdf('/N Do', '/XObject << /N 5 0 R >>', [
        '/Type /XObject /Subtype /Form /BBox [0 0 600 800] /Resources << /XObject << /N 5 0 R >> >>\u0000/N Do /N Do',
      ]),
  },
  { name: 'endless.mp4', make: endlessClip },
  {
    name: 'backticks.md',
    make: () => Buffer.from(Array.from({ length: 1200 }, (_, at) => `${'`'.repeat(at)}a`).join(' ')),
  },
  {
    name: 'lists.md',
    make: () => Buffer.from(Array.from({ length: 1200 }, (_, at) => `${'  '.repeat(at)}- a`).join('\n')),
  },
  { name: 'quotes.md', make: () => Buffer.from(`${'> '.repeat(20_000)}a`) },
  { name: 'brackets.md', make: () => Buffer.from('['.repeat(400_000)) },
  { name: 'stars.md', make: () => Buffer.from('*a **a '.repeat(120_000)) },
  { name: 'long.txt', make: () => Buffer.from('One line of plain words, and another.\n\n'.repeat(128_000)) },
  { name: 'one-line.txt', make: () => Buffer.from('a'.repeat(1_000_000)) },
];
