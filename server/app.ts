import cookie from '@fastify/cookie';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import Fastify, { type FastifyInstance, type FastifyReply, LogController } from 'fastify';
import { format } from 'date-fns';
import { existsSync } from 'node:fs';
import type { IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { ownAccountRoutes } from './accounts/account-routes.ts';
import { oembedRoute } from './embed/oembed-route.ts';
import { embeddingRoutes } from './embed/routes.ts';
import { everythingRoute } from './accounts/everything-route.ts';
import { forgottenRoutes } from './accounts/forgotten-routes.ts';
import { dropThoseWhoLeft } from './accounts/leaving-rows.ts';
import { accountRoutes } from './accounts/routes.ts';
import { sessionScope } from './accounts/sessions.ts';
import { bookRoutes } from './book/routes.ts';
import { Clockwork } from './clockwork.ts';
import { captureRoutes } from './capture/routes.ts';
import { codeRoutes } from './codes/routes.ts';
import { shortDoor } from './codes/short-door.ts';
import { Commands } from './commands/commands.ts';
import type { Config } from './config.ts';
import type { Database } from './db/connect.ts';
import { Outgoing } from './links/outgoing.ts';
import { folderRoutes } from './folder/routes.ts';
import { linkAnswerRoutes } from './links/link-answers.ts';
import { classRoutes } from './groups/class-routes.ts';
import { groupRoutes } from './groups/routes.ts';
import { handInRoutes } from './hand-ins/routes.ts';
import { linkRoutes } from './links/routes.ts';
import { limitedServer } from './http/limited-server.ts';
import { quietLogs } from './http/quiet-logs.ts';
import { problems } from './http/problems-plugin.ts';
import { strictTransport } from './http/strict-transport.ts';
import { studioFiles } from './http/studio-files.ts';
import type { BlobStore } from './media/blob-store.ts';
import { FaceFinder } from './faces/face-finder.ts';
import { Insides } from './inside/insides.ts';
import { Recogniser } from './inside/recogniser.ts';
import { insideRoutes } from './inside/routes.ts';
import { Looking } from './looking/looking.ts';
import type { Reading } from './reading/reading.ts';
import { Mailing } from './mail/mailing.ts';
import { healthRoute } from './operation/health-route.ts';
import type { Measures } from './operation/measures.ts';
import { commentRoutes } from './comments/routes.ts';
import { mailsDoor } from './comments/mails-door.ts';
import { tellMaker } from './comments/tell-maker.ts';
import { SiteComments } from './comments/site-comments.ts';
import { boxRoutes } from './messages/routes.ts';
import { writeForms, writing } from './messages/write-plugin.ts';
import { mediaRoutes } from './media/routes.ts';
import { pageRoutes } from './pages/routes.ts';
import { planRoutes } from './plan/routes.ts';
import { PublishJobs } from './publish/jobs.ts';
import { publishRoutes } from './publish/routes.ts';
import { SetTimes } from './publish/set-times.ts';
import type { StoredAssets } from './publish/site-assets.ts';
import { Preparing } from './publish/preparing.ts';
import { Tidying } from './publish/tidying.ts';
import { resumeLinesRoute } from './resume/lines-route.ts';
import { resumeRoutes } from './resume/routes.ts';
import { previewRoutes } from './serve/preview-plugin.ts';
import { sharePictureRoute } from './serve/share-picture-route.ts';
import { releaseViewRoutes } from './serve/release-view-plugin.ts';
import type { Readers } from './readers/readers.ts';
import { ReadyResponses } from './serve/ready-responses.ts';
import { publicListRoutes } from './serve/public-list.ts';
import { PublicSites } from './serve/public-sites.ts';
import { answering, closed } from './serve/answering.ts';
import { serveSites } from './serve/serve-plugin.ts';
import { Outsider } from './outsider/outsider.ts';
import { outsiderRoutes } from './outsider/routes.ts';
import { passDoor } from './passes/pass-door.ts';
import { PassTrees } from './passes/pass-trees.ts';
import { lookDoor } from './second-look/look-door.ts';
import { LookTrees } from './second-look/look-trees.ts';
import { secondLookRoutes } from './second-look/routes.ts';
import { sendPassRoutes } from './passes/send-routes.ts';
import { passRoutes } from './passes/routes.ts';
import { visitRoutes } from './visits/routes.ts';
import type { Seen } from './visits/visit-counts.ts';
import { isAhead, visitIn } from './visits/visit-in.ts';
import { forgetOldVisits } from './visits/visit-rows.ts';
import { Visits } from './visits/visits.ts';
import { ComingDown } from './sites/coming-down.ts';
import { siteRoutes } from './sites/routes.ts';

export interface AppDeps {
  db: Database;
  blobs: BlobStore;
  /** Where bytes from outside are looked into. */
  reading: Reading;
  /** The built file of a thread that tells pictures apart. */
  looking: string;
  /** The folder with what letters look like. */
  letters: string;
  /** The folder with the program that finds faces. */
  faces: string;
  assets: StoredAssets;
  config: Config;
  /** Changes whenever the renderer's code does. */
  rendererVersion: string;
  /** The built studio; without it only the API and the public side answer. */
  studioFolder?: string;
  logLevel?: string;
  /** Where log lines go instead of the standard output. */
  logStream?: NodeJS.WritableStream;
  /** Of this server; see `secretIn`. */
  secret: Buffer;
  /** The time by which passes open and close. */
  now?: () => Date;
  /** What is done by the clock; begun when the server listens. */
  clockwork?: Clockwork;
  /** Where what happens is measured, if anywhere. */
  measures?: Measures | null;
  /** The reading processes that stand before this server, if any. */
  readers?: Pick<Readers, 'clear' | 'onVisit'> | null;
}

/** Puts the plugins together. Each concern has its own scope: the public side never meets a session or a cookie. */
export async function buildApp(deps: AppDeps): Promise<FastifyInstance> {
  const { db, blobs, reading, assets, config, studioFolder } = deps;
  const { now = () => new Date(), clockwork = new Clockwork() } = deps;
  const visits = new Visits(db, now);
  const onSeen = (seen: Seen, request: IncomingMessage) => {
    if (!isAhead(request)) visits.see(visitIn(seen, request, config.secureCookies));
  };
  const ready = new ReadyResponses(64 * 1024 * 1024, onSeen);
  if (deps.readers) deps.readers.onVisit = (visit) => visits.see(visit);
  clockwork.every(30_000, 'counting visits', () => visits.flush());
  clockwork.every(
    6 * 60 * 60_000,
    'forgetting old visits',
    async () => void (await forgetOldVisits(db, now())),
  );
  const app = Fastify({
    // Public files that were asked for lately are answered before anything else looks at the request.
    serverFactory: (handler) =>
      limitedServer((request, response) => {
        if (ready.answer(request, response)) deps.measures?.answeredFromMemory();
        else handler(request, response);
      }),
    logger: quietLogs(deps.logLevel ?? 'warn', deps.logStream),
    logController: new LogController({ disableRequestLogging: true }),
    // Whatever is wrong with an address, it gets the page that all wrong addresses get.
    frameworkErrors: (_error, _request, reply) => void closed(reply as FastifyReply),
    bodyLimit: 4 * 1024 * 1024,
    // A proxy on this machine, or a reader at the local socket, which has no address.
    trustProxy: (address: string | undefined) => !address || address === '127.0.0.1',
  });
  deps.measures?.watch(app);
  deps.measures?.count(db);
  if (config.secureCookies)
    app.addHook('onRequest', async (_request, reply) => {
      reply.header('strict-transport-security', strictTransport);
    });
  await app.register(problems);
  healthRoute(app, { db });

  const publishing = {
    db,
    blobs,
    assets,
    reading,
    rendererVersion: deps.rendererVersion,
    publicOrigin: deps.config.publicOrigin,
  };
  const trees = new PassTrees(publishing, app.log);
  app.addHook('preClose', async () => trees.stop());
  const looks = new LookTrees(publishing);
  app.addHook('preClose', async () => looks.stop());
  const comments = new SiteComments(db, blobs);
  const open: PublicSites = new PublicSites(
    db,
    async (sites) => {
      comments.forget(sites);
      ready.clear(sites);
      await deps.readers?.clear(sites, ready.age);
    },
    (site) => tidying.later(site),
    trees,
  );
  const tidying = new Tidying(publishing, (site) => open.forget([site]), app.log);
  app.addHook('onClose', () => tidying.settled());
  const preparing =
    config.prepareAfterMs === null ? null : new Preparing(publishing, config.prepareAfterMs, app.log);
  app.addHook('onListen', async () => preparing?.start());
  app.addHook('preClose', async () => preparing?.stop());
  app.addHook('onListen', async () => clockwork.start(app.log));
  app.addHook('preClose', async () => clockwork.stop());
  app.addHook('onClose', () => visits.flush().catch(() => undefined));
  const commands = new Commands({ db, open, tidying, preparing, log: app.log });
  const comingDown = new ComingDown(db, commands, app.log);
  clockwork.every(10 * 60_000, 'what is over', () => comingDown.run(format(now(), 'yyyy-MM-dd')));
  clockwork.every(10 * 60_000, 'accounts that leave', async () => {
    await open.forget(await dropThoseWhoLeft(db, now()));
  });
  const outgoing = new Outgoing(config.standIns);
  app.addHook('onClose', () => outgoing.close());
  const jobs = new PublishJobs();
  const outsider = new Outsider({
    ...{ db, secret: deps.secret, outgoing, now, log: app.log },
    origins: () => [config.publicOrigin, ...listensAt(app, config)],
  });
  app.addHook('preClose', async () => outsider.stop());
  const published = (site: string) => {
    trees.ahead(site);
    if (config.testAfterPublish) outsider.later(site);
  };
  const setTimes = new SetTimes({ ...publishing, open, published, jobs, commands, now }, app.log);
  clockwork.every(10_000, 'what is due', () => setTimes.look());
  const mailing = new Mailing(
    db,
    config.mail,
    { origin: config.publicOrigin, secret: deps.secret },
    now,
    app.log,
  );
  app.addHook('onListen', async () => mailing.start());
  app.addHook('preClose', async () => mailing.stop());
  const looking = new Looking(deps.looking);
  app.addHook('onClose', () => looking.close());
  const recogniser = new Recogniser(deps.letters);
  app.addHook('onClose', () => recogniser.close());
  const faceFinder = new FaceFinder(deps.faces);
  app.addHook('onClose', () => faceFinder.close());
  const insides = new Insides({ db, blobs, looking, recogniser, faceFinder });
  app.addHook('preClose', async () => insides.stop());

  const answer = answering({
    blobs,
    ready,
    behindReaders: Boolean(deps.readers),
    publicOrigin: deps.config.publicOrigin,
    secure: config.secureCookies,
    comments,
    onSeen,
  });

  await app.register(async (maker) => {
    await maker.register(helmet, {
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'"],
          // The composer places elements by style attributes set from script; markup brings none.
          styleSrcAttr: ["'unsafe-inline'"],
          styleSrcElem: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'blob:', 'data:'],
          fontSrc: ["'self'"],
          // What was gathered is played, and what was just recorded is listened to before it is kept.
          mediaSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          frameSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      crossOriginEmbedderPolicy: false,
      // Said of all answers, above.
      strictTransportSecurity: false,
    });
    await maker.register(cookie);
    await maker.register(rateLimit, { global: false });
    // What is only for a maker stays in no cache on the way, unless its route says otherwise.
    maker.addHook('onSend', async (_request, reply) => {
      if (!reply.hasHeader('cache-control')) reply.header('cache-control', 'no-store');
    });
    await maker.register(sessionScope, { db, config });

    const ofAccounts = { db, config, mailing, open, now };
    accountRoutes(maker, ofAccounts);
    forgottenRoutes(maker, ofAccounts);
    ownAccountRoutes(maker, ofAccounts);
    everythingRoute(maker, { db, blobs, secret: deps.secret });
    const gathering = { db, blobs, reading, commands, limits: config };
    siteRoutes(maker, { db, commands, open, now, limits: config });
    pageRoutes(maker, { db, commands });
    captureRoutes(maker, { db, commands });
    planRoutes(maker, { db, publicOrigin: config.publicOrigin });
    mediaRoutes(maker, { ...gathering, looking });
    linkRoutes(maker, { ...gathering, outgoing });
    commentRoutes(maker, { db, blobs, mailing, changed: (site) => open.forget([site]), now });
    boxRoutes(maker, { db, sendsMail: mailing.sends });
    linkAnswerRoutes(maker, { db, outgoing, publicOrigin: config.publicOrigin, now });
    resumeLinesRoute(maker, { db, blobs, reading, maxPixels: config.maxPixels });
    resumeRoutes(maker, { db, blobs, reading, assets, publicOrigin: config.publicOrigin });
    insideRoutes(maker, { db, insides, now });
    publishRoutes(maker, { ...publishing, open, published, jobs, insides, now });
    visitRoutes(maker, { db, open, visits, now });
    passRoutes(maker, { db, open, trees, secret: deps.secret, visits, now });
    secondLookRoutes(maker, { db, secret: deps.secret, now });
    sendPassRoutes(maker, { db, mailing, secret: deps.secret, publicOrigin: config.publicOrigin, now });
    sharePictureRoute(maker, { db, assets, blobs, reading });
    previewRoutes(maker, { db, assets, blobs, reading, publicOrigin: config.publicOrigin });

    releaseViewRoutes(maker, { db, answer });
    codeRoutes(maker, { db, blobs, assets, secret: deps.secret, publicOrigin: config.publicOrigin });
    bookRoutes(maker, {
      db,
      blobs,
      assets,
      open,
      secret: deps.secret,
      publicOrigin: config.publicOrigin,
      now,
    });
    folderRoutes(maker, { db, blobs, open, secret: deps.secret, publicOrigin: config.publicOrigin });
    embeddingRoutes(maker, { db, blobs, open, publicOrigin: config.publicOrigin });
    outsiderRoutes(maker, { db, outsider });
    groupRoutes(maker, { db, secret: deps.secret, now });
    classRoutes(maker, { db, open, mailing, secret: deps.secret, now });
    handInRoutes(maker, { db, open, outsider, secret: deps.secret, now });

    if (studioFolder && existsSync(join(studioFolder, 'index.html')))
      await maker.register(studioFiles, { studioFolder });
    publicListRoutes(maker, { db, open, now });
  });

  await app.register(async (readers) => serveSites(readers, { open, answer }));
  await app.register(async (readers) => {
    await readers.register(rateLimit, { global: false });
    oembedRoute(readers, { open, blobs, publicOrigin: config.publicOrigin });
    const write = await writing(readers, { db, blobs, mailing });
    writeForms(readers, { open, answer: write });
    mailsDoor(readers, { db, secret: deps.secret });
    shortDoor(readers, { db, secret: deps.secret, open, now });
    lookDoor(readers, { db, blobs, trees: looks, answer, patienceMs: config.makingPatienceMs, now });
    const { secret } = deps;
    await readers.register(async (door) =>
      passDoor(door, {
        ...{ db, blobs, comments, reading },
        maxPixels: config.maxPixels,
        onComment: (site) => tellMaker(db, mailing, site, now()),
        open,
        answer,
        write,
        secret,
        secureCookies: config.secureCookies,
        mails: mailing.sends,
        patienceMs: config.makingPatienceMs,
        now,
      }),
    );
  });
  app.setNotFoundHandler((request, reply) =>
    request.url.startsWith('/api/')
      ? reply
          .code(404)
          .send({ code: 'no-such-route', message: 'The server knows no such request. Reload the page.' })
      : closed(reply),
  );
  return app;
}

/** Where this process takes requests, or where those that stand before it do. */
function listensAt(app: FastifyInstance, { host, port }: Config): string[] {
  const at = app.server.address();
  if (at && typeof at === 'object') return [`http://127.0.0.1:${at.port}`];
  return port > 0 ? [`http://${host}:${port}`] : [];
}
