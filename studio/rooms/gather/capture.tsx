import { format } from 'date-fns';
import { Camera, Link2, Mic, StickyNote } from 'lucide-react';
import { useState } from 'react';
import { useUploads } from '../../api/uploads-context.tsx';
import { RecordVoice } from './record-voice.tsx';
import { TakePicture } from './take-picture.tsx';
import { WriteLink } from '../../materials/write-link.tsx';
import { WriteNote } from './write-note.tsx';
import { Button } from '../../ui/button.tsx';

/** Gathers what is no file yet: what stands before the camera, what is said, where something is, what comes to mind. */
export function Capture({
  pasted,
  onAdded,
  onPastedDone,
}: {
  /** Words that were pasted and may become a note; null when there are none. */
  pasted: string | null;
  onAdded: (material: string, duplicate: boolean) => void;
  onPastedDone: () => void;
}) {
  const { add } = useUploads();
  const [open, setOpen] = useState<'camera' | 'microphone' | 'link' | 'note' | null>(null);
  // A file made here knows no date of its own, and it is now.
  const keep = (file: File) => void add([file], format(new Date(), 'yyyy-MM-dd'));
  const close = () => setOpen(null);
  return (
    <span className="flex gap-2">
      <Button onClick={() => setOpen('camera')}>
        <Camera size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Take a picture</span>
      </Button>
      <Button onClick={() => setOpen('microphone')}>
        <Mic size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Voice note</span>
      </Button>
      <Button onClick={() => setOpen('link')}>
        <Link2 size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Link</span>
      </Button>
      <Button onClick={() => setOpen('note')}>
        <StickyNote size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Note</span>
      </Button>
      {open === 'camera' && <TakePicture onFile={keep} onClose={close} />}
      {open === 'microphone' && <RecordVoice onFile={keep} onClose={close} />}
      {open === 'link' && <WriteLink onAdded={onAdded} onClose={close} />}
      {open === 'note' && <WriteNote onAdded={onAdded} onClose={close} />}
      {pasted !== null && <WriteNote pasted={pasted} onAdded={onAdded} onClose={onPastedDone} />}
    </span>
  );
}
