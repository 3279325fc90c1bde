import { renderToStaticMarkup } from 'react-dom/server';
import { sharePictureSize } from '#core/look/share-picture.ts';

/** What a page that is shown elsewhere says of itself. */
export interface EmbeddedPage {
  /** Its whole address. */
  url: string;
  title: string;
  /** Of the site it belongs to; empty where it is the same. */
  site: string;
  description: string;
  /** The whole address of its share picture. */
  picture: string | null;
}

/**
 * A card that leads to a page, as HTML to put into another page: a picture and a title, without script and with nothing but
 * style attributes, so that it stands wherever a link may.
 *
 * @param width in CSS pixels
 */
export const cardCode = (page: EmbeddedPage, width: number): string =>
  renderToStaticMarkup(
    <a
      href={page.url}
      style={{
        ...{ display: 'block', maxWidth: width, border: '1px solid #bbb', color: 'inherit' },
        ...{ textDecoration: 'none', overflowWrap: 'anywhere' },
      }}
    >
      {page.picture && (
        <img
          src={page.picture}
          alt=""
          width={width}
          height={Math.round((width * sharePictureSize.height) / sharePictureSize.width)}
          loading="lazy"
          style={{ display: 'block', width: '100%', height: 'auto' }}
        />
      )}
      <strong style={{ display: 'block', padding: '0.75em 1em 0' }}>{page.title}</strong>
      <span style={{ display: 'block', padding: '0.25em 1em 0.75em' }}>{page.description || page.site}</span>
    </a>,
  );

/** The page itself in a frame, as HTML to put into another page. */
export const frameCode = (page: EmbeddedPage, size: { width: number; height: number }): string =>
  renderToStaticMarkup(
    <iframe
      src={page.url}
      title={page.title}
      width={size.width}
      height={size.height}
      loading="lazy"
      allow="fullscreen"
      style={{ border: 0, maxWidth: '100%' }}
    />,
  );
