import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fontkit from 'fontkit';
import type { FontPair } from '#core/look/font-pairs.ts';
import type { Lettering, PairLettering } from '#core/look/lettering.ts';

/** Letters that run from right to left, or are joined by rules that what is drawn here does not follow. */
const runsOtherwise =
  /[\p{sc=Arabic}\p{sc=Hebrew}\p{sc=Syriac}\p{sc=Thaana}\p{sc=Nko}\p{sc=Devanagari}\p{sc=Thai}]/u;

/** A piece of words that one of the fonts draws. */
interface Piece {
  font: fontkit.Font;
  words: string;
}

/** Lettering from fonts of one weight, of which each holds some letters: the first that has a letter draws it. */
class FontLettering implements Lettering {
  readonly #open: () => fontkit.Font[];
  /** Between letters, at a size of 1. */
  readonly #track: number;

  constructor(open: () => fontkit.Font[], track: number) {
    this.#open = open;
    this.#track = track;
  }

  #fontFor(letter: string): fontkit.Font | null {
    const point = letter.codePointAt(0) ?? 0;
    return this.#open().find((font) => font.hasGlyphForCodePoint(point)) ?? null;
  }

  #pieces(words: string): Piece[] {
    const pieces: Piece[] = [];
    for (const letter of words.normalize('NFC')) {
      const before = pieces.at(-1);
      // What joins with the letter before it, as an accent does, is asked of the font that drew that.
      const font =
        before?.font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0) === true
          ? before.font
          : this.#fontFor(letter);
      if (!font) continue;
      if (before?.font === font) before.words += letter;
      else pieces.push({ font, words: letter });
    }
    return pieces;
  }

  draws(words: string): boolean {
    return (
      !runsOtherwise.test(words) &&
      [...words.normalize('NFC')].every((letter) => /\s/u.test(letter) || this.#fontFor(letter))
    );
  }

  widthOf(words: string): number {
    return this.#pieces(words).reduce((sum, { font, words: piece }) => {
      const { advanceWidth, glyphs } = font.layout(piece);
      return sum + advanceWidth / font.unitsPerEm + glyphs.length * this.#track;
    }, 0);
  }

  outline(words: string, x: number, y: number, size: number): string {
    let at = x;
    let d = '';
    for (const { font, words: piece } of this.#pieces(words)) {
      const scale = size / font.unitsPerEm;
      const { glyphs, positions } = font.layout(piece);
      for (const [index, glyph] of glyphs.entries()) {
        const { xOffset, yOffset, xAdvance } = positions[index] ?? { xOffset: 0, yOffset: 0, xAdvance: 0 };
        // Fonts count upwards, drawings downwards.
        d += glyph.path.transform(scale, 0, 0, -scale, at + xOffset * scale, y - yOffset * scale).toSVG();
        at += xAdvance * scale + this.#track * size;
      }
    }
    return d;
  }
}

/** Opens a font file when its first letter is asked for: most sites need one pair of eight. */
function opening(folder: string, names: readonly string[]): () => fontkit.Font[] {
  let open: fontkit.Font[] | null = null;
  return () =>
    (open ??= names.map((name) => {
      const font = fontkit.create(readFileSync(join(folder, name)));
      if (!('layout' in font)) throw new Error(`${name} is no font of one face.`);
      return font;
    }));
}

/**
 * The lettering of a pair, from the files that the build cut of it.
 *
 * @param folder where they stand
 */
export function pairLettering(
  folder: string,
  { display, text }: { display: readonly string[]; text: readonly string[] },
  pair: FontPair,
): PairLettering {
  const track = parseFloat(pair.properties['display-track'] ?? '0');
  return {
    display: new FontLettering(opening(folder, display), track),
    text: new FontLettering(opening(folder, text), 0),
  };
}
