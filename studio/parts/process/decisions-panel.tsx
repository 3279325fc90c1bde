import { Link, useParams } from 'react-router';
import { en } from '#core/public-words/en.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { PagesWithMoments } from './pages-with-moments.tsx';

/** Below a selected table of decisions: its heading, and of which pages it tells. */
export function DecisionsPanel({ part, page, onChange }: PartPanelProps<'decisions'>) {
  const { site = '' } = useParams();
  return (
    <div className="grid gap-3">
      <Field
        label="Heading of the table"
        hint="if it needs another one"
        placeholder={en.process.decisions}
        value={part.title}
        maxLength={120}
        onChange={({ target }) => onChange({ ...part, title: target.value })}
      />
      <PagesWithMoments page={page} pages={part.pages} onChange={(pages) => onChange({ ...part, pages })} />
      <p className="note">
        A moment stands in it once it says what was decided, for whoever may have the moment.
      </p>
      <p>
        <Button asChild small>
          <Link to={`/${site}/projects/${page.id}/moments`}>Moments of this page</Link>
        </Button>
      </p>
    </div>
  );
}
