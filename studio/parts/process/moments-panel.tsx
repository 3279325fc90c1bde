import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Id } from '#core/id.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { PagesWithMoments } from './pages-with-moments.tsx';

interface MomentsPanelProps {
  /** What the part is called, as it goes on after “Heading of the”. */
  of: string;
  /** What stands there without a heading of its own. */
  usual: string;
  page: ShownPage;
  title: string;
  pages: readonly Id[] | null;
  onTitle: (title: string) => void;
  onPages: (pages: Id[] | null) => void;
  /** What else can be set, above the pages and below them. */
  above?: ReactNode;
  below: ReactNode;
}

/** What can be set of every part that draws moments: its heading and of which pages; and the way to where they are tied. */
export function MomentsPanel({
  of,
  usual,
  page,
  title,
  pages,
  onTitle,
  onPages,
  above,
  below,
}: MomentsPanelProps) {
  const { site = '' } = useParams();
  return (
    <div className="grid gap-3">
      <Field
        label={`Heading of the ${of}`}
        hint="if it needs another one"
        placeholder={usual}
        value={title}
        maxLength={120}
        onChange={({ target }) => onTitle(target.value)}
      />
      {above}
      <PagesWithMoments page={page} pages={pages} onChange={onPages} />
      {below}
      <p>
        <Button asChild small>
          <Link to={`/${site}/projects/${page.id}/moments`}>Moments of this page</Link>
        </Button>
      </p>
    </div>
  );
}
