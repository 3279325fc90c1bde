import type { z } from 'zod';
import type { Route } from '#contract/route.ts';
import { importReplySchema } from '#contract/materials.ts';
import { getPublishJob, type PublishJob, startPublish } from '#contract/publishing.ts';
import { type SiteState } from '#contract/site-state.ts';
import { getSite } from '#contract/sites.ts';

/** A maker at the other end of the line, without a browser: keeps the cookie and speaks the contract. */
export class RemoteMaker {
  #cookie = '';

  constructor(readonly origin: string) {}

  /** @throws Error with the server's sentence, or the line's own error when it broke */
  async call<P extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
    route: Route<P, B, R>,
    { params = {}, body }: { params?: Record<string, string>; body?: z.input<B> } = {},
  ): Promise<z.output<R>> {
    const path = route.path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? '');
    const reply = await fetch(this.origin + path, {
      method: route.method,
      headers: {
        origin: this.origin,
        cookie: this.#cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const set = reply.headers.getSetCookie()[0];
    if (set) this.#cookie = set.split(';')[0] ?? '';
    const said: unknown = await reply.json();
    if (!reply.ok) throw new Error(`${reply.status} ${JSON.stringify(said)}`);
    return route.reply.parse(said) as z.output<R>;
  }

  /** Puts a file into what is gathered. @returns its material */
  async upload(site: string, name: string, contents: Uint8Array<ArrayBuffer>): Promise<string> {
    const reply = await fetch(`${this.origin}/api/sites/${site}/materials?name=${encodeURIComponent(name)}`, {
      method: 'POST',
      headers: { origin: this.origin, cookie: this.#cookie, 'content-type': 'application/octet-stream' },
      body: contents,
    });
    const said: unknown = await reply.json();
    if (!reply.ok) throw new Error(`${reply.status} ${JSON.stringify(said)}`);
    return importReplySchema.parse(said).material;
  }

  state(site: string): Promise<SiteState> {
    return this.call(getSite, { params: { site } });
  }

  async publish(site: string): Promise<PublishJob> {
    let job = await this.call(startPublish, { params: { site }, body: {} });
    while (job.state === 'running') {
      await new Promise((resolve) => setTimeout(resolve, 15));
      job = await this.call(getPublishJob, { params: { site, job: job.id } });
    }
    return job;
  }

  /** What a stranger gets: the words of a page, or the status. */
  async stranger(path: string): Promise<string> {
    const reply = await fetch(this.origin + path, { redirect: 'manual' });
    return reply.status === 200 ? reply.text() : String(reply.status);
  }
}
