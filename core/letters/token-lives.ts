/** How long what stands in a mail works, in ms and in words. */
export const tokenLives = {
  confirm: { ms: 7 * 24 * 60 * 60 * 1000, words: 'a week' },
  reset: { ms: 60 * 60 * 1000, words: 'an hour' },
} as const;
