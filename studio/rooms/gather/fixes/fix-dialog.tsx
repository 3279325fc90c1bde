import { X } from 'lucide-react';
import { Dialog, Tabs } from 'radix-ui';
import { useState } from 'react';
import type { Material } from '#core/content/material.ts';
import { hasBurntIn } from '#core/content/fixes.ts';
import { materialName } from '../../../ui/material-picture.tsx';
import { SaveWords } from '../../../ui/save-words.tsx';
import { useFocusBack } from '../../../ui/use-focus-back.ts';
import { useBlackOutTab } from './black-out-tab.tsx';
import { useFocusTab } from './focus-tab.tsx';
import { useFrameTab } from './frame-tab.tsx';
import { useLightTab } from './light-tab.tsx';
import { useFixes } from './use-fixes.ts';

const tabs = [
  { key: 'frame', name: 'Turn and crop' },
  { key: 'light', name: 'Light' },
  { key: 'black-out', name: 'Black out' },
  { key: 'focus', name: 'Focus' },
] as const;

/** Settings on an untouched original: everything here can be changed again at any time. */
export function FixDialog({ material, onClose }: { material: Material; onClose: () => void }) {
  const focusBack = useFocusBack();
  const [open, setOpen] = useState<string>('frame');
  const state = useFixes(material);
  const shown = {
    frame: useFrameTab(material, state),
    light: useLightTab(material, state),
    'black-out': useBlackOutTab(material, state, 0, material.facts),
    focus: useFocusTab(material, state),
  };
  return (
    <Dialog.Root open onOpenChange={(wanted) => !wanted && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog fix-dialog" aria-describedby={undefined} {...focusBack}>
          <Tabs.Root value={open} onValueChange={setOpen} className="fix-layout">
            <header className="fix-head">
              <Dialog.Title className="truncate">Fix {materialName(material)}</Dialog.Title>
              <SaveWords />
              <Dialog.Close className="icon-btn" aria-label="Close">
                <X size={18} aria-hidden="true" />
              </Dialog.Close>
            </header>
            <Tabs.List className="seg fix-tabs" aria-label="Kinds of fixes">
              {tabs.map(({ key, name }) => (
                <Tabs.Trigger key={key} value={key}>
                  {name}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            {tabs.map(({ key }) => (
              <Tabs.Content key={key} value={key} className="fix-content">
                <div className="fix-stage">{shown[key].stage}</div>
                <div className="fix-controls">
                  {shown[key].controls}
                  <button
                    type="button"
                    className="link justify-self-start text-[0.8125rem]"
                    disabled={!hasBurntIn(state.saved) && !state.saved.focus}
                    onClick={() => state.save({})}
                  >
                    Back to the original
                  </button>
                </div>
              </Tabs.Content>
            ))}
          </Tabs.Root>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
