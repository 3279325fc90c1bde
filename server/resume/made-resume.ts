import { format } from 'date-fns';
import { fontsOf } from '#core/look/fonts-of.ts';
import type { FontPairName } from '#core/look/font-pair-names.ts';
import type { Look } from '#core/look/look.ts';
import { type FittedPages, fittedResume } from '#core/resume/fitted-resume.ts';
import type { ResumeOnPage } from '#core/resume/resume-content-of.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import type { ResumeFonts } from './resume-fonts.ts';
import { resumeTitle } from './resume-title.ts';
import { resumePdf } from './resume-pdf.ts';

/** The pair of fonts whose words stand for a plain set. */
const plainPair: FontPairName = 'kite';

/** The pair of fonts that a version is set in. */
export const pairOf = ({ version }: ResumeOnPage, look: Look): FontPairName =>
  version.fonts === 'plain' ? plainPair : fontsOf(look);

/** A résumé on its pages, and its file when it is asked for. */
export interface MadeResume {
  fitted: FittedPages;
  fonts: ResumeFonts;
  file: () => Promise<Buffer>;
}

/**
 * Sets what a reader may have of a version.
 *
 * @param wants what the version is asked for; only its maker is told what could stay out
 */
export function madeResume(
  { fonts: all }: Pick<StoredAssets, 'fonts'>,
  resume: ResumeOnPage,
  look: Look,
  now: Date,
  wants = '',
): MadeResume {
  const { version, content } = resume;
  const { pages, paper } = version;
  const fonts = all[pairOf(resume, look)].resume;
  const wanted = {
    pages,
    paper,
    wants,
    ends: new Map(Object.entries(resume.ends)),
    now: format(now, 'yyyy-MM'),
  };
  const fitted = fittedResume(content, wanted, fonts.widthOf);
  return { fitted, fonts, file: () => resumePdf(content, paper, fitted, fonts, resumeTitle(content), now) };
}
