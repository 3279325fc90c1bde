import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  type BookJob,
  bookFile,
  bookPapers,
  cancelBookJob,
  getBook,
  getBookJob,
  makeBook,
  mostBookPages,
} from '#contract/book.ts';
import { megabytes } from '#core/words/megabytes.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { ProgressBar } from '../../ui/progress-bar.tsx';
import { Segments } from '../../ui/segments.tsx';

const papers = bookPapers.map((value) => ({ value, name: value === 'a4' ? 'A4' : 'Letter' }));

/** The site as one PDF, as the readers of a link get it: made by the server, then saved. */
export function BookPart({ link }: { link: string }) {
  const { state } = useSite();
  const site = state.site.id;
  const client = useQueryClient();
  const [paper, setPaper] = useState<(typeof bookPapers)[number]>('a4');
  const params = { site, link };
  // What was made of what readers do not get any more is not offered: asked again after every change.
  const key = ['book', site, link, state.live.release?.number, state.revision];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => call(getBook, { params }),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });
  const now = (job: BookJob | null) =>
    client.setQueryData<typeof data>(key, (old) => (old ? { ...old, job } : old));
  const begun = data?.job ?? null;
  const asked = useQuery({
    queryKey: ['book-job', begun?.id],
    queryFn: () => call(getBookJob, { params: { site, job: begun?.id ?? '' } }),
    enabled: begun !== null,
    refetchInterval: ({ state: { data: last } }) => (last && last.state !== 'running' ? false : 400),
  });
  const make = useMutation({ mutationFn: () => call(makeBook, { params, body: { paper } }), onSuccess: now });
  const stop = useMutation({
    mutationFn: (job: string) => call(cancelBookJob, { params: { site, job } }),
    onSuccess: () => now(null),
  });
  const job = begun && (asked.data ?? begun);
  const problem = make.error ?? stop.error ?? asked.error;
  if (data?.problem != null) return <p className="note">{data.problem}</p>;
  return (
    <div className="grid gap-2">
      {job?.state === 'running' ? (
        <div className="flex flex-wrap items-center gap-3">
          <div className="min-w-40 flex-1">
            <ProgressBar share={job.total > 0 ? job.done / job.total : 0} />
          </div>
          <span className="note" aria-live="polite">
            {job.step}, {job.done} of {job.total}
          </span>
          <Button small onClick={() => stop.mutate(job.id)}>
            Stop
          </Button>
        </div>
      ) : (
        <p className="flex flex-wrap items-center gap-x-3 gap-y-2">
          <Segments label="Paper" value={paper} options={papers} onChange={setPaper} />
          <Button small disabled={make.isPending} onClick={() => make.mutate()}>
            Make a PDF
          </Button>
          <span className="note">
            {data && `of ${plural(data.pages, 'page')}; at most ${mostBookPages} fit in`}
          </span>
        </p>
      )}
      {job?.state === 'done' && (
        <p className="flex flex-wrap items-center gap-3" role="status">
          <Button small asChild>
            <a href={bookFile(site, job.id)} download>
              Save the PDF
            </a>
          </Button>
          <span className="note">{megabytes(job.bytes)}, kept for 15 minutes</span>
        </p>
      )}
      {job?.state === 'done' && job.missing.length > 0 && (
        <p className="note">
          {`Left out, since the fonts of this look do not have them: ${job.missing.slice(0, 20).join(' ')}${job.missing.length > 20 ? ` and ${job.missing.length - 20} more` : ''}.`}
        </p>
      )}
      {(job?.message ?? problem) && (
        <p className="field-problem" role="alert">
          {job?.message ?? problem?.message}
        </p>
      )}
    </div>
  );
}
