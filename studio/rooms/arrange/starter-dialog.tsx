import { useState } from 'react';
import { takeStarter } from '#contract/site-starters.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { type SiteStarterKey, siteStarterOf } from '#core/sites/site-starters.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { StarterChooser } from '../../starters/starter-chooser.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { notice } from '../../ui/notice.ts';

/** Takes a starter over into the site: whole, or only some of its pages. */
export function StarterDialog({ onClose }: { onClose: () => void }) {
  const { state, run } = useSite();
  const isBare = state.pages.every((page) => rulesOfPage(page).isFront);
  const [starter, setStarter] = useState<SiteStarterKey>('hired');
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [arranged, setArranged] = useState(isBare);
  const [busy, setBusy] = useState(false);
  const there = new Set(state.pages.map(({ kind }) => kind));
  const { pages } = siteStarterOf(starter);
  const isThere = (kind: (typeof pages)[number]['kind']) => rulesOfPage({ kind }).isSingle && there.has(kind);
  const wanted = pages.filter(({ key, kind }) => !off.has(key) && !isThere(kind));
  const take = async () => {
    setBusy(true);
    const taken = await run(() =>
      call(takeStarter, {
        params: { site: state.site.id },
        body: { starter, arranged, pages: wanted.map(({ key }) => key) },
      }),
    );
    setBusy(false);
    if (!taken) return;
    notice(
      `${plural(taken.made.length, 'page')} tied at the end of the string, empty and Private. Undo takes all of it back.`,
    );
    onClose();
  };
  return (
    <Dialog wide title="Begin from a starter" onClose={onClose}>
      <div className="grid gap-4">
        <StarterChooser
          value={starter}
          look={state.site.look}
          onChange={(key) => {
            if (!key) return;
            setStarter(key);
            setOff(new Set());
          }}
        />
        <fieldset className="grid gap-x-4 gap-y-1 sm:grid-cols-2">
          <legend className="field-name">What is taken over</legend>
          {pages.map(({ key, kind, title, below }) => (
            <label key={key} className={`check ${below ? 'pl-5' : ''}`}>
              <input
                type="checkbox"
                disabled={isThere(kind)}
                checked={!off.has(key) && !isThere(kind)}
                onChange={(event) => {
                  const next = new Set(off);
                  if (event.target.checked) next.delete(key);
                  else next.add(key);
                  setOff(next);
                }}
              />
              {title}{' '}
              <span className="note">
                {isThere(kind) ? 'there is one already' : rulesOfPage({ kind }).name.toLowerCase()}
              </span>
            </label>
          ))}
        </fieldset>
        <label className="check">
          <input type="checkbox" checked={arranged} onChange={(event) => setArranged(event.target.checked)} />
          Arrange the menu and the front page as it has them
        </label>
        <p className="flex flex-wrap items-center gap-3">
          <Button
            look="ink"
            disabled={busy || (wanted.length === 0 && !arranged)}
            onClick={() => void take()}
          >
            {wanted.length === 0 ? 'Take the arrangement over' : `Take ${plural(wanted.length, 'page')} over`}
          </Button>
          <span className="note">They are Private: none is published before you raise it.</span>
        </p>
      </div>
    </Dialog>
  );
}
