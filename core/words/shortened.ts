/** Cut at a word, so that a long title still reads. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  const cut = text.slice(0, most - 1);
  const word = cut.lastIndexOf(' ');
  return `${(word > most / 2 ? cut.slice(0, word) : cut).trimEnd()}…`;
}
