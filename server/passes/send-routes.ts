import type { FastifyInstance, FastifyRequest } from 'fastify';
import { mostSentInADay, sendPass, writePassLetter } from '#contract/passes.ts';
import { accountById } from '../accounts/account-rows.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound, Problem } from '../http/problem.ts';
import { letterOfPass } from '../mail/letter-of-pass.ts';
import { passLettersSince, putOnItsWay, sentToOfLate, toldClosing } from '../mail/letter-rows.ts';
import type { Mailing } from '../mail/mailing.ts';
import { ownSite } from '../sites/load-draft.ts';
import { passWithSite } from './pass-rows.ts';

interface SendDeps {
  db: Database;
  mailing: Mailing;
  secret: Buffer;
  publicOrigin: string;
  now: () => Date;
}

const dayMs = 24 * 60 * 60 * 1000;

/** The link of a pass goes to somebody by mail. */
export function sendPassRoutes(
  app: FastifyInstance,
  { db, mailing, secret, publicOrigin, now }: SendDeps,
): void {
  /** The letter of one of a maker's passes. Throws Problem 409, in words, where none can be sent. */
  const letterFor = async (request: FastifyRequest, params: { site: string; pass: string }, note: string) => {
    const account = await accountById(db, makerOf(request).id);
    await ownSite(db, account.id, params.site);
    const pass = await passWithSite(db, account.id, params.pass);
    if (pass?.row.siteId !== params.site) throw notFound('This pass');
    if (!mailing.sends)
      throw new Problem(409, 'no-mail', 'This server sends no mail. Copy the link, and send it yourself.');
    if (account.confirmedAt === null)
      throw new Problem(
        409,
        'not-confirmed',
        'Answers go to the address of your account, so confirm it first, in “Your account”.',
      );
    const context = { origin: publicOrigin, secret, now: now() };
    const letter = letterOfPass(pass, account, { kind: 'pass', pass: pass.row.id, note }, context);
    if (!letter)
      throw new Problem(
        409,
        'opens-nothing',
        'This pass is off or over. Switch it on, or give it more time, first.',
      );
    return { letter, account, row: pass.row };
  };

  handle(app, writePassLetter, async ({ params, body }, request) => {
    const { letter, account, row } = await letterFor(request, params, body.note);
    return {
      ...{ subject: letter.subject, text: letter.text },
      reminds: toldClosing(row.closesAt, now())?.toISOString() ?? null,
      known: await sentToOfLate(db, account.id),
    };
  });

  handle(app, sendPass, async ({ params, body: { to, note, remind } }, request) => {
    const { account, row } = await letterFor(request, params, note);
    const people = [...new Set(to)];
    const at = toldClosing(row.closesAt, now());
    const wanted = people.length * (remind && at ? 2 : 1);
    await db.transaction(async (tx) => {
      const sent = await passLettersSince(tx, account.id, new Date(now().getTime() - dayMs));
      if (sent + wanted > mostSentInADay)
        throw new Problem(
          429,
          'too-many-mails',
          `At most ${mostSentInADay} mails go out in a day. Send the others tomorrow, or copy the link.`,
        );
      for (const one of people) {
        await putOnItsWay(tx, account.id, one, { kind: 'pass', pass: row.id, note }, now());
        if (remind && at)
          await putOnItsWay(tx, account.id, one, { kind: 'pass-closing', pass: row.id }, now(), at);
      }
    });
    mailing.look();
    return { sent: people.length };
  });
}
