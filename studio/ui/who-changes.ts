import type { Height } from '#core/access/height.ts';
import { type Audience, whoBetween } from '#core/access/who-between.ts';

const names: Record<Audience, string> = {
  strangers: 'strangers',
  link: 'whoever has a link',
  passes: 'whoever holds a pass',
};

const listed = (who: readonly Audience[]): string => {
  const said = who.map((one) => names[one]);
  return said.length < 2 ? (said[0] ?? '') : `${said.slice(0, -1).join(', ')} and ${said.at(-1)}`;
};

/** Who would gain or lose something by another height, before it is chosen; empty where that is nobody. */
export function whoChanges(from: Height, to: Height): string {
  const { gains, loses } = whoBetween(from, to);
  if (loses.length === Object.keys(names).length) return 'everybody but you loses it at once';
  if (gains.length === Object.keys(names).length) return 'with the next publish everybody gains it';
  const verb = (who: readonly Audience[], one: string, many: string) =>
    who.length === 1 && who[0] !== 'strangers' ? one : many;
  if (gains.length > 0) return `with the next publish ${listed(gains)} ${verb(gains, 'gains', 'gain')} it`;
  return loses.length > 0 ? `${listed(loses)} ${verb(loses, 'loses', 'lose')} it at once` : '';
}
