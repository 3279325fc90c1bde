import type { z } from 'zod';
import { problemSchema, type ProblemReply } from '#contract/problem.ts';
import type { Route } from '#contract/route.ts';

/** What the server refused, with its sentence; or that it could not be reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problem: ProblemReply,
  ) {
    super(problem.message);
  }

  /** The line is down or the server is away: worth trying again by itself. */
  get unreachable(): boolean {
    return this.status === 0 || this.status >= 502;
  }

  /** Not the request is at fault: the same may succeed later, so nothing of it may be given up. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 500 || [401, 408, 425, 429].includes(this.status);
  }
}

const unreachable: ProblemReply = {
  code: 'unreachable',
  message: 'The server cannot be reached. Try again once you are connected.',
};

/** Sent to the window (or worker) when the server does not know any more who asks. */
export const signedOutEvent = 'kite-wall-signed-out';
/** Sent to the window when signs that nobody can see were taken out of what was saved. */
export const mendedEvent = 'kite-wall-mended';

/** Reads a reply that is not a success into a Refusal. */
export async function refusalFrom(status: number, body: unknown): Promise<Refusal> {
  const parsed = problemSchema.safeParse(body);
  if (parsed.success && parsed.data.code === 'signed-out')
    globalThis.dispatchEvent(new Event(signedOutEvent));
  return new Refusal(
    status,
    parsed.success
      ? parsed.data
      : {
          code: 'unknown',
          message:
            status >= 502
              ? 'The server is busy or just starting. Try again in a moment.'
              : 'The server answered something unexpected. Try again.',
        },
  );
}

/**
 * Asks a route of the contract. Types follow from the route; the reply is what the server parsed on its way out.
 *
 * @throws Refusal
 */
export async function call<P extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  route: Route<P, B, R>,
  input: { params?: Record<string, string>; body?: z.input<B>; signal?: AbortSignal } = {},
): Promise<z.output<R>> {
  const url = route.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(input.params?.[name] ?? ''),
  );
  let response: Response;
  try {
    response = await fetch(url, {
      method: route.method,
      ...(input.signal && { signal: input.signal }),
      ...(input.body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(input.body) }),
    });
  } catch {
    throw new Refusal(0, unreachable);
  }
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) throw await refusalFrom(response.status, body);
  if (response.headers.has('kite-wall-mended')) globalThis.dispatchEvent(new Event(mendedEvent));
  return body as z.output<R>;
}
