import { afterEach, expect, jest, test } from '@jest/globals';
import { leftUploads } from './kept-uploads.ts';

const own = Object.getOwnPropertyDescriptor(globalThis, 'indexedDB');
afterEach(() => {
  if (own) Object.defineProperty(globalThis, 'indexedDB', own);
  else Reflect.deleteProperty(globalThis, 'indexedDB');
});

test('looking for what was left behind makes no shelf where there is none', async () => {
  const open = jest.fn(() => {
    throw new Error('opened');
  });
  const databases = () => Promise.resolve([{ name: 'another', version: 1 }]);
  Object.defineProperty(globalThis, 'indexedDB', { configurable: true, value: { databases, open } });
  const onLeft = jest.fn();
  await leftUploads('site', onLeft);
  expect(open).not.toHaveBeenCalled();
  expect(onLeft).not.toHaveBeenCalled();
});

test('a browser that cannot list its shelves is looked into all the same', async () => {
  const open = jest.fn(() => {
    throw new Error('opened');
  });
  Object.defineProperty(globalThis, 'indexedDB', { configurable: true, value: { open } });
  await expect(leftUploads('site', () => {})).rejects.toThrow('opened');
});
