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

const name = z.string().trim().min(1, 'Write the name your work goes under. Initials are fine.').max(80);
const newPassword = z.string().min(12, 'Use at least 12 characters. A short sentence is good.').max(200);
const oldPassword = z.string().min(1, 'Write your password.').max(200);

export const newAccountSchema = z.object({
  name,
  email,
  password: newPassword,
  /** Where this server asks for one. */
  code: z.string().trim().max(200).optional(),
});
export type NewAccount = z.infer<typeof newAccountSchema>;

export const signInSchema = z.object({ email, password: oldPassword });
export type SignIn = z.infer<typeof signInSchema>;

export const accountSchema = z.object({
  id: idSchema,
  name: z.string(),
  email: z.string(),
  /** When all of it goes for good; null: it stays. */
  leavesAt: z.iso.datetime().nullable(),
});
export type Account = z.infer<typeof accountSchema>;

/** Who is signed in, and what this server offers at its door. */
export const meSchema = z.object({
  account: accountSchema.nullable(),
  /** The demo account, by one click. */
  demo: z.boolean(),
  /** Whether somebody new may make an account. */
  registration: z.enum(['open', 'code', 'closed']),
  /** Whether a forgotten password can be helped by mail. */
  sendsMail: z.boolean(),
});
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

const token = z.string().regex(/^[\w-]{43}$/, 'This is not a whole link. Open it from the mail again.');

/** Sends whoever has an account of this address a mail to choose a new password with. Answers the same of any address. */
export const forgotPassword = route({
  method: 'POST',
  path: '/api/password/forgotten',
  params: nothing,
  body: z.object({ email }),
  reply: z.object({}),
});
/** Chooses a new password by what was in the mail, and signs out everywhere. */
export const resetPassword = route({
  method: 'POST',
  path: '/api/password/reset',
  params: nothing,
  body: z.object({ token, password: newPassword }),
  reply: z.object({}),
});
/** Shows by what was in the mail that an address is its maker's own. */
export const confirmAddress = route({
  method: 'POST',
  path: '/api/address/confirm',
  params: nothing,
  body: z.object({ token }),
  reply: z.object({ email: z.string() }),
});

export const sessionSchema = z.object({
  id: z.string(),
  /** “Firefox on Linux”; empty where it did not say. */
  device: z.string(),
  since: z.iso.datetime(),
  /** By the hour. */
  seen: z.iso.datetime(),
  /** The one that asks. */
  this: z.boolean(),
});
export type Session = z.infer<typeof sessionSchema>;

export const wholeAccountSchema = z.object({
  name: z.string(),
  email: z.string(),
  confirmed: z.boolean(),
  /** The address it is to go by once that is confirmed. */
  coming: z.string().nullable(),
  sendsMail: z.boolean(),
  /** It is everybody's: its password and address stay. */
  isDemo: z.boolean(),
  sessions: z.array(sessionSchema),
  leavesAt: z.iso.datetime().nullable(),
  /** How much its files take, in bytes. */
  bytes: z.number(),
});
export type WholeAccount = z.infer<typeof wholeAccountSchema>;

export const getAccount = route({
  method: 'GET',
  path: '/api/account',
  params: nothing,
  body: nothing,
  reply: wholeAccountSchema,
});
export const changeName = route({
  method: 'PUT',
  path: '/api/account/name',
  params: nothing,
  body: z.object({ name }),
  reply: wholeAccountSchema,
});
/** Sends the mail by which an address is confirmed once more. */
export const sendConfirmation = route({
  method: 'POST',
  path: '/api/account/confirmation',
  params: nothing,
  body: nothing,
  reply: wholeAccountSchema,
});
/** Where mail can be sent, the new address holds once it is confirmed; else at once. */
export const changeAddress = route({
  method: 'PUT',
  path: '/api/account/address',
  params: nothing,
  body: z.object({ email, password: oldPassword }),
  reply: wholeAccountSchema,
});
/** Ends all other sessions. */
export const changePassword = route({
  method: 'PUT',
  path: '/api/account/password',
  params: nothing,
  body: z.object({ old: oldPassword, password: newPassword }),
  reply: wholeAccountSchema,
});
export const endOneSession = route({
  method: 'DELETE',
  path: '/api/account/sessions/:session',
  params: z.object({ session: z.string().max(60) }),
  body: nothing,
  reply: wholeAccountSchema,
});
export const endOtherSessions = route({
  method: 'DELETE',
  path: '/api/account/sessions',
  params: nothing,
  body: nothing,
  reply: wholeAccountSchema,
});
/** Closes every link of the account now, and deletes all of it when the days to think again are over. */
export const leaveServer = route({
  method: 'POST',
  path: '/api/account/leaving',
  params: nothing,
  body: z.object({ password: oldPassword }),
  reply: wholeAccountSchema,
});
/** It stays, and opens what it opened. */
export const stayOnServer = route({
  method: 'DELETE',
  path: '/api/account/leaving',
  params: nothing,
  body: nothing,
  reply: wholeAccountSchema,
});
/** Everything of the account as a ZIP, for a browser to save. */
export const everythingPath = '/api/account/everything.zip';
