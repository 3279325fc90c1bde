import { Link } from 'react-router';
import { useSite } from '../api/site-context.tsx';
import { Button } from '../ui/button.tsx';

/** In the room of a page that was deleted meanwhile. */
export function GonePage() {
  const { site } = useSite().state;
  return (
    <div className="grid gap-3 p-6">
      <h1>This page is not here any more</h1>
      <p>It was deleted. Undo in the strip above brings it back.</p>
      <p>
        <Button asChild>
          <Link to={`/${site.id}/projects`}>To the projects</Link>
        </Button>
      </p>
    </div>
  );
}
