import { Archive, Copy, Ellipsis, Pencil, Plus, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useCallback, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { createProject, deletePage } from '#contract/sites.ts';
import { type Need, pageNeeds } from '#core/check/page-needs.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { materialsOn } from '#core/content/materials-on.ts';
import type { Page } from '#core/content/page.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { Bow } from '../../ui/bow.tsx';
import { DropFiles } from '../../ui/drop-files.tsx';
import { HeightChip } from '../../ui/height-control.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { oneAtATime } from '../../ui/one-at-a-time.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { UploadList } from '../../ui/upload-list.tsx';

const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What is missing, as it goes on after "Still needs". */
function needInWords({ kind, count }: Need): string {
  switch (kind) {
    case 'title':
      return 'a title';
    case 'summary':
      return 'a one-line summary';
    case 'content':
      return 'something to show';
    case 'alt':
      return plural(count, 'alt text');
    case 'transcript':
      return plural(count, 'transcript');
    case 'credit':
      return plural(count, 'credit');
    case 'evidence':
      return `${count} more evidence`;
  }
}

/** Projects that were put away, each with the way back. */
function PutAway({ projects }: { projects: readonly Page[] }) {
  const { changePage } = useSite();
  if (projects.length === 0) return null;
  return (
    <details className="mt-8">
      <summary className="note cursor-pointer">{plural(projects.length, 'project')} put away</summary>
      <ul className="mt-2 grid gap-2">
        {projects.map((page) => (
          <li key={page.id} className="flex items-center gap-3">
            <span>{page.title || 'Untitled project'}</span>
            <button
              type="button"
              className="btn sm"
              onClick={() =>
                changePage(
                  page.id,
                  { archived: false },
                  `${page.title || 'Project'} hung up again`,
                  `${page.id} archived`,
                )
              }
            >
              Hang it up again<span className="sr-only">: {page.title || 'Untitled project'}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Where a page stands between draft and readers, as a word and a sign. */
export function PageState({ page }: { page: Page }) {
  const { state } = useSite();
  const { live } = state;
  const waits = live.waiting.find((one) => one.page === page.id);
  // What is Private is in no release, so nothing of it waits and nobody reads it.
  const shut = effectiveHeight(state, { page: page.id }).height === 'private' && !waits;
  if (waits?.kind === 'added' || !live.release || shut)
    return (
      <span className="flag">
        <Pencil size={13} aria-hidden="true" /> Draft
      </span>
    );
  if (waits)
    return (
      <span className="flag straw">
        <span className="wait" aria-hidden="true" /> {waits.what.length}{' '}
        {waits.what.length === 1 ? 'edit' : 'edits'} waiting
      </span>
    );
  return (
    <span className="flag ok">
      <span className="dot" aria-hidden="true" /> As readers see it
    </span>
  );
}

function Hanging({ page }: { page: Page }) {
  const { state, run, changePage } = useSite();
  const site = state.site.id;
  const cover = materialsOn(page)[0];
  const material = state.materials.find(({ id }) => id === cover);
  const to = page.id;
  const navigate = useNavigate();
  const materials = useMemo(() => new Map(state.materials.map((one) => [one.id, one])), [state.materials]);
  const needs = pageNeeds(page, materials, state.site.evidenceWanted);
  const copy = async () => {
    const made = await run(() =>
      call(createProject, { params: { site }, body: { title: '', materials: [], copyOf: page.id } }),
    );
    if (!made) return;
    toast('This is the copy. It is Private until you raise it.');
    void navigate(made.page);
  };
  const putAway = () => {
    changePage(
      page.id,
      { archived: true, height: 'private' },
      `${page.title || 'Project'} put away`,
      `${page.id} archived`,
    );
    toast('Put away: nobody can open it. Undo brings it back, and so does the list below.');
  };
  const remove = async () => {
    const gone = await run(() => call(deletePage, { params: { site, page: page.id } }));
    if (gone) toast(`${page.title || 'The project'} is deleted. Undo brings it back.`);
  };
  return (
    <li className="hang">
      <Link to={to} className="cover" tabIndex={-1} aria-hidden="true">
        <Bow className="peg" />
        {material ? (
          <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />
        ) : (
          <span className="grid h-full place-items-center bg-sunk text-ink-3">No picture yet</span>
        )}
      </Link>
      <div className="flex items-start gap-2">
        <h2 className="min-w-0 flex-1 text-[1.0625rem] leading-6">
          <Link to={to} className="text-ink no-underline hover:underline">
            {page.title || 'Untitled project'}
          </Link>
        </h2>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            className="icon-btn sm"
            aria-label={`More for ${page.title || 'this project'}`}
          >
            <Ellipsis size={18} aria-hidden="true" />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content className="menu" align="end">
              <DropdownMenu.Item className="menu-item" onSelect={() => void copy()}>
                <Copy size={18} aria-hidden="true" />
                <span>
                  <b>Copy</b>
                  <small>A second project with the same words and pictures, Private</small>
                </span>
              </DropdownMenu.Item>
              <DropdownMenu.Item className="menu-item" onSelect={putAway}>
                <Archive size={18} aria-hidden="true" />
                <span>
                  <b>Put away</b>
                  <small>Private at once, and off this wall; nothing is deleted</small>
                </span>
              </DropdownMenu.Item>
              <DropdownMenu.Item className="menu-item" onSelect={() => void remove()}>
                <Trash2 size={18} aria-hidden="true" />
                <span>
                  <b>Delete</b>
                  <small>Undo brings it back; its pictures stay in Gather</small>
                </span>
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <p className="line-clamp-2 text-[0.8125rem] leading-[1.125rem] text-ink-2">
        {page.summary || 'No one-line summary yet.'}
      </p>
      <p className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <PageState page={page} />
        <HeightChip effective={effectiveHeight(state, { page: page.id })} />
      </p>
      <p className="note mt-1">
        {needs.length === 0 ? 'Nothing missing' : `Still needs ${needs.map(needInWords).join(', ')}`}
      </p>
    </li>
  );
}

/** Projects: what hangs on the wall, and what is still being made. */
export function Projects() {
  const { state, run } = useSite();
  const { add } = useUploads();
  const navigate = useNavigate();
  const site = state.site.id;
  const all = state.pages.filter((page) => page.kind === 'project');
  const projects = all.filter(({ archived }) => !archived);
  const home = state.pages.find((page) => page.kind === 'home');

  const start = useMemo(
    () =>
      oneAtATime(async (materials: string[]) => {
        const made = await run(() =>
          call(createProject, { params: { site }, body: { title: '', materials } }),
        );
        if (made) void navigate(made.page);
      }),
    [navigate, run, site],
  );
  const onFiles = useCallback(
    (files: File[]) => {
      void add(files).then((materials) => {
        if (materials.length > 0) void start(materials);
      });
    },
    [add, start],
  );

  return (
    <DropFiles onFiles={onFiles} className="min-h-full">
      {(pick) => (
        <>
          <div className="flex flex-wrap items-center gap-3 px-4 pt-5 pb-4 md:px-6">
            <h1>Projects</h1>
            <span className="mr-auto">
              <SaveWords />
            </span>
            {home && (
              <Link to={home.id} className="btn">
                Front page
              </Link>
            )}
            {projects.length > 0 && (
              <button type="button" className="btn ink" onClick={() => void start([])}>
                <Plus size={16} aria-hidden="true" />
                New project
              </button>
            )}
          </div>
          <UploadList />
          {projects.length === 0 ? (
            <div className="grid max-w-3xl gap-6 px-4 pt-4 pb-12 md:px-14">
              <p className="max-w-[52ch] text-base leading-6 text-ink-2">
                A project is one page that shows a thing you made and how it came about. Most people begin
                with the pictures.
              </p>
              <button type="button" className="drop-big" onClick={pick}>
                <Bow size={44} />
                <span>
                  <b>Drop the pictures of one project here</b>
                  <small>
                    Or press to choose them. The first becomes the opening and the rest a gallery; you can
                    change all of it. JPEG, PNG, WebP or AVIF, up to 100 MB each.
                  </small>
                </span>
              </button>
              <p>
                <button type="button" className="link" onClick={() => void start([])}>
                  Start with an empty page instead
                </button>
              </p>
            </div>
          ) : (
            <div className="px-4 pb-12 md:px-6">
              <svg className="cord" viewBox="0 0 1000 26" preserveAspectRatio="none" aria-hidden="true">
                <path
                  d="M0 4c200 14 320 14 520 12S840 14 1000 4"
                  fill="none"
                  stroke="var(--string)"
                  strokeWidth="1.6"
                  vectorEffect="non-scaling-stroke"
                />
              </svg>
              <ul className="wall">
                {projects.map((page) => (
                  <Hanging key={page.id} page={page} />
                ))}
                <li className="hang new">
                  <button type="button" className="cover" onClick={pick}>
                    <Bow className="peg quiet" />
                    <span className="grid justify-items-center gap-1">
                      <Plus size={20} aria-hidden="true" />
                      <b className="font-head">New project from pictures</b>
                      <small className="max-w-[24ch] text-ink-3">
                        Press to choose them, or drop them anywhere in this room
                      </small>
                    </span>
                  </button>
                </li>
              </ul>
            </div>
          )}
          <div className="px-4 pb-12 md:px-6">
            <PutAway projects={all.filter(({ archived }) => archived)} />
          </div>
        </>
      )}
    </DropFiles>
  );
}
