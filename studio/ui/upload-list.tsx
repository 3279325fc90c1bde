import { Check, CircleAlert, Files, RotateCw, X } from 'lucide-react';
import { useEffect } from 'react';
import { type Upload, useUploads } from '../api/uploads-context.tsx';
import { useStable } from './use-stable.ts';
import { Button } from './button.tsx';
import { IconButton } from './icon-button.tsx';
import { ProgressBar } from './progress-bar.tsx';

const words: Record<Upload['state'], string> = {
  waiting: 'waits its turn',
  sending: 'on its way',
  reading: 'being read',
  done: 'added',
  duplicate: 'you have this already, so it was not stored again',
  failed: '',
  cancelled: '',
};

function Line({ upload }: { upload: Upload }) {
  const { cancel, again } = useUploads();
  const { id, file, state, share, message } = upload;
  const running = state === 'waiting' || state === 'sending' || state === 'reading';
  return (
    <li className="grid grid-cols-[20px_minmax(0,1fr)_auto] items-center gap-x-2 py-1.5">
      {state === 'done' && <Check size={16} className="text-meadow" aria-hidden="true" />}
      {state === 'duplicate' && <Files size={16} className="text-ink-3" aria-hidden="true" />}
      {(state === 'failed' || state === 'cancelled') && (
        <CircleAlert size={16} className="text-clay" aria-hidden="true" />
      )}
      {running && <span className="wait justify-self-center" aria-hidden="true" />}
      <div className="min-w-0 text-[0.8125rem] leading-[1.125rem]">
        <p className="truncate">
          <b>{file.name}</b>
        </p>
        <p className={state === 'failed' ? 'text-clay' : 'text-ink-3'}>
          {state === 'sending' ? `${Math.round(share * 100)} % of it has arrived` : message || words[state]}
        </p>
      </div>
      {running && (
        <IconButton small label={`Stop ${file.name}`} onClick={() => cancel(id)}>
          <X size={15} aria-hidden="true" />
        </IconButton>
      )}
      {(state === 'failed' || state === 'cancelled') && (
        <IconButton small label={`Try ${file.name} again`} onClick={() => again(id)}>
          <RotateCw size={15} aria-hidden="true" />
        </IconButton>
      )}
    </li>
  );
}

const isLeft = ({ state }: Upload) => state === 'failed' || state === 'cancelled';
/** Once all is done, what needs its maker; while files are on their way none changes its place. */
const failedFirst = (list: readonly Upload[]): readonly Upload[] => [
  ...list.filter(isLeft),
  ...list.filter((one) => !isLeft(one)),
];

/**
 * What is being added: in all, and file by file.
 *
 * @param quiet once all is well it goes away by itself: what was added is in sight anyway
 */
export function UploadList({ quiet = false }: { quiet?: boolean }) {
  const { list, cancel, clear } = useUploads();
  const running = list.filter(({ state }) => ['waiting', 'sending', 'reading'].includes(state));
  const added = list.filter(({ state }) => state === 'done').length;
  const again = list.filter(({ state }) => state === 'duplicate').length;
  const failed = list.filter(isLeft).length;
  const leaving = useStable({ allIsWell: () => running.length + failed === 0 && clear() });
  // What was said of files that arrived is not said once more in the next room.
  useEffect(() => () => void leaving.allIsWell(), [leaving]);
  if (list.length === 0) return null;
  if (quiet && running.length === 0 && failed === 0) return null;
  const share = list.reduce((sum, one) => sum + (one.state === 'waiting' ? 0 : one.share), 0) / list.length;
  const summary =
    running.length > 0
      ? `Adding ${list.length} ${list.length === 1 ? 'file' : 'files'}: ${list.length - running.length} of ${list.length}`
      : [`${added} added`, again > 0 ? `${again} here already` : '', failed > 0 ? `${failed} not added` : '']
          .filter(Boolean)
          .join(', ');
  return (
    <section
      aria-label="Files being added"
      className="mx-4 mb-4 bg-raised p-3 shadow-[var(--lift-2)] md:mx-6"
    >
      <div className="flex items-center gap-3">
        <p role="status" className="flex-1 font-[650]">
          {summary}
        </p>
        {running.length > 0 ? (
          <Button small onClick={() => cancel()}>
            Stop all
          </Button>
        ) : (
          <Button small onClick={clear}>
            Put this list away
          </Button>
        )}
      </div>
      {running.length > 0 && <ProgressBar share={share} className="mt-2" />}
      {/* A list that scrolls must be reachable without a mouse. On a phone it leaves room for what has arrived. */}
      <ul
        className={`mt-1 max-h-56 overflow-auto phone:max-h-26 ${running.length + failed + again === 0 ? 'phone:hidden' : ''}`}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-label="Each file"
      >
        {(running.length > 0 ? list : failedFirst(list)).map((upload) => (
          <Line key={upload.id} upload={upload} />
        ))}
      </ul>
    </section>
  );
}
