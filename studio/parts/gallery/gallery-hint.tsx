import { LayoutGrid } from 'lucide-react';
import { Link } from 'react-router';
import type { PartOf } from '#core/parts/parts.ts';
import { alikeAmong } from '#core/gallery/alike-among.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { useLooks } from '../../materials/use-looks.ts';
import { Button } from '../../ui/button.tsx';

/** More than this many pictures on its page tire readers (common practice: four to eight a project). */
const many = 8;

/** What a maker should know of a gallery, and the way to its contact sheet. */
export function GalleryHint({ part }: { part: PartOf<'gallery'> }) {
  const { state } = useSite();
  const { groups } = useLooks(state.site.id, state.materials);
  const alike = alikeAmong(part.pictures, groups);
  const page = state.pages.filter(isShown).find(({ parts }) => parts.some(({ id }) => id === part.id));
  const shown = new Set(page ? materialsOn(page) : part.pictures);
  const count = state.materials.filter(({ id, kind }) => kind === 'picture' && shown.has(id)).length;
  const words = [
    alike > 0 && `${alike} look alike`,
    count > many && `${count} pictures on this page: readers tire after ${many}`,
  ].filter((one) => one !== false);
  return (
    <>
      <Button asChild small>
        <Link to={`sheet/${part.id}`} relative="path">
          <LayoutGrid size={15} aria-hidden="true" />
          Contact sheet
        </Link>
      </Button>
      {words.length > 0 && <span className="py-0 px-2.5 text-s text-ink-2">{words.join(', ')}</span>}
    </>
  );
}
