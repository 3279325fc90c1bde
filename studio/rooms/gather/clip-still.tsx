import { Camera } from 'lucide-react';
import { type RefObject, useState } from 'react';
import type { MaterialOf } from '#core/materials/material.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { Button } from '../../ui/button.tsx';

/** The picture of a clip where it stands now, as a file of its own. */
async function stillOf(video: HTMLVideoElement, name: string): Promise<File | null> {
  const canvas = document.createElement('canvas');
  canvas.width = video.videoWidth;
  canvas.height = video.videoHeight;
  canvas.getContext('2d')?.drawImage(video, 0, 0);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.92));
  return blob && blob.size > 0 ? new File([blob], name, { type: 'image/jpeg' }) : null;
}

/** Chooses the still that stands for a clip until somebody plays it. */
export function ClipStill({
  material,
  player,
}: {
  material: MaterialOf<'clip'>;
  player: RefObject<HTMLVideoElement | null>;
}) {
  const { state, changeMaterial } = useSite();
  const { add } = useUploads();
  const [problem, setProblem] = useState('');
  const still = state.materials.find(({ id }) => id === material.shownBy);
  const name = materialName(material);
  const choose = (id: string | null) =>
    changeMaterial(material.id, { shownBy: id }, `Still of ${name}`, `${material.id} still`);
  const take = async () => {
    const video = player.current;
    if (!video || video.videoWidth === 0)
      return setProblem('Play the clip to the picture you want, pause it there, and press again.');
    setProblem('');
    const file = await stillOf(video, `Still of ${name} at ${video.currentTime.toFixed(1)} s.jpg`);
    const [id] = file ? await add([file]) : [];
    if (id) choose(id);
    else setProblem('The picture could not be taken from this clip. Add one from a file and choose it here.');
  };
  return (
    <div className="block">
      <span className="field-name">
        Still <em>shown until it is played</em>
      </span>
      <div className="flex flex-wrap items-center gap-2">
        <Button small onClick={() => void take()}>
          <Camera size={15} aria-hidden="true" />
          Take the picture it shows now
        </Button>
        {still && (
          <Button look="bare" small onClick={() => choose(null)}>
            None
          </Button>
        )}
      </div>
      <p className="note mt-1">
        {still ? `Now: ${materialName(still)}` : 'None yet: readers see its first picture.'}
      </p>
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
