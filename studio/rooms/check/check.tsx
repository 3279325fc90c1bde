import { Eye } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Finding } from '#core/check/finding.ts';
import type { Weight } from '#core/check/noticed.ts';
import { waivedBecause, withoutWaiver, withWaiver } from '#core/check/waiver.ts';
import { inReadingOrder } from '#core/pages/in-reading-order.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import type { Page } from '#core/pages/page.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { useBesides } from '../../check/use-besides.ts';
import { isGoing, useFindings } from '../../check/use-findings.ts';
import { useLeftOf } from '../../check/use-left-of.ts';
import { Button } from '../../ui/button.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { Segments } from '../../ui/segments.tsx';
import { ColoursHold } from './colours-hold.tsx';
import { Lists } from './lists/lists.tsx';
import { LetStandList, type Stands } from './let-stand-list.tsx';
import { PageFindings } from './page-findings.tsx';
import { ReadPictures } from './read-pictures.tsx';
import { GoodOrder } from './good-order.tsx';
import { TryLinks } from './try-links.tsx';
import { SecondLooks } from './second-look/second-looks.tsx';

interface Looked {
  page: Page;
  findings: readonly Finding[];
}

const count = (looked: readonly Looked[], weight: Weight): number =>
  looked.reduce((sum, { findings }) => sum + findings.filter((one) => one.weight === weight).length, 0);

/** The pages of which something of a weight is to be told. */
function List({
  looked,
  weight,
  onMended,
  onWaive,
}: {
  looked: readonly Looked[];
  weight: Weight;
  onMended: () => void;
  onWaive: (finding: Finding, reason: string) => void;
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      {looked.map(({ page, findings }) => (
        <PageFindings
          key={`${weight} ${page.id}`}
          page={page}
          findings={findings.filter((one) => one.weight === weight)}
          onMended={onMended}
          onWaive={onWaive}
        />
      ))}
    </div>
  );
}

const none = {
  needed: 'On the pages that readers get nothing is needed.',
  nice: 'On the pages that readers get there is nothing more to say.',
} as const satisfies Record<Weight, string>;

/** A second pair of eyes: what readers would miss, before they do. */
export function Check() {
  const { state, changeSite } = useSite();
  const { waived } = state.site;
  useBesides();
  const { of, failed } = useFindings();
  const leftOf = useLeftOf();
  const undoNotice = useUndoNotice();
  const standing = useRef<HTMLElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  // What was pressed goes with the finding it stood at.
  const mended = () => heading.current?.focus();
  const { looked, stands } = useMemo(() => {
    const told: Looked[] = [];
    const stood: Stands[] = [];
    for (const page of inReadingOrder(state.pages)) {
      const findings = of.get(page.id);
      if (!findings) continue;
      const reasons = new Map(findings.map((one) => [one, waivedBecause(waived, one)]));
      told.push({ page, findings: findings.filter((one) => reasons.get(one) === null) });
      for (const [finding, reason] of reasons)
        if (reason !== null && reason !== undefined) stood.push({ finding, on: pageName(page), reason });
    }
    return { looked: told, stands: stood };
  }, [of, state.pages, waived]);
  const waive = (finding: Finding, reason: string) => {
    changeSite({ waived: withWaiver(waived, finding, reason) }, 'Something Check noticed let stand');
    undoNotice('It is let stand. The list at the end has it.');
    requestAnimationFrame(() => standing.current?.focus());
  };
  const going = looked.filter(({ page }) => isGoing(state, page.id));
  const kept = looked.filter(({ page }) => !isGoing(state, page.id));
  const [chosen, setChosen] = useState<Weight | null>(null);
  const weight = chosen ?? (count(looked, 'needed') > 0 ? 'needed' : 'nice');
  const good = going.filter(({ findings }) => findings.every((one) => one.weight !== 'needed')).length;
  const looking = of.size === 0 && state.pages.length > 0;
  const keptHas = count(kept, weight);
  return (
    <div className="px-4 pt-5 pb-28 md:px-6">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-3 pb-5">
        <h1 ref={heading} tabIndex={-1}>
          Check
        </h1>
        {!looking && !failed && <GoodOrder good={good} of={going.length} />}
        <SaveWords />
        <Button asChild className="ml-auto">
          <Link to={`/${state.site.id}/check/reading`}>
            <Eye size={18} aria-hidden="true" />
            See it as readers do
          </Link>
        </Button>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-8 gap-y-10 min-[1100px]:grid-cols-[minmax(0,1fr)_20rem]">
        {failed ? (
          <p className="text-base leading-6">
            Your pages could not be looked at in this browser. Reload the page; what you made is not touched.
          </p>
        ) : (
          <div className="grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-6">
            <Segments
              label="What to show"
              className="justify-self-start"
              value={weight}
              // As many as the rail says; what Private pages want is counted where it stands.
              options={[
                { value: 'needed', name: `Needed ${count(going, 'needed')}` },
                { value: 'nice', name: `Nice to have ${count(going, 'nice')}` },
              ]}
              onChange={setChosen}
            />
            <ReadPictures />
            <TryLinks />
            <section aria-labelledby="going" className="grid grid-cols-[minmax(0,1fr)] gap-4">
              <h2 id="going" className="sr-only">
                On the pages that readers get
              </h2>
              {count(going, weight) === 0 && (
                <p className="text-base leading-6 text-ink-2">
                  {looking
                    ? 'Your pages are being looked at.'
                    : going.length === 0
                      ? 'No page is meant for readers yet.'
                      : none[weight]}
                </p>
              )}
              <List looked={going} weight={weight} onMended={mended} onWaive={waive} />
            </section>
            {keptHas > 0 && (
              <section aria-labelledby="kept" className="grid grid-cols-[minmax(0,1fr)] gap-4 pt-4">
                <h2 id="kept" className="text-l">
                  On pages that are Private{' '}
                  <em className="text-s font-plain text-ink-3 not-italic">
                    {plural(keptHas, 'thing')}, for when you show them
                  </em>
                </h2>
                <List looked={kept} weight={weight} onMended={mended} onWaive={waive} />
              </section>
            )}
            <ColoursHold />
            <LetStandList
              stands={stands}
              heading={standing}
              onTell={(finding) =>
                changeSite({ waived: withoutWaiver(waived, finding) }, 'Something Check noticed told again')
              }
            />
          </div>
        )}
        <div className="grid grid-cols-[minmax(0,1fr)] gap-10">
          <SecondLooks />
          <Lists leftOf={leftOf} />
        </div>
      </div>
    </div>
  );
}
