import type { ReactNode } from 'react';
import { textureDrawings } from '#core/look/texture-drawings.ts';
import { passingVeil } from '#core/look/words-over.ts';
import { type GroundVeil, veilOfGround } from '#core/look/veil-of-ground.ts';
import { veilColours } from '#core/look/veil.ts';
import { type Ground, picturesOfGround } from '#core/parts/ground.ts';
import { type Properties, useProperties } from '../render/declarations.ts';
import type { PageInput } from '../render/page-input.ts';
import type { Picture } from '../render/picture.ts';
import { Caption } from './caption.tsx';
import { focusAt, PictureView } from './picture-view.tsx';

/** A picture that something lies on, behind as much of the page's colour as that needs; it says nothing. */
function Under({ picture, veil, toRoot }: { picture: Picture; veil: GroundVeil; toRoot: string }) {
  const attach = useProperties();
  return (
    <div {...attach({ '--veil': veil.light, '--veil-dark': veil.dark }, 'under')} aria-hidden="true">
      <PictureView
        picture={picture}
        toRoot={toRoot}
        sizes="100vw"
        properties={{ '--focus-at': focusAt(picture) }}
        decorative
      />
    </div>
  );
}

/** The picture that a whole page lies on, where its look has one. */
export function PageGround({ input: { look, groundPicture, toRoot } }: { input: PageInput }) {
  if (!groundPicture) return null;
  const veil = veilOfGround(groundPicture.light, look, 'page');
  return <Under picture={groundPicture} veil={veil} toRoot={toRoot} />;
}

interface BandProps {
  ground: Ground;
  input: PageInput;
  /** How far below what stands above, in lines. */
  space: number;
  /** Parts pass over its pictures; else they lie one below the other, as on paper. */
  passes: boolean;
  children: ReactNode;
}

/** A ground of its own, with the parts that lie on it. */
export function Band({ ground, input, space, passes, children }: BandProps) {
  const attach = useProperties();
  const { pictures, look, toRoot } = input;
  const shown = picturesOfGround(ground).flatMap((id) => pictures[id] ?? []);
  const before: Properties = { '--before': space };
  if (ground.kind === 'passing') {
    if (shown.length === 0) return children;
    const veil = passingVeil(shown, look);
    const { words, shade } = veilColours[veil.words];
    const other = veilColours[veil.words === 'light' ? 'dark' : 'light'].words;
    const properties = {
      ...before,
      ...{ '--over': words, '--under': other, '--shade-rgb': shade, '--shade': veil.alpha },
    };
    return (
      <div
        {...attach(properties, passes ? 'band passing passes' : 'band passing')}
        data-side={ground.side}
        data-pictures={shown.length}
      >
        <div className="standing">
          {shown.map((picture) => (
            <figure key={picture.id} className="on-grid">
              <div className="stand">
                <PictureView
                  picture={picture}
                  toRoot={toRoot}
                  sizes="100vw"
                  properties={{ '--focus-at': focusAt(picture) }}
                />
              </div>
              <Caption picture={picture} />
            </figure>
          ))}
        </div>
        <div className="goes-by">{children}</div>
      </div>
    );
  }
  const [picture] = shown;
  const name = ground.kind === 'colour' ? ground.colour : ground.kind;
  // A picture that is not there any more, or that this reader does not get, leaves the page itself.
  if (ground.kind === 'picture' && !picture) return children;
  const properties: Properties = before;
  if (ground.kind === 'texture') properties['--texture'] = textureDrawings[ground.texture];
  return (
    <div {...attach(properties, ground.wide ? 'band' : 'band within')} data-ground={name}>
      {picture && (
        <Under picture={picture} veil={veilOfGround(picture.light, look, 'parts')} toRoot={toRoot} />
      )}
      {children}
    </div>
  );
}
