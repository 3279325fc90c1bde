import type { Manner } from '#core/preview/manner.ts';

/**
 * The content security policy of a page that is previewed as somebody gets it for whom something does not arrive: the browser itself
 * then does what theirs would, and tells of a picture in words or shows what stands there where no script runs.
 */
export function policyInManner(policy: string, { withoutPictures, withoutScript }: Manner): string {
  const seen = withoutPictures
    ? policy.replace("img-src 'self'", "img-src 'none'").replace("media-src 'self'", "media-src 'none'")
    : policy;
  return withoutScript ? `${seen}; sandbox allow-same-origin allow-popups allow-downloads` : seen;
}
