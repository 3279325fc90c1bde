import { useDroppable } from '@dnd-kit/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { PartKind } from '#core/content/part.ts';
import { partNames } from './part-words.ts';

const kinds: readonly PartKind[] = ['words', 'picture', 'gallery', 'document', 'clip', 'sound', 'link'];

/** A place between two parts: tie something here, or let go of a picture from the tray. */
export function TieLine({ at, onTie }: { at: number; onTie: (kind: PartKind, at: number) => void }) {
  const [open, setOpen] = useState(false);
  const { setNodeRef, isOver } = useDroppable({ id: `tie ${at}` });
  return (
    <div ref={setNodeRef} className="studio-ui tie-place" data-over={isOver || undefined}>
      {open ? (
        <div className="tie-open">
          {kinds.map((kind) => (
            <button
              key={kind}
              type="button"
              className="btn sm"
              onClick={() => {
                onTie(kind, at);
                setOpen(false);
              }}
            >
              {partNames[kind]}
            </button>
          ))}
          <button
            type="button"
            className="icon-btn sm"
            aria-label="Tie nothing here"
            onClick={() => setOpen(false)}
          >
            <X size={16} aria-hidden="true" />
          </button>
        </div>
      ) : (
        <button type="button" className="tie-line" onClick={() => setOpen(true)}>
          <span>
            <Plus size={14} aria-hidden="true" /> tie something here
          </span>
        </button>
      )}
    </div>
  );
}
