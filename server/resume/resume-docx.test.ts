import { beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import mammoth from 'mammoth';
import { resumeDocx } from './resume-docx.ts';
import { sampleResume } from './sample-resume.ts';

/** Read by pandoc and by mammoth, two independent readers of the format. */
let file: string;
beforeAll(async () => {
  file = join(mkdtempSync(join(tmpdir(), 'kite-wall-docx-')), 'resume.docx');
  writeFileSync(file, await resumeDocx(sampleResume, 'a4', 'Wren Tolliver: Résumé'));
});
const pandoc = (...more: string[]) => execFileSync('pandoc', ['-f', 'docx', file, ...more]).toString();

interface Node {
  t: string;
  c: unknown;
}

describe('a résumé for word processors', () => {
  test('is headings, words and lists for pandoc', () => {
    const { blocks } = JSON.parse(pandoc('-t', 'json')) as { blocks: Node[] };
    const shape = blocks.map(({ t, c }) => (t === 'Header' ? `h${(c as number[])[0]}` : t));
    expect(shape).toEqual([
      ...['h1', 'Para', 'Para'],
      ...['h2', 'h3', 'BulletList', 'h3', 'BulletList'],
      ...['h2', 'h3', 'BulletList'],
      ...['h2', 'h3', 'h3', 'Para'],
    ]);
  });

  test('says all there is to say, in order', () => {
    const text = pandoc('-t', 'plain', '--wrap=none');
    const said = [
      sampleResume.name,
      sampleResume.headline,
      ...sampleResume.sections.flatMap(({ label, entries }) => [
        label,
        ...entries.flatMap(({ title, place, when, lines }) => [
          title,
          ...[place, when].filter(Boolean),
          ...lines.map((line) => line.text),
        ]),
      ]),
      sampleResume.newest?.text ?? '',
    ];
    let at = 0;
    for (const words of said) {
      const found = text.indexOf(words, at);
      expect([words, found >= at]).toEqual([words, true]);
      at = found + words.length;
    }
  });

  test('leads to what proves it, for mammoth', async () => {
    const { value } = await mammoth.convertToHtml({ path: file });
    const links = [...value.matchAll(/<a href="([^"]*)">([^<]*)</g)].map(([, to, title]) => [title, to]);
    expect(links).toContainEqual(['Mast trolley', 'https://kite.example/wren/mast-trolley/']);
    expect(links).toContainEqual(['Tide clock', 'https://kite.example/wren/tide-clock/']);
    expect(links).toContainEqual(['Bike trailer', 'https://kite.example/wren/bike-trailer/']);
    expect(links).toHaveLength(5);
  });

  test('has a language, a title and the paper', () => {
    const files = unzipSync(readFileSync(file));
    const unzipped = (name: string) => strFromU8(files[name] ?? new Uint8Array());
    expect(unzipped('word/styles.xml')).toContain('w:lang w:val="en"');
    expect(unzipped('docProps/core.xml')).toContain('<dc:title>Wren Tolliver: Résumé</dc:title>');
    // A4 is 210 by 297 mm (ISO 216): 11906 by 16838 twentieths of a point.
    expect(unzipped('word/document.xml')).toMatch(/<w:pgSz w:w="11906" w:h="16838"/);
  });
});
