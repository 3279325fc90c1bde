import { useState } from 'react';
import type { Group } from '#contract/groups.ts';
import { type ClassTerms, classTermsSchema } from '#core/groups/group.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { useGroupChanges } from '../api/use-groups.ts';
import { Button } from '../ui/button.tsx';
import { CopyLink } from '../ui/copy-link.tsx';
import { Field } from '../ui/field.tsx';
import { notice } from '../ui/notice.ts';
import { TextField } from '../ui/text-field.tsx';
import { TimeField } from '../ui/time-field.tsx';
import { Part } from './part.tsx';

/** The class page of a group: the link to join by, and what it says; or the way to open one. */
export function ClassPart({ group }: { group: Group }) {
  const { openPage, renew } = useGroupChanges();
  const { classPage } = group;
  const isOpen = classPage !== null && classPage.endedAt === null;
  const [terms, setTerms] = useState<ClassTerms>(() =>
    classPage ? classTermsSchema.parse(classPage) : { by: '', words: '', due: null, timeZone: ownTimeZone() },
  );
  const [tried, setTried] = useState(false);
  const set = (more: Partial<ClassTerms>) => setTerms({ ...terms, ...more });
  const nameless = terms.by.trim() === '';
  return (
    <Part
      title="Class page"
      note="If you teach: who joins by its link hands in a site of theirs, by a pass made for the class alone. You see who handed in; you open nothing, and you can end that sharing only."
    >
      {isOpen && (
        <div className="grid gap-2">
          <p className="field-name">The link to join by</p>
          {classPage.link === null ? (
            <p className="note">The server cannot tell it any more. Make it anew.</p>
          ) : (
            <CopyLink path={classPage.link} label="The link to join by" />
          )}
          <p className="flex flex-wrap items-baseline gap-3">
            <Button small disabled={renew.isPending} onClick={() => renew.mutate(group.id)}>
              Make it anew
            </Button>
            <span className="note">Who has joined stays; nobody joins by the old one.</span>
          </p>
        </div>
      )}
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          setTried(true);
          if (nameless || openPage.isPending) return;
          openPage.mutate(
            { id: group.id, ...terms },
            {
              onSuccess: () =>
                notice(isOpen ? 'What the class page says is changed.' : 'The class page is open.'),
            },
          );
        }}
      >
        <Field
          label="Who asks"
          hint="as those who join know you"
          value={terms.by}
          maxLength={80}
          problem={
            tried && nameless ? 'Say who asks, so that those who join know whom they hand in to.' : undefined
          }
          onChange={({ target }) => set({ by: target.value })}
        />
        <TextField
          label="What is asked"
          hint="who joins reads it"
          value={terms.words}
          most={1000}
          onChange={(words) => set({ words })}
        />
        <TimeField label="Due" hint="empty: no date" value={terms.due} onChange={(due) => set({ due })} />
        {openPage.error && (
          <p className="field-problem" role="alert">
            {openPage.error.message}
          </p>
        )}
        <p className="flex flex-wrap items-baseline gap-3">
          <Button type="submit" look={isOpen ? 'plain' : 'ink'} disabled={openPage.isPending}>
            {isOpen ? 'Keep the change' : classPage ? 'Open it again, by a new link' : 'Open a class page'}
          </Button>
          {classPage && !isOpen && <span className="note">What its end closed stays closed.</span>}
        </p>
      </form>
    </Part>
  );
}
