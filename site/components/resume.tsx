import type { ReactNode } from 'react';
import { directionOf } from '#core/language/language.ts';
import type { SeenPart, SeenPartOf } from '#core/parts/parts.ts';
import { resumeSections, type ResumeSection } from '#core/resume/sections.ts';
import type { PageInput } from '../render/page-input.ts';
import { ResumeLanguageContext } from '../render/resume-language.ts';
import { resumeFile } from '../render/site-paths.ts';
import { SpokenContext, spokenIn } from '../render/words.ts';

interface ResumeProps {
  input: PageInput;
  /** A version and its entries, with their places on the page. */
  parts: readonly { at: number; part: SeenPart }[];
  drawn: (part: SeenPart, at: number) => ReactNode;
}

/** The sections of some entries: in the order in which they first come. */
function sectionsOf(parts: ResumeProps['parts']) {
  const sections = new Map<ResumeSection, { at: number; part: SeenPart }[]>();
  for (const one of parts)
    if (one.part.kind === 'entry') {
      // A part that is only begun has a section, too; one of another version may have another.
      const { section } = one.part as SeenPartOf<'entry'>;
      const known = resumeSections.includes(section) ? section : 'work';
      sections.set(known, [...(sections.get(known) ?? []), one]);
    }
  return [...sections];
}

/** A résumé: section by section, with where each thing shows. For machines it is an h-resume. */
export function Resume({ input, parts, drawn }: ResumeProps) {
  const version = parts.find(({ part }) => part.kind === 'version')?.part as
    SeenPartOf<'version'> | undefined;
  const language = version?.language ?? input.page.language;
  const spoken = spokenIn(language, input.page.language);
  const { resume } = spoken.words;
  const content = input.resume?.content;
  return (
    <ResumeLanguageContext value={language}>
      <SpokenContext value={spoken}>
        <div
          className="resume h-resume"
          {...(language !== input.page.language && { lang: language, dir: directionOf(language) })}
        >
          <div className="on-grid cv-head">
            <div className="p-contact h-card">
              <p className="maker p-name">{content?.name ?? input.by}</p>
              {content?.headline && <p className="p-job-title">{content.headline}</p>}
              {content && content.contact.length > 0 && (
                <p className="meta">
                  {content.contact.map(({ text, to }, at) => (
                    <span key={at} className={to === null ? 'p-locality' : undefined}>
                      {at > 0 && ' · '}
                      {to === null ? (
                        text
                      ) : (
                        <a className="u-url" href={to}>
                          {text}
                        </a>
                      )}
                    </span>
                  ))}
                </p>
              )}
            </div>
            {version?.file && (
              <p className="save" {...spoken.lang}>
                <a href={resumeFile} type="application/pdf">
                  {resume.pdf}
                </a>
              </p>
            )}
          </div>
          {parts.map(({ part, at }) =>
            part.kind === 'version' ? <div key={part.id}>{drawn(part, at)}</div> : null,
          )}
          {sectionsOf(parts).map(([section, entries]) => (
            <section className={`on-grid of-${section}`} key={section}>
              <h2 {...spoken.lang}>{resume.sections[section]}</h2>
              <div className="entries">
                {entries.map(({ part, at }) => (
                  <div key={part.id}>{drawn(part, at)}</div>
                ))}
              </div>
            </section>
          ))}
        </div>
      </SpokenContext>
    </ResumeLanguageContext>
  );
}
