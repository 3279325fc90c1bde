import { Plus, UserRoundX } from 'lucide-react';
import { useState } from 'react';
import { materialsById } from '#core/materials/materials-by-id.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { CutPortrait } from '../../parts/person/cut-portrait.tsx';
import { PortraitPanel } from '../../parts/person/portrait-panel.tsx';
import { Button } from '../../ui/button.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { ItemHeight } from './item-height.tsx';
import { itemName } from './item-name.ts';
import { newId } from '../../parts/new-id.ts';
import type { PersonSteps } from './use-person.ts';

type Portrait = PartOf<'portrait'>;

function PortraitSign({ part }: { part: Portrait }) {
  const { state } = useSite();
  const round = 'size-14 rounded-full object-cover';
  const picture = materialsById(state.materials).get(part.material ?? '');
  if (part.form === 'drawn') return <CutPortrait drawing={part.drawing} className={round} />;
  if (part.form === 'letters')
    return (
      <span
        className={`${round} grid place-items-center bg-dusk font-head text-xl font-strong text-dusk-text`}
      >
        {part.letters}
      </span>
    );
  if (part.form === 'photo' && picture)
    return <MaterialPicture material={picture} alt="" shows="sign" className={round} />;
  return (
    <span className={`${round} grid place-items-center border border-dashed border-edge text-ink-3`}>
      {part.form === 'none' && <UserRoundX size={20} aria-hidden="true" />}
    </span>
  );
}

/** The ways in which the maker can be shown, the chosen one first. */
export function Portraits({ page, steps }: { page: ShownPage; steps: PersonSteps }) {
  const undoNotice = useUndoNotice();
  const portraits = page.parts.filter((part) => part.kind === 'portrait');
  const [opened, setOpened] = useState<string | null>(null);
  const open = portraits.find(({ id }) => id === opened) ?? portraits[0];
  const isFirst = open?.id === portraits[0]?.id;
  const add = () => {
    // The first is cut from paper: it shows a person and no face.
    const form = portraits.some((one) => one.form === 'drawn') ? 'photo' : 'drawn';
    const part = { ...newPart('portrait', newId()), form } as Portrait;
    steps.change(part);
    setOpened(part.id);
  };
  return (
    <section className="grid gap-2.5" aria-labelledby="about-portrait">
      <h2 id="about-portrait" className="field-name">
        Portrait <em>readers get the first that they may see</em>
      </h2>
      <ul className="flex flex-wrap gap-2">
        {portraits.map((part, at) => (
          <li key={part.id}>
            <button
              type="button"
              className="about-portrait"
              aria-pressed={part.id === open?.id}
              onClick={() => setOpened(part.id)}
            >
              <span aria-hidden="true">
                <PortraitSign part={part} />
              </span>
              <span>
                {at === 0 ? 'First' : at + 1}
                <span className="sr-only">: {itemName(part)}</span>
              </span>
            </button>
          </li>
        ))}
        {portraits.length < 8 && (
          <li>
            <button type="button" className="about-portrait" onClick={add}>
              <span className="grid size-14 place-items-center rounded-full border border-dashed border-edge">
                <Plus size={20} aria-hidden="true" />
              </span>
              <span>Add</span>
            </button>
          </li>
        )}
      </ul>
      {open && (
        <div className="grid gap-3 rounded-m bg-sunk p-3">
          <PortraitPanel part={open} page={page} onChange={steps.change} onReplace={() => undefined} />
          <div className="flex flex-wrap items-center gap-2">
            <ItemHeight {...{ page, steps }} part={open} />
            {!isFirst && (
              <Button small onClick={() => steps.choose(open)}>
                Show this one first
              </Button>
            )}
            <Button
              small
              onClick={() => {
                steps.remove(open);
                setOpened(null);
                undoNotice('The portrait is taken off; a picture stays in Gather.');
              }}
            >
              Take it off
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
