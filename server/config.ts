import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { z } from 'zod';
import { type ReadingLimits, readingLimits } from './reading/reading.ts';

const flag = z
  .enum(['0', '1', 'true', 'false'])
  .default('0')
  .transform((value) => value === '1' || value === 'true');

const environmentSchema = z.object({
  HOST: z.string().default('127.0.0.1'),
  PORT: z.coerce.number().int().min(0).max(65_535).default(4180),
  DATA_DIR: z.string().default('data'),
  DATABASE_URL: z.string().optional(),
  DEMO: flag,
  STANDINS_PORT: z.coerce.number().int().min(0).max(65_535).default(4182),
  PUBLIC_ORIGIN: z
    .url({ protocol: /^https?$/ })
    .transform((url) => new URL(url).origin)
    .optional(),
  SECURE_COOKIES: flag,
  READERS: z.coerce
    .number()
    .int()
    .min(0)
    .max(32)
    .default(() => (availableParallelism() > 1 ? Math.min(availableParallelism(), 4) : 0)),
  MAX_FILE_MB: z.coerce.number().positive().default(100),
  MAX_TOTAL_MB: z.coerce.number().positive().default(2048),
  MAX_MEGAPIXELS: z.coerce.number().positive().default(100),
  READING_SECONDS: z.coerce.number().positive().default(30),
  MAKING_SECONDS: z.coerce.number().positive().default(8),
  READING_MB: z.coerce.number().min(256).default(512),
  SMTP_URL: z.url({ protocol: /^smtps?$/ }).optional(),
  MAIL_FROM: z.email().default('kite-wall@localhost.localdomain'),
  PREPARE: flag.default(true),
  OUTSIDER_TEST: flag.default(true),
  METRICS_PORT: z.coerce.number().int().min(1).max(65_535).optional(),
  REGISTRATION: z.enum(['open', 'code', 'closed']).default('open'),
  REGISTRATION_CODE: z.string().trim().min(6).max(200).optional(),
});

export interface Config {
  host: string;
  port: number;
  dataDir: string;
  /** Set: use this PostgreSQL server; not set: PGlite in the data folder. */
  databaseUrl: string | undefined;
  /** Offers the one-click sign-in of the demo account. Never on by default. */
  demo: boolean;
  /** Port of the demo's stand-ins for outside services. */
  standInsPort: number;
  /** Origins on this machine that links may lead to: the demo's stand-ins. Nothing outside the demo sets it. */
  standIns: readonly string[];
  /** Origin readers reach this server at, for what must name it in full: previews of links. */
  publicOrigin: string;
  secureCookies: boolean;
  /** Processes beside this one that answer readers; 0: this one does it all. */
  readers: number;
  maxFileBytes: number;
  /** Of all originals of one maker together. */
  maxTotalBytes: number;
  maxPixels: number;
  /** Limits of the processes that look into files from outside. */
  reading: ReadingLimits;
  /** So long somebody waits for pages that are made for the first time, before they are told so; in ms. */
  makingPatienceMs: number;
  /** The server that mail is sent by; null: none is sent. And whom it comes from. */
  mail: { smtp: string | null; from: string };
  /** Makes the files that readers get of a picture as soon as it stands on a page, this long after; null: at publish. */
  prepareAfterMs: number | null;
  /** Opens a site's links as an outsider after each publish. */
  testAfterPublish: boolean;
  /** Where this machine alone can ask for the measures; null: nothing is measured. */
  metricsPort: number | null;
  /** Who may make an account: everybody, who knows the code, or nobody. */
  registration: { kind: 'open' } | { kind: 'closed' } | { kind: 'code'; code: string };
}

/** Reads the environment once, at the start. Throws a ZodError that names the variable at fault. */
export function readConfig(environment: NodeJS.ProcessEnv, root: string): Config {
  const read = environmentSchema.parse(environment);
  return {
    host: read.HOST,
    port: read.PORT,
    dataDir: resolve(root, read.DATA_DIR),
    databaseUrl: read.DATABASE_URL || undefined,
    demo: read.DEMO,
    standInsPort: read.STANDINS_PORT,
    standIns: [],
    publicOrigin: read.PUBLIC_ORIGIN ?? `http://${read.HOST}:${read.PORT}`,
    secureCookies: read.SECURE_COOKIES,
    readers: read.READERS,
    maxFileBytes: read.MAX_FILE_MB * 1024 * 1024,
    maxTotalBytes: read.MAX_TOTAL_MB * 1024 * 1024,
    maxPixels: read.MAX_MEGAPIXELS * 1_000_000,
    reading: {
      ...readingLimits(availableParallelism()),
      readMs: read.READING_SECONDS * 1000,
      mostBytes: read.READING_MB * 1024 * 1024,
    },
    makingPatienceMs: read.MAKING_SECONDS * 1000,
    mail: { smtp: read.SMTP_URL ?? null, from: read.MAIL_FROM },
    prepareAfterMs: read.PREPARE ? 3000 : null,
    testAfterPublish: read.OUTSIDER_TEST,
    metricsPort: read.METRICS_PORT ?? null,
    registration: registrationOf(read.REGISTRATION, read.REGISTRATION_CODE),
  };
}

function registrationOf(kind: 'open' | 'code' | 'closed', code: string | undefined): Config['registration'] {
  if (kind === 'open') return { kind };
  if (kind === 'closed') return { kind };
  if (code === undefined)
    throw new Error('REGISTRATION=code needs REGISTRATION_CODE, of at least six characters.');
  return { kind, code };
}
