import { Link } from 'react-router';
import { Button } from '../../ui/button.tsx';

/** The way to the room of visits. */
export const VisitsSection = () => (
  <section aria-labelledby="visits" className="grid content-start gap-2">
    <h2 id="visits" className="text-[1.0625rem]">
      Visits
    </h2>
    <p className="note">How often each page was opened, by which link. Nothing of who it was is kept.</p>
    <p>
      <Button asChild>
        <Link to="visits">See the visits</Link>
      </Button>
    </p>
  </section>
);
