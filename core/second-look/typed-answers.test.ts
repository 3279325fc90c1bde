import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type LookAnswer, type LookAnswers, lookProgress, mostWords } from './second-look.ts';
import { atAsBefore, fieldsOf, type LookedAtPage, markOf, typedAnswers } from './typed-answers.ts';

const lines = ['line-one', 'line-two'].map((id) => ({ id, text: id }));
const here: LookedAtPage = {
  ...{ page: 'page-here', title: 'Tide clock' },
  nameOf: (part) => (part === 'part-here' ? 'Looking back' : null),
};
/** The form as a browser sends it that has drawn these answers and in which nothing was touched. */
function formOf(answers: LookAnswers): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const { id } of lines) {
    const answer = answers[id];
    const names = fieldsOf(id);
    fields[names.had] = markOf(answer);
    if (answer) fields[names.says] = answer.says;
    if (answer?.says !== 'unsure') continue;
    fields[names.words] = answer.words.replaceAll('\n', '\r\n');
    fields[names.at] = answer.at && answer.at.page !== here.page ? atAsBefore : (answer.at?.part ?? '');
  }
  return fields;
}
const typed = (before: LookAnswers, fields: Record<string, string>, on = here) =>
  typedAnswers(lines, before, (name) => fields[name] ?? '', on);
const question = (words: string, at: Extract<LookAnswer, { says: 'unsure' }>['at'] = null): LookAnswer => ({
  ...{ says: 'unsure', words, at },
});

describe('what was sent by the form', () => {
  test('is laid over what was said: a tick, a question with where, and nothing where it was taken off', () => {
    const [one, two] = ['line-one', 'line-two'].map(fieldsOf);
    const asked = typed(
      {},
      { ...formOf({}), [one?.says ?? '']: 'yes', [two?.words ?? '']: ' Why? ', [two?.at ?? '']: 'part-here' },
    );
    expect(asked.answers).toEqual({
      'line-one': { says: 'yes' },
      'line-two': question('Why?', { page: 'page-here', part: 'part-here', about: 'Looking back' }),
    });
    const { [one?.says ?? '']: _, ...without } = formOf(asked.answers);
    expect(typed(asked.answers, without).answers).toEqual({ 'line-two': asked.answers['line-two'] });
  });

  test('is asked of the page where its part is unknown, and of nowhere on a page that nobody made', () => {
    const fields = { ...formOf({}), 'says-line-one': 'unsure', 'at-line-one': 'part-elsewhere' };
    expect(typed({}, fields).answers['line-one']).toEqual(
      question('', { page: 'page-here', part: null, about: 'Tide clock' }),
    );
    expect(typed({}, fields, { ...here, page: null }).answers['line-one']).toEqual(question(''));
  });

  test('names lines whose words are too long, but not those that were let be', () => {
    const long = question('x'.repeat(mostWords + 1), { page: 'page-here', part: null, about: 'Tide clock' });
    const fields = { ...formOf({}), 'words-line-one': 'x'.repeat(mostWords + 1) };
    expect(typed({}, fields).tooLong).toEqual(['line-one']);
    expect(typed({ 'line-one': long }, formOf({ 'line-one': long })).tooLong).toEqual([]);
  });

  const answer: fc.Arbitrary<LookAnswer> = fc.oneof(
    fc.constant<LookAnswer>({ says: 'yes' }),
    fc.record({
      says: fc.constant('unsure' as const),
      words: fc.string().map((words) => words.replaceAll('\r', '').trim()),
      at: fc.constantFrom(
        { page: 'page-here', part: null, about: 'Tide clock' },
        { page: 'page-here', part: 'part-here', about: 'Looking back' },
        { page: 'page-else', part: 'part-else', about: 'Words' },
      ),
    }),
  );
  const answers = fc.dictionary(fc.constantFrom('line-one', 'line-two'), answer);

  test('changes nothing where nothing was touched, whatever another tab has said since', () => {
    fc.assert(
      fc.property(answers, answers, (drawn, since) => {
        expect(typed(drawn, formOf(drawn)).answers).toEqual(drawn);
        expect(typed(since, formOf(drawn)).answers).toEqual(
          // Where something was asked elsewhere and is gone, its form knows no more where: it was touched then, and asks here.
          Object.fromEntries(
            lines.flatMap(({ id }) => {
              const before = drawn[id];
              const lost = before?.says === 'unsure' && before.at?.page !== here.page;
              const now = lost ? typed(since, formOf(drawn)).answers[id] : since[id];
              return now ? [[id, now]] : [];
            }),
          ),
        );
      }),
    );
  });
});

test('how far somebody is counts lines of the list alone', () => {
  const said: LookAnswers = { 'line-one': question('Why?'), 'line-gone': { says: 'yes' } };
  expect(lookProgress(lines, said)).toEqual({ answered: 1, yes: 0, of: 2 });
});
