import { describe, expect, test } from '@jest/globals';
import { newPart } from '../../parts/new-part.ts';
import { picture, project, checked, of, says, withPicture } from '../sample-checked-page.ts';

describe('pictures', () => {
  test('without alt text, once for each however often it stands there', () => {
    const bare = picture('a-picture', { alt: ' ' });
    const page = project({ parts: [newPart('gallery', 'gallery-1', ['a-picture', 'b-picture'])] });
    expect(of('alt', checked(page, [bare]))).toMatchObject([
      { weight: 'needed', part: 'opening', material: 'a-picture', says: '“Dial” has no alt text.' },
    ]);
  });

  // The first three are examples of failures F30 and F65 in “Techniques for WCAG 2.2” (W3C); from memory.
  test.each([
    ['IMG_0412.jpg', 'says only the name of its file'],
    ['img_0412', 'says only the name of its file'],
    ['dial', 'repeats the title'],
    ['Picture of a dial', 'begins with what kind of thing it is'],
    ['An image showing a dial', 'begins with what kind of thing it is'],
    ['a'.repeat(201), 'is 201 characters long'],
  ])('whose alt text is “%.30s”: %s', (alt, fault) => {
    expect(says('alt-unhelpful', withPicture({ alt }))).toEqual([`The alt text of “Dial” ${fault}.`]);
  });

  test.each(['A picture frame of oak', 'Photographers on the quay', 'Dial with one hand', 'a'.repeat(200)])(
    'whose alt text says what there is: “%.30s”',
    (alt) => expect(of('alt-unhelpful', withPicture({ alt }))).toEqual([]),
  );

  test('with too few pixels for their place; the same picture is large enough elsewhere', () => {
    const small = picture('a-picture', {
      facts: { ...picture('a-picture').facts, widthPx: 600, heightPx: 400 },
    });
    const inGallery = newPart('gallery', 'gallery-1', ['a-picture']);
    expect(of('coarse', checked(project(), [small]))).toMatchObject([{ weight: 'nice', part: 'opening' }]);
    expect(
      of(
        'coarse',
        checked(project({ opening: { layout: 'words', pictures: [] }, parts: [inGallery] }), [small]),
      ),
    ).toEqual([]);
  });

  test.each([
    [0, ['The project has no picture.']],
    [1, ['The project has one picture.']],
    [3, ['The project has 3 pictures.']],
    [4, []],
    [8, []],
    [9, ['The project has 9 pictures.']],
  ])('%s of a project', (count, said) => {
    const all = Array.from({ length: count }, (_, at) => picture(`number-${at}`));
    const page = project({
      opening: { layout: 'words', pictures: [] },
      parts: [
        newPart(
          'gallery',
          'gallery-1',
          all.map(({ id }) => id),
        ),
      ],
    });
    expect(says('pictures', checked(page, all))).toEqual(said);
  });
});
