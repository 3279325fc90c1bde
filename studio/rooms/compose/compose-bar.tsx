import { ArrowLeft, BookOpen, Monitor, Smartphone, Tablet, Waypoints } from 'lucide-react';
import { Link } from 'react-router';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightChip } from '../../ui/height-control.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { PageState } from '../../ui/page-state.tsx';
import { Segments } from '../../ui/segments.tsx';
import { Button } from '../../ui/button.tsx';

export const pageWidths = [
  { name: 'Desktop', px: null, icon: Monitor },
  { name: 'Tablet', px: 760, icon: Tablet },
  { name: 'Phone', px: 390, icon: Smartphone },
] as const;
export type PageWidth = (typeof pageWidths)[number]['name'];

/** Address at which a page is seen as visitors would get it, by the way most of them come. */
export const seenAt = (site: string, page: Pick<ShownPage, 'id'>): string =>
  `/studio/see/${site}/visitors/${page.id}`;

/** Above a page being composed: which one it is, where it stands, and how wide it is shown. */
export function ComposeBar({
  page,
  width,
  onWidth,
}: {
  page: ShownPage;
  width: PageWidth;
  onWidth: (width: PageWidth) => void;
}) {
  const { state } = useSite();
  return (
    <div className="compose-bar col-[1/4] flex min-w-0 items-center gap-3 border-b border-b-line pr-4 pl-3.5 *:shrink-0 compact:col-1">
      <Button asChild look="bare" small>
        <Link to={`/${state.site.id}/projects`} aria-label="Back to the projects">
          <ArrowLeft size={16} aria-hidden="true" />
          <span className="max-md:hidden">Projects</span>
        </Link>
      </Button>
      {/* When room is short, the title gives way first, and then what stands in a sentence. */}
      <h1 className="min-w-0 shrink! truncate text-xl">{pageName(page)}</h1>
      <span className="flex max-sm:hidden">
        <PageState page={page} />
      </span>
      <span className="flex max-md:hidden">
        <HeightChip effective={effectiveHeight(state, { page: page.id })} />
      </span>
      <span className="ml-auto has-[[role=alert]]:shrink!">
        <SaveWords />
      </span>
      <Segments
        label="Width of the page"
        className="max-md:hidden"
        signsOnly
        value={width}
        options={pageWidths.map(({ name, icon }) => ({ value: name, name, icon }))}
        onChange={onWidth}
      />
      <Button asChild small>
        <Link to="moments">
          <Waypoints size={16} aria-hidden="true" />
          <span className="max-md:sr-only">Moments</span>
        </Link>
      </Button>
      <Button asChild small className="max-md:hidden">
        <a href={seenAt(state.site.id, page)} target="_blank" rel="noreferrer">
          <BookOpen size={16} aria-hidden="true" />
          Read as visitors
        </a>
      </Button>
    </div>
  );
}
