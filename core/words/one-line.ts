/** A text as one line: breaks become blanks, and no blank stands beside another where a break was. */
export const oneLine = (text: string): string =>
  text.includes('\n')
    ? text
        .split('\n')
        .map((line, at, all) =>
          at === 0 ? line.trimEnd() : at === all.length - 1 ? line.trimStart() : line.trim(),
        )
        .filter((line, at, all) => line !== '' || at === 0 || at === all.length - 1)
        .join(' ')
    : text;
