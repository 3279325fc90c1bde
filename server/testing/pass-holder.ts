import type { FastifyInstance } from 'fastify';
import type { Pass } from '#contract/passes.ts';

/** Somebody who holds a pass and comments, on a device that keeps what it is given to know them by. */
export class PassHolder {
  /** What the device keeps. */
  cookie = '';
  /** The id of what was said last. */
  said = '';

  /** @param from the address they come from */
  constructor(
    readonly app: FastifyInstance,
    readonly pass: Pass,
    readonly from = '127.0.0.1',
  ) {}

  async get(path = 'tide-clock/') {
    return this.app.inject({ method: 'GET', ...this.#at(path) });
  }

  /** @param more fields of the form, besides the words */
  async says(words: string, more: Record<string, string> = {}, path = 'tide-clock/') {
    this.said = /name="token" value="([^"]+)"/.exec((await this.get(path)).body)?.[1] ?? '';
    const fields = { comment: '1', token: this.said, name: 'Tess', words, part: '', ...more };
    const reply = await this.app.inject({
      method: 'POST',
      ...this.#at(path, 'application/x-www-form-urlencoded'),
      payload: new URLSearchParams(fields).toString(),
    });
    const set = reply.headers['set-cookie'];
    if (typeof set === 'string') this.cookie = set.split(';')[0] ?? '';
    return reply;
  }

  /** Puts a file to a comment. */
  async sends(comment: string, name: string, contents: Uint8Array, path = 'tide-clock/') {
    const form = new FormData();
    form.set('attach', comment);
    form.set('file', new Blob([new Uint8Array(contents)]), name);
    const body = new Response(form);
    return this.app.inject({
      method: 'POST',
      ...this.#at(path, body.headers.get('content-type') ?? ''),
      payload: Buffer.from(await body.arrayBuffer()),
    });
  }

  #at(path: string, type?: string) {
    const headers = { ...(type && { 'content-type': type }), ...(this.cookie && { cookie: this.cookie }) };
    return { url: `${this.pass.link ?? ''}${path}`, remoteAddress: this.from, headers };
  }
}
