import { expect, test } from '@jest/globals';
import { linksInPage } from './links-in-page.ts';

const at = 'https://wall.example/wren/lamp/';

test('tells where a page leads apart from what it loads, each once and in full', () => {
  const html = `<link rel="stylesheet" href="../look.css"><link rel="alternate" href="../feed.xml">
    <link rel="canonical" href="https://wall.example/wren/lamp/">
    <link rel="alternate" type="application/json+oembed" href="https://wall.example/api/oembed?url=x">
    <a href="../clock/#dial">Clock</a><a href="../clock/">Again</a><a href="https://tides.example/a?b=1">Tides</a>
    <a href="mailto:wren@maker.example">Write</a><a href="javascript:void 0">No</a><a>Nowhere</a>
    <picture><source srcset="p-480.avif 480w, p-960.avif 960w"><img src="p.jpg" srcset="p-480.jpg 1x, p-960.jpg 2x"></picture>
    <video src="clip.mp4" poster="still.jpg"><track src="clip.vtt"></video><script src="/enhance.js"></script>
    <iframe src="https://clips.example/1"></iframe><a href="http://[broken">Broken</a>`;
  expect(linksInPage(html, at)).toEqual({
    leads: [
      'https://wall.example/wren/feed.xml',
      'https://wall.example/wren/clock/',
      'https://tides.example/a?b=1',
    ],
    loads: [
      'https://wall.example/wren/look.css',
      ...[
        'p-480.avif',
        'p-960.avif',
        'p.jpg',
        'p-480.jpg',
        'p-960.jpg',
        'clip.mp4',
        'still.jpg',
        'clip.vtt',
      ].map((name) => at + name),
      'https://wall.example/enhance.js',
      'https://clips.example/1',
    ],
  });
});

test('takes nothing out of words and comments', () => {
  expect(linksInPage('<!-- <a href="a/">a</a> --><p>&lt;img src="b"&gt;</p>', at)).toEqual({
    leads: [],
    loads: [],
  });
});
