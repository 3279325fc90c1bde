import { describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { WebVTTParser } from 'webvtt-parser';
import { captionLines, cuesOf, isWebVtt } from './web-vtt.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures/tide-clock');
const odd = `WEBVTT - with words after it

STYLE
::cue { color: red }

NOTE
not --> a cue

first
00:01.000 --> 00:04.500 align:start position:10%
<v Wren>I cut <i>this</i> &amp; that
on two lines

01:00:00.000 --> 01:00:02.250
An hour later

00:09.000 --> 00:08.000
backwards
`;

describe('captions', () => {
  // The reference is the parser kept by the editors of the W3C's standard.
  test.each(['narration.vtt', 'hand-time-lapse.vtt', null])(
    'are read as the W3C parser reads them: %p',
    async (name) => {
      const source = name === null ? odd : await readFile(join(pictures, name), 'utf8');
      const { cues } = new WebVTTParser().parse(source, 'metadata');
      const theirs = cues.filter(({ startTime, endTime }) => endTime > startTime);
      expect(theirs.length).toBeGreaterThan(1);
      expect(cuesOf(source).map(({ from, to }) => [from, to])).toEqual(
        theirs.map(({ startTime, endTime }) => [startTime, endTime]),
      );
      const plain = (text: string) =>
        text
          .replace(/<[^>]*>/g, '')
          .replace('&amp;', '&')
          .replace(/\s+/g, ' ')
          .trim();
      expect(cuesOf(source).map(({ text }) => text)).toEqual(theirs.map(({ text }) => plain(text)));
    },
  );

  test('plain words are a transcript without times', () => {
    expect(isWebVtt('Hello\n\nthere')).toBe(false);
    expect(isWebVtt('WEBVTTX')).toBe(false);
    expect(captionLines('Hello\n\n there ')).toEqual(['Hello', 'there']);
    expect(captionLines(odd)[0]).toBe('I cut this & that on two lines');
  });
});
