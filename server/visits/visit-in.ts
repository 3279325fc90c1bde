import fastifyCookie from '@fastify/cookie';
import proxyAddress from '@fastify/proxy-addr';
import type { IncomingMessage } from 'node:http';
import { cookieName } from '../accounts/cookie-name.ts';
import type { Seen } from './visit-counts.ts';

/** What of a request tells whether it is a visit. It is looked at and not kept. */
export interface Visit {
  seen: Seen;
  /** Address it came from. */
  from: string;
  agent: string;
  /** The cookie of the studio, where the browser sends one. */
  token: string | null;
}

/** Whether a browser fetches a page before somebody wants it (Fetch, section on `Sec-Purpose`; from memory). */
export const isAhead = ({ headers }: Pick<IncomingMessage, 'headers'>): boolean =>
  /prefetch|preview/.test(`${String(headers['sec-purpose'] ?? '')} ${String(headers['purpose'] ?? '')}`);

/** Only a proxy on this machine, or a reader at the local socket, may speak for somebody else. */
const isOurs = (address: string | undefined): boolean => !address || address === '127.0.0.1';

/** @param secure whether the studio's cookie goes only over HTTPS */
export function visitIn(seen: Seen, request: IncomingMessage, secure: boolean): Visit {
  const { cookie = '', 'user-agent': agent = '' } = request.headers;
  const name = cookieName(secure);
  return {
    ...{ seen, agent: agent.slice(0, 400) },
    from: proxyAddress(request, isOurs) ?? '',
    token: cookie.includes(name) ? (fastifyCookie.parse(cookie)[name] ?? null) : null,
  };
}
