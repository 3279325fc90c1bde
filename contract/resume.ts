import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { route } from './route.ts';
import { nothing } from './at-site.ts';

/** A version of the résumé on a page of a site. */
export const atVersion = z.object({ site: idSchema, page: idSchema, version: idSchema });

const tightnessSchema = z.object({ gaps: z.number(), leading: z.number(), size: z.number() });

/** How a version stands on paper, for the readers that may have it. */
export const resumeFitSchema = z.object({
  /** On how many pages it stands. */
  pages: z.number().int(),
  fits: z.boolean(),
  /** Each as a share of what is comfortable. */
  tightness: tightnessSchema,
  tightest: tightnessSchema,
  /** Below the last line of the last page, in millimetres. */
  spareMm: z.number(),
  /** What could stay out for it to fit, least loss first; null where even that would not do. */
  couldStayOut: z
    .array(z.object({ id: idSchema, reasons: z.array(z.enum(['no-proof', 'old', 'repeats', 'not-asked'])) }))
    .nullable(),
  /** Letters that its fonts do not have. */
  missing: z.array(z.string()),
  /** Tells this file from every other one. */
  file: z.string(),
});
export type ResumeFit = z.infer<typeof resumeFitSchema>;

export const fitVersion = route({
  method: 'GET',
  path: '/api/sites/:site/resumes/:page/:version',
  params: atVersion,
  body: nothing,
  reply: resumeFitSchema,
});

/** Whether the foot of a file says the version's own link, where it has one. */
export const footSchema = z.object({ foot: z.enum(['link', 'none']).default('none') });
export type Foot = z.infer<typeof footSchema>['foot'];

/** Path of a version's file, and of the picture of one of its pages, counted from 0. */
export const versionFilePath = (
  { site, page, version }: z.infer<typeof atVersion>,
  foot: Foot = 'none',
): string => `/api/sites/${site}/resumes/${page}/${version}/file?foot=${foot}`;
/** As something else than a PDF: JSON Resume, Markdown, plain text, a file for word processors. */
export const versionAsPath = (
  of: z.infer<typeof atVersion>,
  format: 'json' | 'md' | 'txt' | 'docx',
): string => `/api/sites/${of.site}/resumes/${of.page}/${of.version}/as/${format}`;
export const versionPicturePath = (
  of: z.infer<typeof atVersion>,
  at: number,
  file: string,
  foot: Foot = 'none',
): string => `/api/sites/${of.site}/resumes/${of.page}/${of.version}/picture/${at}?of=${file}&foot=${foot}`;

/** A line of an old résumé, as it was read out of a file. */
const sourceLineSchema = z.object({
  text: z.string(),
  as: z.enum(['heading', 'item', 'plain']),
  strong: z.boolean(),
  gap: z.boolean(),
});
/** What a file says, line by line. The file is sent to `resumeLinesPath` as it is; nothing of it is kept. */
export const resumeLinesSchema = z.object({ lines: z.array(sourceLineSchema) });
export const resumeLinesPath = (site: string, name: string): string =>
  `/api/sites/${site}/resume-lines?name=${encodeURIComponent(name)}`;
