import { renderToStaticMarkup } from 'react-dom/server';
import { PageView } from '../components/page-view.tsx';
import { CollectedDeclarations, DeclarationsContext } from './declarations.ts';
import { asScriptText, creativeWork } from './creative-work.ts';
import { oembedAddress } from '#core/embed/oembed-address.ts';
import { sharePictureSize } from '#core/look/share-picture.ts';
import { directionOf } from '#core/language/language.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import { personOf } from './person.ts';
import { spokenIn } from './words.ts';
import type { PageInput, SiteAssets } from './page-input.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';

export interface RenderedPage {
  html: string;
  /** The text of the page's one style element; its hash goes into the content security policy. */
  style: string;
  /** Origins of what readers may ask to see in place, sorted; they too go into the content security policy. */
  frames: string[];
  /** Readers can write to the maker on it. */
  writes: boolean;
}

/** What makes a page a preview. No released page has it. */
export interface Notice {
  /** Said above it; null where it is said around it. */
  text: string | null;
  /** Drawn on the screen as it is printed. */
  onPaper?: boolean;
}

const noticeStyle =
  '.preview-notice{position:sticky;top:0;z-index:9;margin:0;padding:.5rem 1rem;background:#1e2430;color:#fff;font:500 .875rem/1.25rem system-ui,sans-serif;text-align:center}@media print{.preview-notice{display:none}}';

/** A part of a page that opens something from elsewhere in place. */
const framesIn = ({ media }: PageInput): string[] => [
  ...new Set(
    Object.values(media)
      .flatMap((ofPart) => Object.values(ofPart))
      .flatMap((medium) =>
        medium.kind === 'link' && medium.frame ? [new URL(medium.frame.url).origin] : [],
      ),
  ),
];

/** What the script says, where it is not English: buttons of strips and of what is shown large. */
function wordsForScript(language: string): string | undefined {
  const {
    language: of,
    play,
    stop,
    previousPicture,
    nextPicture,
    close,
    zoom,
    turn,
    of: which,
  } = wordsFor(language);
  return of === 'en'
    ? undefined
    : JSON.stringify({
        play,
        stop,
        previous: previousPicture,
        next: nextPicture,
        close,
        zoom,
        turn,
        of: which,
      });
}

/**
 * One page as a whole HTML document. Pure: equal inputs give equal bytes. Readable without any script; the one
 * script tag only adds the lightbox and what plays in place.
 *
 * @param notice what is said above it, where it is no released page
 */
export function renderPage(input: PageInput, assets: SiteAssets, notice?: Notice): RenderedPage {
  const declarations = new CollectedDeclarations();
  const spoken = spokenIn(input.siteLanguage, input.page.language);
  const drawn = renderToStaticMarkup(
    <DeclarationsContext value={declarations}>
      <a className="skip" href="#main" {...spoken.frame} {...spoken.lang}>
        {spoken.words.skip}
      </a>
      {notice && notice.text !== null && (
        <aside className="preview-notice" aria-label="Preview">
          {notice.text}
        </aside>
      )}
      <PageView input={input} />
    </DeclarationsContext>,
  );
  // Nobody writes to themselves by a preview: its forms are there to be looked at.
  const body = notice ? drawn.replaceAll('<form class="write"', '<form inert="" class="write"') : drawn;
  const style = declarations.css() + (notice ? noticeStyle : '');
  const { page, path, siteTitle, by, look, toRoot, base, preview, feed } = input;
  const { isFront, isWork } = rulesOfPage(page);
  const told = isWork ? creativeWork(input) : personOf(input);
  const own = page.title.includes(by) ? page.title : `${page.title}, by ${by}`;
  const title = isFront || !page.title ? siteTitle : own;
  const head = renderToStaticMarkup(
    <>
      <meta charSet="utf-8" />
      <meta name="viewport" content="width=device-width, initial-scale=1" />
      <title>{title}</title>
      {page.summary && <meta name="description" content={page.summary} />}
      <meta property="og:title" content={page.title || siteTitle} />
      <meta property="og:site_name" content={siteTitle} />
      <meta property="og:type" content={isWork ? 'article' : 'website'} />
      {page.summary && <meta property="og:description" content={page.summary} />}
      {base && <link rel="canonical" href={base + path} />}
      {base && <meta property="og:url" content={base + path} />}
      {base && <link rel="alternate" type="application/json+oembed" href={oembedAddress(base + path)} />}
      {preview && (
        <>
          <meta property="og:image" content={preview.url} />
          <meta property="og:image:type" content="image/jpeg" />
          <meta property="og:image:width" content={String(sharePictureSize.width)} />
          <meta property="og:image:height" content={String(sharePictureSize.height)} />
          {preview.alt && <meta property="og:image:alt" content={preview.alt} />}
        </>
      )}
      {feed !== null && (
        <link rel="alternate" type="application/atom+xml" title={siteTitle} href={toRoot + feed} />
      )}
      {assets.preloadFonts.map((font) => (
        <link
          key={font}
          rel="preload"
          as="font"
          type="font/woff2"
          href={toRoot + font}
          crossOrigin="anonymous"
        />
      ))}
      <link rel="icon" type="image/svg+xml" href={toRoot + assets.icon} />
      <link rel="stylesheet" href={toRoot + assets.css} />
      <link rel="stylesheet" href={toRoot + assets.printCss} media={notice?.onPaper ? 'all' : 'print'} />
      {style && <style dangerouslySetInnerHTML={{ __html: style }} />}
      {told && <script type="application/ld+json" dangerouslySetInnerHTML={{ __html: asScriptText(told) }} />}
      {/data-(zoom|frame|compare|strip)=/.test(body) && (
        <script type="module" src={toRoot + assets.enhance} data-words={wordsForScript(page.language)} />
      )}
    </>,
  );
  return {
    html: `<!doctype html>\n<html lang="${page.language}" dir="${directionOf(page.language)}" data-theme="${look.theme}"><head>${head}</head><body>${body}</body></html>\n`,
    style,
    frames: framesIn(input).sort(),
    writes: body.includes('<form class="write"'),
  };
}
