import { useMemo, useState } from 'react';
import { seenBy } from '#core/access/seen-by.ts';
import { picturesOf } from '#core/gallery/picture-source.ts';
import { exampleOfStarter } from '#core/sites/example-of-starter.ts';
import type { Look } from '#core/look/look.ts';
import { type SiteStarterKey, siteStarterOf } from '#core/sites/site-starters.ts';
import { PageView } from '#site/components/page-view.tsx';
import { pageInputs, pictureOf } from '#site/render/page-inputs.ts';
import type { Picture } from '#site/render/picture.ts';
import { InTheme } from '../ui/in-theme.tsx';
import { Segments } from '../ui/segments.tsx';
import { cutShapes } from './cut-shapes.ts';
import '../ui/site-look.css';
import './starter-example.css';

function examplePages(starter: SiteStarterKey, look: Look) {
  const view = seenBy(exampleOfStarter(siteStarterOf(starter), look), { kind: 'stranger' });
  if (!view) return [];
  const pictures: Record<string, Picture> = {};
  for (const [at, material] of Object.values(view.materials).entries())
    for (const shown of picturesOf(material, undefined)) {
      const { widthPx, heightPx } = shown.source;
      pictures[shown.id] = {
        ...pictureOf(shown),
        ...{ moving: null, sources: [] },
        fallback: [{ url: cutShapes(at, widthPx, heightPx), widthPx }],
      };
    }
  return pageInputs(view, { pictures, content: () => undefined, file: () => '' });
}

/** Pages of a starter as readers might find them one day, drawn as any page is, and smaller. */
export function StarterExample({ starter, look }: { starter: SiteStarterKey; look: Look }) {
  const pages = useMemo(() => examplePages(starter, look), [starter, look]);
  const [path, setPath] = useState('');
  const shown = pages.find((one) => one.path === path) ?? pages[0];
  if (!shown) return null;
  // The front page, one of each kind, and no more than can be taken in.
  const kinds = new Map(pages.map((one) => [one.input.page.kind, one]));
  const offered = [...kinds.values()].filter(({ input }) => input.page.kind !== 'link').slice(0, 4);
  const names = {
    home: 'Front page',
    project: 'A project',
    group: 'A group',
    about: 'About',
    resume: 'Résumé',
  };
  return (
    <div className="grid min-w-0 gap-2">
      <Segments
        label="Page of the example"
        value={shown.path}
        options={offered.map(({ path: value, input }) => ({
          value,
          name: names[input.page.kind as keyof typeof names] ?? 'A page',
        }))}
        onChange={setPath}
      />
      <InTheme look={look}>
        {/* Nothing in it leads anywhere: it is looked at. */}
        <div
          className="starter-example"
          // What scrolls has to be reached by keys.
          // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
          tabIndex={0}
          role="img"
          aria-label={`Example: ${shown.input.page.title || 'the page'} of a site that was begun like this. ${shown.input.page.summary}`}
        >
          <div inert>
            <PageView input={shown.input} within />
          </div>
        </div>
      </InTheme>
      <p className="note">An example, invented. What you take over is empty until you fill it.</p>
    </div>
  );
}
