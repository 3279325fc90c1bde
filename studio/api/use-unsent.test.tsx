/** @jest-environment ./build/document.jest.js */
import { afterEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { z } from 'zod';
import { useUnsent } from './use-unsent.ts';

afterEach(() => {
  cleanup();
  window.localStorage.clear();
});
const open = (name = 'answer one') => renderHook(() => useUnsent(name, z.string()));

test('what is being written is there again when its field is, until it is sent or left', () => {
  const first = open();
  expect(first.result.current[0]).toBeNull();
  act(() => first.result.current[1]('It was made for'));
  expect(first.result.current[0]).toBe('It was made for');
  first.unmount();
  const second = open();
  expect(second.result.current[0]).toBe('It was made for');
  expect(open('answer two').result.current[0]).toBeNull();
  act(() => second.result.current[1](null));
  second.unmount();
  expect(open().result.current[0]).toBeNull();
});

test('an empty field is being written in as well', () => {
  const first = open();
  act(() => first.result.current[1](''));
  first.unmount();
  expect(open().result.current[0]).toBe('');
});

test('what cannot be read is nothing; where nothing more is kept, it stays in the field', () => {
  window.localStorage.setItem('kite-wall unsent answer one', '{"of": "another program"');
  const { result, unmount } = open();
  expect(result.current[0]).toBeNull();
  unmount();
  window.localStorage.setItem('kite-wall unsent answer one', '7');
  expect(open().result.current[0]).toBeNull();
  const put = Storage.prototype.setItem;
  Storage.prototype.setItem = () => {
    throw new Error('QuotaExceededError');
  };
  const full = open('answer two');
  act(() => full.result.current[1]('Words'));
  Storage.prototype.setItem = put;
  expect(full.result.current[0]).toBe('Words');
});
