import { format } from 'date-fns';
import { ExternalLink, RotateCw } from 'lucide-react';
import { useState } from 'react';
import { readLinkAgain } from '#contract/links-and-notes.ts';
import type { MaterialOf } from '#core/materials/material.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { linkSentence } from '../../materials/link-words.ts';
import { Button } from '../../ui/button.tsx';
import { SelectField } from '../../ui/select.tsx';

/** Where a link leads, how readers get it, and another look at the page. */
export function LinkFactsOf({ link }: { link: MaterialOf<'link'> }) {
  const { state, run, changeMaterial } = useSite();
  const [busy, setBusy] = useState(false);
  const { facts, shownBy } = link;
  const pictures = state.materials.filter((one) => one.kind === 'picture');
  const again = async () => {
    setBusy(true);
    await run(() => call(readLinkAgain, { params: { site: state.site.id, material: link.id } }));
    setBusy(false);
  };
  return (
    <>
      <div className="block">
        <p className="field-name">
          Address <em>read on {format(new Date(facts.readAt), 'd MMMM, HH:mm')}</em>
        </p>
        <p className="break-all">
          <a className="link" href={facts.url} target="_blank" rel="noreferrer">
            {facts.url} <ExternalLink size={13} className="inline" aria-hidden="true" />
            <span className="sr-only">, opens in a new window</span>
          </a>
        </p>
        <p className="note mt-1" role="status">
          {busy ? 'Reading the page.' : linkSentence(facts)}
        </p>
        <Button small className="mt-2" disabled={busy} onClick={() => void again()}>
          <RotateCw size={15} aria-hidden="true" />
          Read it again
        </Button>
      </div>
      <SelectField
        name="Still"
        hint="stands for it until it is opened"
        value={shownBy ?? ''}
        options={[
          { value: '', name: facts.picture ? 'the page’s own picture' : 'none' },
          ...pictures.map((one) => ({ value: one.id, name: materialName(one) })),
        ]}
        onChange={(picture) =>
          changeMaterial(
            link.id,
            { shownBy: picture || null },
            `Still of ${materialName(link)}`,
            `${link.id} still`,
          )
        }
      />
    </>
  );
}
