import { BookOpen, Images, ListTree } from 'lucide-react';
import type { ShownPage } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { seenAt } from './compose-bar.tsx';

export type Sheet = 'facts' | 'tray' | null;

/** On a narrow screen: what opens the tray and the facts as sheets. */
export function ComposeSheets({
  page,
  loose,
  sheet,
  onSheet,
}: {
  page: ShownPage;
  /** How many materials are not used yet. */
  loose: number;
  sheet: Sheet;
  onSheet: (sheet: Sheet) => void;
}) {
  const { state } = useSite();
  const { isWork } = rulesOfPage(page);
  const toggle = (which: 'facts' | 'tray') => onSheet(sheet === which ? null : which);
  return (
    <div className="foot-bar z-21 hidden justify-around border-t border-t-line bg-sunk *:inline-flex *:min-h-11 short:*:min-h-9 *:items-center *:gap-1.5 *:px-2.5 *:font-firm *:text-ink *:no-underline compact:flex">
      <button type="button" aria-expanded={sheet === 'tray'} onClick={() => toggle('tray')}>
        <Images size={17} aria-hidden="true" /> Not used {loose}
      </button>
      <button type="button" aria-expanded={sheet === 'facts'} onClick={() => toggle('facts')}>
        <ListTree size={17} aria-hidden="true" /> {isWork ? 'Case facts' : 'Height'}
      </button>
      <a href={seenAt(state.site.id, page)} target="_blank" rel="noreferrer">
        <BookOpen size={17} aria-hidden="true" /> Read it
      </a>
    </div>
  );
}
