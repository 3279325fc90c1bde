import { Plus } from 'lucide-react';
import { useCallback, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { createPage } from '#contract/pages.ts';
import { type ProjectGrouping, projectGroupings } from '#core/pages/group-projects.ts';
import { type StarterKey, starterKeys, starterNames } from '#core/parts/starter-names.ts';
import { isWork } from '#core/pages/page.ts';
import { flatTree, pageTree } from '#core/pages/page-tree.ts';
import { inWallOrder } from '#core/pages/wall-order.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { fileSize } from '#core/words/file-size.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { Bow } from '../../ui/bow.tsx';
import { DropFiles } from '../../ui/drop-files.tsx';
import { useActions } from '../../ui/finder/actions-context.tsx';
import { oneAtATime } from '../../ui/one-at-a-time.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { UploadList } from '../../ui/upload-list.tsx';
import { useKeptChoice } from '../../ui/use-kept-choice.ts';
import { Board } from './board.tsx';
import { PutAway } from '../../pages/put-away.tsx';
import { useFetchAhead } from '../../ui/fetched.tsx';
import { StarterDialog } from './starter-dialog.tsx';
import './projects.css';
import { Button } from '../../ui/button.tsx';
import { Select } from '../../ui/select.tsx';

const groupings: [ProjectGrouping, string][] = [
  ['none', 'In one row'],
  ['year', 'By year'],
  ['course', 'By course or client'],
];

/** Projects: what hangs on the wall, and what is still being made. */
export function Projects() {
  const { state, run } = useSite();
  const { add } = useUploads();
  // The other rooms are fetched once the board stands.
  useFetchAhead();
  const navigate = useNavigate();
  const site = state.site.id;
  const all = useMemo(
    () =>
      inWallOrder(
        flatTree(pageTree(state.pages))
          .map(({ page }) => page)
          .filter(isWork),
        state.site,
      ),
    [state.pages, state.site],
  );
  const [by, setBy] = useKeptChoice(`${site} projects by`, projectGroupings);
  const projects = all.filter(({ archived }) => !archived);
  const pictures = state.materials.filter(({ kind }) => kind === 'picture').length;
  const home = state.pages.find((page) => rulesOfPage(page).isFront);

  const start = useMemo(
    () =>
      oneAtATime(async (materials: string[], starter?: StarterKey) => {
        const made = await run(() =>
          call(createPage, {
            params: { site },
            body: { title: '', materials, ...(starter ? { starter } : {}) },
          }),
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

  useActions(() => [
    { name: 'New project', run: () => void start([]) },
    ...starterKeys.map((key) => ({
      name: `New project from the outline: ${starterNames[key].toLowerCase()}`,
      run: () => void start([], key),
    })),
  ]);

  return (
    <DropFiles onFiles={onFiles} className="min-h-full">
      {(pick) => (
        <>
          <div className="flex flex-wrap items-center gap-3 px-4 pt-5 pb-4 md:px-6">
            <h1>Projects</h1>
            <span className="mr-auto">
              <SaveWords />
            </span>
            <Button asChild>
              <Link to={`/${site}/plan`}>Plan</Link>
            </Button>
            {home && (
              <Button asChild>
                <Link to={home.id}>Front page</Link>
              </Button>
            )}
            {projects.length > 1 && (
              <Select
                className="input w-auto"
                label="How the projects hang"
                value={by}
                options={groupings.map(([value, name]) => ({ value, name }))}
                onChange={setBy}
              />
            )}
            {projects.length > 0 && (
              <StarterDialog onStart={(starter) => void start([], starter)}>
                <Button>From an outline</Button>
              </StarterDialog>
            )}
            {projects.length > 0 && (
              <Button look="ink" onClick={() => void start([])}>
                <Plus size={16} aria-hidden="true" />
                New project
              </Button>
            )}
          </div>
          <UploadList />
          {projects.length === 0 ? (
            <div className="grid gap-6 px-4 pt-2 pb-12 md:px-6">
              <p className="max-w-[62ch] text-base leading-6 text-ink-2">
                A project is one page that shows a thing you made and how it came about. Most people begin
                with the pictures.
              </p>
              <button
                type="button"
                className="relative grid min-h-[min(24rem,46vh)] w-full place-items-center rounded-[2px] border-[1.5px] border-dashed border-edge bg-raised px-7 py-8.5 text-center hover:border-sky hover:bg-sky-wash"
                onClick={pick}
              >
                <span className="grid justify-items-center gap-3">
                  <Bow size={56} />
                  <b className="block font-head text-[1.5rem] leading-8">
                    Drop the pictures of one project here
                  </b>
                  <small className="block max-w-[54ch] text-m leading-m text-ink-2">
                    Or press to choose them. The first becomes the opening and the rest a gallery; you can
                    change all of it. JPEG, PNG, HEIC, WebP, AVIF or GIF, up to{' '}
                    {fileSize(state.limits.fileBytes)} each.
                  </small>
                </span>
              </button>
              <p>
                {pictures > 0 && (
                  <>
                    <Link className="link" to={`/${site}/gather`}>
                      Choose among the {plural(pictures, 'picture')} you have gathered
                    </Link>
                    , or{' '}
                  </>
                )}
                <button type="button" className="link" onClick={() => void start([])}>
                  {pictures > 0 ? 'start' : 'Start'} with an empty page instead
                </button>
                , or{' '}
                <StarterDialog onStart={(starter) => void start([], starter)}>
                  <button type="button" className="link">
                    with an outline that asks you for one thing after another
                  </button>
                </StarterDialog>
                .
              </p>
            </div>
          ) : (
            <div className="px-4 pb-12 md:px-6">
              <Board
                projects={projects}
                by={by}
                end={(cord) => (
                  <li className="hang relative">
                    {cord}
                    <button
                      type="button"
                      className="cover mb-2.5 grid h-42 w-full place-items-center rounded-[2px] border-[1.5px] border-dashed border-edge p-1.5 text-center"
                      onClick={pick}
                    >
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
                )}
              />
            </div>
          )}
          <div className="px-4 pb-12 md:px-6">
            <PutAway pages={all.filter(({ archived }) => archived)} noun="project" />
          </div>
        </>
      )}
    </DropFiles>
  );
}
