/** An error somebody can act on: what happened and what to do, in a sentence, beside the field it is about. */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  readonly field: string | undefined;
  /** What else the receiver needs, for example both versions after a conflict. */
  readonly details: unknown;

  constructor(
    status: number,
    code: string,
    message: string,
    more: { field?: string; details?: unknown } = {},
  ) {
    super(message);
    this.status = status;
    this.code = code;
    this.field = more.field;
    this.details = more.details;
  }
}

export const notFound = (what = 'This'): Problem =>
  new Problem(404, 'not-found', `${what} is not here any more. Reload the page to see what is.`);
