import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Height } from '#core/access/height.ts';
import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { isShown } from '#core/pages/page.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { newestAt, type ResumeOnPage, resumeContentOf } from '#core/resume/resume-content-of.ts';
import type { Draft } from '#core/sites/site.ts';
import { pathsOf } from '#site/render/page-inputs.ts';

/** Who gets a page of a height, those who get least besides first. */
const readersOf = (height: Height, page: string): Viewer[] =>
  ({
    public: [{ kind: 'stranger' } as const],
    unlisted: [{ kind: 'site-link' } as const, { kind: 'page-link', page } as const],
    invited: [{ kind: 'pass', covers: 'site', downloads: true } as const],
    private: [{ kind: 'maker' } as const],
  })[height];

/**
 * A version of a draft's résumé as its readers will get it: those who may have it and see least besides. One that is Private is as
 * its maker sees it.
 *
 * @param origin readers reach this server at
 * @param link of its own that its foot says, if its maker wants that: no file that readers fetch holds a key
 * @returns null where there is no such version, or nobody would get it
 */
export function draftResume(
  draft: Draft,
  at: { page: string; version: string },
  origin: string,
  link: string | null,
): { resume: ResumeOnPage; version: PartOf<'version'> } | null {
  const page = draft.pages.filter(isShown).find(({ id }) => id === at.page);
  const version = page?.parts.find(
    (part): part is PartOf<'version'> => part.kind === 'version' && part.id === at.version,
  );
  if (!page || !version) return null;
  // The one that is asked for stands for all.
  const parts = page.parts.filter((part) => part.kind !== 'version' || part === version);
  const alone = {
    ...draft,
    pages: draft.pages.map((one) => (one === page ? { ...page, parts } : one)),
  };
  const { height } = effectiveHeight(draft, { page: at.page, part: at.version });
  const { address } = draft.site;
  const base = address === null || height !== 'public' ? null : `${origin}/${address}/`;
  for (const viewer of readersOf(height, at.page)) {
    const view = seenBy(alone, viewer);
    const seen = view?.pages.find(({ id }) => id === at.page);
    const resume = view && seen && resumeContentOf(view, seen, pathsOf(view), base);
    if (!resume) continue;
    const newest = link === null ? resume.content.newest : newestAt(link, resume.content.language);
    return { resume: { ...resume, content: { ...resume.content, newest } }, version };
  }
  return null;
}
