import { type CSSProperties, useEffect } from 'react';
import { type Half, halves } from '#core/about/halves.ts';
import { wordsTold } from '#core/about/words-told.ts';
import { fontPairs } from '#core/look/font-pairs.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { TellingPanel } from '../../parts/person/telling-panel.tsx';
import { fetchFonts } from '../../ui/fetch-fonts.ts';
import { ReadingEaseNote } from '../../ui/reading-ease-note.tsx';
import { useContradictions } from '../../pages/use-contradictions.ts';
import { ItemHeight } from './item-height.tsx';
import { halfNames } from './item-name.ts';
import { type PersonSteps, useOnly } from './use-person.ts';

function HalfPage({ page, steps, half }: { page: ShownPage; steps: PersonSteps; half: Half }) {
  const { part, isThere } = useOnly(page, 'telling', { half });
  return (
    <section className="about-half" aria-labelledby={`about-${half}`}>
      <div className="flex flex-wrap items-center gap-2 border-b border-b-line pb-2">
        <h3 id={`about-${half}`} className="mr-auto text-l">
          {halfNames[half]}
        </h3>
        {isThere && <ItemHeight {...{ page, part, steps }} />}
      </div>
      <TellingPanel part={part} page={page} onChange={steps.change} onReplace={() => undefined} />
    </section>
  );
}

/** How the two halves weigh, as a kite on a cord between them. */
function Balance({ told }: { told: Record<Half, number> }) {
  const all = told.biography + told.work;
  const at = all === 0 ? 0.5 : told.work / all;
  return (
    <div className="flex items-center gap-3 text-s leading-s text-ink-2">
      <span className="whitespace-nowrap">
        <b className="text-ink">{told.biography}</b> biography
      </span>
      <svg viewBox="0 0 200 24" className="h-6 min-w-0 flex-1" aria-hidden="true" preserveAspectRatio="none">
        <path d="M2 4q98 16 196 0" fill="none" stroke="var(--string)" strokeWidth="1.5" />
        <path d="M100 8v12" stroke="var(--edge)" strokeDasharray="2 2" />
        <path
          d="M0-7l6 7-6 9-6-9z"
          transform={`translate(${6 + at * 188} ${4 + 32 * at * (1 - at)})`}
          fill="var(--vermilion)"
        />
      </svg>
      <span className="whitespace-nowrap">
        why work with me <b className="text-ink">{told.work}</b>
      </span>
      <span className="sr-only">words</span>
    </div>
  );
}

/** What the maker says of themselves: half biography, half why work with me. */
export function InYourWords({ page, steps }: { page: ShownPage; steps: PersonSteps }) {
  const { state } = useSite();
  const { look, language } = state.site;
  const told = page.parts.flatMap((part) => (part.kind === 'telling' ? part.answers : []));
  const apart = useContradictions().filter(({ entry }) => entry === null);
  const pair = fontsOf(look);
  useEffect(() => void fetchFonts(pair), [pair]);
  return (
    <div
      className="grid content-start gap-3"
      style={{ '--told-font': fontPairs[pair].text } as CSSProperties}
    >
      <h2>In your words</h2>
      <Balance told={wordsTold(page.parts)} />
      <p className="note">
        Readers get your sentences and never the questions. What you leave empty is not there.
      </p>
      <ReadingEaseNote text={told.map(({ text }) => text).join('\n')} language={page.language ?? language} />
      {apart.map(({ sentence }) => (
        <p key={sentence} className="flag straw">
          {sentence}
        </p>
      ))}
      {halves.map((half) => (
        <HalfPage key={half} {...{ page, steps, half }} />
      ))}
    </div>
  );
}
