import { PGlite, type QueryOptions, type Transaction, types } from '@electric-sql/pglite';
import { afterAll, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { keepParsers } from './keep-parsers.ts';

const template = await readFile(join(import.meta.dirname, '../../.cache/pglite-template.tar'));
const client = await PGlite.create({ loadDataDir: new Blob([new Uint8Array(template)]) });
afterAll(() => client.close());

/** What reaches PGlite, by the client itself and by its transactions. */
const given: (QueryOptions | undefined)[] = [];
const heard =
  (query: Transaction['query']): Transaction['query'] =>
  (text, params, options) => {
    given.push(options);
    return query(text, params, options);
  };
const [query, transaction] = [client.query.bind(client), client.transaction.bind(client)];
client.query = heard(query);
client.transaction = (work) =>
  transaction((own) => {
    own.query = heard(own.query.bind(own));
    return work(own);
  });
keepParsers(client);

const asDrizzle: QueryOptions = {
  rowMode: 'array',
  parsers: { [types.TIMESTAMPTZ]: (value) => value, [types.DATE]: (value) => value },
};
const asked = "select date '2026-12-01', timestamptz '2026-12-01 10:00+00', 7, array[1, 2]";
const rows = [['2026-12-01', expect.stringMatching(/^2026-12-01 /), 7, [1, 2]]];

test('a parser given with a query is used for it and for all after it, and merged with no other again', async () => {
  expect((await client.query(asked, [], asDrizzle)).rows).toEqual(rows);
  expect((await client.query(asked, [], asDrizzle)).rows).toEqual(rows);
  expect((await client.query(asked, [], { rowMode: 'array' })).rows).toEqual(rows);
  expect(given.map((options) => options?.parsers)).toEqual([undefined, undefined, undefined]);
});

test('in a transaction as well', async () => {
  given.length = 0;
  expect(await client.transaction(async (own) => (await own.query(asked, [], asDrizzle)).rows)).toEqual(rows);
  expect(given).toEqual([{ rowMode: 'array' }]);
});
