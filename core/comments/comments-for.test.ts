import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Comment, commentStates } from './comment.ts';
import { type CommentReader, commentsFor } from './comments-for.ts';

const comment = (over: Partial<Comment>): Comment => ({
  id: 'aaaaaaaa',
  page: 'page1111',
  part: null,
  pass: 'pass1111',
  writer: 'tess',
  name: 'Tess',
  words: 'The hinge is the best of it.',
  quote: '',
  picture: null,
  at: new Date('2026-11-01T10:00:00Z'),
  state: 'waiting',
  answer: null,
  resolved: false,
  attachments: [],
  thanked: false,
  ...over,
});
const page = { id: 'page1111', has: () => false, says: () => false, shows: () => null };
const tess: CommentReader = { pass: 'pass1111', writer: 'tess' };
const other: CommentReader = { pass: 'pass1111', writer: 'odo' };
const stranger: CommentReader = { pass: null, writer: null };

describe('who sees a comment', () => {
  test.each([
    ['waiting', 'waiting', null, null],
    ['kept', 'kept', null, null],
    ['refused', 'refused', null, null],
    ['pass', 'shown', 'shown', null],
    ['page', 'shown', 'shown', 'shown'],
  ] as const)('%s: its writer %s, another holder of the pass %s, a stranger %s', (state, ...wanted) => {
    const seen = [tess, other, stranger].map(
      (reader) => commentsFor([comment({ state })], reader, page)[0]?.stands ?? null,
    );
    expect(seen).toEqual(wanted);
  });

  test('what is said of a part is seen where the part is, on whichever page it stands now', () => {
    const about = comment({ part: 'part1111', state: 'page' });
    expect(commentsFor([about], stranger, page)).toEqual([]);
    expect(commentsFor([about], tess, page)).toEqual([]);
    expect(
      commentsFor([about], stranger, { ...page, id: 'page2222', has: (part) => part === 'part1111' }),
    ).toHaveLength(1);
  });

  test('what came with a pass that is gone for good is nobody’s, unless all see it', () => {
    expect(
      commentsFor([comment({ pass: null, state: 'pass' })], { pass: null, writer: 'tess' }, page),
    ).toEqual([]);
    expect(commentsFor([comment({ pass: null, state: 'waiting' })], tess, page)).toEqual([]);
    expect(commentsFor([comment({ pass: null, state: 'page' })], stranger, page)).toHaveLength(1);
  });

  test('is quoted only what stands on the page as a reader gets it; where it does not, that is said', () => {
    const about = comment({ quote: 'One hand', state: 'page' });
    const [stays] = commentsFor([about], stranger, { ...page, says: (quote) => quote === 'One hand' });
    expect(stays).toMatchObject({ quote: 'One hand', changed: null });
    for (const reader of [stranger, tess])
      expect(commentsFor([about], reader, page)).toMatchObject([{ quote: '', changed: 'words' }]);
    expect(commentsFor([comment({ state: 'page' })], stranger, page)).toMatchObject([
      { quote: '', changed: null },
    ]);
  });

  test('a picture is shown to whom the page shows it, with its mark as long as it is the same file', () => {
    const picture = {
      ...{ material: 'dial1111', file: 'files/one.jpg', widthPx: 400, heightPx: 300 },
      mark: { x: 10, y: 20 },
    };
    const about = comment({ picture, state: 'page' });
    const seen = (shows: string | null) =>
      commentsFor([about], stranger, { ...page, shows: (id) => (id === 'dial1111' ? shows : null) })[0];
    expect(seen('files/one.jpg')).toMatchObject({
      picture: { file: 'files/one.jpg', mark: { x: 10, y: 20 } },
      changed: null,
    });
    expect(seen('files/two.jpg')).toMatchObject({
      picture: { file: 'files/two.jpg', mark: null },
      changed: 'picture',
    });
    expect(seen(null)).toMatchObject({ picture: null, changed: 'picture' });
    // The file of what is not shown is told to nobody.
    expect(JSON.stringify(seen(null))).not.toMatch(/one.jpg|dial1111/);
  });

  test('the oldest comes first, and nothing is told of its writer’s device or pass', () => {
    const seen = commentsFor(
      [comment({ id: 'bbbbbbbb', at: new Date('2026-11-02') }), comment({}), comment({ id: 'aaaaaaab' })],
      tess,
      page,
    );
    expect(seen.map(({ id }) => id)).toEqual(['aaaaaaaa', 'aaaaaaab', 'bbbbbbbb']);
    expect(Object.keys(seen[0] ?? {})).not.toEqual(expect.arrayContaining(['writer']));
    expect(Object.keys(seen[0] ?? {})).not.toEqual(expect.arrayContaining(['pass']));
  });

  test('with another device or pass nobody ever sees what no one has shown', () => {
    const id = fc.constantFrom('one11111', 'two22222', 'three333');
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            page: id,
            part: fc.option(id),
            pass: fc.option(id),
            writer: id,
            state: fc.constantFrom(...commentStates),
          }),
        ),
        fc.record({ pass: fc.option(id), writer: fc.option(id) }),
        id,
        fc.func(fc.boolean()),
        (written, reader, on, has) => {
          const all = written.map((one, at) => comment({ ...one, id: `comment${at}` }));
          for (const seen of commentsFor(all, reader, { id: on, has, says: () => true, shows: () => null })) {
            const one = all.find(({ id: its }) => its === seen.id);
            const shown =
              one?.state === 'page' ||
              (one?.state === 'pass' && one.pass !== null && one.pass === reader.pass);
            const own =
              reader.writer !== null &&
              one?.writer === reader.writer &&
              one.pass !== null &&
              one.pass === reader.pass;
            expect(shown || own).toBe(true);
            expect(one?.part === null ? one.page === on : has(one?.part ?? '')).toBe(true);
            expect(seen.mine).toBe(own);
          }
        },
      ),
    );
  });
});
