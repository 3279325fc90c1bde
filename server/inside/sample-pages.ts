import PDFDocument from 'pdfkit';
import { fakerEN_GB } from '@faker-js/faker';
import { buffer } from 'node:stream/consumers';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import type { InsideKind } from '#core/personal/inside.ts';
import { sampleCorpus } from '#core/personal/sample-corpus.ts';
import { drawPage } from '../documents/draw-page.ts';
import { withPdf } from '../documents/pdfium.ts';
import { fromRaw } from '../media/raw-pixels.ts';

export interface SampleLine {
  /** What was planted, or null in a trap. */
  kind: InsideKind | null;
  text: string;
  /** Where it stands, from the upper edge of the page, as shares of its height. */
  top: number;
  bottom: number;
}

export interface SamplePage {
  language: string;
  lines: SampleLine[];
  pdf: Buffer;
}

const size = { width: 420, height: 595 };
const linesAPage = 7;

async function pageOf(language: string, texts: readonly Pick<SampleLine, 'kind' | 'text'>[]) {
  const pdf = new PDFDocument({ size: [size.width, size.height], margin: 30 });
  pdf.font('Helvetica').fontSize(13);
  const lines = texts.map(({ kind, text }): SampleLine => {
    const top = pdf.y / size.height;
    pdf.text(text);
    const bottom = pdf.y / size.height;
    pdf.moveDown(0.8);
    return { kind, text, top, bottom };
  });
  pdf.end();
  return { language, lines, pdf: await buffer(pdf) };
}

/**
 * Pages with something planted in some lines and with what only looks like it in others: the words of `sampleCorpus`, set by a library
 * that knows nothing of what reads them (pdfkit); number plates by `@faker-js/faker`.
 *
 * @param seed of its chance
 * @param each how many of every sort
 */
export async function samplePages(seed: number, each: number): Promise<SamplePage[]> {
  fakerEN_GB.seed(seed);
  // A sentence less than in the words alone: a poster has no more.
  const texts = sampleCorpus(seed, each).map(({ language, kind, text }) => ({ language, kind, text }));
  const plates = Array.from({ length: each * 5 }, () => ({
    ...{ language: 'en', kind: 'plate' as const },
    text: `${fakerEN_GB.lorem.words(3)} ${fakerEN_GB.vehicle.vrm().replace(/(?=[A-Z]{3}$)/, ' ')}`,
  }));
  const pages: Promise<SamplePage>[] = [];
  for (const language of ['en', 'de', 'fr', 'es']) {
    const ofIt = fakerEN_GB.helpers.shuffle([...texts, ...plates].filter((one) => one.language === language));
    for (let from = 0; from < ofIt.length; from += linesAPage)
      pages.push(pageOf(language, ofIt.slice(from, from + linesAPage)));
  }
  return Promise.all(pages);
}

export interface SamplePicture {
  /** As PNG, upright. */
  png: Buffer;
  width: number;
  height: number;
  /** How the page lies in it: its upper edge and its height, as shares of the picture's. */
  lies: { top: number; height: number };
  how: (typeof hows)[number];
}

/** How crooked a photographed page lies, in degrees. */
const crooked = 1.2;

const hows = ['scanned', 'photographed', 'small', 'on a photograph'] as const;

/** A page as a picture: by turns as a scanner gives it, crooked and grainy, small, or lying on a photograph. */
export async function asPicture({ pdf }: SamplePage, at: number): Promise<SamplePicture> {
  const how = hows[at % hows.length] ?? 'scanned';
  const widthPx = how === 'small' ? 750 : 1240;
  const drawn = await withPdf(
    `sample ${pdf.length} ${at}`,
    () => Promise.resolve(pdf),
    (open) => drawPage(open, 0, { widthPx, heightPx: Math.round((widthPx * size.height) / size.width) }),
  );
  const jpeg = (picture: Sharp, quality: number) => picture.jpeg({ quality }).toBuffer();
  const plain = fromRaw(drawn);
  const made = await (async () => {
    if (how === 'photographed')
      return jpeg(
        sharp(await plain.blur(0.8).linear(0.75, 20).png().toBuffer()).rotate(crooked, {
          background: '#777',
        }),
        70,
      );
    if (how === 'on a photograph') {
      const photo = join(import.meta.dirname, '../../demo/pictures/tide-clock/05-dial-on-bench.jpg');
      const page = await plain.png().toBuffer();
      const top = Math.round(drawn.height * 0.125);
      return jpeg(
        sharp(photo)
          .resize(drawn.width * 1.5, drawn.height + top * 2, { fit: 'cover' })
          .composite([{ input: page, left: Math.round(drawn.width * 0.25), top }]),
        80,
      );
    }
    return jpeg(plain, how === 'small' ? 60 : 80);
  })();
  const { data, info } = await sharp(made).greyscale().png().toBuffer({ resolveWithObject: true });
  const straight = (drawn.height * Math.cos((crooked * Math.PI) / 180)) / info.height;
  const lies = {
    scanned: { top: 0, height: 1 },
    small: { top: 0, height: 1 },
    photographed: { top: 0.5 - straight / 2, height: straight },
    'on a photograph': { top: 0.1, height: 0.8 },
  }[how];
  return { png: data, width: info.width, height: info.height, lies, how };
}
