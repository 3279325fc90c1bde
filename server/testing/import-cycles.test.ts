import { expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize, sep } from 'node:path';
import ts from 'typescript';

const root = join(import.meta.dirname, '../..');
const folders = ['core', 'contract', 'site', 'server', 'studio', 'demo', 'standins'];

/** Every file of ours with the files it imports, types as well. */
function imports(): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const folder of folders)
    for (const entry of readdirSync(join(root, folder), { recursive: true, withFileTypes: true })) {
      if (!entry.isFile() || !/\.tsx?$/.test(entry.name) || /\.test\./.test(entry.name)) continue;
      const path = join(entry.parentPath, entry.name);
      const named = ts.preProcessFile(readFileSync(path, 'utf8'), true, true).importedFiles;
      const file = path.slice(root.length + 1);
      found.set(
        file,
        named.flatMap(({ fileName }) => {
          const target = fileName.startsWith('#')
            ? normalize(fileName.slice(1))
            : fileName.startsWith('.')
              ? normalize(join(dirname(file), fileName))
              : '';
          return /\.tsx?$/.test(target) && existsSync(join(root, target)) ? [target] : [];
        }),
      );
    }
  return found;
}

/** The first way found that leads from a file back to it; null where there is none. */
function cycle(graph: ReadonlyMap<string, readonly string[]>): string[] | null {
  const done = new Set<string>();
  const way: string[] = [];
  const walk = (file: string): string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (done.has(file)) return null;
    way.push(file);
    for (const next of graph.get(file) ?? []) {
      const found = walk(next);
      if (found) return found;
    }
    way.pop();
    done.add(file);
    return null;
  };
  for (const file of graph.keys()) {
    const found = walk(file);
    if (found) return found;
  }
  return null;
}

test('no file needs itself by way of others, not even for a type', () => {
  const graph = imports();
  expect(graph.size).toBeGreaterThan(400);
  expect(graph.get(['server', 'app.ts'].join(sep))?.length).toBeGreaterThan(10);
  expect(cycle(graph)).toBeNull();
});

test('a way back is found', () => {
  expect(
    cycle(
      new Map([
        ['a', ['b']],
        ['b', ['c', 'd']],
        ['c', []],
        ['d', ['b']],
      ]),
    ),
  ).toEqual(['b', 'd', 'b']);
});
