/** How wide words are, in letters: signs that fill a square count as two. */
export const widthInLetters = (words: string): number =>
  [...words].reduce(
    (sum, sign) => sum + (/[\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Hangul}]/u.test(sign) ? 2 : 1),
    0,
  );
