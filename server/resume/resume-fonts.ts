import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fontkit from 'fontkit';
import type { Face, WidthOf } from '#core/resume/layout/set-runs.ts';

/** A font file that holds some letters of a face. */
interface FontFile {
  name: string;
  contents: Buffer;
  font: fontkit.Font;
}

/** Letters that run from right to left, or are joined by rules that are not followed here. */
const runsOtherwise =
  /[\p{sc=Arabic}\p{sc=Hebrew}\p{sc=Syriac}\p{sc=Thaana}\p{sc=Nko}\p{sc=Devanagari}\p{sc=Thai}]/u;

/**
 * What a résumé is set in: for each face some files, of which the first that has a letter draws it. Opened when the first letter is
 * asked for.
 */
export class ResumeFonts {
  readonly #folder: string;
  readonly #names: Record<Face, readonly string[]>;
  readonly #open = new Map<Face, FontFile[]>();
  readonly #widths = new Map<string, number>();

  /** @param folder where the files that the build cut stand */
  constructor(folder: string, names: Record<Face, readonly string[]>) {
    this.#folder = folder;
    this.#names = names;
  }

  files(face: Face): readonly FontFile[] {
    const known = this.#open.get(face);
    if (known) return known;
    const files = this.#names[face].map((name) => {
      const contents = readFileSync(join(this.#folder, name));
      const font = fontkit.create(contents);
      if (!('layout' in font)) throw new Error(`${name} is no font of one face.`);
      return { name, contents, font };
    });
    this.#open.set(face, files);
    return files;
  }

  /** Words as pieces, each of which one file draws; letters that none has are left out, see `missing`. */
  pieces(words: string, face: Face): { file: FontFile; text: string }[] {
    const files = this.files(face);
    const pieces: { file: FontFile; text: string }[] = [];
    for (const letter of words.normalize('NFC')) {
      const point = letter.codePointAt(0) ?? 0;
      const last = pieces.at(-1);
      const file = last?.file.font.hasGlyphForCodePoint(point)
        ? last.file
        : files.find(({ font }) => font.hasGlyphForCodePoint(point));
      if (!file) continue;
      if (last?.file === file) last.text += letter;
      else pieces.push({ file, text: letter });
    }
    return pieces;
  }

  /** Letters of some words that cannot be set: each once, in order. */
  missing(words: string): string[] {
    const files = this.files('regular');
    return [...new Set(words.normalize('NFC'))].filter(
      (letter) =>
        !/\s/u.test(letter) &&
        (runsOtherwise.test(letter) ||
          !files.some(({ font }) => font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0))),
    );
  }

  /** How wide words are at a size of 1; words that were measured once are known. */
  readonly widthOf: WidthOf = (words, face) => {
    const key = `${face} ${words}`;
    const known = this.#widths.get(key);
    if (known !== undefined) return known;
    const width = this.pieces(words, face).reduce(
      (sum, { file: { font }, text }) => sum + font.layout(text).advanceWidth / font.unitsPerEm,
      0,
    );
    if (this.#widths.size > 50_000) this.#widths.clear();
    this.#widths.set(key, width);
    return width;
  };
}
