import { Mic, Square } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { duration } from '../../ui/kind-names.ts';
import { CaptureDialog } from './capture-dialog.tsx';
import { useDevice } from './use-device.ts';
import { Button } from '../../ui/button.tsx';

/** Formats in the order they are wanted; the first one this browser can write is taken. */
const formats = ['audio/mp4', 'audio/webm;codecs=opus', 'audio/ogg;codecs=opus'];
const endings: Record<string, string> = { mp4: 'm4a', webm: 'webm', ogg: 'ogg' };

/** Records a voice note: a decision just taken, or what a picture does not tell. */
export function RecordVoice({ onFile, onClose }: { onFile: (file: File) => void; onClose: () => void }) {
  const { stream, problem, again } = useDevice('microphone');
  const recorder = useRef<MediaRecorder | null>(null);
  const [since, setSince] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [taken, setTaken] = useState<{ blob: Blob; url: string } | null>(null);
  useEffect(() => () => URL.revokeObjectURL(taken?.url ?? ''), [taken]);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setSeconds((Date.now() - since) / 1000), 250);
    return () => clearInterval(timer);
  }, [since]);

  const start = () => {
    if (!stream) return;
    const mimeType = formats.find((one) => MediaRecorder.isTypeSupported(one));
    const made = new MediaRecorder(stream, mimeType ? { mimeType } : {});
    const pieces: Blob[] = [];
    made.ondataavailable = ({ data }) => pieces.push(data);
    made.onstop = () => {
      const blob = new Blob(pieces, { type: made.mimeType });
      setTaken({ blob, url: URL.createObjectURL(blob) });
      setSince(null);
    };
    made.start();
    recorder.current = made;
    setSeconds(0);
    setSince(Date.now());
  };
  const keep = () => {
    if (!taken) return;
    const container = /\/(\w+)/.exec(taken.blob.type)?.[1] ?? 'webm';
    onFile(new File([taken.blob], `Voice note.${endings[container] ?? 'webm'}`, { type: taken.blob.type }));
    onClose();
  };
  return (
    <CaptureDialog title="Record a voice note" problem={problem} onAgain={again} onClose={onClose}>
      <div className="grid gap-3">
        {taken ? (
          // eslint-disable-next-line jsx-a11y/media-has-caption -- just recorded; its words are typed in its facts
          <audio controls src={taken.url} className="w-full" aria-label="What was just recorded" />
        ) : (
          <p role="status" className="font-mono text-2xl">
            {duration(seconds)}
            <span className="sr-only">{since === null ? ', not recording' : ', recording'}</span>
          </p>
        )}
        <p className="flex gap-2">
          {taken ? (
            <>
              <Button look="go" onClick={keep}>
                Keep it
              </Button>
              <Button onClick={() => setTaken(null)}>Record again</Button>
            </>
          ) : since === null ? (
            <Button look="go" disabled={!stream} onClick={start}>
              <Mic size={16} aria-hidden="true" /> Record
            </Button>
          ) : (
            <Button look="go" onClick={() => recorder.current?.stop()}>
              <Square size={16} aria-hidden="true" /> Stop
            </Button>
          )}
        </p>
      </div>
    </CaptureDialog>
  );
}
