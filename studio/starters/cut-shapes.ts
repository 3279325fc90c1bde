import { examplePictures } from '#core/sites/example-of-starter.ts';

/** Paper, and what is cut from it; one set for each picture of an example. */
const papers = ['#e9dfc8', '#d7e1e0', '#e6d3c6', '#dfe2cf', '#d9d4e3', '#efe3d0'];
const inks = ['#be3d16', '#1f4b5c', '#7a4a2b', '#5d6b2f', '#4a4470', '#9a6a1c'];
const cuts = [
  '<path d="M300 620 520 180 700 620Z"/><circle cx="820" cy="300" r="120"/>',
  '<rect x="240" y="260" width="420" height="420" rx="40"/><path d="M240 700h420v80H240Z"/>',
  '<circle cx="480" cy="420" r="240"/><path d="M700 120h260v560H700Z"/>',
  '<path d="M200 620c120-400 320-400 420-40s260 200 380-220v300Z"/>',
  '<path d="M450 120 730 480 450 980 170 480Z"/>',
  '<path d="M180 240h840v90H180ZM260 330h90v340h-90ZM850 330h90v340h-90Z"/>',
];

/** A picture for an example: shapes cut from paper, as an address that holds the drawing itself. */
export function cutShapes(at: number, widthPx: number, heightPx: number): string {
  const n = at % examplePictures;
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${widthPx} ${heightPx}" width="${widthPx}" height="${heightPx}"><path fill="${papers[n]}" d="M0 0h${widthPx}v${heightPx}H0Z"/><g fill="${inks[n]}">${cuts[n]}</g></svg>`;
  return `data:image/svg+xml,${encodeURIComponent(drawing)}`;
}
