import { describe, expect, test } from '@jest/globals';
import { readEmbed } from './oembed.ts';

/** The parameters of oembed.com, section 2.3.4.2 (video); hosts made up. */
const video = {
  type: 'video',
  version: '1.0',
  title: 'One tide',
  author_name: 'Wren',
  provider_name: 'Reelhouse',
  thumbnail_url: 'https://reels.example/one.jpg',
  width: 1280,
  height: 720,
  html: '<div><iframe src="https://reels.example/player/1" width="640" height="360" onload="x()"></iframe></div><script>x()</script>',
};

describe('oEmbed replies', () => {
  test('a clip is played by the frame in the host’s markup, and nothing else of it is taken', () => {
    const embed = readEmbed(video);
    expect(embed).toEqual({
      title: 'One tide',
      author: 'Wren',
      provider: 'Reelhouse',
      picture: 'https://reels.example/one.jpg',
      player: { url: 'https://reels.example/player/1', widthPx: 640, heightPx: 360 },
    });
    expect(JSON.stringify(embed)).not.toContain('x()');
  });

  test('sizes as text, as shares or missing fall back on the reply’s own', () => {
    const player = (html: string, more = {}) => readEmbed({ ...video, ...more, html })?.player;
    expect(player('<iframe src="https://a.example/" width="100%"></iframe>')).toMatchObject({
      widthPx: 1280,
      heightPx: 720,
    });
    expect(
      player('<iframe src="https://a.example/"></iframe>', { width: '500', height: null }),
    ).toMatchObject({ widthPx: 500, heightPx: 720 });
  });

  test('a photo brings its picture, a link nothing to play', () => {
    const photo = readEmbed({
      type: 'photo',
      version: '1.0',
      url: 'https://a.example/p.jpg',
      width: 9,
      height: 9,
    });
    expect(photo).toMatchObject({ picture: 'https://a.example/p.jpg', player: null });
    expect(
      readEmbed({ type: 'link', version: '1.0', html: '<iframe src="https://a.example/">' })?.player,
    ).toBeNull();
  });

  test.each([null, 'x', {}, { ...video, version: '2.0' }, { ...video, type: 'game' }])(
    '%j is none',
    (reply) => {
      expect(readEmbed(reply)).toBeNull();
    },
  );

  test('markup without a frame plays nothing', () => {
    expect(
      readEmbed({ ...video, html: '<blockquote>hello</blockquote><script src="x.js"></script>' })?.player,
    ).toBeNull();
  });
});
