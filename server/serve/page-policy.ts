/**
 * Content security policy of a page as readers get it: nothing but this server's own files, the page's one style element,
 * and frames from where its maker placed something.
 *
 * @param styleHash SHA-256 of the style element, base64
 * @param frames origins
 */
export const pagePolicy = ({
  styleHash,
  frames = [],
}: {
  styleHash?: string;
  frames?: readonly string[];
}): string =>
  [
    "default-src 'none'",
    "img-src 'self'",
    "media-src 'self'",
    "font-src 'self'",
    "script-src 'self'",
    `style-src 'self'${styleHash ? ` 'sha256-${styleHash}'` : ''}`,
    ...(frames.length > 0 ? [`frame-src ${frames.join(' ')}`] : []),
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'self'",
  ].join('; ');
