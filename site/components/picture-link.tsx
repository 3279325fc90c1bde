import type { ReactNode } from 'react';
import { hostOf } from '#core/links/host-of.ts';
import type { Picture } from '../render/picture.ts';
import { useSpoken } from '../render/words.ts';
import { LargeLink } from './large-link.tsx';

interface PictureLinkProps {
  /** Where its maker wants it to lead; empty: it opens large. */
  link: string;
  picture: Picture;
  toRoot: string;
  children: ReactNode;
}

/** What a click on a picture does. Its alt text says what is seen; where the link leads is said in words below. */
export function PictureLink({ link, picture, toRoot, children }: PictureLinkProps) {
  const { words } = useSpoken();
  if (link === '')
    return (
      <LargeLink picture={picture} toRoot={toRoot}>
        {children}
      </LargeLink>
    );
  const leads = words.leadsTo(hostOf(link) ?? link);
  return (
    <a className="picture-link" href={link} aria-label={picture.alt ? `${picture.alt} ${leads}.` : leads}>
      {children}
      <span className="leads-to" aria-hidden="true">
        {leads}
      </span>
    </a>
  );
}
