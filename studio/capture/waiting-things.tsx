import { useState } from 'react';
import { Button } from '../ui/button.tsx';
import { changeKept, forgetKept, type KeptThing, type Place } from './kept-things.ts';

const nameOf = ({ what }: KeptThing): string =>
  what.kind === 'words'
    ? `“${what.words.slice(0, 60)}${what.words.length > 60 ? '…' : ''}”`
    : what.name || 'A file';

/** Hands a file back, as it is kept here. */
function saveFile(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** One thing that has not arrived, and what can be done about it. */
function WaitingThing({ thing, place }: { thing: KeptThing; place: Place | null }) {
  const [sure, setSure] = useState(false);
  const elsewhere = place && place.page !== thing.place?.page ? place : null;
  const send = (to: Place | null) =>
    void changeKept(thing.id, (now) => ({
      ...now,
      place: to,
      trouble: null,
      // A file that was thrown away there since is sent anew.
      what: now.what.kind === 'file' ? { ...now.what, material: null } : now.what,
    }));
  const { what } = thing;
  return (
    <li className="grid gap-1.5 border-t border-line py-2 first:border-t-0">
      <p className="min-w-0 truncate">
        {nameOf(thing)} <span className="note">for {thing.place?.title || 'no page yet'}</span>
      </p>
      {thing.trouble !== null && <p className="text-clay">{thing.trouble}</p>}
      <p className="flex flex-wrap gap-2">
        {thing.trouble !== null && (
          <Button small onClick={() => send(thing.place)}>
            Send again
          </Button>
        )}
        {elsewhere && (
          <Button small onClick={() => send(elsewhere)}>
            Send to {elsewhere.title || 'the page above'}
          </Button>
        )}
        {what.kind === 'file' && (
          <Button small onClick={() => saveFile(what.file, what.name)}>
            Save the file
          </Button>
        )}
        <Button
          small
          look="danger"
          onClick={() => (sure ? void forgetKept(thing.id) : setSure(true))}
          onBlur={() => setSure(false)}
        >
          {sure ? 'Take it off for good' : 'Take off'}
        </Button>
      </p>
    </li>
  );
}

/** What has not arrived yet. */
export const WaitingThings = ({ things, place }: { things: readonly KeptThing[]; place: Place | null }) => (
  <details
    className="rounded-m border border-line bg-raised px-3"
    open={things.some(({ trouble }) => trouble !== null)}
  >
    <summary className="min-h-11 cursor-pointer content-center font-firm">
      {things.length === 1 ? 'The one that waits' : `The ${things.length} that wait`}
    </summary>
    <ul className="pb-1">
      {things.map((thing) => (
        <WaitingThing key={thing.id} thing={thing} place={place} />
      ))}
    </ul>
  </details>
);
