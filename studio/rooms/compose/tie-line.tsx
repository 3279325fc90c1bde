import { PanelsTopLeft, Plus, X } from 'lucide-react';
import { memo, useState } from 'react';
import type { PartKind } from '#core/parts/parts.ts';
import { offeredKinds, partSettings } from '../../parts/parts.ts';
import { useDropPlace } from './use-drop-place.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

export type Tied = PartKind | 'side-by-side';
export const nameOf = (kind: Tied): string =>
  kind === 'side-by-side' ? 'Side by side' : partSettings[kind].name;
const iconOf = (kind: Tied) => (kind === 'side-by-side' ? PanelsTopLeft : partSettings[kind].icon);
export const kinds: readonly Tied[] = [...offeredKinds, 'side-by-side'];

interface TieLineProps {
  at: number;
  /** Something is being tied here now. */
  open: boolean;
  /** Opens this place to tie something in; null: closes it. */
  onOpen: (at: number | null) => void;
  onTie: (kind: Tied, at: number) => void;
}

/** What can be tied in: typed or picked. */
function TieMenu({ at, onOpen, onTie }: Omit<TieLineProps, 'open'>) {
  const [typed, setTyped] = useState('');
  const wanted = typed.replace(/^\//, '').trim().toLowerCase();
  // What begins with the letters typed comes first: Enter ties it.
  const begins = (kind: Tied) => nameOf(kind).toLowerCase().startsWith(wanted);
  const offered = kinds
    .filter((kind) => nameOf(kind).toLowerCase().includes(wanted))
    .sort((a, b) => Number(begins(b)) - Number(begins(a)));
  const tie = (kind: Tied) => {
    onOpen(null);
    onTie(kind, at);
  };
  return (
    // Escape leaves it from wherever the focus is in it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <form
      className="tie-open flex flex-wrap justify-center items-center gap-2 bg-raised shadow-2 py-1.5 px-2 rounded-m"
      onSubmit={(event) => {
        event.preventDefault();
        if (offered[0]) tie(offered[0]);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onOpen(null);
      }}
    >
      <input
        className="input tie-type w-34 min-h-8"
        aria-label="Kind of part"
        aria-describedby={`tie-${at}-first`}
        placeholder="type or pick"
        // It opens because somebody asked to tie something here.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <span id={`tie-${at}-first`} className="sr-only" role="status">
        {offered[0] ? `Enter adds ${nameOf(offered[0])}` : 'No part is called that'}
      </span>
      {offered.map((kind, n) => {
        const Icon = iconOf(kind);
        return (
          <Button
            key={kind}
            small
            className={n === 0 && wanted !== '' ? 'border-vermilion! text-vermilion-deep!' : ''}
            onClick={() => tie(kind)}
          >
            <Icon size={15} aria-hidden="true" />
            {nameOf(kind)}
          </Button>
        );
      })}
      {offered.length === 0 && <span className="note">No part is called that.</span>}
      <IconButton small label="Tie nothing here" onClick={() => onOpen(null)}>
        <X size={16} aria-hidden="true" />
      </IconButton>
    </form>
  );
}

/** A place between two parts: tie something here, or let go of a material from the tray. */
export const TieLine = memo(function TieLine(props: TieLineProps) {
  const { at, open, onOpen } = props;
  const { over, place } = useDropPlace(`tie ${at}`);
  return (
    <div
      {...place}
      className="studio-ui tie-place mt-0 mb-4.5 mx-0 rounded-m data-over:bg-sky-wash data-over:shadow-[0_0_0_2px_var(--sky)]"
    >
      {open ? (
        <TieMenu {...props} />
      ) : (
        <button
          type="button"
          className="tie-line group/tie relative block min-h-6.5 w-full text-center before:absolute before:inset-x-0 before:top-[13px] before:border-t before:border-dashed before:border-t-[#14302f55]"
          onClick={() => onOpen(at)}
        >
          <span className="relative inline-flex items-center gap-1 bg-[#f9faf8] px-2.5 font-text text-[12px] leading-6.5 font-firm text-[#3f4f4d] group-hover/tie:text-vermilion-deep">
            <Plus size={14} aria-hidden="true" /> {over ? 'let go to put it here' : 'add something here'}
          </span>
        </button>
      )}
    </div>
  );
});
