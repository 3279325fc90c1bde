import { createPage } from '#contract/pages.ts';
import { newPart } from '#core/parts/new-part.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import type { Part } from '#core/parts/parts.ts';
import { openDemoStudio } from '#e2e/support/demo-studio.ts';
import { quantile } from '#e2e/support/typing.ts';
import type { Row } from './table.ts';

const frames = 240;
const pxAFrame = 24;
/** A frame at sixty a second, in ms, with what browsers' clocks are off by. */
const frameMs = 17.5;

/** A thousand moments over three years. */
const thousand = (): Part[] =>
  Array.from({ length: 1000 }, (_, n) => {
    const day = new Date(Date.UTC(2023, 8, 1) + n * 1.1 * 86_400_000).toISOString().slice(0, 10);
    return {
      ...newPart('moment', `moment-${n}`),
      date: day,
      title: `Moment ${n}`,
      happened: 'It went on.',
    } as Part;
  });

/** How long frames take while the line of a thousand moments is scrolled in the studio, beside a strip as wide with nothing on it. */
export async function benchLineStudio(): Promise<Row> {
  const { studio, rooms, close } = await openDemoStudio();
  try {
    const site = rooms.split('/').at(-1) ?? '';
    const post = (path: string, method: string, body: object) =>
      studio.page.evaluate(
        async (to, how, said) => {
          const reply = await fetch(to, {
            method: how,
            headers: { 'content-type': 'application/json' },
            body: said,
          });
          if (!reply.ok) throw new Error(await reply.text());
          return (await reply.json()) as { page: string; revision: number };
        },
        path,
        method,
        JSON.stringify(body),
      );
    const { page } = await post(createPage.path.replace(':site', site), 'POST', {
      title: 'Long',
      materials: [],
    });
    const { revision } = await studio.page.evaluate(
      async (id) => (await (await fetch(`/api/sites/${id}`)).json()) as { revision: number },
      site,
    );
    await post(`/api/sites/${site}/pages/${page}`, 'PATCH', {
      ...{ seen: revision, label: 'Moments', change: {} },
      parts: partsChange([], thousand()),
    });
    await studio.page.goto(`${rooms}/projects/${page}/moments`);
    await studio.reads('1000 moments');
    const scrolled = (plain: boolean) =>
      studio.page.evaluate(
        async (isPlain, count, px) => {
          const line = document.querySelector('.moment-line');
          if (!line) throw new Error('There is no line.');
          let strip = line;
          if (isPlain) {
            strip = document.createElement('div');
            strip.setAttribute('style', 'overflow-x:scroll;height:240px');
            const inside = document.createElement('div');
            inside.setAttribute(
              'style',
              `width:${line.scrollWidth}px;height:100%;background:linear-gradient(90deg,#fff,#000)`,
            );
            strip.append(inside);
            line.before(strip);
          }
          strip.scrollLeft = 0;
          const times: number[] = [];
          let last = 0;
          for (let frame = 0; frame < count; frame++) {
            const now = await new Promise<number>(requestAnimationFrame);
            if (frame > 5) times.push(now - last);
            last = now;
            strip.scrollLeft += px;
          }
          if (isPlain) strip.remove();
          return times.sort((a, b) => a - b);
        },
        plain,
        frames,
        pxAFrame,
      );
    const [line, plain] = [await scrolled(false), await scrolled(true)];
    const words = (times: readonly number[]) =>
      `${quantile(times, 0.5).toFixed(1)} ms, 95th of a hundred ${quantile(times, 0.95).toFixed(1)} ms`;
    return {
      what: 'a frame while the line of 1,000 moments is scrolled in the studio',
      ours: words(line),
      against: 'a strip as wide with nothing on it',
      other: words(plain),
      ratio: quantile(line, 0.5) / quantile(plain, 0.5),
      wanted: '60 a second in the middle',
      reached: quantile(line, 0.5) < frameMs,
    };
  } finally {
    await close();
  }
}
