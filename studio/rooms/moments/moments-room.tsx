import { ArrowLeft, Minus, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { format } from 'date-fns';
import { inOrderOfTime } from '#core/moments/drawn-moments.ts';
import { lineItemOf } from '#core/moments/line-item-of.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { spentTime } from '#core/moments/spent-time.ts';
import { timeSpent } from '#core/moments/time-spent.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { mostMoments } from '#core/parts/parts.ts';
import { foldPx, lineScale } from '#core/timeline/line-scale.ts';
import { quietStretches } from '#core/timeline/quiet-stretches.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { newId } from '../../parts/new-id.ts';
import { GonePage } from '../../pages/gone-page.tsx';
import { usePageParts } from '../../parts/use-page-parts.ts';
import { Button } from '../../ui/button.tsx';
import { useActions } from '../../ui/finder/actions-context.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { Segments } from '../../ui/segments.tsx';
import { useKeptChoice } from '../../ui/use-kept-choice.ts';
import { newPart } from '#core/parts/new-part.ts';
import { FoundMoments } from './found-moments.tsx';
import { MomentEditor } from './moment-editor.tsx';
import { MomentLine } from './moment-line.tsx';
import { PhasesDialog } from './phases-dialog.tsx';
import { useMoments } from './use-moments.ts';
import './moments.css';

const zooms = { least: 1, most: 60 };
/** Beside the string: the rail, and room for what hangs from its last knot. */
const besidePx = 76 + 28 + 112 + 60;
const nothingOpen: ReadonlySet<number> = new Set();

/** Where no part of the page draws its moments, readers get none of them. */
function DrawThem({ page }: { page: ShownPage }) {
  const { partsNow, set } = usePageParts(page.id);
  if (page.parts.some(({ kind }) => kind === 'process')) return null;
  return (
    <p className="note flex flex-wrap items-center gap-3">
      Nothing on this page draws them, so readers get none of them from here.
      <button
        type="button"
        className="link"
        onClick={() =>
          set([...partsNow(), newPart('process', newId())], 'Process tied', `process ${Date.now()}`)
        }
      >
        Tie a process to the end of the page
      </button>
    </p>
  );
}

function Moments({ page }: { page: ShownPage }) {
  const { state } = useSite();
  const steps = useMoments(page);
  const [asked, setAsked] = useSearchParams();
  const [spacing, setSpacing] = useKeptChoice('moment spacing', ['true', 'even']);
  const [open, setOpen] = useState<ReadonlySet<number>>(nothingOpen);
  const [phasesOpen, setPhasesOpen] = useState(false);
  const materials = useMemo(() => materialsById(state.materials), [state.materials]);
  const moments = useMemo(
    () =>
      inOrderOfTime(momentsOf(page.parts).map((moment) => ({ page: page.id, moment }))).map(
        ({ moment }) => moment,
      ),
    [page],
  );
  const items = useMemo(() => moments.map(lineItemOf), [moments]);
  const quiet = useMemo(() => quietStretches(items), [items]);
  // At first all of it is in sight, as far as that goes.
  const [zoom, setZoom] = useState(() => {
    const unfolded = lineScale(items, 1, nothingOpen, 0).width;
    const room = window.innerWidth - besidePx - quiet.length * foldPx;
    return Math.round(Math.min(zooms.most, Math.max(zooms.least, room / Math.max(1, unfolded))));
  });
  const selected = moments.find(({ id }) => id === asked.get('moment')) ?? null;
  const select = (id: string | null) => setAsked(id === null ? {} : { moment: id }, { replace: true });
  const add = () => select(steps.add({ date: format(new Date(), 'yyyy-MM-dd') }));
  useActions(() => [{ name: 'A moment of today', also: 'add new process', run: add }]);
  const spent = timeSpent(moments.map((moment) => ({ ...moment, page: page.id }))).all;
  const [first, last] = [moments[0], moments.at(-1)];
  return (
    <div className="grid content-start">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line px-5 py-3">
        <Link className="link inline-flex items-center gap-1.5" to=".." relative="path">
          <ArrowLeft size={15} aria-hidden="true" />
          {pageName(page)}
        </Link>
        <h1>Moments</h1>
        {first && last && (
          <p className="text-ink-2">
            {plural(moments.length, 'moment')}, {roughDateForReaders(first.date, 'en')}
            {first !== last && ` to ${roughDateForReaders(last.date, 'en')}`}
            {spent > 0 && `, ${spentTime(spent)}`}
          </p>
        )}
        <span className="ml-auto flex flex-wrap items-center gap-3">
          <SaveWords />
          <Button asChild small>
            <a href="/studio/capture/">Capture</a>
          </Button>
          <Button small onClick={() => setPhasesOpen(true)}>
            Phases
          </Button>
          <Button look="go" disabled={moments.length >= mostMoments} onClick={add}>
            <Plus size={16} aria-hidden="true" />A moment
          </Button>
        </span>
      </header>
      {moments.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-2">
          <Segments
            label="Distance between moments"
            value={spacing}
            options={[
              { value: 'true', name: 'True time' },
              { value: 'even', name: 'Even' },
            ]}
            onChange={setSpacing}
          />
          <label className="flex items-center gap-2">
            <Minus size={14} aria-hidden="true" />
            <span className="sr-only">How wide a day is</span>
            <input
              type="range"
              className="accent-[var(--ink)]"
              min={zooms.least}
              max={zooms.most}
              value={zoom}
              onChange={({ target }) => setZoom(Number(target.value))}
            />
            <Plus size={14} aria-hidden="true" />
          </label>
          {spacing === 'true' && quiet.length > 0 && (
            <Button
              small
              onClick={() =>
                setOpen(open.size > 0 ? nothingOpen : new Set(quiet.map((stretch) => stretch.key)))
              }
            >
              {open.size > 0 ? 'Fold quiet days' : 'Unfold all'}
            </Button>
          )}
          <DrawThem page={page} />
        </div>
      )}
      {moments.length > 0 ? (
        <MomentLine
          {...{ moments, materials, spacing, zoom, open, steps }}
          onZoom={(to) => setZoom(Math.min(zooms.most, Math.max(zooms.least, to)))}
          selected={selected?.id ?? null}
          onSelect={select}
          onFold={(key) =>
            setOpen((old) => {
              const next = new Set(old);
              if (!next.delete(key)) next.add(key);
              return next;
            })
          }
        />
      ) : (
        <div className="grid max-w-xl gap-3 px-6 py-10 md:px-14">
          <p className="text-base leading-6 text-ink-2">
            A moment says how the work came about: a day, what happened, what you decided and why, with
            whatever there is to show. Only the day has to be there. Readers get moments from a process on a
            page, and nobody gets one that you keep Private.
          </p>
        </div>
      )}
      <div className="moment-desk">
        <div className="px-5 py-5 phone:px-4">
          {selected ? (
            <MomentEditor
              key={selected.id}
              {...{ page, steps }}
              moment={selected}
              onGone={() => select(null)}
            />
          ) : (
            moments.length > 0 && <p className="note">Choose a moment on the string, or tie a new one.</p>
          )}
        </div>
        <FoundMoments page={page} steps={steps} onShow={select} />
      </div>
      {phasesOpen && <PhasesDialog onClose={() => setPhasesOpen(false)} />}
    </div>
  );
}

/** How a page came about: its moments on a string, the one being written, and those that its pictures propose. */
export function MomentsRoom() {
  const { page: id } = useParams();
  const { state } = useSite();
  const page = state.pages.filter(isShown).find((one) => one.id === id);
  if (!page) return <GonePage />;
  return <Moments key={page.id} page={page} />;
}
