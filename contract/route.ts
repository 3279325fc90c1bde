import type { z } from 'zod';

/** One request the server answers, described once for both sides. */
export interface Route<
  Params extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Reply extends z.ZodType = z.ZodType,
> {
  method: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE';
  /** With `:name` for each parameter. */
  path: string;
  params: Params;
  body: Body;
  reply: Reply;
}

export function route<Params extends z.ZodType, Body extends z.ZodType, Reply extends z.ZodType>(
  described: Route<Params, Body, Reply>,
): Route<Params, Body, Reply> {
  return described;
}
