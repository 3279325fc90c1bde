import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chapterOfPage } from './chapter-of-page.ts';

/** How pages are read is by the meaning of elements in the HTML Standard (html.spec.whatwg.org), from memory. */
const read = (main: string, path = 'clock/') =>
  chapterOfPage(
    `<body><nav><a href="../">Site</a></nav><main>${main}</main><footer>End</footer></body>`,
    path,
    (href) => (href.startsWith('https:') ? href : null),
  );
const plain = (text: string) => [{ text, face: 'regular' }];

describe('a page as a chapter', () => {
  test('has its title, its headings and words in their order, and nothing of what stands around', () => {
    const chapter = read(
      `<p class="kicker"><a href="../">Second year</a></p><h1>Tide <i>clock</i></h1><p class="lead">One hand.</p>
       <h2>Why</h2><p>The <strong>slip</strong> is under <a href="https://x.example/">water</a>.</p>`,
    );
    expect(chapter.title).toBe('Tide clock');
    expect(chapter.blocks).toEqual([
      { kind: 'words', tone: 'lead', runs: plain('One hand.') },
      { kind: 'heading', level: 2, runs: plain('Why') },
      {
        kind: 'words',
        tone: 'plain',
        runs: [
          { text: 'The ', face: 'regular' },
          { text: 'slip', face: 'strong' },
          { text: ' is under ', face: 'regular' },
          { text: 'water', face: 'regular', link: 'https://x.example/' },
          { text: '.', face: 'regular' },
        ],
      },
    ]);
  });

  test('keeps pictures with their words, those before the title apart, and small ones in laid-out lists', () => {
    const picture = (file: string) =>
      `<picture><source srcset="a.avif"><img src="../files/${file}" width="4" height="3" alt="A ${file}"></picture>`;
    const { opening, blocks } = read(
      `${picture('top.jpg')}<h1>T</h1><figure><a href="../files/a.jpg">${picture('a.jpg')}</a><figcaption>First <b>one</b></figcaption></figure>
       <figure>${picture('b.jpg')}</figure><p>Between</p><ol><li><h4>Moment</h4>${picture('c.jpg')}</li></ol>
       <img src="https://elsewhere.example/x.jpg" width="3" height="3"><img src="../files/none.jpg">`,
    );
    const size = { width: 4, height: 3 };
    expect(opening).toEqual([{ ...size, file: 'files/top.jpg', alt: 'A top.jpg', caption: '' }]);
    expect(blocks).toEqual([
      {
        kind: 'pictures',
        small: false,
        pictures: [
          { ...size, file: 'files/a.jpg', alt: 'A a.jpg', caption: 'First one' },
          { ...size, file: 'files/b.jpg', alt: 'A b.jpg', caption: '' },
        ],
      },
      { kind: 'words', tone: 'plain', runs: plain('Between') },
      { kind: 'heading', level: 4, runs: plain('Moment') },
      {
        kind: 'pictures',
        small: true,
        pictures: [{ ...size, file: 'files/c.jpg', alt: 'A c.jpg', caption: '' }],
      },
    ]);
  });

  test('reads lists in lists, facts, tables, quotes and lines', () => {
    const { blocks } = read(
      `<h1>T</h1><ul><li><p>One</p><ol start="3"><li>Inner</li></ol></li><li>Two</li></ul>
       <dl><div><dt>Role</dt><dd>Design</dd></div><div><dt>Why</dt><dd><p class="lines">First
Second</p></dd></div></dl>
       <table><tr><th>Drill</th><th>Depth</th></tr><tr><td><p>4</p></td><td><p>7</p><p>0</p></td></tr></table>
       <blockquote><p>Said so</p></blockquote>`,
    );
    expect(blocks).toEqual([
      { kind: 'item', mark: '•', depth: 0, runs: plain('One') },
      { kind: 'item', mark: '3.', depth: 1, runs: plain('Inner') },
      { kind: 'item', mark: '•', depth: 0, runs: plain('Two') },
      { kind: 'fact', name: 'Role', runs: plain('Design') },
      { kind: 'fact', name: 'Why', runs: plain('First') },
      { kind: 'fact', name: '', runs: plain('Second') },
      {
        kind: 'row',
        head: true,
        cells: [[{ text: 'Drill', face: 'strong' }], [{ text: 'Depth', face: 'strong' }]],
      },
      { kind: 'row', head: false, cells: [plain('4'), [...plain('7'), ...plain(' '), ...plain('0')]] },
      { kind: 'words', tone: 'quote', runs: plain('Said so') },
    ]);
  });

  test('leaves out what is pressed, played or drawn, what is hidden, and cards of other pages', () => {
    const { blocks } = read(
      `<h1>T</h1><button>Press</button><form><label>Name</label></form><video aria-label="A film"></video>
       <svg><text>Drawn</text></svg><script>run()</script><p hidden>Hidden</p><span aria-hidden="true">Dots</span>
       <article><h2><a href="x/">Other</a></h2><p>Of it</p></article><article><h2>Own</h2></article>`,
    );
    expect(blocks).toEqual([{ kind: 'heading', level: 2, runs: plain('Own') }]);
  });

  test('puts a comma where the page’s layout alone set words apart', () => {
    const { blocks } = read('<h1>T</h1><p><time>18 May</time><span class="later">7 days later</span></p>');
    expect(blocks).toHaveLength(1);
    expect(blocks[0]).toMatchObject({ runs: [{ text: '18 May' }, { text: ', ' }, { text: '7 days later' }] });
  });

  test('of whatever is in it, every word that a reader reads stands once and in order', () => {
    const word = fc.stringMatching(/^[a-z]{1,8}$/);
    const wrap = fc.constantFrom('p', 'div', 'section', 'h2', 'li', 'blockquote', 'strong', 'em');
    fc.assert(
      fc.property(fc.array(fc.tuple(wrap, word), { maxLength: 20 }), (pieces) => {
        const html = pieces.map(([name, said]) => `<${name}>${said}</${name}> `).join('');
        const { blocks } = read(`<h1>T</h1>${html}`);
        const told = blocks.flatMap((block) => ('runs' in block ? block.runs.map(({ text }) => text) : []));
        expect(told.join(' ').split(/\s+/).filter(Boolean)).toEqual(pieces.map(([, said]) => said));
      }),
    );
  });
});
