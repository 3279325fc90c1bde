import type { Viewer } from '../access/viewer.ts';
import type { PassTerms } from '../passes/pass.ts';
import { passViewer } from '../passes/pass-viewer.ts';
import type { LookedAtAs } from './second-look.ts';

/**
 * As whom the draft is filtered for a second look. Never as its maker: what is Private stays so.
 *
 * @param pass the pass it is for, where it is for one
 * @returns null where that pass is gone
 */
export function viewerOfLook(
  as: LookedAtAs,
  pass: Pick<PassTerms, 'opens' | 'mayDownload'> | null,
): Viewer | null {
  if (as.kind === 'whole') return { kind: 'pass', covers: 'site', downloads: true };
  if (as.kind === 'pass') return pass && passViewer(pass);
  return { kind: as.kind };
}
