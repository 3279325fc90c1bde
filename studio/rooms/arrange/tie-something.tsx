import { LayoutTemplate, Plus } from 'lucide-react';
import { useState } from 'react';
import { createPage } from '#contract/pages.ts';
import { webAddressSchema } from '#contract/web-address.ts';
import type { Id } from '#core/id.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { type PageStarterKey, pageStarterKeys, pageStarterNames } from '#core/parts/starter-names.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';
import { Menu, MenuItem, MenuRule } from '../../ui/menu.tsx';
import { SelectField } from '../../ui/select.tsx';
import { StarterDialog } from './starter-dialog.tsx';
import { kindSigns, tieable } from './kind-words.ts';

type Kind = (typeof tieable)[number]['kind'];

/** Asks what a new page is called, and of a link where it leads. */
function NameIt({
  kind,
  onTied,
  onClose,
}: {
  kind: Kind;
  onTied: (id: Id, kind: Kind, name: string) => void;
  onClose: () => void;
}) {
  const { state, run } = useSite();
  const [title, setTitle] = useState(kind === 'about' ? 'About' : kind === 'resume' ? 'Résumé' : '');
  const [address, setAddress] = useState('');
  const [starter, setStarter] = useState<PageStarterKey | 'none'>('none');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const { name } = rulesOfPage({ kind });
  const tie = async () => {
    const leadsTo = webAddressSchema.safeParse(address);
    if (kind === 'link' && !leadsTo.success)
      return setProblem(leadsTo.error.issues[0]?.message ?? 'This is no web address.');
    const called = title.trim() || (starter === 'none' ? '' : pageStarterNames[starter]);
    setBusy(true);
    const made = await run(() =>
      call(createPage, {
        params: { site: state.site.id },
        body: {
          ...{ kind, title: called, materials: [] },
          ...(starter !== 'none' && { starter }),
          ...(kind === 'link' && leadsTo.success && { leadsTo: leadsTo.data }),
        },
      }),
    );
    setBusy(false);
    if (made) onTied(made.page, kind, pageName({ kind, title: called }));
  };
  return (
    <Dialog title={`Tie a ${name.toLowerCase()} to the string`} onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (!busy) void tie();
        }}
      >
        <Field
          label="Name"
          value={title}
          maxLength={160}
          onChange={(event) => setTitle(event.target.value)}
        />
        {kind === 'plain' && (
          <SelectField
            name="Begins with"
            value={starter}
            options={[
              { value: 'none', name: 'Nothing' },
              ...pageStarterKeys.map((value) => ({
                value,
                name: `The outline “${pageStarterNames[value]}”`,
              })),
            ]}
            onChange={setStarter}
          />
        )}
        {kind === 'link' && (
          <Field
            label="Where it leads"
            hint="a web address"
            inputMode="url"
            spellCheck={false}
            value={address}
            problem={problem}
            onChange={(event) => setAddress(event.target.value)}
          />
        )}
        <p>
          <Button look="ink" type="submit" disabled={busy}>
            Tie it
          </Button>
        </p>
      </form>
    </Dialog>
  );
}

/** What can be added to the string. */
export function TieSomething({ onTied }: { onTied: (id: Id, kind: Kind, name: string) => void }) {
  const { state } = useSite();
  const [naming, setNaming] = useState<Kind | null>(null);
  const [starting, setStarting] = useState(false);
  const there = new Set(state.pages.map(({ kind }) => kind));
  return (
    <>
      <Menu
        align="end"
        opener={
          <Button look="ink">
            <Plus size={16} aria-hidden="true" /> Add a page
          </Button>
        }
      >
        {tieable.map(({ kind, name, note }) => {
          const isThere = rulesOfPage({ kind }).isSingle && there.has(kind);
          return (
            <MenuItem
              key={kind}
              icon={kindSigns[kind]}
              name={name}
              note={isThere ? 'There is one already' : note}
              disabled={isThere}
              onSelect={() => setNaming(kind)}
            />
          );
        })}
        <MenuRule />
        <MenuItem
          icon={LayoutTemplate}
          name="From a starter"
          note="A whole site, or some of its pages"
          onSelect={() => setStarting(true)}
        />
      </Menu>
      {starting && <StarterDialog onClose={() => setStarting(false)} />}
      {naming && (
        <NameIt
          kind={naming}
          onClose={() => setNaming(null)}
          onTied={(...tied) => {
            setNaming(null);
            onTied(...tied);
          }}
        />
      )}
    </>
  );
}
