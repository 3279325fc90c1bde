import type { Pass } from '#contract/passes.ts';
import { siteHeight } from '#core/access/site-height.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import type { Site } from '#core/sites/site.ts';
import { passStateAt } from '../../api/pass-state-now.ts';

/** A kind of reader, as a column of the table. */
export interface Column {
  key: string;
  name: string;
  /** Said below the name. */
  note: string;
  viewer: Viewer;
  /** As which "See it as…" shows the page; null where it does not. */
  seeAs: string | null;
  /** Gets nothing at present, whatever stands in the column. */
  shut: boolean;
}

const notes = { open: '', off: 'switched off', 'not-yet': 'not open yet', over: 'over' } as const;

/** The kinds of readers of a site: strangers, whoever has its link, holders of each pass, and search engines. */
export function columnsOf(site: Site, passes: readonly Pass[], now: Date): Column[] {
  const isFound = site.searchEngines && siteHeight(site) === 'public';
  return [
    {
      key: 'stranger',
      name: 'Stranger',
      note: '',
      viewer: { kind: 'stranger' },
      seeAs: 'stranger',
      shut: false,
    },
    { key: 'link', name: 'Link', note: '', viewer: { kind: 'site-link' }, seeAs: 'link', shut: false },
    ...passes.map((pass): Column => {
      const state = passStateAt(pass, now);
      return {
        ...{ key: pass.id, name: pass.label, note: notes[state], viewer: passViewer(pass) },
        ...{ seeAs: `pass-${pass.id}`, shut: state !== 'open' },
      };
    }),
    {
      ...{ key: 'search', name: 'Search engines', note: isFound ? '' : 'kept out', seeAs: null },
      ...{ viewer: { kind: 'stranger' } as const, shut: !isFound },
    },
  ];
}
