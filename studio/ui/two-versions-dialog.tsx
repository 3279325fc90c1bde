import { type TwoVersions, twoVersions } from '#core/joining/two-versions.ts';
import { isShown } from '#core/pages/page.ts';
import type { SaveState } from '../api/save-queue.ts';
import { useSite } from '../api/site-context.tsx';
import { Button } from './button.tsx';
import { Dialog } from './dialog.tsx';

const fieldNames: Readonly<Record<string, string>> = {
  title: 'Title',
  summary: 'One-line summary',
  caption: 'Caption',
  alt: 'Alt text',
  transcript: 'Transcript',
  opening: 'Opening',
  cover: 'Cover',
  height: 'Height',
  look: 'Look',
  by: 'Your name on this site',
  address: 'Address',
};

/** Words of one version, or that there is nothing in it to read. */
const Words = ({ text }: { text: string }) =>
  text ? (
    <p className="max-h-60 overflow-auto break-words whitespace-pre-line">{text}</p>
  ) : (
    <p className="note">Nothing to read in it.</p>
  );

function Pair({ name, mine, theirs }: { name: string; mine: string; theirs: string }) {
  return (
    <section className="grid gap-1" aria-label={name}>
      <h3 className="text-m">{name}</h3>
      <div className="grid grid-cols-2 gap-3 phone:grid-cols-1">
        <div className="min-w-0 border-l-4 border-vermilion bg-raised p-3 text-m">
          <p className="field-name">Here</p>
          <Words text={mine} />
        </div>
        <div className="min-w-0 border-l-4 border-sky bg-raised p-3 text-m">
          <p className="field-name">In the other tab, newer</p>
          <Words text={theirs} />
        </div>
      </div>
      {mine === theirs && (
        <p className="note">The words are the same; pictures or settings beside them are not.</p>
      )}
    </section>
  );
}

/** Two versions of the same thing beside each other, and which of them is to stand. */
export function TwoVersionsDialog({
  conflict: { pending, theirs },
  onClose,
}: {
  conflict: Extract<SaveState, { kind: 'conflict' }>;
  onClose: () => void;
}) {
  const { state, resolve } = useSite();
  const page = state.pages.filter(isShown).find(({ id }) => id === pending.id);
  const nameOf = ({ field, part }: TwoVersions) => {
    const at = page?.parts.findIndex(({ id }) => id === part) ?? -1;
    const kind = page?.parts[at]?.kind;
    if (kind) return `Part ${at + 1}: ${kind.replaceAll('-', ' ')}`;
    const [, member] = field?.split(' ') ?? [];
    return fieldNames[field ?? ''] ?? (member ? `Case fact: ${member}` : pending.label);
  };
  const versions = theirs ? twoVersions(pending.was, pending.change, { ...theirs }) : [];
  const choose = (which: 'mine' | 'theirs') => {
    resolve(which);
    onClose();
  };
  return (
    <Dialog
      wide
      title="Changed here and in another tab"
      description={`${pending.label}. Whichever you take, Undo brings the other one back.`}
      onClose={onClose}
    >
      <div className="grid gap-4">
        {versions.map((one) => (
          <Pair key={`${one.field} ${one.part}`} name={nameOf(one)} mine={one.mine} theirs={one.theirs} />
        ))}
        <div className="flex flex-wrap gap-2">
          <Button look="go" onClick={() => choose('mine')}>
            Keep mine
          </Button>
          <Button onClick={() => choose('theirs')}>Take the newer one</Button>
        </div>
      </div>
    </Dialog>
  );
}
