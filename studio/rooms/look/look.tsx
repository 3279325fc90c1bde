import { useDeferredValue, useMemo, useState } from 'react';
import { asTheThemeComes, type Look as SiteLook } from '#core/look/look.ts';
import { schemeOf } from '#core/look/look-rules.ts';
import { themeNames } from '#core/look/theme-names.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { themes } from '#site/themes/themes.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { useLights } from '../../pages/use-lights.ts';
import { Button } from '../../ui/button.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { Segments } from '../../ui/segments.tsx';
import { Select } from '../../ui/select.tsx';
import { useShared } from '../../ui/use-shared.ts';
import { EndangeredPlaces } from './endangered.tsx';
import { Ledger } from './ledger.tsx';
import { lookInput } from './look-input.ts';
import { Preview, type Worn } from './preview.tsx';
import { Settings } from './settings.tsx';
import '../../ui/site-look.css';
import './look.css';

const widths = [
  { value: 'wide', name: 'Wide', px: 1280 },
  { value: 'phone', name: 'Phone', px: 390 },
] as const;
const noContents = new Map<string, never>();

/** What hangs behind the cord: nothing, the other light, the look as it was on coming in, or a theme as it comes. */
type Beside = 'nothing' | 'light' | 'before' | (typeof themeNames)[number];

/** Look: how the pages of a site look, changed on the maker's own pages. */
export function Look() {
  const { state, changeSite } = useSite();
  const undoNotice = useUndoNotice();
  const { look } = state.site;
  const pages = useMemo(
    () => state.pages.filter((page) => isShown(page) && rulesOfPage(page).opens && !page.archived),
    [state.pages],
  );
  const front = pages.find((page) => rulesOfPage(page).isFront);
  const [asked, setAsked] = useState<string | null>(null);
  const page = pages.find(({ id }) => id === asked) ?? pages.find((one) => rulesOfPage(one).isWork) ?? front;
  const [width, setWidth] = useState<(typeof widths)[number]['value']>('wide');
  const [beside, setBeside] = useState<Beside>('nothing');
  // As it was when its maker came in, to be held against what they do.
  const [before] = useState(look);

  const lights = useLights();
  const input = useShared(
    useMemo(() => (page ? lookInput(state, page.id, noContents, lights) : null), [state, page, lights]),
  );
  const ofFront = useShared(
    useMemo(() => (front ? lookInput(state, front.id, noContents, lights) : null), [state, front, lights]),
  );
  // Six small pages follow when there is time.
  const frontLater = useDeferredValue(ofFront);

  const scheme = schemeOf(look);
  const other = scheme === 'dark' ? 'light' : 'dark';
  const left: Worn = {
    look,
    name: themes[look.theme].label,
    ...(beside === 'light' && { scheme: scheme === 'dark' ? 'dark' : 'light' }),
  };
  const right = useMemo((): Worn | null => {
    if (beside === 'nothing') return null;
    if (beside === 'light') return { look, scheme: other, name: `the ${other} one` };
    if (beside === 'before') return { look: before, name: 'the look as it was when you came in' };
    return {
      look: { theme: beside, ...asTheThemeComes } as SiteLook,
      name: `${themes[beside].label} as it comes`,
    };
  }, [beside, before, look, other]);

  return (
    <div className="look grid min-h-full grid-cols-[minmax(0,340px)_minmax(0,1fr)] compact:grid-cols-[minmax(0,1fr)]">
      <aside
        className="look-side grid content-start gap-5 border-r border-r-line bg-[color-mix(in_oklab,var(--paper),var(--paper-raised))] px-5 py-5 compact:border-r-0 phone:px-4"
        aria-label="What is chosen"
      >
        <div className="flex flex-wrap items-center gap-x-3">
          <h1 className="mr-auto">Look</h1>
          <SaveWords />
        </div>
        <Settings front={frontLater} lights={lights} />
      </aside>
      <div className="look-shown flex min-w-0 flex-col gap-3 px-5 py-5 compact:contents">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
          <Select
            label="Page to look at"
            className="input max-w-56 flex-1"
            value={page?.id ?? ''}
            options={pages.map((one) => ({ value: one.id, name: pageName(one) }))}
            onChange={setAsked}
          />
          <Segments
            label="How wide"
            value={width}
            options={widths.map(({ value, name }) => ({ value, name }))}
            onChange={setWidth}
          />
          <Select
            label="Beside it"
            className="input max-w-64 flex-1"
            value={beside}
            options={[
              { value: 'nothing', name: 'Nothing beside it' },
              { value: 'light', name: `The ${other} one beside it` },
              { value: 'before', name: 'As it was when you came in' },
              ...themeNames.map((name) => ({ value: name, name: `${themes[name].label} as it comes` })),
            ]}
            onChange={setBeside}
          />
          {right && beside !== 'light' && (
            <Button
              small
              onClick={() => {
                changeSite({ look: right.look }, 'The look that hung beside');
                undoNotice('That look is on your pages now.');
              }}
            >
              Take that one
            </Button>
          )}
        </div>
        {input ? (
          <Preview
            input={input}
            left={left}
            right={right}
            widthPx={widths.find(({ value }) => value === width)?.px ?? 1280}
          />
        ) : (
          <p className="note">There is no page yet to look at. Make a project, and it is drawn here.</p>
        )}
        <p className="note">
          {state.live.release
            ? 'Readers get this look with your next publish.'
            : 'Readers get this look once you publish.'}
        </p>
        <Ledger look={look} />
        <EndangeredPlaces lights={lights} />
      </div>
    </div>
  );
}
