import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { pageSizePx } from '#core/materials/document.ts';
import type { Material, MaterialOf } from '#core/materials/material.ts';
import { hasBurntIn } from '#core/materials/fixes.ts';
import { DialogFrame, DialogHead } from '../../ui/dialog.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { useBlackOutTab } from './black-out-tab.tsx';
import { useFocusTab } from './focus-tab.tsx';
import { useFrameTab } from './frame-tab.tsx';
import { useLightTab } from './light-tab.tsx';
import { usePageTurnTab } from './page-turn-tab.tsx';
import { type FixesState, useFixes } from './use-fixes.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { TabList, TabPanel, Tabs } from '../../ui/tabs.tsx';

/* Over one another: head, tabs, and picture and controls, which stand side by side where there is room. */
const layout =
  'grid h-[min(90dvh,720px)] grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_minmax(0,1fr)] phone:h-[92dvh]';
const tabsLook =
  'mx-5 mb-3 justify-self-start phone:mx-2 phone:mb-2 phone:max-w-[calc(100vw-40px)] phone:overflow-x-auto';
const content =
  'grid min-h-0 grid-cols-[minmax(0,1fr)_292px] phone:grid-cols-[minmax(0,1fr)] phone:grid-rows-[44dvh_minmax(0,1fr)] [&[hidden]]:hidden';
const stageLook = 'grid min-h-0 place-items-center bg-sunk p-5 @container-size phone:p-3';

const tabs = [
  { key: 'frame', name: 'Turn and crop' },
  { key: 'light', name: 'Light' },
  { key: 'black-out', name: 'Black out' },
  { key: 'focus', name: 'Focus' },
] as const;

/** Settings on an untouched original: everything here can be changed again at any time. */
export function FixDialog({ material, onClose }: { material: Material; onClose: () => void }) {
  return (
    <DialogFrame className="max-h-[94dvh] w-[min(96vw,1120px)] p-0" onClose={onClose}>
      {material.kind === 'picture' && <FixPicture material={material} />}
      {material.kind === 'document' && <FixPages material={material} />}
    </DialogFrame>
  );
}

const Head = ({ material }: { material: Material }) => (
  <DialogHead
    className="gap-4 pt-3 pb-2.5 pr-3 pl-5"
    title={`Fix ${materialName(material)}`}
    tools={<SaveWords />}
  />
);

function BackToOriginal({ state }: { state: FixesState }) {
  return (
    <button
      type="button"
      className="link justify-self-start text-[0.8125rem]"
      disabled={!hasBurntIn(state.saved) && !state.saved.focus}
      onClick={() => state.save({})}
    >
      Back to the original
    </button>
  );
}

function FixPicture({ material }: { material: MaterialOf<'picture'> }) {
  const [open, setOpen] = useState<string>('frame');
  const state = useFixes(material);
  const shown = {
    frame: useFrameTab(material, state),
    light: useLightTab(material, state),
    'black-out': useBlackOutTab(material, state, 0, material.facts),
    focus: useFocusTab(material, state),
  };
  return (
    <Tabs value={open} onChange={setOpen} className={layout}>
      <Head material={material} />
      <TabList className={tabsLook} label="Kinds of fixes" tabs={tabs} />
      {tabs.map(({ key }) => (
        <TabPanel key={key} of={key} className={content}>
          <div className={stageLook}>{shown[key].stage}</div>
          <div className="grid content-start gap-3.5 py-4 px-5 overflow-auto border-t border-t-line">
            {shown[key].controls}
            <BackToOriginal state={state} />
          </div>
        </TabPanel>
      ))}
    </Tabs>
  );
}

const pageTabs = [
  { key: 'black-out', name: 'Black out' },
  { key: 'turn', name: 'Turn' },
];

/** Black-out and quarter turns on the pages of a PDF. */
function FixPages({ material }: { material: MaterialOf<'document'> }) {
  const [page, setPage] = useState(0);
  const [open, setOpen] = useState('black-out');
  const state = useFixes(material);
  const { pages } = material.facts;
  const size = pages[page];
  const blackOut = useBlackOutTab(
    material,
    state,
    page,
    size ? pageSizePx(size) : { widthPx: 1, heightPx: 1 },
  );
  const turn = usePageTurnTab(material, state, page);
  return (
    <Tabs value={open} onChange={setOpen} className={layout}>
      <Head material={material} />
      <div className={`flex items-center gap-3 ${tabsLook}`}>
        <TabList label="Kinds of fixes" tabs={pageTabs} />
        <IconButton small label="Page before" disabled={page === 0} onClick={() => setPage(page - 1)}>
          <ChevronLeft size={18} aria-hidden="true" />
        </IconButton>
        <span aria-live="polite">
          Page {page + 1} of {pages.length}
        </span>
        <IconButton
          small
          label="Next page"
          disabled={page >= pages.length - 1}
          onClick={() => setPage(page + 1)}
        >
          <ChevronRight size={18} aria-hidden="true" />
        </IconButton>
      </div>
      <TabPanel of="black-out" className={content}>
        <div className={stageLook}>{blackOut.stage}</div>
        <div className="grid content-start gap-3.5 py-4 px-5 overflow-auto border-t border-t-line">
          {blackOut.controls}
          <p className="note">
            Words under a region are gone from what is published and found, too. The file cannot be offered
            for download any more, since it still holds them.
          </p>
          <BackToOriginal state={state} />
        </div>
      </TabPanel>
      <TabPanel of="turn" className={content}>
        <div className={stageLook}>{turn.stage}</div>
        <div className="grid content-start gap-3.5 py-4 px-5 overflow-auto border-t border-t-line">
          {turn.controls}
          <BackToOriginal state={state} />
        </div>
      </TabPanel>
    </Tabs>
  );
}
