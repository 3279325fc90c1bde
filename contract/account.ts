import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { route } from './route.ts';

const nothing = z.object({}).optional();
const email = z
  .string()
  .trim()
  .toLowerCase()
  .pipe(z.email('This does not look like an e-mail address.'))
  .pipe(z.string().max(254));

export const newAccountSchema = z.object({
  name: z.string().trim().min(1, 'Write the name your work goes under. Initials are fine.').max(80),
  email,
  password: z.string().min(12, 'Use at least 12 characters. A short sentence is good.').max(200),
});
export type NewAccount = z.infer<typeof newAccountSchema>;

export const signInSchema = z.object({ email, password: z.string().min(1, 'Write your password.').max(200) });
export type SignIn = z.infer<typeof signInSchema>;

export const accountSchema = z.object({ id: idSchema, name: z.string(), email: z.string() });
export type Account = z.infer<typeof accountSchema>;

/** Who is signed in, and whether this server offers the demo account. */
export const meSchema = z.object({ account: accountSchema.nullable(), demo: z.boolean() });
export type Me = z.infer<typeof meSchema>;

export const getMe = route({
  method: 'GET',
  path: '/api/me',
  params: nothing,
  body: nothing,
  reply: meSchema,
});
export const createAccount = route({
  method: 'POST',
  path: '/api/accounts',
  params: nothing,
  body: newAccountSchema,
  reply: meSchema,
});
export const signIn = route({
  method: 'POST',
  path: '/api/session',
  params: nothing,
  body: signInSchema,
  reply: meSchema,
});
export const signInToDemo = route({
  method: 'POST',
  path: '/api/session/demo',
  params: nothing,
  body: nothing,
  reply: meSchema,
});
export const signOut = route({
  method: 'DELETE',
  path: '/api/session',
  params: nothing,
  body: nothing,
  reply: meSchema,
});
