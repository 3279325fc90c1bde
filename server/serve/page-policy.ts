import { frameAncestors, type Framing, noFraming } from '#core/embed/framing.ts';

/**
 * Content security policy of a page as readers get it: nothing but this server's own files, the page's one style element,
 * and frames from where its maker placed something.
 *
 * @param styleHash SHA-256 of the style element, base64
 * @param frames origins
 * @param robots address of the file that search engines ask for first, where they may find the page: what checks a page for
 *   them from inside a browser reads it there. Never from the request: answers are kept, and a request says of itself
 *   whatever host it likes.
 * @param writes a form on it sends to the page itself
 * @param framing where it may be shown inside other pages
 */
export const pagePolicy = ({
  styleHash,
  frames = [],
  robots,
  writes = false,
  framing = noFraming,
}: {
  styleHash?: string;
  frames?: readonly string[];
  robots?: string;
  writes?: boolean;
  framing?: Framing;
}): string =>
  [
    "default-src 'none'",
    "img-src 'self'",
    "media-src 'self'",
    "font-src 'self'",
    "script-src 'self'",
    `style-src 'self'${styleHash ? ` 'sha256-${styleHash}'` : ''}`,
    ...(frames.length > 0 ? [`frame-src ${frames.join(' ')}`] : []),
    ...(robots ? [`connect-src ${robots}`] : []),
    "base-uri 'none'",
    `form-action ${writes ? "'self'" : "'none'"}`,
    `frame-ancestors ${frameAncestors(framing)}`,
  ].join('; ');
