import { Mic, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { duration } from '../../ui/kind-names.ts';
import { useDevice } from '../../materials/use-device.ts';
import { useRecording } from '../../materials/use-recording.ts';
import { CaptureDialog } from './capture-dialog.tsx';
import { Button } from '../../ui/button.tsx';

/** Records a voice note: a decision just taken, or what a picture does not tell. */
export function RecordVoice({ onFile, onClose }: { onFile: (file: File) => void; onClose: () => void }) {
  const { stream, problem, again } = useDevice('microphone');
  const [taken, setTaken] = useState<{ file: File; url: string } | null>(null);
  const recording = useRecording((file) => setTaken({ file, url: URL.createObjectURL(file) }));
  useEffect(() => () => URL.revokeObjectURL(taken?.url ?? ''), [taken]);
  return (
    <CaptureDialog title="Record a voice note" problem={problem} onAgain={again} onClose={onClose}>
      <div className="grid gap-3">
        {taken ? (
          // eslint-disable-next-line jsx-a11y/media-has-caption -- just recorded; its words are typed in its facts
          <audio controls src={taken.url} className="w-full" aria-label="What was just recorded" />
        ) : (
          <p role="status" className="font-mono text-2xl">
            {duration(recording.seconds)}
            <span className="sr-only">{recording.running ? ', recording' : ', not recording'}</span>
          </p>
        )}
        <p className="flex gap-2">
          {taken ? (
            <>
              <Button
                look="go"
                onClick={() => {
                  onFile(taken.file);
                  onClose();
                }}
              >
                Keep it
              </Button>
              <Button onClick={() => setTaken(null)}>Record again</Button>
            </>
          ) : recording.running ? (
            <Button look="go" onClick={recording.stop}>
              <Square size={16} aria-hidden="true" /> Stop
            </Button>
          ) : (
            <Button look="go" disabled={!stream} onClick={() => stream && recording.start(stream)}>
              <Mic size={16} aria-hidden="true" /> Record
            </Button>
          )}
        </p>
      </div>
    </CaptureDialog>
  );
}
