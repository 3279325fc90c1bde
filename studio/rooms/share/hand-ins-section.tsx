import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { listHandIns } from '#contract/hand-ins.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';

/** Hand-ins in short: the room behind it has each. */
export function HandInsSection() {
  const { state } = useSite();
  const site = state.site.id;
  const { data } = useQuery({
    queryKey: ['hand-ins', site, state.live.release?.number, state.revision],
    queryFn: () => call(listHandIns, { params: { site } }),
  });
  const handIns = data?.handIns ?? [];
  const open = handIns.filter(({ handedAt }) => handedAt === null).length;
  const warned = handIns.filter(({ warnings }) => warnings.length > 0).length;
  return (
    <section aria-labelledby="hand-ins" className="grid content-start gap-2">
      <h2 id="hand-ins" className="text-[1.0625rem]">
        Hand-ins
      </h2>
      <p className="note">
        {handIns.length === 0
          ? 'Where a link is handed in, until when, and what was live then.'
          : `${plural(handIns.length, 'hand-in')}, ${open} still to do.`}
      </p>
      {warned > 0 && (
        <p className="text-s font-firm text-straw-ink">
          {warned === 1 ? '1 of them wants a look' : `${warned} of them want a look`}.
        </p>
      )}
      <p>
        <Button asChild>
          <Link to="hand-ins">{handIns.length === 0 ? 'Add a hand-in' : 'All hand-ins, and new ones'}</Link>
        </Button>
      </p>
    </section>
  );
}
