/** What the script says: English, unless the page brings its own. */
const english = {
  play: 'Play',
  stop: 'Stop',
  previous: 'Before',
  next: 'Next',
  close: 'Close',
  zoom: 'Zoom',
  turn: 'Turn by a quarter',
  of: '1 of 4',
};

const brought = document.querySelector<HTMLScriptElement>('script[data-words]')?.dataset['words'];
export const words: typeof english = brought ? { ...english, ...(JSON.parse(brought) as object) } : english;

/** Which of how many, in words: the sentence's two numbers stand for them. */
export const which = (at: number, count: number): string =>
  words.of.replace(/[14]/g, (sign) => String(sign === '1' ? at : count));
