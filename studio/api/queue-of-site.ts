import type { QueryClient } from '@tanstack/react-query';
import { SaveQueue, type SaveQueueDeps } from './save-queue.ts';

const queues = new WeakMap<QueryClient, Map<string, SaveQueue>>();

/**
 * The one queue by which a site is saved in this visit. Whoever leaves its rooms with something unsent and comes back
 * finds the same queue: two of them would send the same twice, and each would strike out what the other one noted.
 *
 * @param deps of the queue, where there is none yet
 */
export function queueOfSite(client: QueryClient, deps: SaveQueueDeps): SaveQueue {
  const ofClient = queues.get(client) ?? new Map<string, SaveQueue>();
  queues.set(client, ofClient);
  const queue = ofClient.get(deps.site) ?? new SaveQueue(deps);
  ofClient.set(deps.site, queue);
  return queue;
}
