import argon2 from '@node-rs/argon2';
import { and, eq } from 'drizzle-orm';
import { withoutTicks } from '#core/groups/list-of-group.ts';
import type { ClassTerms, GroupTerms } from '#core/groups/group.ts';
import { pageSlug } from '#core/pages/page-slug.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { newId } from '#server/db/new-id.ts';
import { accounts, classEntries, sites } from '#server/db/schema.ts';
import { askEntry, classAtKey, giveBack, keepWriting, openClassRow } from '#server/groups/class-rows.ts';
import { classKey } from '#server/groups/class-key.ts';
import { addGroup, ownGroup } from '#server/groups/group-rows.ts';
import { joinClassRow, tellClassRow } from '#server/groups/joined-rows.ts';
import { handedIn } from '#server/hand-ins/hand-in-rows.ts';
import { emptyPage } from '#server/pages/new-page.ts';
import type { ImportDeps } from '#server/media/import-material.ts';
import type { PublishDeps } from '#server/publish/made-files.ts';
import { publish } from '#server/publish/publish.ts';
import { draftAt, loadDraft, ownSite } from '#server/sites/load-draft.ts';
import { makeSite } from '#server/sites/make-site.ts';
import { repairCircle, tutorsClass } from './classes-scenario.ts';

type Deps = ImportDeps & PublishDeps;

/** Somebody else with an account, which nobody knows the password of. */
async function addSomebody({ db }: Deps, { name, email }: { name: string; email: string }): Promise<string> {
  const id = newId();
  const passwordHash = await argon2.hash(newId() + newId());
  await db.insert(accounts).values({ id, name, email, passwordHash });
  return id;
}

/** A group with a class page. @returns its id */
async function addClass(
  { db }: Deps,
  account: string,
  group: GroupTerms,
  terms: ClassTerms,
  secret: Buffer,
): Promise<string> {
  const id = await addGroup(db, account, group);
  await openClassRow(db, await ownGroup(db, account, id), terms, secret);
  return id;
}

/** @returns the entry that a site has in the class then, with its hand-in */
async function join({ db }: Deps, group: string, site: string, name: string, secret: Buffer) {
  const found = await classAtKey(db, classKey(secret, group, 1));
  if (!found) throw new Error('The class of the demo does not open.');
  await joinClassRow(db, site, found, { name, opens: 'site', mayComment: true, keeps: false }, secret);
  const [entry] = await db
    .select()
    .from(classEntries)
    .where(and(eq(classEntries.groupId, group), eq(classEntries.siteId, site)));
  if (!entry) throw new Error('Nobody joined the class of the demo.');
  return entry;
}

/** A site of one project for those who have the link. */
async function addSmallSite(
  deps: Deps,
  account: string,
  title: string,
  project: { title: string; summary: string; text: string },
): Promise<string> {
  const site = await makeSite(deps.db, account, title);
  const page = {
    ...emptyPage('project', 'a1', pageSlug(project.title, new Set()), project.title),
    summary: project.summary,
    parts: [
      { id: newId(), kind: 'words' as const, height: 'public' as const, text: fromParagraphs(project.text) },
    ],
  };
  await deps.commands.run({ site, account }, { label: `New project ${project.title}` }, async (running) => {
    await running.insert('page', { ...page, height: 'invited' });
    await running.update('site', site, { height: 'invited' });
  });
  const { signal } = new AbortController();
  await publish(deps, await draftAt(deps.db, account, site), 'Handed in', () => {}, signal);
  return site;
}

/** The class that the demo's maker hands in to, and the circle that hands in to them. */
export async function seedClasses(
  deps: Deps,
  { account, site, secret }: { account: string; site: string; secret: Buffer },
): Promise<void> {
  const { db } = deps;
  const now = new Date();
  const tutor = await addSomebody(deps, tutorsClass.tutor);
  const draft = await loadDraft(db, await ownSite(db, account, site));
  const [taken] = draft.site.lists;
  const ofTutor = await addClass(
    deps,
    tutor,
    { name: tutorsClass.name, people: [], list: taken ? withoutTicks(taken) : null },
    tutorsClass.terms(now),
    secret,
  );
  const mine = await join(deps, ofTutor, site, tutorsClass.as, secret);
  await askEntry(db, ofTutor, mine.id, tutorsClass.asks, now);

  const list = {
    ...{ id: newId(), name: repairCircle.list.name, by: repairCircle.list.by, evidence: 0 },
    lines: repairCircle.list.lines.map((line) => ({ ...line, id: newId(), rule: null })),
  };
  const { name, people, terms } = repairCircle;
  const circle = await addClass(deps, account, { name, people, list }, terms(now), secret);
  for (const member of repairCircle.members) {
    const theirs = await addSomebody(deps, member);
    const small = await addSmallSite(deps, theirs, member.site, member.project);
    const entry = await join(deps, circle, small, member.name, secret);
    const ticked = list.lines.slice(0, member.ticks).map(({ id }) => id);
    await tellClassRow(db, small, entry.handInId, { ticked }, now);
    const [row] = await db.select().from(sites).where(eq(sites.id, small));
    if (row && member.handedIn) await handedIn(db, row, entry.handInId, secret, now);
    if (!member.letter) continue;
    const lines = Object.fromEntries(
      list.lines.flatMap(({ id }, at) => {
        const said = member.letter?.lines[at];
        return said ? [[id, { level: said[0], words: said[1] }]] : [];
      }),
    );
    const returned = { lines, words: member.letter.words };
    if (member.letter.given) await giveBack(db, await ownGroup(db, account, circle), entry.id, returned, now);
    else await keepWriting(db, circle, entry.id, returned);
  }
}
