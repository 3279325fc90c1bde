import { describe, expect, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { queueOfSite } from './queue-of-site.ts';
import type { SaveQueueDeps } from './save-queue.ts';

const depsOf = (site: string): SaveQueueDeps => ({
  site,
  seen: () => 1,
  row: () => undefined,
  apply: () => {},
  notes: { read: () => [], write: () => {}, takeOver: () => {} },
});

describe('the queue of a site', () => {
  test('is the same for as long as the studio is open, whoever goes in and out of its rooms', () => {
    const client = new QueryClient();
    const first = queueOfSite(client, depsOf('site-1'));
    expect(queueOfSite(client, depsOf('site-1'))).toBe(first);
    expect(queueOfSite(client, depsOf('site-2'))).not.toBe(first);
    expect(queueOfSite(new QueryClient(), depsOf('site-1'))).not.toBe(first);
  });
});
