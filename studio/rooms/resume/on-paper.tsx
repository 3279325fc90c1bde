import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { fitVersion, type ResumeFit, versionFilePath, versionPicturePath } from '#contract/resume.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { comfortableSizes, paperSizes } from '#core/resume/layout/paper.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { reasonsInWords } from './resume-words.ts';
import { useFoot } from './use-foot.ts';
import { entriesOf, type ResumeSteps, type Version } from './use-resume.ts';

const paperNames = { a4: 'A4', letter: 'Letter' } as const;
const round = (value: number) => String(Math.round(value * 100) / 100);

/** Whether it fits, and what gave way for it, in words and numbers. */
function FitBar({ fit, version }: { fit: ResumeFit; version: Version }) {
  const { tightness, fits, pages, spareMm } = fit;
  const wanted = version.pages === 1 ? 'one' : 'two';
  const set = [
    [
      'Text',
      comfortableSizes.text,
      comfortableSizes.text * tightness.size,
      ' pt',
      tightness.size <= fit.tightest.size,
    ],
    [
      'Lines',
      comfortableSizes.leading,
      comfortableSizes.leading * tightness.leading,
      '',
      tightness.leading <= fit.tightest.leading,
    ],
    [
      'Gaps',
      comfortableSizes.section,
      comfortableSizes.section * tightness.gaps,
      ' pt',
      tightness.gaps <= fit.tightest.gaps,
    ],
  ] as const;
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-line px-4 py-3">
      <div role="status">
        <p className="font-strong">
          {fits
            ? `Fits ${pages === 1 ? 'one' : pages} ${paperNames[version.paper]}, ${spareMm} mm to spare`
            : `${pages} pages, and ${wanted} ${wanted === 'one' ? 'is' : 'are'} wanted`}
        </p>
        <p className="note">
          {fits
            ? tightness.gaps === 1
              ? 'Set comfortably.'
              : 'Set closer than usual, and still easy to read.'
            : 'Spacing has given all it may.'}
        </p>
      </div>
      <dl className="flex gap-5">
        {set.map(([name, from, to, unit, least]) => (
          <div key={name}>
            <dt className="note">{name}</dt>
            <dd>
              {round(to) === round(from) ? '' : <span className="text-ink-3">{round(from)} → </span>}
              <b>
                {round(to)}
                {unit}
              </b>
              {least && <small className="text-ink-3"> least</small>}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

/** What could stay out for it to fit; nothing does without a yes, and then in this version only. */
function CouldStayOut({
  fit,
  page,
  version,
  steps,
}: {
  fit: ResumeFit;
  page: ShownPage;
  version: Version;
  steps: ResumeSteps;
}) {
  const { couldStayOut } = fit;
  if (fit.fits) return null;
  if (couldStayOut === null)
    return (
      <p className="flag straw mx-4">
        Even the least of it does not fit. Shorten the name or the headline, or take another length.
      </p>
    );
  const said = new Map<string, string>(
    entriesOf(page).flatMap((entry) => [
      [entry.id, entry.title || 'A project'] as const,
      ...entry.lines.map(({ id, text }) => [id, `“${text}”`] as const),
    ]),
  );
  const ids = couldStayOut.map(({ id }) => id);
  return (
    <section aria-labelledby="out-title" className="mx-4 grid gap-2 bg-raised p-4 shadow-1">
      <h3 id="out-title" className="font-strong">
        Could stay out <small className="font-plain text-ink-2">least loss first</small>
      </h3>
      <ul className="grid gap-2">
        {couldStayOut.map(({ id, reasons }) => (
          <li key={id} className="flex items-baseline justify-between gap-3 border-b border-line pb-2">
            <span>
              {said.get(id)} <span className="note block">{reasonsInWords(reasons)}</span>
            </span>
            <Button small onClick={() => steps.leaveOut(version, [id], 'Left out of this version')}>
              Leave out
            </Button>
          </li>
        ))}
      </ul>
      <Button
        look="ink"
        className="w-fit"
        onClick={() => steps.leaveOut(version, ids, 'Left out of this version')}
      >
        {ids.length === 1 ? 'Leave it out' : `Leave all ${ids.length} out`}
      </Button>
      <p className="note">Only in this version. The entries stay, and undo brings them back.</p>
    </section>
  );
}

/** The version as it stands on paper: the file's own pages. */
export function OnPaper({ page, version, steps }: { page: ShownPage; version: Version; steps: ResumeSteps }) {
  const { state, saving } = useSite();
  const { foot, choose } = useFoot(version);
  const at = { site: state.site.id, page: page.id, version: version.id };
  const isSaved = saving.kind === 'saved';
  const fit = useQuery({
    queryKey: ['résumé', at, state.revision],
    queryFn: () => call(fitVersion, { params: at }),
    // What is being written is asked for once it is saved.
    enabled: isSaved,
    placeholderData: keepPreviousData,
  });
  if (version.entries.length === 0)
    return (
      <p className="note px-4 py-6">
        Nothing is ticked yet. Tick entries, add one, or take in an old résumé under In and out.
      </p>
    );
  if (fit.isPending) return <Loading what="Setting the pages" />;
  if (fit.error) return <Trouble error={fit.error} again={() => void fit.refetch()} />;
  const { pages, file, missing } = fit.data;
  const { width, height } = paperSizes[version.paper];
  return (
    <div className="grid content-start gap-4 pb-8">
      <FitBar fit={fit.data} version={version} />
      {missing.length > 0 && (
        <p className="flag straw mx-4">
          These letters are not in the fonts of the file and are left out of it: {missing.join(' ')}. Take
          other letters under This version.
        </p>
      )}
      <CouldStayOut fit={fit.data} {...{ page, version, steps }} />
      <div className="mx-4 flex flex-wrap items-start justify-end gap-x-6 gap-y-2">
        {choose && (
          <div className="mr-auto max-w-[34rem]">
            <CheckField
              name="This PDF says at its foot the version's own link"
              checked={foot === 'link'}
              onChange={(says) => choose(says ? 'link' : 'none')}
            />
            <p className="note">
              Once it is old, it still leads to the newest. Whoever is handed it can open this version, until
              you make its link anew in Share.
            </p>
          </div>
        )}
        <Button asChild small>
          <a href={versionFilePath(at, foot)} download="resume.pdf">
            <Download size={15} aria-hidden="true" />
            PDF
          </a>
        </Button>
      </div>
      {Array.from({ length: pages }, (_, n) => (
        <img
          key={n}
          className="mx-auto w-[min(calc(100%-2rem),46rem)] bg-white shadow-1"
          width={width}
          height={height}
          alt={`Page ${n + 1} of ${pages} of this version. Its words are those of the entries.`}
          src={versionPicturePath(at, n, file, foot)}
        />
      ))}
    </div>
  );
}
