import type { Id } from '../id.ts';
import type { LinkFacts } from '../materials/link.ts';
import type { DocumentFacts } from '../materials/document.ts';
import type { Material, MaterialKind, MaterialOf, PictureFacts } from '../materials/material.ts';
import { shownSize } from '../gallery/fixed-frame.ts';

type Seen<K extends MaterialKind> = Pick<
  MaterialOf<K>,
  'id' | 'kind' | 'title' | 'caption' | 'alt' | 'original' | 'fixes'
>;

/**
 * A material as a reader may know it: no file name, no date, no place, no tags. The original is named so that what is
 * shown can be made from it; it is handed out itself only where a part offers it as a download, or to be played.
 */
export type SeenMaterial =
  | (Seen<'picture'> & {
      /** Size as it is shown, with its fixes. */
      facts: Pick<PictureFacts, 'widthPx' | 'heightPx' | 'colour' | 'frames'>;
    })
  | (Seen<'document'> & { facts: DocumentFacts; shownBy: SeenMaterialOf<'document'> | null })
  | (Seen<'sound'> & Pick<MaterialOf<'sound'>, 'facts' | 'bytes' | 'transcript'>)
  | (Seen<'clip'> &
      Pick<MaterialOf<'clip'>, 'facts' | 'bytes' | 'transcript'> & {
        shownBy: SeenMaterialOf<'picture'> | null;
      })
  | (Seen<'link'> &
      Pick<MaterialOf<'link'>, 'transcript'> & {
        facts: Omit<LinkFacts, 'readAt' | 'movedTo'>;
        shownBy: SeenMaterialOf<'picture'> | null;
      });
export type SeenMaterialOf<K extends MaterialKind> = Extract<SeenMaterial, { kind: K }>;

type Known = ReadonlyMap<Id, Material>;

/** The material that shows another one; nothing is followed further than this one step. */
function seenShower({ id, shownBy }: Material, known: Known): SeenMaterial | null {
  const shower = shownBy === null || shownBy === id ? undefined : known.get(shownBy);
  return shower ? seenMaterial({ ...shower, shownBy: null }, known) : null;
}

/** The picture that stands for a clip or a link. */
function seenStill(material: Material, known: Known): SeenMaterialOf<'picture'> | null {
  const still = seenShower(material, known);
  return still?.kind === 'picture' ? still : null;
}

const words = <K extends MaterialKind>(material: MaterialOf<K>) => {
  const { id, title, caption, alt, original, fixes } = material;
  return { id, title, caption, alt, original, fixes };
};

/** What readers may know of each kind of material, member by member. A kind that does not say is not shown. */
const seenOf: { [K in MaterialKind]: (material: MaterialOf<K>, known: Known) => SeenMaterial | null } = {
  picture: (material) => {
    const { colour, frames } = material.facts;
    return {
      ...words(material),
      kind: 'picture',
      facts: { ...shownSize(material.facts, material.fixes), colour, frames },
    };
  },
  document: (material, known) => {
    const { format, pages, words: count } = material.facts;
    const pdf = seenShower(material, known);
    const shownBy = pdf?.kind === 'document' && pdf.facts.format === 'pdf' ? pdf : null;
    return { ...words(material), kind: 'document', facts: { format, pages, words: count }, shownBy };
  },
  sound: (material) => {
    const { format, seconds } = material.facts;
    const { bytes, transcript } = material;
    return { ...words(material), kind: 'sound', facts: { format, seconds }, bytes, transcript };
  },
  clip: (material, known) => {
    const { format, seconds, widthPx, heightPx } = material.facts;
    const { bytes, transcript } = material;
    return {
      ...words(material),
      kind: 'clip',
      facts: { format, seconds, widthPx, heightPx },
      bytes,
      transcript,
      shownBy: seenStill(material, known),
    };
  },
  link: (material, known) => {
    const { format, url, state, title, description, site, picture, framing, player } = material.facts;
    return {
      ...words(material),
      kind: 'link',
      facts: { format, url, state, title, description, site, picture, framing, player },
      transcript: material.transcript,
      shownBy: seenStill(material, known),
    };
  },
  // Its maker's alone; on a page it becomes words.
  note: () => null,
};

/** What readers may know of a material; null for one that is its maker's alone, and for a kind that nobody knows. */
export function seenMaterial(material: Material, known: Known): SeenMaterial | null {
  if (!Object.hasOwn(seenOf, material.kind)) return null;
  const seen = seenOf[material.kind] as (one: Material, known: Known) => SeenMaterial | null;
  return seen(material, known);
}
