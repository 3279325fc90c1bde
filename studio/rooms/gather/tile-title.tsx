import { useState } from 'react';
import type { Material } from '#core/materials/material.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';

interface TileTitleProps {
  material: Material;
  renaming: boolean;
  /** What stands there when it has no title. */
  empty: string;
  className?: string;
  onRename: (renaming: boolean) => void;
}

/** A material's title, changed where it stands: Enter keeps the new one, Escape the old one. */
export function TileTitle({ material, renaming, empty, className = '', onRename }: TileTitleProps) {
  const { changeMaterial } = useSite();
  const [typed, setTyped] = useState<string | null>(null);
  const done = (keep: boolean) => {
    if (keep && typed !== null && typed.trim() !== material.title)
      changeMaterial(
        material.id,
        { title: typed.trim().slice(0, 160) },
        `Title of ${materialName(material)}`,
        `${material.id} title`,
      );
    setTyped(null);
    onRename(false);
  };
  if (!renaming)
    return (
      // A double click is the mouse's short way; F2 is the keyboard's, and the facts have a field for it.

      <span className={`truncate ${className}`} onDoubleClick={() => onRename(true)}>
        {material.title || empty}
      </span>
    );
  return (
    <input
      className="input min-h-6 py-px px-1 text-xs"
      aria-label={`Title of ${materialName(material)}`}
      // eslint-disable-next-line jsx-a11y/no-autofocus -- it appears because its title was asked to be changed
      autoFocus
      maxLength={160}
      value={typed ?? material.title}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => done(true)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done(true);
        else if (event.key === 'Escape') done(false);
        event.stopPropagation();
      }}
    />
  );
}
