import { beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { fittedResume } from '#core/resume/fitted-resume.ts';
import type { ResumeContent } from '#core/resume/layout/resume-content.ts';
import { ResumeFonts } from './resume-fonts.ts';
import { resumePdf } from './resume-pdf.ts';
import { longResume, sampleResume } from './sample-resume.ts';

/** The file by tools that know PDFs and not us: poppler's and qpdf. */
const run = promisify(execFile);
const assets = join(import.meta.dirname, '../../dist/site-assets');
let folder: string;
let fonts: ResumeFonts;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-resume-'));
  const index = JSON.parse(await readFile(join(assets, 'index.json'), 'utf8')) as {
    fonts: Record<string, { drawn: { regular: string[]; strong: string[] } }>;
  };
  const drawn = index.fonts['newsprint']?.drawn;
  if (!drawn) throw new Error('The build made no fonts.');
  fonts = new ResumeFonts(assets, drawn);
});

const made = new Date('2026-11-20T12:00:00Z');
const wanted = { pages: 1, paper: 'a4' as const, wants: '', ends: new Map(), now: '2026-11' };
async function pdf(content: ResumeContent, paper: 'a4' | 'letter' = 'a4', pages = 1): Promise<string> {
  const fitted = fittedResume(content, { ...wanted, paper, pages }, fonts.widthOf);
  const path = join(folder, `${paper}-${pages}-${content.sections.length}.pdf`);
  await writeFile(path, await resumePdf(content, paper, fitted, fonts, `Résumé of ${content.name}`, made));
  return path;
}
const told = async (program: string, ...given: string[]) => (await run(program, given)).stdout;

describe('a résumé as a PDF', () => {
  test('is tagged, has a title and a language, and no fault that qpdf finds', async () => {
    const path = await pdf(sampleResume);
    const info = await told('pdfinfo', path);
    expect(info).toMatch(/Tagged: +yes/);
    expect(info).toMatch(/Title: +Résumé of Wren Tolliver/);
    expect(info).toMatch(/Pages: +1\n/);
    expect(info).toMatch(/Page size: +595\.28 x 841\.89 pts \(A4\)/);
    expect(await told('pdfinfo', await pdf(sampleResume, 'letter'))).toMatch(/612 x 792 pts \(letter\)/);
    expect(await told('qpdf', '--check', path)).toContain('No syntax or stream encoding errors found');
    const all = await told('qpdf', '--json', path);
    expect(all).toContain('"/Lang": "u:en"');
    expect(all).toContain('"/DisplayDocTitle": true');
  });

  test('says what everything on it is: headings, lists and links', async () => {
    const tree = await told('pdfinfo', '-struct-text', await pdf(sampleResume));
    const order = [
      'H1',
      'Wren Tolliver',
      'H2',
      '"Work"',
      'H3',
      'Saturday help',
      'since March 2025',
      'L ',
      'LI',
      'Lbl',
      'LBody',
    ];
    let from = 0;
    for (const one of order) {
      const at = tree.indexOf(one, from);
      expect([one, at >= 0]).toEqual([one, true]);
      from = at;
    }
    expect(tree.match(/\bH2\b/g)).toHaveLength(3);
    // The site, the trolley, the clock, the trailer, and where the newest is.
    expect(tree.match(/\bLink\b/g)).toHaveLength(5);
    const links = await told('pdfinfo', '-url', await pdf(sampleResume));
    for (const to of ['wren/tide-clock/', 'wren/bike-trailer/', 'wren/mast-trolley/', 'wren/resume/'])
      expect(links).toContain(`https://kite.example/${to}`);
  });

  test('holds its own fonts, cut to its letters', async () => {
    const lines = (await told('pdffonts', await pdf(sampleResume))).split('\n').slice(2).filter(Boolean);
    expect(lines.length).toBeGreaterThanOrEqual(2);
    // Columns: embedded, subset, with a map to Unicode.
    for (const line of lines) expect(line).toMatch(/yes yes yes/);
    for (const line of lines) expect(line).not.toMatch(/Helvetica|Times/);
  });

  test('reads in order, with every letter, also in words and for pandoc’s readers', async () => {
    const text = await told('pdftotext', await pdf(sampleResume), '-');
    const flat = text.replace(/\s+/g, ' ');
    const words = [
      ...[
        'Wren Tolliver',
        'Second-year product maker',
        'kite.example/wren',
        'Work',
        'Saturday help, the boatyard',
      ],
      ...['Sanding, varnishing, stock lists.', 'welded the trolley now used for masts. (Mast trolley)'],
      ...[
        'Repair café',
        'a naïve “fix” or two.',
        'Tide clock',
        'Welding thin tube: Bike trailer',
        'Varnishing',
      ],
    ];
    let from = 0;
    for (const one of words) {
      const at = flat.indexOf(one, from);
      expect([one, at >= from]).toEqual([one, true]);
      from = at;
    }
  });

  test('is as many pages as were wanted where they hold it, and every line is on them, once', async () => {
    const content = longResume(60);
    const two = await pdf(content, 'a4', 2);
    expect(await told('pdfinfo', two)).toMatch(/Pages: +2\n/);
    const text = (await told('pdftotext', two, '-')).replace(/\s+/g, ' ');
    for (let at = 0; at < 60; at++)
      expect(text.match(new RegExp(`Carried crate ${at} from`, 'g'))).toHaveLength(1);
    // Nothing stands outside of the margins: 18 mm at the sides.
    const boxes = await told('pdftotext', '-bbox', two, '-');
    const right = [...boxes.matchAll(/xMax="([\d.]+)"/g)].map(([, x]) => Number(x));
    const bottom = [...boxes.matchAll(/yMax="([\d.]+)"/g)].map(([, y]) => Number(y));
    expect(Math.max(...right)).toBeLessThanOrEqual(595.28 - 51 + 1);
    expect(Math.max(...bottom)).toBeLessThanOrEqual(841.89 - 20);
  });

  test('is the same bytes for the same résumé', async () => {
    const fitted = fittedResume(sampleResume, wanted, fonts.widthOf);
    const make = () => resumePdf(sampleResume, 'a4', fitted, fonts, 'Résumé', made);
    expect((await make()).equals(await make())).toBe(true);
  });

  test('tells which letters it cannot set', () => {
    expect(fonts.missing('Zoë Łukasz 東京 café 東')).toEqual(['東', '京']);
    expect(fonts.missing('plain words')).toEqual([]);
  });
});
