/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { spokenLines } from './spoken-lines.ts';

/** What a page of these words says. */
function heard(body: string, language = 'en'): string[] {
  document.documentElement.lang = language;
  document.body.innerHTML = body;
  return spokenLines(document).map(
    ({ kind, text, level, language: other }) =>
      `${kind}${level ?? ''}${other === undefined ? '' : ` (${other})`}: ${text}`,
  );
}

describe('what a page says', () => {
  test('is said in the order of its document, words that belong together in one breath', () => {
    expect(
      heard(
        '<main><h1>Tide <em>clock</em></h1><p>One hand <b>for the tide</b>,\n and one for me.</p><p>Brass.</p></main>',
      ),
    ).toEqual([
      'landmark: Main part',
      'heading1: Tide clock',
      'words: One hand for the tide, and one for me.',
      'words: Brass.',
    ]);
  });

  test('a picture by its text; one that says nothing on purpose is passed over, one without any is a picture without words', () => {
    expect(heard('<img alt="A dial in brass"><img alt=""><img src="dial.jpg">')).toEqual([
      'picture: A dial in brass',
      'picture: ',
    ]);
  });

  test('a link and a button by their names, wherever those come from', () => {
    expect(
      heard(
        '<p>See <a href="/a">the clock</a> first.</p><a href="/b" aria-label="Satchel, from one sail"><img alt="Sail"></a><button>Play</button><a href="/c"><img alt="Lamp"> Float lamp</a>',
      ),
    ).toEqual([
      'words: See',
      'link: the clock',
      'words: first.',
      'link: Satchel, from one sail',
      'button: Play',
      'link: Lamp Float lamp',
    ]);
  });

  test('nothing that is hidden from everybody or from who hears', () => {
    expect(
      heard(
        '<p hidden>A</p><p style="display:none">B</p><p aria-hidden="true">C</p><p style="visibility:hidden">D <b style="visibility:visible">E</b></p><div inert><a href="/f">F</a></div><noscript>G</noscript><script>H</script>',
      ),
    ).toEqual(['words: E']);
  });

  test('where one is: parts of the page by name, lists by their length, another language', () => {
    expect(
      heard(
        '<header>Wren</header><nav aria-label="Site"><ul><li><a href="/a">Clock</a></li><li><a href="/b">Lamp</a></li></ul></nav><section><p>x</p></section><section aria-label="Pictures"><header><p lang="de">Gezeitenuhr</p></header></section><footer>End</footer>',
      ),
    ).toEqual([
      'landmark: Head of the page',
      'words: Wren',
      'landmark: Menu: Site',
      'list: 2 lines',
      'link: Clock',
      'link: Lamp',
      'words: x',
      'landmark: Section: Pictures',
      'words (de): Gezeitenuhr',
      'landmark: Foot of the page',
      'words: End',
    ]);
  });

  test('a field by its label, and a clip that has none as a clip', () => {
    expect(heard('<label>Your name <input></label><video></video>')).toEqual([
      'words: Your name',
      'field: Your name',
      'clip: ',
    ]);
  });
});
