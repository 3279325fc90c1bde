import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { listPasses } from '#contract/passes.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { passStateAt } from '../../api/pass-state-now.ts';
import { passesKey } from '../../api/passes-key.ts';
import { useSite } from '../../api/site-context.tsx';
import { useSecondLooks } from '../../api/use-second-looks.ts';
import { Button } from '../../ui/button.tsx';

/** Links made for somebody, in short: the room behind it has each. */
export function PassesSection() {
  const { state } = useSite();
  const site = state.site.id;
  const { data } = useQuery({
    queryKey: passesKey(site),
    queryFn: () => call(listPasses, { params: { site } }),
  });
  const { data: looked } = useSecondLooks(site);
  const lookers = looked?.looks.filter(({ link }) => link !== null).map(({ who }) => who) ?? [];
  const now = new Date();
  const passes = data?.passes ?? [];
  const open = passes.filter((pass) => passStateAt(pass, now) === 'open');
  return (
    <section aria-labelledby="passes" className="grid content-start gap-2">
      <h2 id="passes" className="text-[1.0625rem]">
        Passes
      </h2>
      <p className="note">
        {passes.length === 0
          ? 'A pass is a link for somebody: from a day, until a day, with a password if you like.'
          : `${plural(passes.length, 'pass', 'passes')}, ${open.length} open now: ${open
              .slice(0, 3)
              .map(({ label }) => label)
              .join(', ')}${open.length > 3 ? ' and others' : ''}`.replace(/: $/, '')}
      </p>
      <p>
        <Button asChild>
          <Link to="passes">{passes.length === 0 ? 'Make a pass' : 'All passes, and new ones'}</Link>
        </Button>
      </p>
      {lookers.length > 0 && (
        <p className="note">
          Your draft is open to {lookers.join(', ')}, for a second look.{' '}
          <Link className="link" to={`/${site}/check`}>
            Read it in Check
          </Link>
        </p>
      )}
    </section>
  );
}
