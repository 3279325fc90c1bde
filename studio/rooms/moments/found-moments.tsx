import { useMemo, useState } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { Id } from '#core/id.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import { usedMaterials } from '#core/materials/where-used.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { joinedProposals, type ProposedMoment, proposedMoments } from '#core/moments/proposed-moments.ts';
import { shapedProposals } from '#core/moments/shaped-proposals.ts';
import { splitProposal } from '#core/moments/split-proposal.ts';
import { apartMs, timesLonger, togetherMs } from '#core/moments/time-clusters.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { useLooks } from '../../materials/use-looks.ts';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import type { MomentSteps } from './use-moments.ts';

const hour = 3600_000;

/** Why one ends and the next begins, in words. */
function partedBy({ after }: ProposedMoment): string {
  if (!after) return '';
  const hours = Math.round(after.gapMs / hour);
  const long = hours < 48 ? plural(hours, 'hour') : plural(Math.round(hours / 24), 'day');
  return after.why === 'long' ? `${long} after the one before` : `after a pause of ${long}`;
}

/** Moments found in dated pictures and files of a page, each for a yes. */
export function FoundMoments({
  page,
  steps,
  onShow,
}: {
  page: ShownPage;
  steps: MomentSteps;
  onShow: (id: Id) => void;
}) {
  const { state } = useSite();
  const undoNotice = useUndoNotice();
  const [loose, setLoose] = useState(false);
  // What its maker put together or took apart, before taking it.
  const [shaped, setShaped] = useState<readonly ProposedMoment[]>([]);
  const pictures = useMemo(() => state.materials.filter(({ kind }) => kind === 'picture'), [state.materials]);
  const looks = useLooks(state.site.id, pictures);
  const known = useMemo(() => materialsById(state.materials), [state.materials]);
  const proposals = useMemo(() => {
    const here = new Set(materialsOn(page));
    const used = usedMaterials(state.pages);
    const moments = momentsOf(page.parts);
    if (!looks.isKnown) return [];
    return proposedMoments(
      state.materials.filter(
        ({ id, project, kind }) =>
          kind !== 'note' && (here.has(id) || project === page.id || (loose && !used.has(id))),
      ),
      moments,
      looks.groups,
      new Set(state.site.notMoments),
    );
  }, [page, state.materials, state.pages, state.site.notMoments, looks.groups, looks.isKnown, loose]);
  const found = shapedProposals(proposals, shaped);
  const take = (taken: readonly ProposedMoment[]) => {
    const first = steps.take(taken);
    if (first !== null) onShow(first);
    undoNotice(taken.length === 1 ? 'Kept.' : `${plural(taken.length, 'moment')} kept.`);
  };
  const joins = found.filter((one) => one.joins !== null).length;
  return (
    <section aria-labelledby="found-moments" className="grid content-start gap-3 bg-sunk px-4 py-4">
      <header>
        <h2 id="found-moments" className="text-l">
          Found in your photos
        </h2>
        <p className="note" role="status">
          {!looks.isKnown
            ? 'Comparing your pictures.'
            : found.length === 0
              ? 'Nothing new: what is dated to the day is in a moment, or was put aside.'
              : `${plural(found.length, 'moment')} proposed: ${found.length - joins} new, ${joins} that join one you have.`}
        </p>
      </header>
      <CheckField name="Also what is on no page yet" checked={loose} onChange={setLoose} />
      <ol className="grid gap-2">
        {found.map((one, at) => {
          const [front] = one.materials;
          const material = known.get(front ?? '');
          const joined = momentsOf(page.parts).find(({ id }) => id === one.joins);
          return (
            <li key={one.key} className="found-moment">
              {material ? (
                <MaterialPicture material={material} alt="" className="h-14 w-18 object-cover" shows="sign" />
              ) : (
                <span />
              )}
              <div className="min-w-0">
                <p className="font-firm">{roughDateForReaders(one.date, 'en')}</p>
                <p className="note">
                  {plural(one.materials.length, 'thing')}
                  {one.alike.length > 0 && `, ${one.alike.length} more look alike`}
                  {joined && `, joins ${joined.title || 'a moment of that day'}`}
                </p>
                <p className="note">{partedBy(one)}</p>
                <p className="flex flex-wrap gap-x-3">
                  {at > 0 && (
                    <button
                      type="button"
                      className="link"
                      onClick={() => {
                        const before = found[at - 1];
                        if (before)
                          setShaped(
                            found.flatMap((other, n) =>
                              n === at - 1 ? [joinedProposals(before, one)] : n === at ? [] : [other],
                            ),
                          );
                      }}
                    >
                      With the one before
                    </button>
                  )}
                  {one.materials.length > 1 && (
                    <button
                      type="button"
                      className="link"
                      onClick={() =>
                        setShaped(
                          found.flatMap((other, n) => (n === at ? splitProposal(one, known) : [other])),
                        )
                      }
                    >
                      Split
                    </button>
                  )}
                  <button
                    type="button"
                    className="link"
                    onClick={() => steps.refuse([...one.materials, ...one.alike])}
                  >
                    Not this one
                  </button>
                </p>
              </div>
              <Button small onClick={() => take([one])}>
                {one.joins === null ? 'Keep' : 'Join'}
              </Button>
            </li>
          );
        })}
      </ol>
      {found.length > 1 && (
        <p className="flex flex-wrap gap-3">
          <Button onClick={() => take(found)}>Take all {found.length}</Button>
          <Button
            look="bare"
            onClick={() => steps.refuse(found.flatMap(({ materials, alike }) => [...materials, ...alike]))}
          >
            Not these
          </Button>
        </p>
      )}
      <details className="note">
        <summary>How they are found</summary>
        <p className="pt-1">
          By the times of your pictures and files. What lies within {togetherMs / 60_000} minutes is one
          moment; more than {apartMs / hour} hours always part two. In between, a pause parts two when it is{' '}
          {timesLonger} times as long as the pauses around it (PhotoTOC, Platt and others, 2003). Of pictures
          that look alike the best one is kept. What is dated only to a month says too little.
        </p>
      </details>
    </section>
  );
}
