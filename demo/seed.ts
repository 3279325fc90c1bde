import argon2 from '@node-rs/argon2';
import { and, eq, sql } from 'drizzle-orm';
import { createReadStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { generateKeyBetween } from 'fractional-indexing';
import { z } from 'zod';
import { newPart } from '#core/parts/new-part.ts';
import type { Height } from '#core/access/height.ts';
import { isShown, type Page } from '#core/pages/page.ts';
import { firstLook } from '#core/look/look.ts';
import { themeChange } from '#core/look/theme-change.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import type { Ground } from '#core/parts/ground.ts';
import type { Part } from '#core/parts/parts.ts';
import { mine } from '#core/credits/provenance.ts';
import { pageSlug } from '#core/pages/page-slug.ts';
import type { Block, Inline, RichText } from '#core/words/rich-text.ts';
import { demoEmail } from '#server/accounts/routes.ts';
import { newId } from '#server/db/new-id.ts';
import { accounts, materials, pages, parts, sites } from '#server/db/schema.ts';
import { changeIn, putIn } from '#server/messages/box.ts';
import { addLink } from '#server/links/link-material.ts';
import { addNote } from '#server/links/note-material.ts';
import type { LinkDeps } from '#server/links/read-link.ts';
import { pointedAt } from './pointed-at.ts';
import { changeComment, takeIn } from '#server/comments/comment-rows.ts';
import { addPasses, changePassRow, passRows } from '#server/passes/pass-rows.ts';
import { addLook, keepAnswers, lookRows } from '#server/second-look/look-rows.ts';
import { partnerList } from '#core/second-look/partner-list.ts';
import type { LookAnswer } from '#core/second-look/second-look.ts';
import { importMaterial, type ImportDeps } from '#server/media/import-material.ts';
import { emptyPage } from '#server/pages/new-page.ts';
import type { PublishDeps } from '#server/publish/made-files.ts';
import { publish } from '#server/publish/publish.ts';
import { draftAt } from '#server/sites/load-draft.ts';
import { keepListed } from '#server/serve/listing-rows.ts';
import { makeSite } from '#server/sites/make-site.ts';
import { partsAboutMaker } from './about-maker.ts';
import { partsWithMoments } from './moments-of-pages.ts';
import { addHandIn, dueHandIns, handedIn } from '#server/hand-ins/hand-in-rows.ts';
import { demoHandIns } from './hand-ins-scenario.ts';
import { seedClasses } from './seed-classes.ts';
import { demoPasses, demoTimeZone } from './passes-scenario.ts';
import { demoSecondLook } from './second-look-scenario.ts';
import { partsOfResume } from './resume-of-maker.ts';
import {
  aboutMaker,
  beside,
  draft,
  type DemoGround,
  type DemoPart,
  type DemoProject,
  front,
  gatheredFor,
  groups,
  readersSaid,
  readersWrote,
  live,
  loose,
  looseLinks,
  notes,
  provenances,
  quickLinks,
  tutorsList,
  second,
  maker,
  waitingSummary,
} from './scenario.ts';

const manifestSchema = z.array(
  z.object({ file: z.string(), title: z.string(), caption: z.string(), alt: z.string() }),
);

function inlines(text: string): Inline[] {
  return text
    .split(/(\*\*[^*]+\*\*)/)
    .filter(Boolean)
    .map((piece) =>
      piece.startsWith('**')
        ? { type: 'text', text: piece.slice(2, -2), marks: [{ type: 'bold' }] }
        : { type: 'text', text: piece },
    );
}

/** Paragraphs, `# headings` and `**bold**`: enough for the scenario. */
function richText(text: string): RichText {
  const blocks = text
    .split(/\n\s*\n/)
    .map((block): Block =>
      block.startsWith('# ')
        ? { type: 'heading', attrs: { level: 2 }, content: inlines(block.slice(2).trim()) }
        : { type: 'paragraph', content: inlines(block.replace(/\s+/g, ' ').trim()) },
    );
  return { type: 'doc', content: blocks };
}

/** The maker's second site, from what was gathered for the first. */
async function seedSecond(
  deps: ImportDeps & PublishDeps,
  account: string,
  bring: (file: string) => Promise<string>,
): Promise<void> {
  const { db, commands } = deps;
  const { front, project, ...about } = second;
  const site = await makeSite(db, account, about.site);
  const pictures = [];
  for (const file of project.gallery) pictures.push(await bring(file));
  const base = { height: 'public' as const };
  const page: Page = {
    ...emptyPage('project', 'a1', pageSlug(project.title, new Set()), project.title),
    summary: project.summary,
    facts: { ...noFacts, ...project.facts },
    opening: { layout: 'full', pictures: [await bring(project.opening)] },
    parts: [
      { ...base, id: newId(), kind: 'words', text: richText(project.text) },
      {
        ...{ ...base, id: newId(), kind: 'gallery', title: 'Von der Pappe bis zur Wand', pictures },
        ...{ layout: 'rows', captions: 'hidden', autoplay: false },
      },
    ],
  };
  await commands.run({ site, account }, { label: `New project ${project.title}` }, async (running) => {
    const [home] = await running.tx
      .select({ id: pages.id })
      .from(pages)
      .where(and(eq(pages.siteId, site), eq(pages.kind, 'home')));
    if (home) await running.update('page', home.id, front);
    await running.insert('page', page);
    await running.update('site', site, {
      ...{ height: 'public', address: about.address, language: about.language, wallDates: true },
      // It wears another look than the first.
      ...themeChange({ look: firstLook, ...firstArrangement }, about.theme),
    });
  });
  const signal = new AbortController().signal;
  await publish(deps, await draftAt(db, account, site), 'Der Anfang', () => {}, signal);
  await keepListed(db, site, true);
}

/** Links for people, some of whom hold them still. */
async function seedPasses({ db }: PublishDeps, site: string, secret: Buffer): Promise<void> {
  const rows = await db
    .select({ id: pages.id, title: pages.title })
    .from(pages)
    .where(eq(pages.siteId, site));
  const wanted = demoPasses.map(({ on: _, opens, ...pass }) => ({
    ...pass,
    ...{ timeZone: demoTimeZone, opens: opens ? idsOf(opens) : ('site' as const) },
  }));
  const made = await addPasses(db, site, secret, wanted);
  for (const [at, { on }] of demoPasses.entries()) {
    const pass = made[at];
    if (pass && !on) await changePassRow(db, site, pass.id, { on });
  }
  const passNamed = new Map(made.map(({ id, label }) => [label, id]));
  const now = new Date();
  const wantedHandIns = demoHandIns(now);
  for (const { pass, handedIn: _, ...said } of wantedHandIns) {
    const known = passNamed.get(pass);
    if (known) await addHandIn(db, site, { ...said, by: { kind: 'pass', pass: known } });
  }
  const [row] = await db.select().from(sites).where(eq(sites.id, site));
  for (const { id, what } of row ? await dueHandIns(db, site) : [])
    if (row && wantedHandIns.find((one) => one.what === what)?.handedIn)
      await handedIn(db, row, id, secret, now);

  function idsOf(titles: readonly string[]): string[] {
    return titles.flatMap((wantedTitle) => rows.find(({ title }) => title === wantedTitle)?.id ?? []);
  }
}

/**
 * Makes the demo account with its sites, through the same functions that the studio's requests use.
 *
 * @returns false when the demo is there already
 */
export async function seedDemo(
  deps: ImportDeps & PublishDeps & LinkDeps,
  { pictures, standIns, secret }: { pictures: string; standIns: string; secret: Buffer },
  say: (line: string) => void,
): Promise<boolean> {
  const { db, commands } = deps;
  const [known] = await db.select({ id: accounts.id }).from(accounts).where(eq(accounts.email, demoEmail));
  if (known) return false;
  const described = manifestSchema.parse(JSON.parse(await readFile(join(pictures, 'manifest.json'), 'utf8')));

  const account = newId();
  await db.insert(accounts).values({
    id: account,
    name: maker.name,
    email: demoEmail,
    // Nobody knows this password: the demo is entered by its one-click sign-in and by nothing else.
    passwordHash: await argon2.hash(newId() + newId()),
    confirmedAt: new Date(),
  });
  const site = await makeSite(deps.db, account, maker.site);
  const scope = { site, account };

  const ids = new Map<string, string>();
  const bring = async (file: string): Promise<string> => {
    const known = ids.get(file);
    if (known) return known;
    const stream = createReadStream(join(pictures, file));
    const { material } = await importMaterial(deps, scope, { name: basename(file), stream });
    const words = described.find((one) => one.file === file);
    const transcript = /\.(mp3|mp4)$/.test(file)
      ? await readFile(join(pictures, file.replace(/mp[34]$/, 'vtt')), 'utf8')
      : '';
    if (words)
      await commands.run(scope, { label: `Words of ${words.title}` }, async (running) => {
        await running.update('material', material, {
          title: words.title,
          caption: words.caption,
          alt: words.alt,
          transcript,
        });
      });
    const whose = provenances[file];
    if (whose)
      await commands.run(scope, { label: 'Whose work it is' }, async (running) => {
        await running.update('material', material, { provenance: { ...mine, ...whose } });
      });
    ids.set(file, material);
    return material;
  };

  const groundOf = async (
    ground: DemoGround | undefined,
    of: (file: string) => Promise<string>,
  ): Promise<Ground | undefined> => {
    if (!ground) return undefined;
    if ('colour' in ground) return { kind: 'colour', ...ground };
    const pictures = [];
    for (const file of ground.passesOver) pictures.push(await of(file));
    return { kind: 'passing', pictures, side: ground.side };
  };

  const partOf = async (part: DemoPart, of: (file: string) => Promise<string>): Promise<Part> => {
    const base = { id: newId(), height: 'public' as const };
    switch (part.kind) {
      case 'words':
        return { ...base, kind: 'words', text: richText(part.text) };
      case 'picture':
        return { ...base, kind: 'picture', material: await of(part.file), width: part.width, link: '' };
      case 'gallery': {
        const { kind, title, files, layout = 'rows', captions = 'below' } = part;
        const pictures = [];
        for (const file of files) pictures.push(await of(file));
        return { ...base, kind, title, pictures, layout, captions, autoplay: false };
      }
      case 'document':
        return { ...base, kind: 'document', material: await of(part.file), download: false };
      case 'sound':
        return { ...base, kind: 'sound', material: await of(part.file) };
      case 'clip': {
        const material = await of(part.file);
        const shownBy = await of(part.still);
        await commands.run(scope, { label: 'Still of a clip' }, async (running) => {
          await running.update('material', material, { shownBy });
        });
        return { ...base, kind: 'clip', material };
      }
      case 'link': {
        const { material } = await addLink(deps, scope, standIns + part.page, 'http://127.0.0.1');
        return newPart('link', newId(), [material]);
      }
      case 'compare': {
        const [beforeName, afterName] = part.names;
        const [before, after] = [await of(part.before), await of(part.after)];
        return { ...base, kind: 'compare', before, after, beforeName, afterName };
      }
      case 'evidence': {
        const { kind, file, what, why, shows } = part;
        return { ...base, kind, what, why, shows, material: await of(file) };
      }
      case 'reflection':
        return {
          ...base,
          kind: 'reflection',
          answers: part.answers.map(([question, text]) => ({ id: newId(), question, text })),
        };
      case 'quote':
        return { ...base, kind: 'quote', text: part.text, by: part.by };
      case 'credits':
        return { ...base, kind: 'credits' };
      case 'table': {
        const columns = part.columns.map(({ name, height = 'public', sum = false }) => ({
          id: newId(),
          name,
          height,
          sum,
        }));
        return { ...base, kind: 'table', title: part.title, columns, rows: part.rows };
      }
      case 'contact':
        return { ...base, kind: 'contact', words: part.words, form: true, link: '', card: true };
    }
  };

  /** Ids of pages that others stand below, by their titles. */
  const placed = new Map<string, string>();

  /** Behind all that are there. */
  const place = async (title: string): Promise<{ rank: string; slug: string }> => {
    const rows = await db
      .select({ rank: pages.rank, slug: pages.slug })
      .from(pages)
      .where(eq(pages.siteId, site));
    const last =
      rows
        .map((row) => row.rank)
        .sort()
        .at(-1) ?? null;
    return {
      rank: generateKeyBetween(last, null),
      slug: pageSlug(title, new Set(rows.map((row) => row.slug))),
    };
  };

  const addPage = async (
    kind: 'group' | 'plain' | 'heading' | 'link',
    { title, summary = '', text, leadsTo, below }: (typeof beside)[number],
  ): Promise<void> => {
    const { rank, slug } = await place(title);
    const words: Part[] = text
      ? [{ id: newId(), height: 'public', kind: 'words', text: richText(text) }]
      : [];
    const page = {
      ...emptyPage(kind, rank, slug, title),
      parent: placed.get(below ?? '') ?? null,
      ...(kind === 'link' && { leadsTo }),
      ...((kind === 'plain' || kind === 'group') && { summary, parts: words }),
    } as Page;
    placed.set(title, page.id);
    await commands.run(scope, { label: `New page ${title}` }, (running) => running.insert('page', page));
  };

  const addProject = async (project: DemoProject, height: Height = 'public'): Promise<void> => {
    const of = (file: string) => bring(`${project.folder}/${file}`);
    const parts: Part[] = [];
    for (const described of project.parts) {
      const ground = await groundOf(described.ground, of);
      const part = { ...(await partOf(described, of)), ...(ground && { ground }) };
      const before = parts.at(-1);
      parts.push(
        described.beside && before ? { ...part, beside: { with: before.id, share: described.beside } } : part,
      );
    }
    const opening = [];
    for (const file of project.opening.pictures) opening.push(await of(file));
    const { rank, slug } = await place(project.title);
    const page: Page = {
      ...emptyPage('project', rank, slug),
      parent: placed.get(project.group) ?? null,
      height,
      title: project.title,
      summary: project.summary,
      facts: { ...noFacts, ...project.facts },
      opening: { layout: project.opening.layout, pictures: opening },
      parts,
    };
    await commands.run(scope, { label: `New project ${project.title}` }, (running) =>
      running.insert('page', page),
    );
    say(`  ${project.title}`);
  };

  say('Making the demo site:');
  for (const group of groups) await addPage('group', { kind: 'plain', ...group });
  for (const project of live) await addProject(project);
  for (const page of beside) await addPage(page.kind, page);
  const { draft: begun } = await draftAt(db, account, site);
  const withMoments = await partsWithMoments(begun.pages, async (page, file) => {
    const folder = live.find(({ title }) => title === page)?.folder ?? '';
    const id = await bring(`${folder}/${file}`);
    const [row] = await db.select({ takenOn: materials.takenOn }).from(materials).where(eq(materials.id, id));
    return { id, day: row?.takenOn?.slice(0, 10) ?? null };
  });
  for (const { page, parts } of withMoments)
    await commands.run(scope, { label: `Moments of ${page.title}` }, async (running) => {
      await running.update('page', page.id, { parts });
    });
  const proofs = await db
    .select({ id: pages.id, title: pages.title })
    .from(pages)
    .where(eq(pages.siteId, site));
  const aboutPlace = await place('About');
  const about = {
    ...emptyPage('about', aboutPlace.rank, aboutPlace.slug, aboutMaker.title),
    parts: await partsAboutMaker(bring, (title) => proofs.find((one) => one.title === title)?.id ?? null),
  } as Page;
  await commands.run(scope, { label: 'About you' }, (running) => running.insert('page', about));
  const written = await draftAt(db, account, site);
  const resumePlace = await place('Résumé');
  const ofResume = {
    ...emptyPage('resume', resumePlace.rank, resumePlace.slug, 'Résumé'),
    parts: partsOfResume(
      (title) => proofs.find((one) => one.title === title)?.id ?? null,
      (page, kind) => {
        const of = written.draft.pages.filter(isShown).find(({ id }) => id === page);
        return of?.parts.find((part) => part.kind === kind)?.id ?? null;
      },
    ),
  } as Page;
  await commands.run(scope, { label: 'Résumé' }, (running) => running.insert('page', ofResume));
  // A beginning that nobody is to see yet.
  await addProject(draft, 'private');
  // What proves a skill may fly too low for those who read of the skill.
  const { draft: now } = await draftAt(db, account, site);
  await commands.run(scope, { label: 'A proof tied' }, async (running) => {
    const satchel = now.pages.find(({ title }) => title === draft.title);
    const resume = now.pages.filter(isShown).find(({ kind }) => kind === 'resume');
    if (!satchel || !resume) return;
    const parts = resume.parts.map((part) =>
      part.kind === 'entry' && part.title === 'Stitching sailcloth'
        ? { ...part, proofs: [{ page: satchel.id, part: null }] }
        : part,
    );
    await running.update('page', resume.id, { parts });
  });
  await commands.run(scope, { label: 'Front page' }, async (running) => {
    const [home] = await running.tx
      .select({ id: pages.id })
      .from(pages)
      .where(and(eq(pages.siteId, site), eq(pages.kind, 'home')));
    if (home) await running.update('page', home.id, front);
    await running.update('site', site, {
      ...{ height: 'public', address: maker.address, rights: 'CC-BY-NC-4.0', contact: 'form' },
      lists: [
        {
          ...{ ...tutorsList, id: newId() },
          lines: tutorsList.lines.map((one) => ({ ...one, id: newId() })),
        },
      ],
      quickLinks: quickLinks.map((link) => ({
        ...{ ...link, id: newId(), newWindow: false, pages: [] },
        to: link.to.startsWith('/') ? standIns + link.to : link.to,
      })),
    });
  });
  let step = '';
  await publish(
    deps,
    await draftAt(db, account, site),
    'The first four projects',
    (now, done, total) => {
      if (now !== step || done === total) say(`  ${now} ${done} of ${total}`);
      step = now;
    },
    new AbortController().signal,
  );
  for (const file of loose) await bring(file);
  for (const page of looseLinks) await addLink(deps, scope, standIns + page, 'http://127.0.0.1');
  for (const { text, writtenOn } of notes) await addNote(deps, scope, text, writtenOn);
  const made = await db
    .select({ id: pages.id, title: pages.title })
    .from(pages)
    .where(eq(pages.siteId, site));
  for (const [title, files] of Object.entries(gatheredFor)) {
    const project = made.find((one) => one.title === title)?.id ?? null;
    for (const file of files) {
      const material = await bring(file);
      await commands.run(scope, { label: `Gathered for ${title}` }, async (running) => {
        await running.update('material', material, { project });
      });
    }
  }
  await commands.run(scope, { label: 'Summary of Fold-flat bee hotel' }, async (running) => {
    const rows = await running.tx
      .select({ id: pages.id, title: pages.title })
      .from(pages)
      .where(eq(pages.siteId, site));
    const hotel = rows.find((one) => one.title === 'Fold-flat bee hotel');
    if (hotel) await running.update('page', hotel.id, { summary: waitingSummary });
  });
  await keepListed(db, site, true);
  await seedPasses(deps, site, secret);
  await seedClasses(deps, { account, site, secret });
  await seedSecond(deps, account, bring);
  for (const { on, read, ...message } of readersWrote) {
    const page = made.find(({ title }) => title === on)?.id ?? '';
    const [place] = await db
      .select({ id: parts.id })
      .from(parts)
      .where(and(eq(parts.pageId, page), sql`${parts.content} ->> 'kind' = 'contact'`));
    const id = newId();
    await putIn(db, { ...message, id, site, place: place?.id ?? '' }, false);
    await changeIn(db, account, id, { read });
  }
  const held = await passRows(db, site);
  for (const { pass, on, name, words, quote, at, ...state } of readersSaid) {
    const page = made.find(({ title }) => title === on)?.id ?? '';
    const id = newId();
    const from = held.find(({ label }) => label === pass)?.id ?? '';
    await takeIn(db, {
      ...{ id, site, page, name, words, quote, pass: from, part: null, writer: newId() },
      ...{ about: '', at: new Date() },
      picture: at ? await pointedAt(deps, site, page, at) : null,
    });
    await changeComment(db, account, id, state, new Date());
  }
  const { who, days, said } = demoSecondLook;
  const lines = partnerList(newId);
  await addLook(db, site, secret, { who, as: { kind: 'whole' }, lines }, days, new Date());
  const [look] = await lookRows(db, site);
  const answers: Record<string, LookAnswer> = {};
  for (const [at, line] of lines.entries()) {
    const answer = said[at];
    if (answer?.says === 'yes') answers[line.id] = answer;
    if (answer?.says !== 'unsure') continue;
    const page = made.find(({ title }) => title === answer.on)?.id ?? '';
    answers[line.id] = { says: 'unsure', words: answer.words, at: { page, part: null, about: answer.on } };
  }
  await keepAnswers(db, look?.id ?? '', new Date(), () => answers);
  return true;
}
