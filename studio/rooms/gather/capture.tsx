import { format } from 'date-fns';
import { Camera, Mic } from 'lucide-react';
import { useState } from 'react';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { RecordVoice } from './record-voice.tsx';
import { TakePicture } from './take-picture.tsx';

/** Gathers what is in front of the maker now: by camera or by voice. */
export function Capture() {
  const { changeMaterial } = useSite();
  const { add } = useUploads();
  const [open, setOpen] = useState<'camera' | 'microphone' | null>(null);
  const keep = async (file: File) => {
    const [id] = await add([file]);
    // A file made here knows no date of its own, and it is now.
    if (id) changeMaterial(id, { takenOn: format(new Date(), 'yyyy-MM-dd') }, 'Date', `${id} takenOn`);
  };
  const close = () => setOpen(null);
  return (
    <span className="flex gap-2">
      <button type="button" className="btn" onClick={() => setOpen('camera')}>
        <Camera size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Take a picture</span>
      </button>
      <button type="button" className="btn" onClick={() => setOpen('microphone')}>
        <Mic size={16} aria-hidden="true" />
        <span className="max-lg:sr-only">Voice note</span>
      </button>
      {open === 'camera' && <TakePicture onFile={(file) => void keep(file)} onClose={close} />}
      {open === 'microphone' && <RecordVoice onFile={(file) => void keep(file)} onClose={close} />}
    </span>
  );
}
