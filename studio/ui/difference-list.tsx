import type { Live } from '#contract/site-state.ts';
import { heightNames } from './height-names.ts';

const kinds = { added: 'Added', changed: 'Changed', removed: 'Removed' } as const;
const tones = { added: 'text-meadow', changed: 'text-straw-ink', removed: 'text-clay' } as const;

/** What publishing would change of one page, or of the site itself. */
export const DifferenceWords = ({ of }: { of: Live['waiting'][number] }) => (
  <span className="flex gap-3 text-[0.8125rem] leading-[1.125rem]">
    <span className={`w-16 flex-none font-[550] ${tones[of.kind]}`}>{kinds[of.kind]}</span>
    <span className="min-w-0">
      <b>{of.title}</b> {of.what.join(', ')}
      {of.access && of.kind !== 'added' && of.page !== null && (
        <span className="block text-ink-3">
          From {heightNames[of.access.before]} to {heightNames[of.access.after]}
        </span>
      )}
    </span>
  </span>
);

/** What publishing would change, a line for each page. */
export function DifferenceList({ list }: { list: Live['waiting'] }) {
  return (
    <ul className="divide-y divide-line">
      {list.map((one) => (
        <li key={`${one.page} ${one.kind}`} className="py-2">
          <DifferenceWords of={one} />
        </li>
      ))}
    </ul>
  );
}
