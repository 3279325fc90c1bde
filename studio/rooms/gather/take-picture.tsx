import { Camera } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { CaptureDialog } from './capture-dialog.tsx';
import { useDevice } from '../../materials/use-device.ts';
import { Button } from '../../ui/button.tsx';

/** Takes a picture with the computer's or phone's camera. */
export function TakePicture({ onFile, onClose }: { onFile: (file: File) => void; onClose: () => void }) {
  const { stream, problem, again } = useDevice('camera');
  const video = useRef<HTMLVideoElement>(null);
  const [taken, setTaken] = useState<{ blob: Blob; url: string } | null>(null);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
  }, [stream, taken]);
  useEffect(() => () => URL.revokeObjectURL(taken?.url ?? ''), [taken]);

  const take = () => {
    const from = video.current;
    if (!from || from.videoWidth === 0) return;
    const canvas = document.createElement('canvas');
    canvas.width = from.videoWidth;
    canvas.height = from.videoHeight;
    canvas.getContext('2d')?.drawImage(from, 0, 0);
    canvas.toBlob((blob) => blob && setTaken({ blob, url: URL.createObjectURL(blob) }), 'image/jpeg', 0.92);
  };
  const keep = () => {
    if (!taken) return;
    onFile(new File([taken.blob], 'photo.jpg', { type: 'image/jpeg' }));
    onClose();
  };
  return (
    <CaptureDialog title="Take a picture" problem={problem} onAgain={again} onClose={onClose}>
      <div className="grid gap-3">
        {taken ? (
          <img src={taken.url} alt="What was just taken" className="w-full" />
        ) : (
          <video
            ref={video}
            autoPlay
            muted
            playsInline
            className="aspect-4/3 w-full bg-[#000] object-contain"
          />
        )}
        <p className="flex gap-2">
          {taken ? (
            <>
              <Button look="go" onClick={keep}>
                Keep it
              </Button>
              <Button onClick={() => setTaken(null)}>Take another</Button>
            </>
          ) : (
            <Button look="go" disabled={!stream} onClick={take}>
              <Camera size={16} aria-hidden="true" /> Take it
            </Button>
          )}
        </p>
      </div>
    </CaptureDialog>
  );
}
