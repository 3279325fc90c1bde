import { Copy, Eye, Mail, MoreHorizontal, Pencil, RefreshCw, Trash2 } from 'lucide-react';
import type { Pass, PassList } from '#contract/passes.ts';
import { shortDay } from '#core/dates/short-day.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { copyText } from '../../api/copy-text.ts';
import { passStateAt, windowOf } from '../../api/pass-state-now.ts';
import { useSite } from '../../api/site-context.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Menu, MenuItem, MenuLink, MenuRule } from '../../ui/menu.tsx';
import { problemNotice } from '../../ui/notice.ts';
import { Switch } from '../../ui/switch.tsx';
import { openedNames } from './opened-names.ts';

interface PassRowProps {
  pass: Pass;
  /** How often something was opened by it; left out where nothing ever was. */
  visits: PassList['visits'][string] | undefined;
  now: Date;
  busy: boolean;
  onToggle: () => void;
  onSend: () => void;
  onChange: () => void;
  onRenew: () => void;
  onRemove: () => void;
}

const dayMs = 24 * 60 * 60 * 1000;

/** When a pass opens something, in a line, and what of that is worth noticing. */
function whenOf(pass: Pass, now: Date): { line: string; notice: string } {
  const { opensAt: opens, closesAt: closes } = windowOf(pass);
  const { timeZone } = pass;
  const state = passStateAt(pass, now);
  const from = opens ? `From ${instantInWords(opens, timeZone)}` : '';
  const until = closes ? `${from ? 'until' : 'Until'} ${instantInWords(closes, timeZone)}` : '';
  const left = closes ? Math.ceil((closes.getTime() - now.getTime()) / dayMs) : 0;
  return {
    line: [from, until].filter(Boolean).join(' ') || 'Without an end',
    notice:
      state === 'not-yet'
        ? 'Not open yet'
        : state === 'over'
          ? 'Over'
          : state === 'open' && closes && left <= 7
            ? left <= 1
              ? 'Closes within a day'
              : `${left} days left`
            : '',
  };
}

/** What a pass opens, in a line, and what of it stays shut. */
function useOpens({ opens }: Pass): { line: string; shut: string } {
  const { state } = useSite();
  if (opens === 'site') return { line: 'The whole site', shut: '' };
  const named = openedNames(state, opens);
  const shut = named.filter((one) => one.shut);
  const gone = opens.length - named.length;
  const first = named.slice(0, 2).map(({ name }) => name);
  const more = named.length - first.length;
  return {
    line: `${first.join(', ')}${more > 0 ? ` and ${more} more` : ''}` || 'Nothing that is still there',
    shut: [
      shut.length === 1 ? `${shut[0]?.name} is Private` : shut.length > 1 ? `${shut.length} are Private` : '',
      gone > 0 ? `${gone} deleted` : '',
    ]
      .filter(Boolean)
      .join(', '),
  };
}

/** One pass: whom it is for, what it opens and when, and what can be done with it. */
export function PassRow({
  pass,
  visits,
  now,
  busy,
  onToggle,
  onSend,
  onChange,
  onRenew,
  onRemove,
}: PassRowProps) {
  const { state } = useSite();
  const { label, link } = pass;
  const when = whenOf(pass, now);
  const what = useOpens(pass);
  const copy = () => {
    if (link === null) return problemNotice('The server cannot tell this link any more. Make a new one.');
    void copyText(new URL(link, window.location.origin).href, `The link of “${label}” is copied.`);
  };
  const dim = pass.on ? '' : 'text-ink-3';
  const warn = 'block text-s font-firm text-straw-ink';
  return (
    <li
      className={`grid grid-cols-[minmax(0,1.2fr)_minmax(0,1.3fr)_minmax(0,1.3fr)_auto_auto] items-center gap-x-4 gap-y-1 border-t border-line py-2.5 phone:grid-cols-[minmax(0,1fr)_auto_auto] ${dim}`}
    >
      <p className="min-w-0">
        <b className="block truncate">{label}</b>
        {pass.forWhom && <span className="note block truncate">{pass.forWhom}</span>}
      </p>
      <p className="min-w-0 phone:order-last phone:col-span-3">
        <span className="block break-words">{what.line}</span>
        {what.shut ? <span className={warn}>{what.shut}</span> : null}
      </p>
      <p className="min-w-0 phone:order-last phone:col-span-3">
        <span className="block">{when.line}</span>
        <span className="note block">
          {[
            pass.hasPassword && 'password',
            !pass.mayDownload && 'no downloads',
            pass.mayComment && 'may comment',
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
        {visits && (
          <span className="note block">
            {`Opened ${visits.visits === 1 ? 'once' : `${visits.visits} times`}, last on ${shortDay(visits.lastDay)}`}
          </span>
        )}
        {when.notice && <span className={warn}>{when.notice}</span>}
      </p>
      <Switch label={`${label} is on`} checked={pass.on} disabled={busy} onChange={onToggle} />
      <div className="flex">
        <IconButton label={`Copy the link of ${label}`} title="Copy the link" onClick={copy}>
          <Copy size={16} aria-hidden="true" />
        </IconButton>
        <Menu
          align="end"
          opener={
            <IconButton label={`More about ${label}`}>
              <MoreHorizontal size={18} aria-hidden="true" />
            </IconButton>
          }
        >
          <MenuLink
            icon={Eye}
            name="See it as whoever holds it"
            note="with the next publish"
            href={`/studio/see/${state.site.id}/pass-${pass.id}/`}
          />
          <MenuItem icon={Mail} name="Send it by mail" onSelect={onSend} />
          <MenuItem icon={Pencil} name="Change it" onSelect={onChange} />
          <MenuItem
            icon={RefreshCw}
            name="Make a new link"
            note="The old one opens nothing any more."
            onSelect={onRenew}
          />
          <MenuRule />
          <MenuItem icon={Trash2} name="Take it away" onSelect={onRemove} />
        </Menu>
      </div>
    </li>
  );
}
