import type { Raised } from '#core/access/raised-by.ts';
import type { Height } from '#core/access/height.ts';

const names: Record<Height, string> = {
  private: 'Private',
  invited: 'Invited',
  unlisted: 'Unlisted',
  public: 'Public',
};

const whoGets: Record<Height, string> = {
  private: 'nobody',
  invited: 'people holding a pass',
  unlisted: 'anyone with the link',
  public: 'everybody, strangers too,',
};

/**
 * Who would get what, if a lowering is taken back: "Undo makes the whole site Public again. Nobody gets anything by that
 * now; with your next publish everybody, strangers too, can open it."
 *
 * @param raised at least one
 * @param titles of pages, by id
 */
export function raisingSentence(
  raised: readonly Raised[],
  titles: ReadonlyMap<string, string>,
  direction: 'undo' | 'redo',
): string {
  const title = (page: string | null) => `“${titles.get(page ?? '') || 'Untitled'}”`;
  const named = ({ kind, page, height }: Raised): string => {
    const thing =
      kind === 'site' ? 'the whole site' : kind === 'page' ? title(page) : `a part of ${title(page)}`;
    return `${thing} ${names[height]}`;
  };
  const shown = raised.slice(0, 3).map(named);
  const rest = raised.length - shown.length;
  const list = rest > 0 ? [...shown, `${rest} more`] : shown;
  const all = list.length > 1 ? `${list.slice(0, -1).join(', ')} and ${list.at(-1)}` : list.join('');
  const height = raised.map((one) => one.height).sort((a, b) => order.indexOf(b) - order.indexOf(a))[0];
  return `${direction === 'undo' ? 'Undo' : 'Doing it again'} makes ${all} again. Readers get nothing more by that now; with your next publish ${whoGets[height ?? 'public']} can open ${raised.length > 1 ? 'them' : 'it'}.`;
}

const order: Height[] = ['private', 'invited', 'unlisted', 'public'];
