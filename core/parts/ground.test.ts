import { expect, test } from '@jest/globals';
import { type Ground, groundSchema, groundWithout, picturesOfGround, sameGround } from './ground.ts';
import { materialsOf } from './materials-of.ts';
import { newPart } from './new-part.ts';
import { withoutMaterial } from './without-material.ts';

const passing: Ground = { kind: 'passing', pictures: ['one', 'other'], side: 'right' };
const picture: Ground = { kind: 'picture', picture: 'one', wide: true };
const field: Ground = { kind: 'colour', colour: 'strong', wide: false };

test('a part shows the pictures it lies on, after its own', () => {
  expect(picturesOfGround(undefined)).toEqual([]);
  expect(picturesOfGround(field)).toEqual([]);
  expect(materialsOf({ ...newPart('gallery', 'g', ['own']), ground: passing })).toEqual([
    'own',
    'one',
    'other',
  ]);
});

test('a picture that is deleted is no ground any more, and what is left stays', () => {
  expect(groundWithout(field, 'one')).toBe(field);
  expect(groundWithout(picture, 'other')).toBe(picture);
  expect(groundWithout(picture, 'one')).toBeUndefined();
  expect(groundWithout(passing, 'one')).toEqual({ ...passing, pictures: ['other'] });
  const part = { ...newPart('gallery', 'g', ['one', 'own']), ground: picture };
  expect(withoutMaterial(part, 'one')).toEqual(newPart('gallery', 'g', ['own']));
});

test('grounds are equal by what they are', () => {
  expect(sameGround({ ...picture }, picture)).toBe(true);
  expect(sameGround(undefined, undefined)).toBe(true);
  expect(sameGround(picture, { ...picture, wide: false })).toBe(false);
  expect(sameGround(picture, undefined)).toBe(false);
});

test('what is no ground is refused with a sentence', () => {
  const three = groundSchema.safeParse({ ...passing, pictures: ['a', 'b', 'c'] });
  expect(three.error?.issues[0]?.message).toBe('Parts pass over one picture or two.');
  expect(groundSchema.safeParse({ ...passing, pictures: [] }).success).toBe(false);
  expect(groundSchema.safeParse({ kind: 'texture', texture: 'none' }).success).toBe(false);
  expect(groundSchema.parse({ kind: 'texture', texture: 'dots' })).toMatchObject({ wide: true });
});
