import { describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import type { ContentEntry, ResumeContent } from '../layout/resume-content.ts';
import { asMarkdown } from './as-markdown.ts';
import { asPlainText } from './as-plain-text.ts';

const entry = (id: string, title: string, more: Partial<ContentEntry> = {}): ContentEntry => ({
  ...{ id, title, link: null, level: '', place: '', when: '', lines: [], proofs: [] },
  ...more,
});
const proof = { title: 'Tide *clock* [1]', to: 'https://kite.example/clock/?a=<b>' };
const content: ResumeContent = {
  ...{ language: 'en', name: 'Wren_Tolliver', headline: '2. Maker' },
  contact: [
    { text: 'kite.example/wren', to: 'https://kite.example/wren/' },
    { text: 'The north coast', to: null },
  ],
  sections: [
    {
      ...{ section: 'work', label: 'Work' },
      entries: [
        entry('yard', 'Saturday <help>', {
          ...{ place: 'the boatyard', when: 'since March 2025' },
          lines: [
            { id: 'a', text: '- Sanding & *varnishing*', proof: null },
            { id: 'b', text: 'Built the trolley.', proof },
          ],
        }),
      ],
    },
    {
      ...{ section: 'skills', label: 'Skills' },
      entries: [entry('weld', 'Welding', { level: 'good', proofs: [proof] })],
    },
  ],
  newest: { text: 'The newest one is at kite.example/wren/', to: 'https://kite.example/wren/' },
};

interface Node {
  t: string;
  c: unknown;
}
/** What pandoc reads in Markdown: an independent reader of CommonMark. */
const blocks = (
  JSON.parse(
    execFileSync('pandoc', ['-f', 'commonmark', '-t', 'json'], { input: asMarkdown(content) }).toString(),
  ) as { blocks: Node[] }
).blocks;

describe('a résumé as Markdown', () => {
  test('is headings, words and lists for pandoc, and every sign is a sign', () => {
    expect(blocks.map(({ t }) => t)).toEqual([
      'Header',
      'Para',
      'Para',
      'Header',
      'Para',
      'BulletList',
      'Header',
      'Para',
      'Para',
    ]);
    const text = execFileSync('pandoc', ['-f', 'commonmark', '-t', 'plain', '--wrap=none'], {
      input: asMarkdown(content),
    }).toString();
    for (const words of [
      'Wren_Tolliver',
      '2. Maker',
      'Saturday <help>',
      '- Sanding & *varnishing*',
      'Tide *clock* [1]',
    ])
      expect(text).toContain(words);
  });

  test('leads to what proves it', () => {
    const links = JSON.stringify(blocks).match(/https:[^"]*/g);
    expect(links).toEqual([
      'https://kite.example/wren/',
      'https://kite.example/clock/?a=%3Cb%3E',
      'https://kite.example/clock/?a=%3Cb%3E',
      'https://kite.example/wren/',
    ]);
  });
});

test('a résumé as plain text says everything in order, with nothing but line ends and hyphens', () => {
  expect(asPlainText(content)).toBe(`Wren_Tolliver
2. Maker
kite.example/wren, The north coast

WORK
Saturday <help>, the boatyard (since March 2025)
- - Sanding & *varnishing*
- Built the trolley.

SKILLS
Welding, good
`);
});
