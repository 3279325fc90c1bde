import type { Viewer } from '../access/viewer.ts';
import type { PassTerms } from './pass.ts';

export type PassViewer = Extract<Viewer, { kind: 'pass' }>;

/** Whoever holds a pass. */
export const passViewer = ({ opens, mayDownload }: Pick<PassTerms, 'opens' | 'mayDownload'>): PassViewer => ({
  kind: 'pass',
  covers: opens,
  downloads: mayDownload,
});

/** Equal for passes that open the same: their readers get the same files. */
export const passViewerKey = ({ covers, downloads }: PassViewer): string =>
  `${covers === 'site' ? covers : [...new Set(covers)].sort().join(' ')}${downloads ? '' : ' without downloads'}`;
