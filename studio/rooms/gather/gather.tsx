import { Tags, Trash2, Upload as UploadIcon, X } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { changeMaterials, deleteMaterials } from '#contract/materials.ts';
import { createPage } from '#contract/pages.ts';
import { webAddressIn } from '#contract/web-address.ts';
import { findMaterials } from '#core/materials/find-materials.ts';
import { type Grouping, groupMaterials, type Order, sortMaterials } from '#core/materials/group-materials.ts';
import { usedMaterials } from '#core/materials/where-used.ts';
import { hostOf } from '#core/links/host-of.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { fileSize } from '#core/words/file-size.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { useTypedIn } from '../../api/use-typed-in.ts';
import { useUploads } from '../../api/uploads-context.tsx';
import { Begun } from '../../ui/begun.tsx';
import { useDeleting } from '../../ui/use-deleting.tsx';
import { DropFiles } from '../../ui/drop-files.tsx';
import { oneAtATime } from '../../ui/one-at-a-time.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { UploadList } from '../../ui/upload-list.tsx';
import { Capture } from './capture.tsx';
import { FactsOfMany } from './facts-of-many.tsx';
import { Sorting } from './sorting.tsx';
import { useFound } from '../../materials/use-found.ts';
import { Wall } from './wall.tsx';
import { useLooks } from '../../materials/use-looks.ts';
import { Meter } from './meter.tsx';
import { MaterialFacts } from './material-facts.tsx';
import { notice, problemNotice, waitingNotice } from '../../ui/notice.ts';
import '../../materials/tiles.css';

import { Button } from '../../ui/button.tsx';

/** Gather: everything collected, and the facts of each. */
export function Gather() {
  const { state, run, seen } = useSite();
  const undoNotice = useUndoNotice();
  const { add } = useUploads();
  const navigate = useNavigate();
  const { materials, pages, site } = state;
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [address] = useSearchParams();
  const wanted = address.get('look');
  const [lookingAt, setLookingAt] = useState<string | null>(wanted);
  // Found by name while this room was open already.
  const [lastWanted, setLastWanted] = useState(wanted);
  if (wanted !== lastWanted) {
    setLastWanted(wanted);
    if (wanted) setLookingAt(wanted);
  }
  const [query, setQuery] = useState('');
  const [by, setBy] = useState<Grouping>('project');
  const [order, setOrder] = useState<Order>('added');
  const [view, setView] = useState<'tiles' | 'list'>('tiles');
  const looks = useLooks(site.id, materials);
  const found = useFound(site.id, query, state.revision);
  const [pasted, setPasted] = useState<string | null>(null);
  const [editingMany, setEditingMany] = useState(false);
  const used = useMemo(() => usedMaterials(pages, state.site.look), [pages, state.site.look]);
  const groups = useMemo(
    () =>
      groupMaterials(findMaterials(sortMaterials(materials, order), query, found), pages, by, looks.groups),
    [by, found, looks.groups, materials, order, pages, query],
  );
  const inOrder = useMemo(() => groups.flatMap((group) => group.materials), [groups]);
  const current = materials.find(({ id }) => id === lookingAt) ?? null;

  const onFiles = useCallback(
    (files: File[]) => {
      const here = new Set(materials.map(({ id }) => id));
      // What has just come is chosen, ready to become a project; what was here already stays as it was.
      void add(files).then((ids) =>
        setChosen((old) => [...new Set([...old, ...ids.filter((id) => !here.has(id))])]),
      );
    },
    [add, materials],
  );

  const { link } = useTypedIn();
  const onAdded = useCallback((material: string, duplicate: boolean) => {
    if (duplicate) notice('You have this link already. Here it is.');
    setLookingAt(material);
  }, []);
  const onText = useCallback(
    (text: string) => {
      const address = webAddressIn(text);
      if (address === null) return setPasted(text);
      const reading = waitingNotice(`Reading ${hostOf(address) ?? address}`);
      void link(address).then((added) => {
        reading();
        if (added.material === null) problemNotice(added.problem);
        else onAdded(added.material, added.duplicate);
      });
    },
    [link, onAdded],
  );

  const start = useMemo(
    () =>
      oneAtATime(async (pictures: readonly string[]) => {
        const made = await run(() =>
          call(createPage, { params: { site: site.id }, body: { title: '', materials: [...pictures] } }),
        );
        if (made) void navigate(`/${site.id}/projects/${made.page}`);
      }),
    [navigate, run, site.id],
  );
  const deleting = useDeleting();
  const bin = () =>
    deleting.ask(chosen, chosen.length === 1 ? 'this' : `these ${chosen.length}`, async (readers) => {
      const inUse = chosen.filter((id) => used.has(id)).length;
      const gone = await run(() =>
        call(deleteMaterials, { params: { site: site.id }, body: { materials: [...chosen], readers } }),
      );
      if (!gone) return;
      setChosen([]);
      setLookingAt(null);
      undoNotice(`${chosen.length} deleted${inUse > 0 ? `, ${inUse} of them taken off pages` : ''}.`);
    });

  const move = async (ids: readonly string[], project: string | null) => {
    const moved = await run(() =>
      call(changeMaterials, {
        params: { site: site.id },
        body: {
          materials: ids.map((id) => ({ id, seen: seen(id) })),
          label: ids.length === 1 ? 'Project' : `Project of ${ids.length}`,
          change: { project },
        },
      }),
    );
    if (!moved) return;
    const onPages = ids.filter((id) => used.has(id)).length;
    const page = pages.find(({ id }) => id === project);
    const to = page ? pageName(page) : 'Loose';
    notice(
      onPages > 0
        ? `Gathered for ${to}. What is on a page stands with that page.`
        : `${ids.length === 1 ? 'It is' : `${ids.length} are`} gathered for ${to} now.`,
    );
  };

  return (
    <DropFiles
      onFiles={onFiles}
      onText={onText}
      className={`gather grid min-h-full grid-cols-[minmax(0,1fr)] ${current ? 'min-[901px]:grid-cols-[minmax(0,1fr)_332px]' : ''}`}
    >
      {(pick) => (
        <>
          {deleting.dialog}
          <div className="min-w-0 relative">
            <div className="flex flex-wrap items-center gap-x-6 gap-y-3 px-4 pt-5 pb-4 md:px-6">
              <h1>Gather</h1>
              <button
                type="button"
                className="flex max-w-136 flex-[1_1_20rem] items-center gap-3 rounded-[2px] border-[1.5px] border-dashed border-edge bg-raised px-3.5 py-2 text-ink-2 hover:border-sky hover:bg-sky-wash"
                onClick={pick}
              >
                <UploadIcon size={20} aria-hidden="true" />
                <span>
                  <b className="text-ink">Drop anything here</b>, paste it, or <u>choose</u>
                  <small className="block text-xs leading-xs text-ink-3">
                    Pictures, PDF, DOCX, ODT, text, slides, sound, clips, links; files up to{' '}
                    {fileSize(state.limits.fileBytes)} each
                  </small>
                </span>
              </button>
              <Capture pasted={pasted} onAdded={onAdded} onPastedDone={() => setPasted(null)} />
              <Meter materials={materials} totalBytes={state.limits.totalBytes} />
              <SaveWords />
            </div>
            <UploadList />
            <div className="px-4 pb-28 md:px-6">
              {materials.length === 0 && (
                <div className="grid gap-6 pt-2">
                  <p className="max-w-[62ch] text-base leading-6 text-ink-2">
                    Everything you collect lives here: photos of the work, sketches, the bad first try. Add a
                    handful now; nothing is shown to anybody from this room.
                  </p>
                  <div className="flex flex-wrap gap-4">
                    <Begun name="Photos of the work" className="h-44 flex-[3_1_15rem]" />
                    <Begun name="A sketch" className="h-44 flex-[2_1_10rem]" />
                    <Begun name="The bad first try" className="h-44 flex-[2_1_11rem]" />
                    <Begun name="What you said while making it" className="h-44 flex-[2_1_11rem]" />
                    <Begun name="A page of the notebook" className="h-44 flex-[2_1_9rem]" />
                    <Begun name="A clip of it moving" className="h-44 flex-[3_1_15rem]" />
                    <Begun name="The test sheet" className="h-44 flex-[2_1_9rem]" />
                    <Begun name="A link that led you there" className="h-44 flex-[2_1_12rem]" />
                  </div>
                </div>
              )}
              {materials.length > 0 && (
                <Sorting
                  query={query}
                  onQuery={setQuery}
                  by={by}
                  onBy={setBy}
                  order={order}
                  onOrder={setOrder}
                  view={view}
                  onView={setView}
                />
              )}
              <p className="sr-only" role="status">
                {query && `${inOrder.length} of ${materials.length} found`}
              </p>
              <Wall
                groups={groups}
                view={view}
                chosen={chosen}
                used={used}
                takesDrops={by === 'project'}
                tileOf={({ id }) => ({
                  current: id === lookingAt,
                  alike: looks.alikeOf.get(id)?.length ?? 0,
                  warnings: looks.warnings[id] ?? [],
                })}
                onChosen={setChosen}
                onLook={setLookingAt}
                onDelete={() => void bin()}
                onMove={(ids, project) => void move(ids, project)}
              />
              {query && inOrder.length === 0 && (
                <p className="py-6 text-ink-2">
                  Nothing has “{query}” in its title, caption, alt text, tags, maker, file name or words.
                </p>
              )}
            </div>
            {chosen.length > 0 && (
              <div
                className="sticky bottom-3 my-0 mx-4 flex flex-wrap items-center gap-2 bg-raised shadow-3 py-[9px] pr-3 pl-4 rounded-m border-t-[3px] border-t-vermilion z-3"
                role="region"
                aria-label="Chosen materials"
              >
                <b aria-live="polite">{chosen.length} chosen</b>
                <Button look="go" onClick={() => void start(chosen)}>
                  Start a project
                </Button>
                <Button onClick={() => setEditingMany(true)}>
                  <Tags size={16} aria-hidden="true" />
                  Facts of these
                </Button>
                <Button look="bare" onClick={() => setChosen([])}>
                  <X size={16} aria-hidden="true" />
                  <span className="phone:sr-only">None</span>
                </Button>
                <Button look="danger" className="ml-auto" onClick={() => void bin()}>
                  <Trash2 size={16} aria-hidden="true" />
                  <span className="phone:sr-only">Delete</span>
                </Button>
              </div>
            )}
          </div>
          {editingMany && (
            <FactsOfMany
              materials={materials.filter(({ id }) => chosen.includes(id))}
              onClose={() => setEditingMany(false)}
            />
          )}
          {current && (
            <MaterialFacts
              material={current}
              warnings={looks.warnings[current.id] ?? []}
              alike={materials.filter(({ id }) => looks.alikeOf.get(current.id)?.includes(id))}
              onLook={setLookingAt}
              onClose={() => setLookingAt(null)}
            />
          )}
        </>
      )}
    </DropFiles>
  );
}
