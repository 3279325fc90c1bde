/** The two cuts of letters that a résumé is set in. */
export type Face = 'regular' | 'strong';

/** How wide words are at a size of 1. */
export type WidthOf = (words: string, face: Face) => number;

/** Words of one kind, one after the other with others. */
export interface Run {
  text: string;
  face: Face;
  /** Where they lead. */
  link?: string | null;
}

/** A run, or a piece of one, where it stands on a line. */
export interface SetRun extends Run {
  /** From where the line begins. */
  x: number;
  width: number;
}

/** A word or what stands between two, from one run. */
interface Piece {
  run: Run;
  text: string;
  width: number;
  isSpace: boolean;
}

/** Cuts a word that is wider than a line, as often as it takes; at least one character stands on each. */
function cut(piece: Piece, most: number, measure: (text: string) => number): Piece[] {
  const pieces: Piece[] = [];
  let text = '';
  for (const letter of piece.text) {
    if (text !== '' && measure(text + letter) > most) {
      pieces.push({ ...piece, text, width: measure(text) });
      text = '';
    }
    text += letter;
  }
  return [...pieces, { ...piece, text, width: measure(text) }];
}

/**
 * Sets runs of words in lines: as many words on each as it holds, broken between words, and within one only where it is wider than
 * a line.
 *
 * @param most how wide lines are, at least as wide as a character
 * @returns at least one line, also of no words
 */
export function setRuns(runs: readonly Run[], most: number, sizePt: number, widthOf: WidthOf): SetRun[][] {
  const lines: Piece[][] = [[]];
  let used = 0;
  const put = (pieces: readonly Piece[]) => {
    for (const piece of pieces) {
      lines.at(-1)?.push(piece);
      used += piece.width;
    }
  };
  const next = () => {
    lines.push([]);
    used = 0;
  };
  for (const word of wordsOf(runs, sizePt, widthOf)) {
    const width = word.reduce((sum, piece) => sum + piece.width, 0);
    // No line begins with a space.
    if (word[0]?.isSpace) put(used > 0 ? word : []);
    else if (width <= most) {
      if (used + width > most && used > 0) next();
      put(word);
    } else
      for (const piece of word) {
        const measure = (text: string) => widthOf(text, piece.run.face) * sizePt;
        for (const cutOff of cut(piece, most, measure)) {
          if (used + cutOff.width > most && used > 0) next();
          put([cutOff]);
        }
      }
  }
  return lines.map((pieces) => joined(withoutEnd(pieces)));
}

/** Words and the spaces between them; a word may be of several runs, as one in brackets that leads somewhere is. */
function wordsOf(runs: readonly Run[], sizePt: number, widthOf: WidthOf): Piece[][] {
  const words: Piece[][] = [];
  for (const run of runs) {
    const measure = (text: string) => widthOf(text, run.face) * sizePt;
    for (const text of run.text.split(/([ \t\n]+)/).filter((one) => one !== '')) {
      const isSpace = /^[ \t\n]/.test(text);
      const said = isSpace ? ' ' : text;
      const piece = { run, text: said, width: measure(said), isSpace };
      const last = words.at(-1);
      if (last && !isSpace && !last[0]?.isSpace) last.push(piece);
      else words.push([piece]);
    }
  }
  return words;
}

/** What stands at the end of a line and is not seen. */
const withoutEnd = (pieces: readonly Piece[]): readonly Piece[] => {
  const last = pieces.findLastIndex(({ isSpace }) => !isSpace);
  return pieces.slice(0, last + 1);
};

/** Pieces of one run that follow each other, as one. */
function joined(pieces: readonly Piece[]): SetRun[] {
  const runs: (SetRun & { of: Run })[] = [];
  let x = 0;
  for (const { run, text, width } of pieces) {
    const last = runs.at(-1);
    if (last?.of === run) {
      last.text += text;
      last.width += width;
    } else runs.push({ ...run, of: run, text, x, width });
    x += width;
  }
  return runs.map(({ of: _, ...run }) => run);
}
