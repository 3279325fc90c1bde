import { createWorker, OEM, type Page, type Worker } from 'tesseract.js';
import type { PageWord } from '#core/materials/document.ts';

/** Letters by the language they are written in, as the data for them is named. What is in another language is read by the first. */
export const lettersOf: Readonly<Record<string, string>> = { en: 'eng', de: 'deu', fr: 'fra', es: 'spa' };

/**
 * Words that are less sure than this, of a hundred, are left out: a photograph of leaves is full of them. An address of mail never is
 * one of those, and is unsure because it is in no language.
 */
const leastSure = 50;
const ofMail = /@|\w\.[a-z]{2,}\W?$/i;
/** A picture that takes longer, in ms, is given up. */
const mostMs = 90_000;
/** What was not used for so long, in ms, is let go: it holds a quarter of a gigabyte. */
const idleMs = 20_000;

const rounded = (share: number): number => Math.round(share * 100_000) / 100_000;

function wordsOf({ blocks }: Page, { width, height }: { width: number; height: number }): PageWord[] {
  const lines = (blocks ?? []).flatMap(({ paragraphs }) => paragraphs.flatMap((one) => one.lines));
  return lines.flatMap((line) =>
    line.words
      .filter(({ confidence, text }) => (confidence >= leastSure || ofMail.test(text)) && text.trim() !== '')
      .map(({ text, bbox: { x0, y0, x1, y1 } }, at) => ({
        ...{ text, startsLine: at === 0 },
        ...{ x: rounded(x0 / width), y: rounded(y0 / height) },
        ...{ width: rounded((x1 - x0) / width), height: rounded((y1 - y0) / height) },
      })),
  );
}

/** Reads words in pictures, one picture at a time, in a thread of its own that is there only while it is needed. */
export class Recogniser {
  readonly #letters: string;
  #worker: { languages: string; ready: Promise<Worker> } | null = null;
  #last: Promise<unknown> = Promise.resolve();
  #idle: NodeJS.Timeout | undefined;

  /** @param letters the folder with what letters look like */
  constructor(letters: string) {
    this.#letters = letters;
  }

  /**
   * @param picture as PNG, upright
   * @param language of its words, as BCP 47 writes it
   * @returns words with their boxes, in reading order; null where it cannot be read
   */
  async words(
    picture: { png: Buffer; width: number; height: number },
    language: string,
  ): Promise<PageWord[] | null> {
    const turn = this.#last.then(() => this.#read(picture, language));
    this.#last = turn.catch(() => null);
    return turn;
  }

  /** Ends the thread; what is being read is given up. */
  async close(): Promise<void> {
    clearTimeout(this.#idle);
    const worker = this.#worker;
    this.#worker = null;
    await worker?.ready.then((one) => one.terminate()).catch(() => null);
  }

  async #read(
    { png, width, height }: { png: Buffer; width: number; height: number },
    language: string,
  ): Promise<PageWord[] | null> {
    clearTimeout(this.#idle);
    let late: NodeJS.Timeout | undefined;
    const given = new Promise<null>((resolve) => {
      late = setTimeout(() => resolve(null), mostMs);
    });
    const read = this.#ready(language)
      .then((worker) => worker.recognize(png, {}, { blocks: true, text: false }))
      .then(({ data }) => wordsOf(data, { width, height }))
      .catch(() => null);
    const words = await Promise.race([read, given]);
    clearTimeout(late);
    // What failed or hangs is not asked again; the next picture gets a new thread.
    if (words === null) await this.close();
    this.#idle = setTimeout(() => void this.close(), idleMs).unref();
    return words;
  }

  async #ready(language: string): Promise<Worker> {
    const own = lettersOf[language.slice(0, 2)] ?? lettersOf['en'] ?? '';
    // Words of two languages on one poster are common, and one of them is English for the most part.
    const languages = [...new Set([lettersOf['en'], own])].join('+');
    if (this.#worker && this.#worker.languages !== languages) await this.close();
    this.#worker ??= {
      languages,
      ready: createWorker(languages, OEM.LSTM_ONLY, {
        langPath: this.#letters,
        gzip: true,
        // Nothing is written where the server happens to stand.
        cacheMethod: 'none',
        errorHandler: () => undefined,
      }),
    };
    return this.#worker.ready;
  }
}
