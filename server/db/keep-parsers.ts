import type { PGlite, QueryOptions, Transaction } from '@electric-sql/pglite';

/**
 * Lets a PGlite client keep the parsers that are given with a query, so that they need not be merged with its own for each:
 * Drizzle gives the same nine with every query, PGlite has three hundred, and merging them takes as long as a small query.
 *
 * @param client only asked with parsers that mean the same each time, as Drizzle's do: the first given for a type stays
 * @returns the same client
 */
export function keepParsers(client: PGlite): PGlite {
  const kept = client.parsers;
  const known = new Set<string>();
  const withKept = (options?: QueryOptions): QueryOptions | undefined => {
    if (!options?.parsers) return options;
    const { parsers, ...rest } = options;
    for (const type in parsers) {
      const parser = parsers[type];
      if (known.has(type) || !parser) continue;
      known.add(type);
      kept[Number(type)] = parser;
    }
    return rest;
  };
  const query = client.query.bind(client);
  client.query = (text, params, options) => query(text, params, withKept(options));
  const transaction = client.transaction.bind(client);
  client.transaction = (work) => transaction((own) => work(keeping(own, withKept)));
  return client;
}

/** A transaction whose queries do without parsers of their own. */
function keeping(
  own: Transaction,
  withKept: (options?: QueryOptions) => QueryOptions | undefined,
): Transaction {
  const query = own.query.bind(own);
  own.query = (text, params, options) => query(text, params, withKept(options));
  return own;
}
