import { useMemo, useState } from 'react';
import { changeHeights } from '#contract/pages.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Height } from '#core/access/height.ts';
import type { Viewer } from '#core/access/viewer.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { accessChanges } from '#core/release/access-changes.ts';
import { plural } from '#core/words/plural.ts';
import { call, Refusal } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { DialogFrame, DialogHead } from '../../ui/dialog.tsx';
import { HeightChip } from '../../ui/height-control.tsx';
import { fromTheTop, heightNames } from '../../ui/height-names.ts';
import { WhoGainsAndLoses } from '../../ui/publish-outlook.tsx';
import { Segments } from '../../ui/segments.tsx';

const readers = ['stranger', 'link', 'any-pass'] as const;
const viewers: readonly Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
];
const heights = fromTheTop.map((value) => ({ value, name: heightNames[value] }));

/** Several pages are given one height, as one step; who gains and who loses is said before. */
export function HeightsDialog({ pages }: { pages: readonly Page[] }) {
  const { state, run } = useSite();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [height, setHeight] = useState<Height>('unlisted');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const others = pages.filter((page) => chosen.has(page.id) && page.height !== height);
  const changes = useMemo(() => {
    if (!open) return [];
    const next = {
      ...state,
      pages: state.pages.map((page) => (chosen.has(page.id) ? ({ ...page, height } as Page) : page)),
    };
    const titles = new Map(state.pages.map((page) => [page.id, pageName(page)]));
    const named = (ids: readonly string[]) => ids.map((id) => titles.get(id) ?? '');
    return accessChanges(state, next, viewers).flatMap(({ gains, loses }, at) => {
      const reader = readers[at];
      return reader && gains.length + loses.length > 0
        ? [{ reader, gains: named(gains), loses: named(loses) }]
        : [];
    });
  }, [open, state, chosen, height]);
  const toggle = (id: string) => {
    const now = new Set(chosen);
    if (!now.delete(id)) now.add(id);
    setChosen(now);
  };
  const close = () => {
    setOpen(false);
    setProblem('');
  };
  const apply = async () => {
    setBusy(true);
    setProblem('');
    try {
      const done = await run(() =>
        call(changeHeights, {
          params: { site: state.site.id },
          body: { pages: others.map(({ id, height: was }) => ({ id, was })), height },
        }),
      );
      if (done) {
        setChosen(new Set());
        close();
      }
    } catch (error) {
      setProblem(error instanceof Refusal ? error.message : 'That did not work. Try again.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <DialogFrame
      open={open}
      onOpen={() => setOpen(true)}
      onClose={close}
      wide
      opener={<Button small>Change several at once</Button>}
    >
      <DialogHead title="The height of several pages" />
      <div className="grid max-h-[70vh] gap-4 grid-cols-[minmax(0,1fr)] overflow-auto p-5 md:grid-cols-2">
        <fieldset className="grid min-w-0 content-start gap-1">
          <legend className="field-name">Which pages</legend>
          <p className="mb-1 flex gap-2">
            <Button small onClick={() => setChosen(new Set(pages.map(({ id }) => id)))}>
              All
            </Button>
            <Button small onClick={() => setChosen(new Set())}>
              None
            </Button>
          </p>
          {pages.map((page) => (
            <label key={page.id} className="flex min-h-8 items-center gap-3">
              <input
                type="checkbox"
                className="h-5 w-5 flex-none accent-[var(--ink)]"
                checked={chosen.has(page.id)}
                onChange={() => toggle(page.id)}
              />
              <span className="min-w-0 flex-1 truncate">{pageName(page)}</span>
              <HeightChip effective={effectiveHeight(state, { page: page.id })} />
            </label>
          ))}
        </fieldset>
        <div className="grid content-start gap-4">
          <div>
            <p className="field-name">Their height</p>
            <Segments label="Their height" value={height} options={heights} onChange={setHeight} />
          </div>
          <div aria-live="polite">
            {changes.length > 0 ? (
              <WhoGainsAndLoses readers={changes} />
            ) : (
              <p className="note">Nobody gains or loses a page by that.</p>
            )}
          </div>
          <p className="note">What is lost is closed at once. What is gained opens with the next publish.</p>
          {problem && (
            <p className="field-problem" role="alert">
              {problem}
            </p>
          )}
          <Button look="go" disabled={busy || others.length === 0} onClick={() => void apply()}>
            {others.length === 0
              ? 'Nothing to change'
              : `Set ${plural(others.length, 'page')} to ${heightNames[height]}`}
          </Button>
        </div>
      </div>
    </DialogFrame>
  );
}
