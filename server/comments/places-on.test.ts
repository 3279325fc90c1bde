import { expect, test } from '@jest/globals';
import { pageTitleIn, placesOn } from './places-on.ts';

const page = (main: string) => `<!doctype html><title>Lamp</title><main>${main}</main>`;

test('what stands on lines of its own does not run into what follows; what stands within one stays one word', () => {
  const html = page(
    '<section id="at-a"><figure><p>Evidence</p><figcaption>Net and <em>cr</em>ate plastic</figcaption></figure></section>' +
      '<section id="at-b"><h2>Looking<br>back</h2><p>More.</p></section>' +
      '<section id="at-c"><img alt="A lamp by night" src="x"></section>',
  );
  expect(placesOn('lines', html).map(({ part, title }) => [part, title])).toEqual([
    ['a', 'Evidence Net and crate plastic'],
    ['b', 'Looking back'],
    ['c', 'A lamp by night'],
  ]);
});

test('a long one ends after a whole word, and says that it goes on', () => {
  const html = page(
    '<section id="at-d"><p>The lamp is made of fourteen rings that I melted from nets.</p></section>',
  );
  const [place] = placesOn('long', html);
  expect(place?.title).toBe('The lamp is made of fourteen rings that I…');
});

test('a page is called by the heading above it, else by its window', () => {
  expect(pageTitleIn(page('<h1>Float<br>lamp</h1>'))).toBe('Float lamp');
  expect(pageTitleIn(page('<p>Words.</p>'))).toBe('Lamp');
});
