import type { Page } from 'puppeteer-core';
import sharp from 'sharp';
import { blended, contrast } from '../../core/look/colour.ts';

/** A line of words as a browser draws it. */
interface Line {
  words: string;
  left: number;
  top: number;
  width: number;
  height: number;
  /** Channels of 0 to 255, and alpha of 0 to 1. */
  colour: [number, number, number, number];
  /** WCAG 2.2: from 24 px, or 18.66 px where it is bold. */
  large: boolean;
  blend: 'multiply' | 'screen' | null;
}

export interface Unreadable {
  words: string;
  ratio: number;
  needs: number;
}

/** Every line of words that can be seen on a page, in the page's own pixels. */
const linesOn = (page: Page): Promise<Line[]> =>
  page.evaluate(() => {
    const lines: Line[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      if (!parent || !node.textContent?.trim()) continue;
      if (parent.closest('script, style, noscript, .unseen, .skip, option, [hidden], .preview-notice'))
        continue;
      if (!parent.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const style = getComputedStyle(parent);
      const numbers = (style.color.match(/[\d.]+/g) ?? []).map(Number);
      const [r = 0, g = 0, b = 0, a = 1] = numbers;
      let blend: Line['blend'] = null;
      for (let up: Element | null = parent; up; up = up.parentElement) {
        const mode = getComputedStyle(up).mixBlendMode;
        if (mode === 'multiply' || mode === 'screen') blend = mode;
      }
      const size = parseFloat(style.fontSize);
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const box of range.getClientRects()) {
        if (box.width < 2 || box.height < 2) continue;
        lines.push({
          words: node.textContent.trim().slice(0, 60),
          left: box.left + scrollX,
          top: box.top + scrollY,
          width: box.width,
          height: box.height,
          colour: [r, g, b, a],
          large: size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700),
          blend,
        });
      }
    }
    return lines;
  });

const hex = (channels: readonly number[]): string =>
  `#${channels.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;

/** Of what lies under a line, so much may be worse: see `outermost` in core/look/light-map.ts. */
const outermost = 0.005;

/**
 * Measures a page from outside: its words are made invisible, what lies under each of them is read pixel by pixel, and held against
 * the colour the words are drawn in.
 *
 * @returns lines below what WCAG asks for at that comfort, and the lowest of all ratios relative to what is needed
 */
export async function readWords(
  page: Page,
  comfort: 'AA' | 'AAA' = 'AA',
): Promise<{ below: Unreadable[]; lines: number; closest: number }> {
  const lines = await linesOn(page);
  // A sheet made by a script is the tester's own business, whatever the page's policy says of style elements.
  await page.evaluate(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(
      '*, *::before, *::after, *::first-letter { color: transparent !important; text-decoration-color: transparent !important; transition: none !important } ::marker { color: transparent !important }',
    );
    document.adoptedStyleSheets = [sheet];
  });
  const shot = await page.screenshot({ fullPage: true, optimizeForSpeed: true });
  await page.evaluate(() => {
    document.adoptedStyleSheets = [];
  });
  const { data, info } = await sharp(shot).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const below: Unreadable[] = [];
  let closest = Infinity;
  for (const line of lines) {
    const needs = comfort === 'AA' ? (line.large ? 3 : 4.5) : line.large ? 4.5 : 7;
    const counts = new Map<number, number>();
    let pixels = 0;
    for (
      let y = Math.max(0, Math.ceil(line.top));
      y < Math.min(info.height, Math.floor(line.top + line.height));
      y++
    )
      for (
        let x = Math.max(0, Math.ceil(line.left));
        x < Math.min(info.width, Math.floor(line.left + line.width));
        x++
      ) {
        const at = (y * info.width + x) * 3;
        const key = ((data[at] ?? 0) << 16) | ((data[at + 1] ?? 0) << 8) | (data[at + 2] ?? 0);
        counts.set(key, (counts.get(key) ?? 0) + 1);
        pixels++;
      }
    if (pixels === 0) continue;
    const [r, g, b, alpha] = line.colour;
    const ratios = [...counts].map(([key, count]) => {
      const ground = [(key >> 16) & 255, (key >> 8) & 255, key & 255];
      const drawn = hex([r, g, b].map((value, at) => value * alpha + (ground[at] ?? 0) * (1 - alpha)));
      const under = hex(ground);
      return { ratio: contrast(line.blend ? blended(drawn, under, line.blend) : drawn, under), count };
    });
    ratios.sort((one, other) => one.ratio - other.ratio);
    let left = pixels * outermost;
    const worst = ratios.find(({ count }) => (left -= count) < 0) ?? ratios[0];
    if (!worst) continue;
    closest = Math.min(closest, worst.ratio / needs);
    if (worst.ratio < needs) below.push({ words: line.words, ratio: Number(worst.ratio.toFixed(2)), needs });
  }
  return { below, lines: lines.length, closest };
}
