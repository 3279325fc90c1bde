import { Crop, Square } from 'lucide-react';
import { type RefObject, useState } from 'react';
import { draftPaths } from '#contract/material-paths.ts';
import type { Material } from '#core/materials/material.ts';
import { MaterialPicture, materialName } from '../../ui/material-picture.tsx';
import { FixDialog } from '../../materials/fixes/fix-dialog.tsx';
import { Button } from '../../ui/button.tsx';
import { OwnWords } from './own-words.tsx';

/** What a material looks or sounds like, with the way to its fixes. */
export function FactsHead({
  material,
  player,
}: {
  material: Material;
  player: RefObject<HTMLVideoElement | null>;
}) {
  const [fixing, setFixing] = useState(false);
  const play = `/${draftPaths.file(material, 'play')}`;
  switch (material.kind) {
    case 'sound':
      return (
        <div className="p-4">
          {/* eslint-disable-next-line jsx-a11y/media-has-caption -- its words stand in the facts below */}
          <audio
            controls
            preload="metadata"
            src={play}
            className="w-full"
            aria-label={materialName(material)}
          />
        </div>
      );
    case 'clip':
      return (
        // eslint-disable-next-line jsx-a11y/media-has-caption -- its words stand in the facts below
        <video
          ref={player}
          controls
          playsInline
          preload="metadata"
          src={play}
          width={material.facts.widthPx}
          height={material.facts.heightPx}
          className="h-auto max-h-64 w-full"
          aria-label={material.alt || materialName(material)}
        />
      );
    case 'link':
      return material.facts.picture ? (
        <MaterialPicture material={material} size={1400} className="max-h-64 w-full object-contain" />
      ) : (
        <p className="p-4 pr-14 text-ink-2">{materialName(material)}</p>
      );
    case 'note':
      return <p className="p-4 pr-14 text-ink-2">A note, for you alone. On a page it becomes words.</p>;
    case 'document':
      if (material.facts.pages.length === 0) return <OwnWords material={material} />;
      break;
    case 'picture':
  }
  const isPicture = material.kind === 'picture';
  const Icon = isPicture ? Crop : Square;
  return (
    <>
      <MaterialPicture material={material} size={1400} className="max-h-64 w-full object-contain" />
      <Button small className="absolute bottom-2 left-2" onClick={() => setFixing(true)}>
        <Icon size={15} aria-hidden="true" />
        {isPicture ? 'Fix it' : 'Black out'}
      </Button>
      {fixing && <FixDialog material={material} onClose={() => setFixing(false)} />}
    </>
  );
}
