import Papa from 'papaparse';
import type { Pass } from '#contract/passes.ts';
import { Button } from '../../ui/button.tsx';
import { CopyLink } from '../../ui/copy-link.tsx';

interface MadePassesProps {
  passes: readonly Pass[];
  /** They were there before. */
  changed: boolean;
  /** Told now and never again; null where there is none. */
  password: string | null;
  onDone: () => void;
}

const urlOf = ({ link }: Pass): string => (link === null ? '' : new URL(link, window.location.origin).href);

/** A table of links, as a program for tables opens it (RFC 4180). */
const tableOf = (passes: readonly Pass[]): string =>
  Papa.unparse(
    [['Name', 'For', 'Link'], ...passes.map((pass) => [pass.label, pass.forWhom, urlOf(pass)])],
    // What begins like a formula is one nowhere.
    { escapeFormulae: true },
  );

/** What was just made, to be handed on. */
export function MadePasses({ passes, changed, password, onDone }: MadePassesProps) {
  const [one] = passes;
  if (!one) return null;
  const many = passes.length > 1;
  return (
    <section
      className="grid gap-3 border-l-[3px] border-l-vermilion bg-raised p-4"
      aria-label="Just made"
      role="status"
    >
      <p>
        <b>
          {many
            ? `${passes.length} passes are made.`
            : changed
              ? `“${one.label}” has another password.`
              : `“${one.label}” is made.`}
        </b>{' '}
        {many
          ? 'Each has a link of its own.'
          : changed
            ? 'Whoever knew the old one is asked for it.'
            : 'Give its link to whoever it is for.'}
      </p>
      {!many && <CopyLink path={one.link ?? ''} label={`Link of ${one.label}`} />}
      {password !== null && (
        <p>
          Password: <b className="font-mono select-all">{password}</b>
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        {many && (
          <Button asChild look="ink">
            <a
              href={`data:text/csv;charset=utf-8,${encodeURIComponent(tableOf(passes))}`}
              download="passes.csv"
            >
              Save names and links as a table
            </a>
          </Button>
        )}
        <Button onClick={onDone}>Done</Button>
      </p>
    </section>
  );
}
