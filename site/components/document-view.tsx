import type { PublicWords } from '#core/public-words/public-words.ts';
import type { DocumentMedium } from '../render/medium.ts';
import { useSpoken } from '../render/words.ts';
import { LargeLink } from './large-link.tsx';
import { PictureView } from './picture-view.tsx';
import { WordsView } from './words-view.tsx';

/** Pages shown at once; a longer document opens the others on request. */
const shownAtOnce = 3;
const pageSizes = '(min-width: 1344px) 330px, (min-width: 704px) 24vw, 30vw';

const formatNames = (words: PublicWords): Record<string, string> => ({
  pdf: 'PDF',
  docx: words.wordDocument,
  odt: words.openDocument,
  markdown: 'Markdown',
  text: words.plainText,
  pptx: words.slides('PPTX'),
  odp: words.slides('ODP'),
});

function Pages({ pages, toRoot }: { pages: DocumentMedium['pages']; toRoot: string }) {
  const { words, lang } = useSpoken();
  return (
    <ol className="pages">
      {pages.map(({ picture, text }) => (
        <li key={picture.id}>
          <LargeLink picture={picture} toRoot={toRoot}>
            <PictureView picture={picture} toRoot={toRoot} sizes={pageSizes} />
          </LargeLink>
          {text && (
            <details>
              <summary {...lang}>{words.wordsOfPage}</summary>
              <p className="page-words">{text}</p>
            </details>
          )}
        </li>
      ))}
    </ol>
  );
}

/** A document in place: its pages, or its words. Whatever is shown travels with the page; nobody is asked for rights. */
export function DocumentView({ medium, toRoot }: { medium: DocumentMedium; toRoot: string }) {
  const { title, caption, pages, pieces, download, format, slides } = medium;
  const { words, lang } = useSpoken();
  const count = pages.length;
  const bare = count === 0 && pieces.length === 0;
  return (
    <section
      className={bare ? 'on-grid document bare' : 'on-grid document'}
      aria-label={title || words.document}
    >
      <header>
        {title && <h2>{title}</h2>}
        <p className="meta" {...lang}>
          {formatNames(words)[format] ?? format}
          {count > 1 && `, ${words.pages(count)}`}
          {bare && slides && `, ${words.toDownload}`}
          {download && (
            <>
              {' '}
              <a href={toRoot + download} download>
                {words.download}
              </a>
            </>
          )}
        </p>
        {caption && <p>{caption}</p>}
      </header>
      {count > 0 && (
        <div className="all-pages">
          <Pages pages={pages.slice(0, shownAtOnce)} toRoot={toRoot} />
          {count > shownAtOnce && (
            <details className="more-pages">
              <summary {...lang}>{words.otherPages(count - shownAtOnce)}</summary>
              <Pages pages={pages.slice(shownAtOnce)} toRoot={toRoot} />
            </details>
          )}
        </div>
      )}
      {pieces.length > 0 && (
        <div className="sheet-of-words">
          {pieces.map((piece, at) =>
            piece.type === 'words' ? (
              <WordsView key={at} text={piece.text} />
            ) : (
              <figure key={at}>
                <LargeLink picture={piece.picture} toRoot={toRoot}>
                  <PictureView picture={piece.picture} toRoot={toRoot} sizes={pageSizes} />
                </LargeLink>
              </figure>
            ),
          )}
        </div>
      )}
    </section>
  );
}
