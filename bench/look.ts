import { performance } from 'node:perf_hooks';
import { renderToStaticMarkup } from 'react-dom/server';
import { createElement } from 'react';
import { lightMapOf, lightMapText } from '#core/look/light-map.ts';
import { firstLook, type Look } from '#core/look/look.ts';
import { lookRules } from '#core/look/look-rules.ts';
import { openingVeils } from '#core/look/words-over.ts';
import { PageView } from '#site/components/page-view.tsx';
import { openDemoStudio } from '#e2e/support/demo-studio.ts';
import { quantile } from '#e2e/support/typing.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { exampleOfStarter } from '#core/sites/example-of-starter.ts';
import { siteStarterOf } from '#core/sites/site-starters.ts';
import { pageInputs } from '#site/render/page-inputs.ts';
import { median as middle, type Row } from './table.ts';

const rounds = 15;
const projects = 30;

function timeOf(run: () => void): number {
  const times = Array.from({ length: rounds }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  });
  return middle(times);
}

/** Colours of a look by day and night, clear and extra clear, and veils of thirty openings; beside drawing that many plain pages. */
function computed(): Row {
  let seed = 1;
  const noise = () => (seed = (seed * 48271) % 2147483647) % 256;
  const lights = Array.from({ length: projects }, () =>
    lightMapText(
      lightMapOf(
        Uint8Array.from({ length: 96 * 72 * 3 }, () => noise()),
        { widthPx: 96, heightPx: 72, channels: 3 },
      ),
    ),
  );
  const look: Look = { ...firstLook, theme: 'fairwind', seeds: { first: '#e0b000', second: '#3c6e71' } };
  const words = { title: 24, summary: 90, hasKicker: true };
  const ours = timeOf(() => {
    lookRules(look, '.site.here');
    for (const light of lights)
      openingVeils({ light, widthPx: 1440, heightPx: 1080, focus: { x: 0.4, y: 0.6 } }, words, look);
  });
  const view = seenBy(exampleOfStarter(siteStarterOf('hired')), { kind: 'stranger' });
  const [page] = view ? pageInputs(view, { pictures: {}, content: () => undefined, file: () => '' }) : [];
  if (!page) throw new Error('There is no page to draw.');
  const other = timeOf(() => {
    for (let at = 0; at < projects; at++)
      renderToStaticMarkup(createElement(PageView, { input: page.input }));
  });
  return {
    what: `colours and veils of a site of ${projects} projects`,
    ours: `${ours.toFixed(1)} ms`,
    against: 'drawing that many front pages without a picture',
    other: `${other.toFixed(1)} ms`,
    ratio: ours / other,
    wanted: 'under 50 ms',
    reached: ours < 50,
  };
}

/** From a change of a look to the next frame with it, on the maker's own page; beside a change that is drawn nowhere but in its field. */
async function shown(): Promise<Row> {
  const { studio, rooms, close } = await openDemoStudio();
  try {
    const { page } = studio;
    await page.goto(`${rooms}/look`, { waitUntil: 'networkidle0' });
    await page.waitForSelector('.look-left .site');
    const times = async (selector: string, values: readonly string[]) => {
      const all: number[] = [];
      for (const value of values) {
        all.push(
          await page.evaluate(
            async (at, to) => {
              const field = document.querySelector<HTMLInputElement>(at);
              if (!field) throw new Error(`There is no ${at}.`);
              const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
              const from = performance.now();
              set?.call(field, to);
              field.dispatchEvent(new Event('input', { bubbles: true }));
              field.dispatchEvent(new Event('change', { bubbles: true }));
              await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
              return performance.now() - from;
            },
            selector,
            value,
          ),
        );
        await new Promise((resolve) => setTimeout(resolve, 350));
      }
      return all.sort((a, b) => a - b);
    };
    const colours = Array.from({ length: 21 }, (_, at) => `#${(0x3c6e71 + at * 0x0a0f05).toString(16)}`);
    const looks = await times('.look-colour', colours);
    const cord = await times('input.look-range', [
      '0.95',
      '1',
      '1.05',
      '1.1',
      '1',
      '0.95',
      '1.05',
      '1',
      '1.1',
    ]);
    return {
      what: 'from another colour of the look to the next frame, on the maker’s own page',
      ours: `${quantile(looks, 0.5).toFixed(0)} ms, longest ${(looks.at(-1) ?? 0).toFixed(0)} ms`,
      against: 'another size of words',
      other: `${quantile(cord, 0.5).toFixed(0)} ms`,
      ratio: quantile(looks, 0.5) / quantile(cord, 0.5),
      wanted: 'under 100 ms',
      reached: quantile(looks, 0.5) < 100,
    };
  } finally {
    await close();
  }
}

export const benchLook = async (): Promise<Row[]> => [computed(), await shown()];
