import { sql } from 'drizzle-orm';
import {
  bigint,
  bigserial,
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Attachment } from '#core/comments/attachment.ts';
import type { CommentedPicture, CommentMails, CommentState } from '#core/comments/comment.ts';
import type { Fixes } from '#core/materials/fixes.ts';
import type { SeenFace } from '#core/personal/faces-in.ts';
import type { DocumentContent, PageWord } from '#core/materials/document.ts';
import type { LinkState } from '#core/materials/link.ts';
import type { MaterialFacts, MaterialKind } from '#core/materials/material.ts';
import { mine, type Provenance } from '#core/credits/provenance.ts';
import type { Page } from '#core/pages/page.ts';
import type { Framing } from '#core/embed/framing.ts';
import type { Height } from '#core/access/height.ts';
import type { KeptDraft, Piece } from '#core/stored/draft-pieces.ts';
import type { PictureFeatures } from '#core/gallery/picture-features.ts';
import type { DoesAtTime } from '#core/release/set-time.ts';
import type { Finding, OutsiderWhy } from '#core/outsider/outsider-test.ts';
import type { LetterAbout } from '#core/letters/letter-about.ts';
import type { GivenLink } from '#core/access/given-link.ts';
import type { LetterGivenBack, Returned } from '#core/groups/given-back.ts';
import type { ClassTerms, GroupList, GroupTerms } from '#core/groups/group.ts';
import type { PassTerms } from '#core/passes/pass.ts';
import type { AskedLine, LookAnswers, LookedAtAs } from '#core/second-look/second-look.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';

const when = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
const createdAt = () => when('created_at').notNull().defaultNow();
/** The number of the edit that last wrote a row. One counter for all sites, so any two can be compared. */
const revision = () => bigint('revision', { mode: 'number' }).notNull();
/** Ranks are compared byte by byte, whatever the server's language. */
const rankText = customType<{ data: string }>({ dataType: () => 'text COLLATE "C"' });

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' });

export const accounts = pgTable(
  'account',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    email: text('email').notNull(),
    passwordHash: text('password_hash').notNull(),
    /** What readers write is sent to their e-mail, too. */
    copies: boolean('copies').notNull().default(true),
    /** How often a mail says that comments wait. */
    commentMails: text('comment_mails').$type<CommentMails>().notNull().default('each'),
    /** When whoever reads the mails of its address showed so; null: nobody has yet. */
    confirmedAt: when('confirmed_at'),
    /** The address it is to go by once that is confirmed; null: none is awaited. */
    coming: text('coming'),
    /** When all of it goes for good; null: it stays. Until then nothing of it opens for readers. */
    leavesAt: when('leaves_at'),
    createdAt: createdAt(),
  },
  (table) => [
    uniqueIndex('account_email').on(table.email),
    index('account_leaves')
      .on(table.leavesAt)
      .where(sql`leaves_at is not null`),
  ],
);

/** What a mail brings to prove that its reader has it: good once, and for a while. */
export const accountTokens = pgTable(
  'account_token',
  {
    /** SHA-256 of what stands in the mail: a stolen table opens nothing. */
    tokenHash: text('token_hash').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    does: text('does').$type<'confirm' | 'reset'>().notNull(),
    /** The address it was sent to. */
    email: text('email').notNull(),
    expiresAt: when('expires_at').notNull(),
  },
  (table) => [
    index('account_token_account').on(table.accountId),
    index('account_token_expires').on(table.expiresAt),
  ],
);

/** Mails on their way, written only when they are sent: what stands in them that opens something is kept nowhere. */
export const letters = pgTable(
  'letter',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    to: text('to').notNull(),
    about: jsonb('about').$type<LetterAbout>().notNull(),
    tries: integer('tries').notNull().default(0),
    /** When it is to be sent, or tried again; null: it was sent, or given up. */
    next: when('next'),
    sentAt: when('sent_at'),
    createdAt: createdAt(),
  },
  (table) => [
    index('letter_account').on(table.accountId, table.createdAt),
    index('letter_created').on(table.createdAt),
    index('letter_next')
      .on(table.next)
      .where(sql`next is not null`),
  ],
);

export const sessions = pgTable(
  'session',
  {
    /** SHA-256 of the cookie's value: a stolen table opens nothing. */
    tokenHash: text('token_hash').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    /** By which its maker names it; tells nothing of the token. */
    id: text('id')
      .notNull()
      .default(sql`gen_random_uuid()`),
    /** What browser it is in, as it said itself: “Firefox on Linux”. */
    device: text('device').notNull().default(''),
    createdAt: createdAt(),
    /** When something was last asked by it, told by the hour. */
    seenAt: when('seen_at').notNull().defaultNow(),
    expiresAt: when('expires_at').notNull(),
  },
  (table) => [index('session_expires').on(table.expiresAt), index('session_account').on(table.accountId)],
);

export const sites = pgTable(
  'site',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    title: text('title').notNull(),
    height: text('height').$type<Height>().notNull(),
    address: text('address'),
    /** What the address looks like, see `addressLikeness`. */
    addressLikeness: text('address_likeness'),
    searchEngines: boolean('search_engines').notNull(),
    /** See siteOf. */
    look: jsonb('look').$type<object>().notNull(),
    evidenceWanted: integer('evidence_wanted').notNull().default(3),
    /** See siteOf. */
    arrangement: jsonb('arrangement').$type<object>().notNull().default({}),
    revision: revision(),
    /** The release readers see; null until the first publish. */
    liveRelease: bigint('live_release', { mode: 'number' }),
    /** Shown in the server’s list while it is Public. */
    listed: boolean('listed').notNull().default(false),
    /** Where it may be shown inside other pages. */
    framing: jsonb('framing').$type<Framing>().notNull().default({ by: 'nobody' }),
    /** Whether it is counted how often its pages are opened. */
    countsVisits: boolean('counts_visits').notNull().default(true),
    /** False for a site kept by a version that wrote no ceilings down: they are worked out at the next start. */
    ceilingsKnown: boolean('ceilings_known').notNull().default(false),
    createdAt: createdAt(),
  },
  (table) => [
    uniqueIndex('site_address').on(table.address),
    index('site_address_likeness').on(table.addressLikeness),
    index('site_account').on(table.accountId),
    // The server's own list.
    index('site_listed')
      .on(table.id)
      .where(sql`height = 'public' and address is not null`),
  ],
);

/** How often pages were opened: numbers only, nothing of who did. See VisitCounts. */
export const visits = pgTable(
  'visit',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** As ISO 8601 writes it, by UTC. */
    day: text('day').notNull(),
    link: text('link').notNull(),
    path: text('path').notNull(),
    visits: integer('visits').notNull(),
    visitors: integer('visitors').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.day, table.link, table.path] }),
    index('visit_day').on(table.day),
  ],
);

/** Addresses a site had before; they lead on to the one it has now. */
export const formerAddresses = pgTable(
  'former_address',
  {
    address: text('address').primaryKey(),
    /** See `addressLikeness`. */
    likeness: text('likeness').notNull(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    createdAt: createdAt(),
  },
  (table) => [
    index('former_address_site').on(table.siteId),
    index('former_address_likeness').on(table.likeness),
  ],
);

/** What readers wrote to a maker, by the forms on their pages. */
export const messages = pgTable(
  'message',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** What the page was called on which it was written; empty where that was the site's own form. */
    page: text('page').notNull(),
    name: text('name').notNull(),
    from: text('from').notNull(),
    words: text('words').notNull(),
    createdAt: createdAt(),
    readAt: when('read_at'),
    deletedAt: when('deleted_at'),
    mailedAt: when('mailed_at'),
    mailTries: integer('mail_tries').notNull().default(0),
    /** When it is to be sent by mail, or tried again; null where it is not. */
    mailNext: when('mail_next'),
  },
  (table) => [
    index('message_account').on(table.accountId, table.createdAt),
    index('message_mail_next')
      .on(table.mailNext)
      .where(sql`mail_next is not null`),
    index('message_deleted')
      .on(table.deletedAt)
      .where(sql`deleted_at is not null`),
  ],
);

/** Whether what a site's quick links and pages lead to answered when it was last asked, and where it has moved for good. */
export const linkAnswers = pgTable(
  'link_answer',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    address: text('address').notNull(),
    state: text('state').$type<LinkState>().notNull(),
    movedTo: text('moved_to'),
    askedAt: when('asked_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.address] })],
);

/** The private address at which calendars follow the plan of a site; there is none until its maker wants one. */
export const planFeeds = pgTable(
  'plan_feed',
  {
    siteId: text('site_id')
      .primaryKey()
      .references(() => sites.id, { onDelete: 'cascade' }),
    key: text('key').notNull(),
    createdAt: createdAt(),
  },
  (table) => [uniqueIndex('plan_feed_key').on(table.key)],
);

/** When readers of a site's own address first had a page, and when it was last another one to them. */
export const pageTimes = pgTable(
  'page_time',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    pageId: text('page_id').notNull(),
    /** Hash of what a feed tells of it. */
    told: text('told').notNull(),
    publishedAt: when('published_at').notNull(),
    changedAt: when('changed_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.pageId] })],
);

/**
 * Every path at which readers have had a page, and which page that was last. What is asked for at a path that leads nowhere now is
 * led on to where that page stands, as far as its reader may open it there.
 */
export const formerPaths = pgTable(
  'former_path',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** The page whose link it is below; empty where it is below the site's own address or link. */
    entrance: text('entrance').notNull(),
    path: text('path').notNull(),
    pageId: text('page_id').notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.entrance, table.path] })],
);

export const pages = pgTable(
  'page',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<Page['kind']>().notNull(),
    parent: text('parent'),
    rank: rankText('rank').notNull(),
    slug: text('slug').notNull(),
    title: text('title').notNull(),
    height: text('height').$type<Height>().notNull(),
    archived: boolean('archived').notNull().default(false),
    /** What its kind has of its own, but for its parts; see pageOf. */
    content: jsonb('content').$type<object>().notNull(),
    /** Ids of its parts, in their order. */
    partOrder: jsonb('part_order').$type<string[]>().notNull().default([]),
    revision: revision(),
  },
  (table) => [index('page_site').on(table.siteId)],
);

/** Parts stand in rows of their own: a word in one of forty writes that one. */
export const parts = pgTable(
  'part',
  {
    pageId: text('page_id')
      .notNull()
      .references(() => pages.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    siteId: text('site_id').notNull(),
    content: jsonb('content').$type<object>().notNull(),
    /** Of the edit that last wrote this part. */
    revision: revision(),
  },
  (table) => [
    primaryKey({ columns: [table.pageId, table.id] }),
    index('part_site').on(table.siteId),
    // What its maker is free for comes down by itself, and is looked for often.
    index('part_availability')
      .on(sql`(content ->> 'to')`)
      .where(sql`content ->> 'kind' = 'availability'`),
  ],
);

/**
 * Things that were kept on a device while the work went on and have arrived: one that is sent again, because its answer was lost,
 * changes nothing.
 */
export const captured = pgTable(
  'captured',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** Made up on the device. */
    thing: text('thing').notNull(),
    /** What it was kept together with; made up there, too. */
    capture: text('capture').notNull(),
    /** The moment it has become, or stands in. */
    moment: text('moment').notNull(),
    createdAt: createdAt(),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.thing] }),
    index('captured_capture').on(table.siteId, table.capture),
    index('captured_created').on(table.siteId, table.createdAt),
  ],
);

export const materials = pgTable(
  'material',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<MaterialKind>().notNull(),
    original: text('original').notNull(),
    fileName: text('file_name').notNull(),
    bytes: integer('bytes').notNull(),
    title: text('title').notNull(),
    caption: text('caption').notNull(),
    alt: text('alt').notNull(),
    takenOn: text('taken_on'),
    tags: jsonb('tags').$type<string[]>().notNull().default([]),
    provenance: jsonb('provenance').$type<Provenance>().notNull().default(mine),
    project: text('project'),
    facts: jsonb('facts').$type<MaterialFacts>().notNull(),
    fixes: jsonb('fixes').$type<Fixes>().notNull(),
    transcript: text('transcript').notNull().default(''),
    shownBy: text('shown_by'),
    /** The version of its shape; see materialOf. */
    version: integer('version').notNull().default(0),
    revision: revision(),
    createdAt: createdAt(),
  },
  (table) => [
    // A file or an address is kept once; notes may say the same.
    uniqueIndex('material_original')
      .on(table.accountId, table.kind, table.original)
      .where(sql`kind <> 'note'`),
    index('material_account').on(table.accountId, table.revision),
  ],
);

/**
 * The unguessable part of a link, for a site or one page. Kept apart from the rows it opens: undo never brings an
 * old key back, a restored page keeps its link, and a renewed one works on the next request.
 */
export const linkKeys = pgTable(
  'link_key',
  {
    thing: text('thing').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    key: text('key').notNull(),
    createdAt: createdAt(),
  },
  (table) => [uniqueIndex('link_key_key').on(table.key), index('link_key_site').on(table.siteId)],
);

export const edits = pgTable(
  'edit',
  {
    revision: bigserial('revision', { mode: 'number' }).primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    label: text('label').notNull(),
    /** Edits of one field in quick succession carry the same key and become one step of undo. */
    mergeKey: text('merge_key'),
    /** What it did, as the version that wrote it kept it; see readRecorded. */
    changes: jsonb('changes').$type<unknown[]>().notNull(),
    undone: boolean('undone').notNull().default(false),
    at: when('at').notNull().defaultNow(),
  },
  (table) => [index('edit_site').on(table.siteId, table.revision)],
);

/** A file made from an original by a pure recipe; the recipe's text is the key. */
export const derivatives = pgTable('derivative', {
  recipe: text('recipe').primaryKey(),
  hash: text('hash').notNull(),
  bytes: integer('bytes').notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
});

/** What pictures are told apart by, read once for each original; the version of the reading is part of the key. */
export const pictureFeatures = pgTable(
  'picture_feature',
  {
    original: text('original').notNull(),
    version: integer('version').notNull(),
    features: jsonb('features').$type<PictureFeatures>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.original, table.version] })],
);

/** What was seen in a picture or in a page of a document, once for each original: words and faces. */
export const pictureReadings = pgTable(
  'picture_reading',
  {
    original: text('original').notNull(),
    /** From 0; 0 of a picture. */
    page: integer('page').notNull(),
    version: integer('version').notNull(),
    /** Null where they could not be read. */
    words: jsonb('words').$type<PageWord[]>(),
    /** Null where it could not be looked through for them. */
    faces: jsonb('faces').$type<SeenFace[]>(),
  },
  (table) => [primaryKey({ columns: [table.original, table.page, table.version] })],
);

/** What was read out of a document, once for each original; the version of the reading is part of the key. */
export const documentContents = pgTable(
  'document_content',
  {
    original: text('original').notNull(),
    version: integer('version').notNull(),
    /** Where it was kept by earlier versions, which put all of it here. */
    content: jsonb('content').$type<DocumentContent>(),
    /** Hash of it as JSON, in the store: it may be long, and the database answers one question at a time. */
    stored: text('stored'),
    /** Hashes of the pictures that stand in it. */
    pictures: jsonb('pictures').$type<string[]>().notNull().default([]),
  },
  (table) => [primaryKey({ columns: [table.original, table.version] })],
);

/**
 * Words of materials as they are found. Written when somebody looks for something, for whatever changed since: it can be
 * thrown away at any time, and can never say what is blacked out by now.
 */
export const materialWords = pgTable(
  'material_words',
  {
    material: text('material').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    /** The revision of the material they were taken from. */
    revision: revision(),
    words: tsvector('words').notNull(),
  },
  (table) => [
    index('material_words_words').using('gin', table.words),
    index('material_words_account').on(table.accountId),
  ],
);

/** A page rendered from inputs with this hash: publishing reuses it instead of rendering again. */
export const renderedPages = pgTable('rendered_page', {
  input: text('input').primaryKey(),
  file: jsonb('file').$type<ManifestFile>().notNull(),
});

export const releases = pgTable(
  'release',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** Counts from 1 for each site. */
    number: integer('number').notNull(),
    name: text('name').notNull(),
    /** What readers could be shown when it was made, by its pieces: told against the draft to say what waits. */
    source: jsonb('source').$type<KeptDraft>().notNull(),
    /** See storedManifest; where `against` names another release, see storedManifestDifference. */
    manifest: jsonb('manifest').$type<object>().notNull(),
    /** The release whose manifest this one is told against; null where it is whole, as that of a live one always is. */
    against: bigint('against', { mode: 'number' }),
    createdAt: createdAt(),
  },
  (table) => [uniqueIndex('release_number').on(table.siteId, table.number)],
);

/** What releases are made of: a page, part or material is kept once for all releases of its site that have it so. */
export const releasePieces = pgTable(
  'release_piece',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** SHA-256 of its content as text. */
    name: text('name').notNull(),
    thing: text('thing').notNull(),
    kind: text('kind').$type<Piece['kind']>().notNull(),
    content: jsonb('content').$type<object>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.name] }),
    index('release_piece_thing').on(table.siteId, table.thing),
  ],
);

/**
 * The most that readers may get of a thing, whatever the live release holds: written in the transaction of the edit that
 * lowered it, asked at the door by every request that is looked up, and raised by publishing alone. What has no row here
 * has no ceiling.
 */
export const ceilings = pgTable(
  'ceiling',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** The id of the site, a page, a part or a material; or `search-engines`, for whether they may keep what they find. */
    thing: text('thing').notNull(),
    height: text('height').$type<Height>().notNull(),
    /** Of the edit that lowered it last: a publish that began before it does not raise it. */
    revision: revision(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.thing] })],
);

/**
 * Links made for somebody. No part of a draft and of no step of undo: what is switched off stays so, and what is renewed is new on the
 * next request.
 */
export const passes = pgTable(
  'pass',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    label: text('label').notNull(),
    forWhom: text('for_whom').notNull(),
    opens: jsonb('opens').$type<PassTerms['opens']>().notNull(),
    /** By clocks in its time zone, as its maker said it. */
    from: text('from'),
    until: text('until'),
    timeZone: text('time_zone').notNull(),
    /** The instants that come of it. */
    opensAt: when('opens_at'),
    closesAt: when('closes_at'),
    mayDownload: boolean('may_download').notNull(),
    mayComment: boolean('may_comment').notNull().default(false),
    /** What its maker would like to hear. */
    asks: text('asks').notNull().default(''),
    on: boolean('on').notNull().default(true),
    /** SHA-256 of the key: a stolen table opens nothing. */
    keyHash: text('key_hash').notNull(),
    /** Counts up with each new link; see `passKey`. */
    generation: integer('generation').notNull().default(1),
    passwordHash: text('password_hash'),
    /** A release that its readers keep getting; null: whichever is live. */
    pinned: bigint('pinned', { mode: 'number' }).references(() => releases.id),
    /** Taken away; can be had back for a while. */
    deletedAt: when('deleted_at'),
    createdAt: createdAt(),
  },
  (table) => [
    uniqueIndex('pass_key_hash').on(table.keyHash),
    index('pass_site').on(table.siteId),
    index('pass_deleted')
      .on(table.deletedAt)
      .where(sql`deleted_at is not null`),
  ],
);

/** Drafts that somebody looks at for their maker, with the list they tick. */
export const secondLooks = pgTable(
  'second_look',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    who: text('who').notNull(),
    as: jsonb('as').$type<LookedAtAs>().notNull(),
    lines: jsonb('lines').$type<AskedLine[]>().notNull(),
    answers: jsonb('answers').$type<LookAnswers>().notNull().default({}),
    /** SHA-256 of the key: a stolen table opens nothing. */
    keyHash: text('key_hash').notNull(),
    endsAt: when('ends_at').notNull(),
    endedAt: when('ended_at'),
    answeredAt: when('answered_at'),
    createdAt: createdAt(),
    /** The files of the draft as it was last looked at, and what it was made of; see `draftStamp`. */
    stamp: text('stamp'),
    tree: jsonb('tree').$type<FileTree>(),
  },
  (table) => [
    uniqueIndex('second_look_key_hash').on(table.keyHash),
    index('second_look_site').on(table.siteId, table.createdAt),
  ],
);

/** What holders of passes say of pages. Never part of a release. */
export const comments = pgTable(
  'comment',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** Null once the pass is gone for good. */
    passId: text('pass_id').references(() => passes.id, { onDelete: 'set null' }),
    /** Ids of a page and a part of it; what was said outlives them. */
    page: text('page').notNull(),
    part: text('part'),
    /** What the part was called as its writer saw it; empty for a comment on the page. */
    about: text('about').notNull(),
    /** Knows a device again, and tells nothing of it; see `writerOf`. */
    writer: text('writer').notNull(),
    name: text('name').notNull(),
    words: text('words').notNull(),
    /** Words of the page that it is about; empty for none. */
    quote: text('quote').notNull().default(''),
    /** The picture of the page that it is about, and where in it; null for none. */
    picture: jsonb('picture').$type<CommentedPicture>(),
    state: text('state').$type<CommentState>().notNull().default('waiting'),
    answer: text('answer'),
    /** Who is told of it by mail; null: nobody. No maker gets it. */
    mailTo: text('mail_to'),
    createdAt: createdAt(),
    resolvedAt: when('resolved_at'),
    /** It counts as taken up with the next release. */
    resolvesNext: boolean('resolves_next').notNull().default(false),
    /** Its maker thanks for it. */
    thankedAt: when('thanked_at'),
    /** Nothing more is taken from its writer. */
    blockedAt: when('blocked_at'),
    /** Can be had back for a while. */
    deletedAt: when('deleted_at'),
  },
  (table) => [
    index('comment_site').on(table.siteId, table.createdAt),
    index('comment_writer').on(table.siteId, table.writer),
    index('comment_pass').on(table.passId),
    index('comment_deleted')
      .on(table.deletedAt)
      .where(sql`deleted_at is not null`),
  ],
);

/** Files that lie with comments, for their maker alone. */
export const commentAttachments = pgTable(
  'comment_attachment',
  {
    id: text('id').primaryKey(),
    commentId: text('comment_id')
      .notNull()
      .references(() => comments.id, { onDelete: 'cascade' }),
    fileName: text('file_name').notNull(),
    kind: text('kind').$type<Attachment['kind']>().notNull(),
    bytes: integer('bytes').notNull(),
    /** Hash of what is kept of it, in the store: of a picture its pixels alone. */
    stored: text('stored').notNull(),
    mediaType: text('media_type').notNull(),
    createdAt: createdAt(),
  },
  (table) => [uniqueIndex('comment_attachment_once').on(table.commentId, table.stored)],
);

/** What holders of passes get of a release, made when the first of them asks; equal for passes that open the same. */
export const passTrees = pgTable(
  'pass_tree',
  {
    releaseId: bigint('release_id', { mode: 'number' })
      .notNull()
      .references(() => releases.id, { onDelete: 'cascade' }),
    siteId: text('site_id').notNull(),
    /** Hash of `passViewerKey`. */
    opens: text('opens').notNull(),
    tree: jsonb('tree').$type<FileTree>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.releaseId, table.opens] }),
    index('pass_tree_site').on(table.siteId),
  ],
);

/** What the server does for a maker at a time they set. */
export const setTimes = pgTable(
  'set_time',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    does: text('does').$type<DoesAtTime>().notNull(),
    /** By clocks in its time zone, as its maker said it. */
    local: text('local').notNull(),
    timeZone: text('time_zone').notNull(),
    /** The instant that comes of it. */
    at: when('at').notNull(),
    name: text('name').notNull(),
    doneAt: when('done_at'),
    outcome: text('outcome').notNull().default(''),
    createdAt: createdAt(),
  },
  (table) => [
    index('set_time_site').on(table.siteId),
    index('set_time_waiting')
      .on(table.at)
      .where(sql`done_at is null`),
  ],
);

/** What the server found when it opened a site's links as somebody without an account. */
export const outsiderTests = pgTable(
  'outsider_test',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    why: text('why').$type<OutsiderWhy>().notNull(),
    /** Number of the release that was live. */
    release: integer('release'),
    /** Addresses that were asked for. */
    asked: integer('asked').notNull(),
    findings: jsonb('findings').$type<Finding[]>().notNull(),
    createdAt: createdAt(),
  },
  (table) => [index('outsider_test_site').on(table.siteId, table.createdAt)],
);

/** Where a maker gave a link, and until when it is due. */
export const handIns = pgTable(
  'hand_in',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    what: text('what').notNull(),
    forWhom: text('for_whom').notNull(),
    /** By clocks in its time zone, as its maker said it; null: at no time. */
    due: text('due'),
    timeZone: text('time_zone').notNull(),
    /** The instant that comes of it. */
    dueAt: when('due_at'),
    by: jsonb('by').$type<GivenLink>().notNull(),
    text: text('text').notNull(),
    /** Readers of its pass are to keep getting what is live when it is handed in. */
    keeps: boolean('keeps').notNull(),
    handedAt: when('handed_at'),
    /** SHA-256 of the path that was handed in: a link that was made anew since is another one. */
    handedLink: text('handed_link'),
    /** What was live then. */
    releaseId: bigint('release_id', { mode: 'number' }).references(() => releases.id),
    createdAt: createdAt(),
  },
  (table) => [index('hand_in_site').on(table.siteId)],
);

/** People a maker knows by names, and the class page that a group may have. */
export const groups = pgTable(
  'maker_group',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id')
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    people: jsonb('people').$type<GroupTerms['people']>().notNull(),
    list: jsonb('list').$type<GroupList>(),
    /** Counts up with each change. */
    revision: integer('revision').notNull().default(1),
    /** What its class page says; null: it has none. */
    classPage: jsonb('class_page').$type<ClassTerms>(),
    /** SHA-256 of the key of the link to join by: a stolen table lets nobody in. */
    keyHash: text('key_hash'),
    /** Counts up with each new link; see `classKey`. */
    generation: integer('generation').notNull().default(1),
    /** When its class page was ended. */
    endedAt: when('ended_at'),
    /** Taken away; can be had back for a while. */
    deletedAt: when('deleted_at'),
    createdAt: createdAt(),
  },
  (table) => [
    index('maker_group_account').on(table.accountId, table.createdAt),
    uniqueIndex('maker_group_key_hash').on(table.keyHash),
    index('maker_group_deleted')
      .on(table.deletedAt)
      .where(sql`deleted_at is not null`),
  ],
);

/** Sites that are handed in to a class. It goes with its hand-in; what the class gave back outlives the class. */
export const classEntries = pgTable(
  'class_entry',
  {
    id: text('id').primaryKey(),
    groupId: text('group_id').references(() => groups.id, { onDelete: 'set null' }),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    handInId: text('hand_in_id')
      .notNull()
      .references(() => handIns.id, { onDelete: 'cascade' }),
    /** The pass that was made for the class: all that whoever leads it can end. */
    passId: text('pass_id').references(() => passes.id, { onDelete: 'set null' }),
    /** What the class was called, and who led it. */
    className: text('class_name').notNull(),
    by: text('by').notNull(),
    /** The name its maker goes by in the class. */
    name: text('name').notNull(),
    /** Lines of the class's list that its maker told are done. */
    ticked: jsonb('ticked').$type<string[]>(),
    asked: text('asked'),
    askedAt: when('asked_at'),
    askedDoneAt: when('asked_done_at'),
    /** What is being written to its maker, and seen by nobody else. */
    writing: jsonb('writing').$type<Returned>().notNull().default({ lines: {}, words: '' }),
    givenBack: jsonb('given_back').$type<LetterGivenBack>(),
    givenBackAt: when('given_back_at'),
    /** When whoever leads the class ended its sharing. */
    endedAt: when('ended_at'),
    createdAt: createdAt(),
  },
  (table) => [
    uniqueIndex('class_entry_hand_in').on(table.handInId),
    // A site joins a class once.
    uniqueIndex('class_entry_once').on(table.groupId, table.siteId),
    index('class_entry_site').on(table.siteId),
    index('class_entry_pass').on(table.passId),
  ],
);

/** Short codes for print: they can be guessed, so they lead only to what anybody may open or what asks for a password. */
export const shortCodes = pgTable(
  'short_code',
  {
    code: text('code').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    link: jsonb('link').$type<GivenLink>().notNull(),
    createdAt: createdAt(),
  },
  (table) => [index('short_code_site').on(table.siteId)],
);
