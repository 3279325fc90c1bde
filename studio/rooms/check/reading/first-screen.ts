import { wordCount } from '#core/preview/ten-seconds.ts';
import { type SpokenLine, spokenLines } from './spoken-lines.ts';

/** What stands on the screen before anything is scrolled. */
export interface FirstScreen {
  headings: string[];
  words: number;
  pictures: string[];
  /** Where one can go from there. */
  ways: string[];
}

/** Reads the first screen of a page that is not scrolled. */
export function firstScreen(page: Document): FirstScreen {
  const height = page.defaultView?.innerHeight ?? 0;
  const seen = spokenLines(page).filter(({ kind, element }) => {
    if (kind === 'landmark' || kind === 'list') return false;
    const { top, bottom, width } = element.getBoundingClientRect();
    return width > 1 && bottom > 0 && top < height;
  });
  const texts = (kind: SpokenLine['kind']) => seen.filter((one) => one.kind === kind).map(({ text }) => text);
  const said = seen.filter(({ kind }) => kind === 'words' || kind === 'heading' || kind === 'link');
  return {
    headings: texts('heading'),
    words: said.reduce((sum, { text }) => sum + wordCount(text, page.documentElement.lang || 'en'), 0),
    pictures: texts('picture'),
    ways: texts('link'),
  };
}
