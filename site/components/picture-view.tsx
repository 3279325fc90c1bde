import type { Picture } from '../render/picture.ts';
import { useProperties, type Properties } from '../render/declarations.ts';

const srcSet = (toRoot: string, files: { url: string; widthPx: number }[]): string =>
  files.map((file) => `${toRoot}${file.url} ${file.widthPx}w`).join(', ');

/** Focus point as CSS `object-position`. */
export function focusAt(picture: Picture): string {
  return `${Math.round(picture.focus.x * 100)}% ${Math.round(picture.focus.y * 100)}%`;
}

interface PictureViewProps {
  picture: Picture;
  toRoot: string;
  /** How wide the picture stands on the page, in the `sizes` notation of HTML. */
  sizes: string;
  /** The opening is fetched first; everything else waits until it is near. */
  first?: boolean;
  properties?: Properties;
  /** Beside words that say the same, a picture is decoration. */
  decorative?: boolean;
}

/** A picture in the formats and widths there are, with its size kept free while it loads. */
export function PictureView({
  picture,
  toRoot,
  sizes,
  first = false,
  properties = {},
  decorative = false,
}: PictureViewProps) {
  const attach = useProperties();
  const fallback = picture.fallback.at(-1);
  if (!fallback) return null;
  return (
    <picture>
      {picture.sources.map((source) => (
        <source key={source.type} type={source.type} srcSet={srcSet(toRoot, source.files)} sizes={sizes} />
      ))}
      <img
        src={`${toRoot}${fallback.url}`}
        srcSet={picture.fallback.length > 1 ? srcSet(toRoot, picture.fallback) : undefined}
        sizes={picture.fallback.length > 1 ? sizes : undefined}
        width={picture.widthPx}
        height={picture.heightPx}
        alt={decorative ? '' : picture.alt}
        {...attach({ '--tone': picture.colour ?? 'transparent', ...properties })}
        {...(first
          ? { fetchPriority: 'high' as const }
          : { loading: 'lazy' as const, decoding: 'async' as const })}
      />
    </picture>
  );
}
