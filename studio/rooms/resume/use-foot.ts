import type { Foot } from '#contract/resume.ts';
import { useSite } from '../../api/site-context.tsx';
import { useKeptChoice } from '../../ui/use-kept-choice.ts';
import type { Version } from './use-resume.ts';

/**
 * Whether the PDF that its maker takes out says a version's own link, so that an old one leads to the newest. Readers
 * never get it by themselves: whoever is handed it can open the version.
 *
 * @returns what its foot says now, and how to choose; no choice where the version has no link of its own
 */
export function useFoot({ id, height }: Version): { foot: Foot; choose: ((foot: Foot) => void) | null } {
  const { state } = useSite();
  const [kept, choose] = useKeptChoice<Foot>(`foot of ${id}`, ['none', 'link']);
  const hasLink = height === 'unlisted' && state.live.pageLinkPaths[id] !== undefined;
  return hasLink ? { foot: kept, choose } : { foot: 'none', choose: null };
}
