import { afterAll, beforeAll, expect, test } from '@jest/globals';
import {
  changeAddress,
  changeName,
  changePassword,
  confirmAddress,
  endOneSession,
  endOtherSessions,
  everythingPath,
  getAccount,
  getMe,
  leaveServer,
  stayOnServer,
} from '#contract/account.ts';
import { lookAtPictures } from '#contract/pictures.ts';
import { readInside } from '#contract/inside.ts';
import { findInWords } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeComment, listComments } from '#contract/comments.ts';
import {
  askForSecondLook,
  endSecondLook,
  listSecondLooks,
  removeSecondLook,
} from '#contract/second-looks.ts';
import { keepAnswers } from '../second-look/look-rows.ts';
import { changeMessage, countUnread, openBox, sendCopies } from '#contract/messages.ts';
import { getFolder } from '#contract/folder.ts';
import { countVisits, forgetVisits, getVisits } from '#contract/visits.ts';
import { accountBehind } from '../accounts/sessions.ts';
import { addVisits } from '../visits/visit-rows.ts';
import { makeToken } from '../accounts/account-tokens.ts';
import { dropThoseWhoLeft } from '../accounts/leaving-rows.ts';
import { lettersDue, putOnItsWay } from '../mail/letter-rows.ts';
import { Mailing } from '../mail/mailing.ts';
import {
  commentsOf,
  dropDeletedComments,
  nameOf,
  takeIn,
  waitingComments,
} from '../comments/comment-rows.ts';
import { letterOfAnswer } from '../comments/letter-of-answer.ts';
import { tellCommenter } from '../comments/tell-commenter.ts';
import { dropDeleted, putIn } from '../messages/box.ts';
import { changePass, listPasses, makePasses, removePass, renewPass, restorePass } from '#contract/passes.ts';
import {
  addSetTime,
  bringBackRelease,
  compareRelease,
  listReleases,
  listSetTimes,
  publishOutlook,
  removeSetTime,
} from '#contract/publishing.ts';
import { changeSite, checkAddress, listFormerAddresses, listSites, renewLink } from '#contract/sites.ts';
import { dropShortCode, getLinkCodes, makeShortCode } from '#contract/codes.ts';
import {
  askOne,
  changeGroup,
  endClass,
  endEntry,
  getClass,
  lookAtClass,
  makeGroup,
  openClass,
  removeGroup,
  renewClass,
  restoreGroup,
  writeBack,
} from '#contract/groups.ts';
import { entryForLetter } from '../groups/entry-for-letter.ts';
import {
  changeHandIn,
  doHandIn,
  joinClass,
  listHandIns,
  makeHandIn,
  removeHandIn,
  tellClass,
  undoHandIn,
} from '#contract/hand-ins.ts';
import { listOutsiderTests } from '#contract/outsider.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { eq } from 'drizzle-orm';
import { sites } from './schema.ts';
import { keepTest } from '../outsider/outsider-rows.ts';
import { waysOfSite } from '../outsider/ways-of-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** What the tests need of PGlite; on a server of its own the planner is the same. */
interface Client {
  query(text: string, params?: unknown[], options?: unknown): Promise<{ rows: Record<string, unknown>[] }>;
  exec(text: string): Promise<unknown>;
  transaction(work: (tx: Client) => Promise<unknown>): Promise<unknown>;
}

let server: TestServer;
let maker: TestMaker;
let client: Client;
/** Every statement that was asked, with parameters it was asked with. */
const asked = new Map<string, unknown[]>();

function listen(to: Client): void {
  const query = to.query.bind(to);
  to.query = (text, params = [], options) => {
    if (/^\s*(select|update|delete|with)\b/i.test(text)) asked.set(text, params);
    return query(text, params, options);
  };
}

/** Rows of many other makers: enough that reading a whole table is never the better way. */
const others = `
  insert into account (id, name, email, password_hash)
    select 'a' || n, 'A', n || '@others.example', '' from generate_series(1, 2000) n;
  insert into session (token_hash, account_id, expires_at)
    select md5('s' || n), 'a' || n, now() + interval '1 day' from generate_series(1, 2000) n;
  update account set leaves_at = now() + interval '9 days' where id in (select 'a' || n * 400 from generate_series(1, 5) n);
  insert into account_token (token_hash, account_id, does, email, expires_at)
    select md5('t' || n), 'a' || (n % 2000 + 1), 'confirm', '', now() + interval '1 day' from generate_series(1, 8000) n;
  insert into letter (id, account_id, "to", about, next)
    select 'letter' || n, 'a' || (n % 2000 + 1), '', '{"kind":"reset"}', case when n % 400 = 0 then now() end
      from generate_series(1, 8000) n;
  insert into site (id, account_id, title, height, search_engines, look, revision, address,
    address_likeness)
    select 's' || n, 'a' || n, 'S', case when n % 10 = 0 then 'public' else 'private' end, false,
      '{"theme":"broadsheet"}', n, 'site-' || n, 'site-' || n from generate_series(1, 2000) n;
  insert into former_path (site_id, entrance, path, page_id)
    select 's' || (n % 2000 + 1), '', 'p-' || n || '/', 'p' || n from generate_series(1, 8000) n;
  insert into former_address (address, likeness, site_id) select 'was-' || n, 'was-' || n, 's' || n from generate_series(1, 2000) n;
  insert into link_key (thing, site_id, key)
    select 't' || n, 's' || (n % 2000 + 1), md5('k' || n) from generate_series(1, 8000) n;
  insert into page (id, site_id, kind, rank, slug, title, height, content, revision)
    select 'p' || n, 's' || (n % 2000 + 1), 'project', 'a' || n, 'p-' || n, 'P', 'public', '{}', n
      from generate_series(1, 8000) n;
  insert into part (page_id, id, site_id, content, revision)
    select 'p' || (n % 8000 + 1), 'part' || n, 's' || (n % 8000 % 2000 + 1), '{}', n from generate_series(1, 20000) n;
  insert into material (id, account_id, kind, original, file_name, bytes, title, caption, alt, facts, fixes, revision)
    select 'm' || n, 'a' || (n % 2000 + 1), 'picture', md5('o' || n), '', 1, '', '', '', '{}', '{}', n
      from generate_series(1, 20000) n;
  insert into picture_reading (original, page, version, words, faces)
    select 'words' || n, 0, 1, '[]', '[]' from generate_series(1, 4000) n;
  insert into picture_feature (original, version, features)
    select md5('o' || n), 1, '{}' from generate_series(1, 20000) n;
  insert into edit (site_id, label, changes) select 's' || (n % 2000 + 1), '', '[]' from generate_series(1, 20000) n;
  insert into release (site_id, number, name, source, manifest)
    select 's' || (n % 2000 + 1), n / 2000 + 1, '', '{"site":{}}', '{}' from generate_series(0, 5999) n;
  insert into release_piece (site_id, name, thing, kind, content)
    select 's' || (n % 2000 + 1), md5('r' || n), 'p' || n, 'page', '{}' from generate_series(1, 20000) n;
  insert into material_words (material, account_id, revision, words)
    select 'm' || n, 'a' || (n % 2000 + 1), n, to_tsvector('simple', 'word' || n || ' and the kite')
      from generate_series(1, 20000) n;
  insert into document_content (original, version) select md5('d' || n), 1 from generate_series(1, 8000) n;
  insert into link_answer (site_id, address, state, asked_at)
    select 's' || (n % 2000 + 1), 'https://tides.example/' || n, 'read', now() from generate_series(1, 8000) n;
  insert into message (id, account_id, site_id, page, name, "from", words, mail_next, deleted_at)
    select 'm' || n, 'a' || (n % 2000 + 1), 's' || (n % 2000 + 1), '', 'Ada', 'ada@reader.example', 'Hello',
      case when n % 400 = 0 then now() end, case when n % 400 = 1 then now() end from generate_series(1, 8000) n;
  insert into comment (id, site_id, page, about, writer, name, words, blocked_at, deleted_at)
    select 'c' || n, 's' || (n % 2000 + 1), 'p' || n, '', 'w' || n, 'Ada', 'Hello',
      case when n % 400 = 0 then now() end, case when n % 400 = 1 then now() end from generate_series(1, 8000) n;
  insert into comment_attachment (id, comment_id, file_name, kind, bytes, stored, media_type)
    select 'f' || n, 'c' || n, 'a.pdf', 'document', 1, md5('f' || n), 'application/pdf' from generate_series(1, 8000) n;
  insert into second_look (id, site_id, who, "as", lines, key_hash, ends_at)
    select 'look' || n, 's' || (n % 2000 + 1), 'Juno', '{"kind":"whole"}', '[]', md5('l' || n), now()
      from generate_series(1, 8000) n;
  insert into visit (site_id, day, link, path, visits, visitors)
    select 's' || (n % 2000 + 1), '2098-12-0' || (n % 9 + 1), 'address', 'p-' || n, 1, 1 from generate_series(1, 8000) n;
  insert into page_time (site_id, page_id, told, published_at, changed_at)
    select 's' || (n % 2000 + 1), 'p' || n, md5('t' || n), now(), now() from generate_series(1, 8000) n;
  insert into plan_feed (site_id, key) select 's' || n, md5('f' || n) from generate_series(1, 2000) n;
  insert into pass (id, site_id, label, for_whom, opens, time_zone, may_download, key_hash, deleted_at)
    select 'pass' || n, 's' || (n % 2000 + 1), 'Tutors', '', '"site"', 'UTC', true, md5('p' || n),
      case when n % 400 = 1 then now() end from generate_series(1, 8000) n;
  insert into set_time (id, site_id, does, local, time_zone, at, name, done_at)
    select 'time' || n, 's' || (n % 2000 + 1), 'publish', '', 'UTC', now() + interval '1 day', '',
      case when n % 400 <> 1 then now() end from generate_series(1, 8000) n;
  insert into outsider_test (id, site_id, why, asked, findings)
    select 'test' || n, 's' || (n % 2000 + 1), 'asked', 1, '[]' from generate_series(1, 8000) n;
  insert into hand_in (id, site_id, what, for_whom, time_zone, by, text, keeps)
    select 'hand' || n, 's' || (n % 2000 + 1), '', '', 'UTC', '{"kind":"address"}', '', false from generate_series(1, 8000) n;
  insert into maker_group (id, account_id, name, people, key_hash, deleted_at)
    select 'g' || n, 'a' || (n % 2000 + 1), 'G', '[]', md5('g' || n),
      case when n % 400 = 1 then now() end from generate_series(1, 8000) n;
  insert into class_entry (id, group_id, site_id, hand_in_id, pass_id, class_name, by, name)
    select 'entry' || n, 'g' || (n % 8000 + 1), 's' || (n % 2000 + 1), 'hand' || n, 'pass' || n, 'C', 'I', 'W'
      from generate_series(1, 8000) n;
  insert into short_code (code, site_id, link)
    select 'C' || n, 's' || (n % 2000 + 1), '{"kind":"address"}' from generate_series(1, 8000) n;
  insert into pass_tree (release_id, site_id, opens, tree)
    select id, site_id, 'x', '{}' from release;
  insert into captured (site_id, thing, capture, moment)
    select 's' || (n % 2000 + 1), 'thing' || n, 'capture' || n, 'moment' || n from generate_series(1, 8000) n;
  insert into rendered_page (input, file) select md5('i' || n), '{}' from generate_series(1, 20000) n;
  insert into derivative (recipe, hash, bytes, width_px, height_px)
    select 'r' || n, md5('v' || n), 1, 1, 1 from generate_series(1, 20000) n;
  insert into ceiling (site_id, thing, height, revision)
    select 's' || (n % 2000 + 1), 'p' || n, 'private', n from generate_series(1, 8000) n;
  analyze;
`;

beforeAll(async () => {
  server = await TestServer.start();
  client = (server.database.db as unknown as { $client: Client }).$client;
  if (process.env['DATABASE_URL']) return;
  await client.exec(others);
  listen(client);
  const transaction = client.transaction.bind(client);
  client.transaction = (work) =>
    transaction((tx) => {
      listen(tx);
      return work(tx);
    });
});
afterAll(() => server.stop());

async function aDayOfReaders(site: string): Promise<void> {
  const { db } = server.database;
  const params = { site };
  await accountBehind(db, 'a cookie');
  await addVisits(db, [{ site, day: '2026-11-28', link: 'address', path: '', visits: 2, visitors: 1 }]);
  await maker.call(getVisits, { params });
  await maker.call(countVisits, { params, body: { on: true } });
  await maker.call(forgetVisits, { params });
  await maker.call(getFolder, { params: { ...params, link: 'site-link' } });
}

async function aDayOfAnAccount(): Promise<void> {
  const { db } = server.database;
  const now = new Date();
  const { email } = await maker.call(getAccount);
  await maker.call(changeName, { body: { name: 'Wren' } });
  const password = 'a long enough password';
  await maker.call(changeAddress, { body: { email, password } });
  await maker.call(changePassword, { body: { old: password, password } });
  await maker.call(endOtherSessions);
  await maker.call(endOneSession, { params: { session: 'none' } }).catch(() => undefined);
  const account = (await maker.call(getMe)).account?.id ?? '';
  await waitingComments(db, account);
  await putOnItsWay(db, account, email, { kind: 'reset' }, now);
  await lettersDue(db, now);
  const token = await makeToken(db, 'confirm', { account, email }, now);
  await maker.call(confirmAddress, { body: { token } });
  await dropThoseWhoLeft(db, now);
  await maker.call(leaveServer, { body: { password } });
  await maker.call(stayOnServer);
  await maker.raw('GET', everythingPath);
}

async function aDayOfAClass(params: { site: string }): Promise<void> {
  const { made } = await maker.call(makeGroup, { body: { name: 'Class', people: [] } });
  const of = { group: made };
  await maker.call(changeGroup, { params: of, body: { seen: 1, terms: { name: 'Class', people: [] } } });
  const page = { by: 'Idris', timeZone: 'UTC' };
  await maker.call(openClass, { params: of, body: page });
  const { groups } = await maker.call(openClass, { params: of, body: { ...page, due: '2099-01-01T00:00' } });
  const key = groups[0]?.classPage?.link?.split('/').at(-1) ?? '';
  await maker.call(lookAtClass, { params: { key } });
  await maker.call(joinClass, { params, body: { key, name: 'Wren', opens: 'site' } });
  const { handIns } = await maker.call(listHandIns, { params });
  const ofHandIn = { ...params, handIn: handIns.find(({ ofClass }) => ofClass)?.id ?? '' };
  await maker.call(doHandIn, { params: ofHandIn, body: { anyway: true } });
  await maker.call(tellClass, { params: ofHandIn, body: { ticked: [] } });
  const { entries } = await maker.call(getClass, { params: of });
  const ofEntry = { ...of, entry: entries[0]?.id ?? '' };
  await maker.call(askOne, { params: ofEntry, body: { words: 'More' } });
  const returned = { lines: {}, words: 'Good' };
  await maker.call(writeBack, { params: ofEntry, body: { returned, give: true } });
  const account = (await maker.call(getMe)).account?.id ?? '';
  await entryForLetter(server.database.db, account, ofEntry.entry);
  await maker.call(renewClass, { params: of });
  await maker.call(endEntry, { params: ofEntry });
  await maker.call(endClass, { params: of });
  await maker.call(removeHandIn, { params: ofHandIn });
  await maker.call(removeGroup, { params: of });
  await maker.call(restoreGroup, { params: of });
}

// Every request that is made often, by a maker among two thousand.
async function aDay(): Promise<void> {
  maker = await server.maker();
  await aDayOfAnAccount();
  const { site } = await maker.site();
  const params = { site: site.id };
  await aDayOfReaders(site.id);
  const { page } = await maker.call(createPage, { params, body: { title: 'Clock', materials: [] } });
  await maker.upload(site.id, 'plan.txt', Buffer.from('The plan of the clock.'));
  const seen = async () => (await maker.state(site.id)).revision;
  await maker.call(changePage, {
    params: { ...params, page },
    body: { seen: await seen(), label: 'Title', change: { title: 'Tide clock' } },
  });
  const address = 'tide-clocks';
  await maker.call(changeSite, {
    params,
    body: { seen: await seen(), label: 'Open', change: { height: 'public', address, searchEngines: true } },
  });
  await maker.call(undoEdit, { params, body: { sure: true } });
  await maker.call(redoEdit, { params, body: { sure: true } });
  await maker.call(listSites);
  await maker.call(checkAddress, { params: { ...params, address: 'tide-walls' } });
  await maker.call(findInWords, { params, body: { query: 'plan' } });
  await maker.call(lookAtPictures, { params });
  await maker.call(readInside, { params });
  const job = await maker.publish(site.id);
  await maker.publish(site.id);
  const { passes } = await maker.call(makePasses, {
    params,
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC' }] },
  });
  const [pass] = passes;
  await server.get(pass?.link ?? '');
  const ofPass = { ...params, pass: pass?.id ?? '' };
  await maker.call(changePass, { params: ofPass, body: { on: false } });
  await maker.call(renewPass, { params: ofPass });
  await maker.call(removePass, { params: ofPass });
  await maker.call(restorePass, { params: ofPass });
  await maker.call(listPasses, { params });
  const { looks } = await maker.call(askForSecondLook, {
    params,
    body: { who: 'Juno', as: { kind: 'pass', pass: pass?.id ?? '' }, lines: [], days: 3 },
  });
  const ofLook = { ...params, look: looks[0]?.id ?? '' };
  await server.get(looks[0]?.link ?? '');
  await keepAnswers(server.database.db, ofLook.look, new Date(), () => ({}));
  await maker.call(listSecondLooks, { params });
  await maker.call(endSecondLook, { params: ofLook });
  await maker.call(removeSecondLook, { params: ofLook });
  await commentsOf(server.database.db, site.id);
  await takeIn(server.database.db, {
    ...{ id: 'comment-one', site: site.id, pass: pass?.id ?? '', page, part: null, writer: 'w', name: 'Ada' },
    ...{ words: 'Hello', quote: '', picture: null, about: '', at: new Date() },
    mailTo: 'tess@reader.example',
  });
  await tellCommenter(server.database.db, { sends: true, look: () => undefined }, 'comment-one', new Date());
  await letterOfAnswer(server.database.db, 'tess@reader.example', 'comment-one', {
    ...{ origin: 'http://studio.test', secret: Buffer.alloc(32), now: new Date() },
  });
  await nameOf(server.database.db, site.id, 'w');
  await maker.call(listComments);
  await maker.call(changeComment, { params: { comment: 'comment-one' }, body: { state: 'page' } });
  await dropDeletedComments(server.database.db, new Date());
  await maker.call(openBox);
  await maker.call(countUnread);
  await maker.call(sendCopies, { body: { on: false } });
  await putIn(
    server.database.db,
    {
      id: 'message-one',
      site: site.id,
      place: 'site',
      name: 'Ada',
      from: 'ada@reader.example',
      words: 'Hello',
    },
    true,
  );
  await maker.call(changeMessage, { params: { message: 'message-one' }, body: { read: true } });
  await new Mailing(
    server.database.db,
    { smtp: null, from: 'wall@kite.example' },
    { origin: 'http://studio.test', secret: Buffer.alloc(32) },
    () => new Date(),
    console,
  ).run(new Date());
  await dropDeleted(server.database.db);
  await maker.call(publishOutlook, { params, body: { staying: [page] } });
  await maker.call(listReleases, { params });
  await maker.call(compareRelease, { params: { ...params, number: '1' } });
  await maker.raw('GET', `/studio/release/${site.id}/1/stranger/`);
  await maker.raw('GET', `/studio/release/${site.id}/now/visitors/${page}`);
  const later = (does: 'publish' | 'take-down', local: string) =>
    maker.call(addSetTime, { params, body: { does, local, timeZone: 'UTC' } });
  const { times } = await later('take-down', '2099-01-01T00:00');
  await maker.call(removeSetTime, { params: { ...params, time: times[0]?.id ?? '' } });
  await later('publish', '2099-01-01T00:00');
  await maker.call(listSetTimes, { params });
  const by = { kind: 'address' as const };
  const { handIns } = await maker.call(makeHandIn, { params, body: { what: 'Crit', timeZone: 'UTC', by } });
  const ofHandIn = { ...params, handIn: handIns[0]?.id ?? '' };
  await maker.call(doHandIn, { params: ofHandIn, body: { anyway: true } });
  await maker.call(changeHandIn, { params: ofHandIn, body: { what: 'Crit', timeZone: 'UTC', by } });
  await maker.call(listHandIns, { params });
  await maker.call(undoHandIn, { params: ofHandIn });
  await maker.call(removeHandIn, { params: ofHandIn });
  await aDayOfAClass(params);
  const ofLink = { ...params, link: 'address' };
  const { short } = await maker.call(makeShortCode, { params: ofLink });
  await server.get(`/k/${encodeURIComponent(short?.code ?? '')}`);
  await maker.call(getLinkCodes, { params: ofLink });
  await maker.call(dropShortCode, { params: ofLink });
  await maker.call(listFormerAddresses, { params });
  await maker.raw('DELETE', `/api/sites/${site.id}/former-addresses/was-1`);
  const found = { why: 'asked' as const, release: 1, asked: 1, findings: [] };
  await keepTest(server.database.db, site.id, found);
  await keepTest(server.database.db, site.id, found);
  await maker.call(listOutsiderTests, { params });
  const [row] = await server.database.db.select().from(sites).where(eq(sites.id, site.id));
  if (row) await waysOfSite(server.database.db, row, Buffer.from('secret'), new Date());
  server.clock.now = () => new Date('2099-01-02T00:00:00Z');
  await server.clockwork.look();
  server.clock.now = () => new Date();
  await maker.call(bringBackRelease, { params: { ...params, number: '1' } });
  for (const path of [`/${address}/`, '/was-7/', '/nowhere/', job.live?.siteLinkPath ?? '', '/sitemap.xml'])
    await server.get(path);
  await maker.call(renewLink, { params: { ...params, thing: site.id } });
  await server.get('/sitemap.xml');
}

// Of the planner: PostgreSQL's documentation, “Using EXPLAIN”.
test('no statement of everyday requests reads through the rows of others', async () => {
  if (process.env['DATABASE_URL']) return;
  await aDay();
  const statements = [...asked];
  expect(statements.length).toBeGreaterThan(60);
  const through: string[] = [];
  for (const [text, params] of statements) {
    const { rows } = await client.query(`explain ${text}`, params);
    const plan = rows.map((row) => String(row['QUERY PLAN'])).join('\n');
    const scanned = [...plan.matchAll(/Seq Scan on (\w+)/g)].map(([, table]) => table);
    // The server's own list reads all that is live, once after a start.
    if (/jsonb_object_keys[^]* limit \$/.test(text)) continue;
    if (scanned.length > 0) through.push(`${scanned.join()}: ${text}`);
  }
  expect(through).toEqual([]);
});
