import { Camera, FilePlus2, Mic, Square } from 'lucide-react';
import { useEffect, useId, useRef, useState } from 'react';
import { useDevice } from '../materials/use-device.ts';
import { useRecording } from '../materials/use-recording.ts';
import { duration } from '../ui/kind-names.ts';

const side =
  'grid min-h-14 min-w-20 place-items-center content-center gap-1 rounded-m text-s leading-s font-firm text-dusk-text has-focus-visible:shadow-(--ring-dusk) focus-visible:shadow-(--ring-dusk)';

/** Listens from when it is there until it is stopped, and hands on what was said. */
function Listening({ onFile, onEnd }: { onFile: (file: File) => void; onEnd: () => void }) {
  const { stream, problem } = useDevice('microphone');
  const recording = useRecording((file) => {
    onFile(file);
    onEnd();
  });
  const { running, start } = recording;
  const begun = useRef(false);
  useEffect(() => {
    if (!stream || begun.current) return;
    begun.current = true;
    start(stream);
  }, [stream, start]);
  if (problem)
    return (
      <p className="col-span-3 row-start-2 grid gap-2 p-3 text-center text-dusk-text" role="alert">
        {problem}
        <button type="button" className={`${side} justify-self-center underline`} onClick={onEnd}>
          Back
        </button>
      </p>
    );
  return (
    <button type="button" className={side} disabled={!running} onClick={recording.stop}>
      <Square size={22} aria-hidden="true" className="fill-vermilion text-vermilion" />
      <span>
        Stop <span className="font-mono">{duration(recording.seconds)}</span>
      </span>
    </button>
  );
}

/** Picture, voice, files: each one press, and it is kept. */
export function CaptureButtons({ onFiles }: { onFiles: (files: readonly File[]) => void }) {
  const [listening, setListening] = useState(false);
  const [picture, files] = [useId(), useId()];
  const taken = (list: FileList | null) => {
    if (list && list.length > 0) onFiles([...list]);
  };
  return (
    <div className="grid grid-cols-3 items-center justify-items-center bg-dusk px-3 py-2.5">
      {listening ? (
        <Listening onFile={(file) => onFiles([file])} onEnd={() => setListening(false)} />
      ) : (
        <button type="button" className={side} onClick={() => setListening(true)}>
          <Mic size={22} aria-hidden="true" />
          Voice
        </button>
      )}
      <label
        htmlFor={picture}
        className="col-start-2 row-start-1 grid size-19 cursor-pointer place-items-center rounded-full border-[3px] border-dusk-text bg-vermilion text-raised shadow-[inset_0_0_0_4px_var(--dusk)] has-focus-visible:shadow-(--ring-dusk)"
      >
        <input
          id={picture}
          className="sr-only"
          type="file"
          accept="image/*"
          capture="environment"
          onChange={({ target }) => {
            taken(target.files);
            target.value = '';
          }}
        />
        <Camera size={28} aria-hidden="true" />
        <span className="sr-only">Take a picture</span>
      </label>
      <label htmlFor={files} className={`${side} col-start-3 row-start-1 cursor-pointer`}>
        <input
          id={files}
          className="sr-only"
          type="file"
          multiple
          onChange={({ target }) => {
            taken(target.files);
            target.value = '';
          }}
        />
        <FilePlus2 size={22} aria-hidden="true" />
        Files
      </label>
    </div>
  );
}
