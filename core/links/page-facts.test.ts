import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pageFacts } from './page-facts.ts';

describe('what a page says about itself', () => {
  test('Open Graph as in the protocol’s own example (ogp.me, Basic Metadata; address changed, from memory)', () => {
    expect(
      pageFacts(`<html prefix="og: https://ogp.me/ns#">
<head>
<title>The Rock (1996)</title>
<meta property="og:title" content="The Rock" />
<meta property="og:type" content="video.movie" />
<meta property="og:url" content="https://films.example/title/tt0117500/" />
<meta property="og:image" content="https://films.example/images/rock.jpg" />
</head></html>`),
    ).toMatchObject({ title: 'The Rock', picture: 'https://films.example/images/rock.jpg', oembed: null });
  });

  test('a page without it is known by its title and description, on one line', () => {
    const facts = pageFacts(
      `<!DOCTYPE html><meta charset=utf-8><TITLE>\n Tide &amp; time\n</TITLE><META NAME=Description CONTENT="High  water,\nlow water">`,
    );
    expect(facts).toMatchObject({
      title: 'Tide & time',
      description: 'High water, low water',
      picture: null,
    });
  });

  test('oEmbed is found where the standard puts it (oembed.com, section 4), whatever stands around it', () => {
    const facts = pageFacts(
      `<head><link rel="stylesheet" href="a.css"><link rel="alternate" type="application/rss+xml" href="feed"><link rel="Alternate" type="application/json+oembed" href="/oembed?url=x&amp;format=json"></head>`,
    );
    expect(facts.oembed).toBe('/oembed?url=x&format=json');
  });

  test('the title of a drawing in the page is not the page’s, and nothing is taken from scripts', () => {
    const facts = pageFacts(
      `<body><svg><title>Arrow</title></svg><script>document.write('<title>No</title>')</script><title>Yes</title></body>`,
    );
    expect(facts.title).toBe('Yes');
  });

  test('whatever comes in, titles are short and nothing is thrown', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), fc.string({ maxLength: 400 }), (inside, before) => {
        const { title, description } = pageFacts(
          `${before}<title>${inside}</title><meta name="description" content="${inside}">`,
        );
        expect(title.length).toBeLessThanOrEqual(160);
        expect(description.length).toBeLessThanOrEqual(600);
      }),
    );
  });
});
