import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import type { Page } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';
import { takenDown } from './is-over.ts';

const free = (id: string, to: string | null, height: Part['height'] = 'public'): Part =>
  ({ ...newPart('availability', id), text: 'a placement', to, height }) as Part;
const page = (parts: Part[]) => ({ id: 'page-1', kind: 'about', parts }) as unknown as Page;

test('what is over is taken down the day after its last one, and nothing else', () => {
  const parts = [
    free('one', '2027-08-29'),
    free('two', '2027-08-30'),
    free('three', null),
    newPart('quote', 'four'),
  ];
  expect(takenDown(page(parts), '2027-08-29')).toBeNull();
  expect(takenDown(page(parts), '2027-08-30')).toEqual([
    { ...parts[0], height: 'private' },
    ...parts.slice(1),
  ]);
  // What is down already needs no step.
  expect(takenDown(page([free('one', '2020-01-01', 'private')]), '2027-01-01')).toBeNull();
  expect(takenDown({ id: 'page-2', kind: 'link' } as unknown as Page, '2027-01-01')).toBeNull();
});
