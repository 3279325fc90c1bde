import type { Page } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import type { QuickLink } from '#core/sites/quick-link.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';

interface QuickLinkDialogProps {
  link: QuickLink;
  /** Pages at whose end it can stand. */
  pages: readonly Page[];
  onChange: (change: Partial<QuickLink>, what: string) => void;
  onClose: () => void;
}

const ends = [
  { value: 'every', name: 'Every page' },
  { value: 'chosen', name: 'Chosen pages' },
  { value: 'none', name: 'No page' },
] as const;

/** What a quick link is called, where it leads and where it stands. */
export function QuickLinkDialog({ link, pages, onChange, onClose }: QuickLinkDialogProps) {
  const name = link.name || 'a quick link';
  return (
    <Dialog title={link.name || 'Quick link'} onClose={onClose}>
      <div className="grid gap-4">
        <Field
          label="Name"
          hint="what readers press"
          value={link.name}
          maxLength={80}
          onChange={(event) => onChange({ name: event.target.value }, 'Name of a quick link')}
        />
        <WebAddressField
          label="Where it leads"
          hint="a web address"
          value={link.to}
          onChange={(to) => onChange({ to }, `Address of ${name}`)}
        />
        <label className="check">
          <input
            type="checkbox"
            checked={link.newWindow}
            onChange={(event) => onChange({ newWindow: event.target.checked }, `Window of ${name}`)}
          />
          Open it in a new window
        </label>
        <label className="check">
          <input
            type="checkbox"
            checked={link.inMenu}
            onChange={(event) => onChange({ inMenu: event.target.checked }, `${name} in the menu`)}
          />
          At the end of the menu
        </label>
        <SelectField
          name="At the end of"
          value={link.atEnd}
          options={ends}
          onChange={(atEnd) => onChange({ atEnd }, `Where ${name} stands`)}
        />
        {link.atEnd === 'chosen' && (
          <fieldset className="grid max-h-56 gap-1 overflow-auto border border-edge p-2.5">
            <legend className="field-name px-1">Pages</legend>
            {pages.map((page) => (
              <label key={page.id} className="check">
                <input
                  type="checkbox"
                  checked={link.pages.includes(page.id)}
                  onChange={(event) =>
                    onChange(
                      {
                        pages: event.target.checked
                          ? [...link.pages, page.id]
                          : link.pages.filter((id) => id !== page.id),
                      },
                      `Where ${name} stands`,
                    )
                  }
                />
                {pageName(page)}
              </label>
            ))}
          </fieldset>
        )}
        <p className="note">Whoever can open a page can see the links on it.</p>
      </div>
      <p className="mt-5">
        <Button look="ink" onClick={onClose}>
          Done
        </Button>
      </p>
    </Dialog>
  );
}
