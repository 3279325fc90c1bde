import type { Entrance, PublicSites } from './public-sites.ts';

/**
 * What readers get who come in by a path as links have it: `/address/`, `/l/key/` or `/p/key/`. A pass is entered whatever its hours and
 * its password are; one that is switched off is not.
 *
 * @returns null where nothing is open there
 */
export async function entranceAt(
  open: Pick<PublicSites, 'atAddress' | 'atLink' | 'atPass'>,
  path: string,
): Promise<Entrance | null> {
  const [, first = '', key = ''] = path.split('/');
  if (first === 'p') return (await (await open.atPass(key))?.enter()) ?? null;
  const found = await (first === 'l' ? open.atLink(key) : open.atAddress(first));
  return found && 'entrance' in found ? found.entrance : null;
}
