import type { Live } from '#contract/site-state.ts';
import { heightNames } from './height-names.ts';

const kinds = { added: 'Added', changed: 'Changed', removed: 'Removed' } as const;
const tones = { added: 'text-meadow', changed: 'text-straw-ink', removed: 'text-clay' } as const;

/** What publishing would change, a line for each page. */
export function DifferenceList({ list }: { list: Live['waiting'] }) {
  return (
    <ul className="divide-y divide-line">
      {list.map((one) => (
        <li key={`${one.page} ${one.kind}`} className="flex gap-3 py-2 text-[0.8125rem] leading-[1.125rem]">
          <span className={`w-16 flex-none font-[550] ${tones[one.kind]}`}>{kinds[one.kind]}</span>
          <span>
            <b>{one.title}</b> {one.what.join(', ')}
            {one.access && one.kind !== 'added' && one.page !== null && (
              <span className="block text-ink-3">
                From {heightNames[one.access.before]} to {heightNames[one.access.after]}
              </span>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
