import { Palette } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { ledgerSum } from '#core/look/ledger-sum.ts';
import { useSite } from '../../api/site-context.tsx';
import { ratioWords } from '../../ui/ratio-words.ts';

/** What the ledger in Look says of all colours, so that whoever checks need not go there to know. */
export function ColoursHold() {
  const { site } = useSite().state;
  const { of, held, tightest } = useMemo(() => ledgerSum(site.look), [site.look]);
  const misses = of - held;
  return (
    <section
      aria-label="Colours"
      className="flex flex-wrap items-start gap-x-4 gap-y-2 border-t border-line pt-3"
    >
      <Palette size={18} aria-hidden="true" className="mt-0.5 flex-none text-ink-3" />
      <p className="min-w-0 flex-[1_1_18rem] text-ink-2">
        {misses > 0
          ? `${misses} of the ${of} pairs of colours of your look do not reach the contrast they need.`
          : `All ${of} pairs of colours of your look reach the contrast they need.`}
        {tightest &&
          ` The tightest reaches ${ratioWords(tightest.ratio)} to 1 and needs ${ratioWords(tightest.needs)}.`}{' '}
        Words over pictures get a veil as dense as that takes.{' '}
        <Link className="link" to={`/${site.id}/look`}>
          The ledger in Look
        </Link>{' '}
        has each.
      </p>
    </section>
  );
}
