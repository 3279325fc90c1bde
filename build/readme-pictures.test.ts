import { expect, test } from '@jest/globals';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

test('the README shows every picture of a screen there is, and none that is not there', async () => {
  const readme = await readFile(join(root, 'README.md'), 'utf8');
  const shown = new Set(
    [...readme.matchAll(/\]\(docs\/screenshots\/([\w-]+\.png)\)/g)].map(([, name]) => name),
  );
  expect([...shown].sort()).toEqual((await readdir(join(root, 'docs/screenshots'))).sort());
});
