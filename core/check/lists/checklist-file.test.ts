import { describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { rules } from '../rules.ts';
import type { Checklist } from './checklist.ts';
import { checklistFile, checklistFileJsonSchema, checklistFormat, readChecklist } from './checklist-file.ts';
import { starterList } from './starter-list.ts';

let ids = 0;
const newId = () => `new-id-${++ids}`;
const withoutIds = ({ name, by, lines }: Checklist) => ({
  name,
  by,
  lines: lines.map(({ text, essential, rule, done }) => ({ text, essential, rule, done })),
});
const read = (json: unknown) => readChecklist(JSON.stringify(json), newId);
const one = { format: checklistFormat, name: 'For the show', lines: [{ text: 'It opens' }] };

describe('the file of a list', () => {
  test('has all of it but the ticks, and makes the same list again with ids of its own', () => {
    const list = starterList(newId);
    const ticked = { ...list, by: 'Idris', lines: list.lines.map((line) => ({ ...line, done: true })) };
    const again = readChecklist(checklistFile(ticked), newId);
    if (!('list' in again)) throw new Error(again.problem);
    expect(withoutIds(again.list)).toEqual(withoutIds({ ...list, by: 'Idris' }));
    expect(again.list.lines.some(({ id }) => list.lines.some((before) => before.id === id))).toBe(false);
  });

  test('what its JSON Schema takes is read, and what it refuses is refused (Ajv, JSON Schema 2020-12)', () => {
    const valid = new Ajv2020().compile(checklistFileJsonSchema());
    const some = fc.record(
      {
        format: fc.constantFrom(checklistFormat, 'other'),
        name: fc.string({ maxLength: 90 }),
        by: fc.string({ maxLength: 90 }),
        lines: fc.array(
          fc.record(
            { text: fc.string({ maxLength: 210 }), essential: fc.boolean(), rule: fc.option(fc.string()) },
            { requiredKeys: ['text'] },
          ),
          { maxLength: 3 },
        ),
        more: fc.boolean(),
      },
      { requiredKeys: ['format', 'name', 'lines'] },
    );
    fc.assert(fc.property(some, (json) => expect('list' in read(json)).toBe(valid(json))));
    expect([valid(one), 'list' in read(one)]).toEqual([true, true]);
  });

  test('its JSON Schema is the one that stands in the docs', async () => {
    const written = await readFile(new URL('../../../docs/checklist.schema.json', import.meta.url), 'utf8');
    expect(JSON.parse(written)).toEqual(checklistFileJsonSchema());
  });

  test.each([
    ['{', 'This file is no JSON'],
    ['null', 'This is no list'],
    ['{"lines": []}', 'This is no list'],
    [JSON.stringify({ ...one, lines: [] }), 'lines: A list has at least one line.'],
    [JSON.stringify({ ...one, lines: [{ text: '' }] }), 'lines 1 text: A line says something.'],
    [JSON.stringify({ ...one, lines: [{ text: 'x'.repeat(201) }] }), 'lines 1 text'],
  ])('that cannot be read is refused with what is wrong: %s', (file, problem) => {
    expect(readChecklist(file, newId)).toEqual({ problem: expect.stringContaining(problem) });
  });

  test('the list to begin with is ticked by rules that there are', () => {
    const named = starterList(newId).lines.flatMap(({ rule }) => rule ?? []);
    expect(named.length).toBeGreaterThan(3);
    expect(named.filter((rule) => !(rule in rules))).toEqual([]);
  });
});
