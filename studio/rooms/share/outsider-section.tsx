import type { OutsiderTest } from '#contract/outsider.ts';
import { plural } from '#core/words/plural.ts';
import { Button } from '../../ui/button.tsx';
import { FindingRow } from '../../ui/finding-row.tsx';
import { useOutsider } from './use-outsider.ts';
import { dayAndTime } from '../../ui/studio-dates.ts';

const whys = {
  asked: 'when you asked',
  published: 'after publishing',
  'hand-in': 'before a hand-in',
} as const;

const wrongIn = ({ findings }: OutsiderTest): number => findings.filter(({ is }) => is === 'wrong').length;

/** What an outsider gets, as the server found it by opening every link over HTTP; with the runs before. */
export function OutsiderSection() {
  const { query, run } = useOutsider();
  const { tests = [], running = false } = query.data ?? {};
  // Before a hand-in only its own link is tried.
  const latest = tests.find(({ why }) => why !== 'hand-in');
  const earlier = tests.filter((test) => test !== latest);
  const busy = running || run.isPending;
  return (
    <section aria-labelledby="outsider" className="grid gap-2">
      <h2 id="outsider" className="text-[1.0625rem]">
        Tested as an outsider
      </h2>
      <p className="note" role="status">
        {busy
          ? 'The server is opening every link, page and file without an account.'
          : latest
            ? `${dayAndTime(latest.at)}, ${whys[latest.why]}: ${plural(latest.asked, 'address', 'addresses')} tried${
                latest.release === null ? '' : ` of release ${latest.release}`
              }. What was changed or closed since is not in it.`
            : query.isPending
              ? 'Fetching what was found.'
              : 'The server opens every link as somebody without an account and says what it finds. It does so after each publish, too.'}
      </p>
      {latest && (
        <ul className="grid gap-0.5 text-s" aria-label="What was found">
          {latest.findings.map((finding) => (
            <FindingRow key={finding.says} finding={finding} />
          ))}
        </ul>
      )}
      {run.error && (
        <p className="field-problem" role="alert">
          {run.error.message}
        </p>
      )}
      <p>
        <Button disabled={busy} onClick={() => run.mutate()}>
          {latest ? 'Test again' : 'Test now'}
        </Button>
      </p>
      {earlier.length > 0 && (
        <details>
          <summary className="note cursor-pointer">{plural(earlier.length, 'other test')}</summary>
          <ol className="mt-1 grid gap-1 text-s">
            {earlier.map((test) => (
              <li key={test.id}>
                {dayAndTime(test.at)}, {whys[test.why]}
                {test.release !== null && `, release ${test.release}`}:{' '}
                {wrongIn(test) === 0 ? 'all as it should be' : `${wrongIn(test)} wrong`}
              </li>
            ))}
          </ol>
        </details>
      )}
    </section>
  );
}
