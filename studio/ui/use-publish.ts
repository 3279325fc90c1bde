import { useState } from 'react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import {
  cancelPublish,
  getPublishJob,
  type Outlook,
  publishOutlook,
  type PublishJob,
  startPublish,
} from '#contract/publishing.ts';
import { call, Refusal } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';

const askEveryMs = 250;

/** Publishes the site and follows it to its end. */
export function usePublish() {
  const { state, flush, refresh, setLive } = useSite();
  const site = state.site.id;
  const [job, setJob] = useState<PublishJob | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const start = async (name = '', staying: string[] = []) => {
    setProblem(null);
    try {
      // Words still on their way belong to this release.
      if (!(await flush()))
        return setProblem(
          'Something you wrote is not saved yet, and readers would not get it. Settle that first, then publish.',
        );
      let running = await call(startPublish, { params: { site }, body: { name, staying } });
      setJob(running);
      while (running.state === 'running') {
        await new Promise((resolve) => setTimeout(resolve, askEveryMs));
        running = await call(getPublishJob, { params: { site, job: running.id } });
        setJob(running);
      }
      if (running.live) setLive(running.live);
      // Another tab may have lowered something while this one was publishing.
      await refresh();
      if (running.state !== 'done') setProblem(running.message);
    } catch (error) {
      setJob(null);
      setProblem(error instanceof Refusal ? error.message : 'Publishing did not start. Try again.');
    }
  };
  const cancel = async () => {
    if (job) setJob(await call(cancelPublish, { params: { site, job: job.id } }));
  };
  const reset = () => {
    setJob(null);
    setProblem(null);
  };
  return { job, problem, start, cancel, reset };
}

/** What a publish would come to as the draft stands; undefined until that is known. */
export function useOutlook(wanted: boolean, staying: string[]): Outlook | undefined {
  const { state } = useSite();
  const { id: site } = state.site;
  const { data } = useQuery({
    queryKey: ['outlook', site, state.revision, staying],
    queryFn: () => call(publishOutlook, { params: { site }, body: { staying } }),
    placeholderData: keepPreviousData,
    enabled: wanted,
  });
  return data;
}
