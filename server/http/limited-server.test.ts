import { expect, test } from '@jest/globals';
import { once } from 'node:events';
import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { keptOpenMs, limitedServer } from './limited-server.ts';

test('says that it keeps connections, for longer than whoever keeps them uses one again', async () => {
  const server = limitedServer((_, response) => response.end('here'));
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const answer = await new Promise<IncomingMessage>((resolve, reject) => {
    get({ port, host: '127.0.0.1', headers: { connection: 'keep-alive' } }, resolve).on('error', reject);
  });
  answer.resume();
  // Programs read how long from this field (RFC 2068, section 19.7.1.1, from memory).
  expect(answer.headers['keep-alive']).toBe(`timeout=${keptOpenMs / 1000}`);
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
});
