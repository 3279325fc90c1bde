import { Check, CircleAlert, Info } from 'lucide-react';
import { Link } from 'react-router';
import type { Finding, Repair } from '#core/outsider/outsider-test.ts';
import { useSite } from '../api/site-context.tsx';
import { useAllActions } from './finder/actions-context.tsx';

/** One thing that can be done about a finding. */
function RepairAction({ repair }: { repair: Repair }) {
  const { state, changePage } = useSite();
  const actions = useAllActions();
  const base = `/studio/${state.site.id}`;
  switch (repair.kind) {
    case 'publish':
      return (
        <button
          type="button"
          className="link"
          onClick={() =>
            actions()
              .find(({ name }) => name === 'Publish')
              ?.run()
          }
        >
          Publish
        </button>
      );
    case 'raise':
    case 'close': {
      const height = repair.kind === 'raise' ? 'invited' : 'private';
      return (
        <button
          type="button"
          className="link"
          onClick={() =>
            changePage(
              repair.page,
              { height },
              `Height of ${repair.title || 'a page'}`,
              `${repair.page} height`,
            )
          }
        >
          {repair.kind === 'raise' ? 'Raise it to Invited' : 'Make it Private'}
          <span className="sr-only">: {repair.title}</span>
        </button>
      );
    }
    case 'change-pass':
      return (
        <Link className="link" to={`${base}/share/passes`}>
          Change the pass<span className="sr-only"> {repair.name}</span>
        </Link>
      );
    case 'open-page':
      return (
        <Link className="link" to={`${base}/projects/${repair.page}`}>
          Open the page<span className="sr-only">: {repair.title}</span>
        </Link>
      );
    case 'again':
      return null;
  }
}

const icons = { right: Check, wrong: CircleAlert, note: Info } as const;
const heard = { right: 'As it should be', wrong: 'Wrong', note: 'Worth knowing' } as const;

/** One sentence of what an outsider found, with what can be done about it. */
export function FindingRow({ finding: { is, says, repairs } }: { finding: Finding }) {
  const Icon = icons[is];
  return (
    <li className={`flex gap-2 rounded-s px-2 py-1 ${is === 'wrong' ? 'bg-straw-wash' : ''}`}>
      <Icon
        size={16}
        className={`mt-0.5 flex-none ${is === 'right' ? 'text-meadow' : is === 'wrong' ? 'text-straw-ink' : 'text-ink-3'}`}
        aria-hidden="true"
      />
      <span className="min-w-0 break-words">
        <span className="sr-only">{heard[is]}: </span>
        {says}
        {is === 'wrong' && (
          <span className="flex flex-wrap gap-x-3">
            {repairs.map((repair) => (
              <RepairAction key={`${repair.kind} ${JSON.stringify(repair)}`} repair={repair} />
            ))}
          </span>
        )}
      </span>
    </li>
  );
}
