import { Copy, ExternalLink, MoreHorizontal, Pencil, Trash2, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { HandIn } from '#contract/hand-ins.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { handInState } from '#core/hand-ins/hand-in-state.ts';
import type { Finding } from '#core/outsider/outsider-test.ts';
import { copyText } from '../../api/copy-text.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { FindingRow } from '../../ui/finding-row.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Menu, MenuItem, MenuLink, MenuRule } from '../../ui/menu.tsx';

const dayMs = 24 * 60 * 60 * 1000;

/** What goes with a link, and the link. */
export const withLink = (text: string, link: string): string =>
  `${text === '' ? '' : `${text}\n`}${new URL(link, window.location.origin).href}`;

/** How far off a date is, in words. */
function awayInWords(from: Date, to: Date): string {
  const ms = Math.abs(to.getTime() - from.getTime());
  const days = Math.floor(ms / dayMs);
  if (days >= 1) return days === 1 ? 'a day' : `${days} days`;
  const hours = Math.floor(ms / (dayMs / 24));
  return hours >= 1
    ? hours === 1
      ? 'an hour'
      : `${hours} hours`
    : `${Math.max(1, Math.floor(ms / 60_000))} minutes`;
}

interface HandInRowProps {
  handIn: HandIn;
  now: Date;
  busy: boolean;
  /** What the test before it found wrong, where it was just tried. */
  findings: readonly Finding[] | null;
  onHand: (anyway: boolean) => void;
  onChange: () => void;
  onUndo: () => void;
  onRemove: () => void;
  /** Of a class: what it has to do with it. */
  children?: ReactNode;
}

/** One thing that is handed in: where, until when, and what was live then. */
export function HandInRow({
  handIn,
  now,
  busy,
  findings,
  onHand,
  onChange,
  onUndo,
  onRemove,
  children,
}: HandInRowProps) {
  const { state } = useSite();
  const { what, forWhom, link, release, keeps, warnings } = handIn;
  const zone = ownTimeZone();
  const [dueAt, handedAt] = [handIn.dueAt, handIn.handedAt].map((at) => (at === null ? null : new Date(at)));
  const is = handInState({ dueAt: dueAt ?? null, handedAt: handedAt ?? null }, now);
  const copy = () =>
    link === null
      ? undefined
      : void copyText(withLink(handIn.text, link), `What goes with “${what}” is copied.`);
  return (
    <li className="grid gap-2 border-t border-line py-2.5">
      <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1.1fr)_minmax(0,1.2fr)_auto] items-center gap-x-4 gap-y-1 phone:grid-cols-[minmax(0,1fr)_auto]">
        <p className="min-w-0">
          <b className="block break-words">{what}</b>
          {forWhom && <span className="note block break-words">{forWhom}</span>}
        </p>
        <p className="min-w-0 phone:order-last phone:col-span-2">
          {dueAt ? instantInWords(dueAt, zone) : 'No date'}
          {dueAt && is !== 'handed-in' && (
            <span className={`block text-s font-firm ${is === 'late' ? 'text-clay' : 'text-straw-ink'}`}>
              {is === 'late' ? `${awayInWords(dueAt, now)} late` : `in ${awayInWords(now, dueAt)}`}
            </span>
          )}
        </p>
        <p className="min-w-0 phone:order-last phone:col-span-2">
          {handedAt ? (
            <>
              Handed in {instantInWords(handedAt, zone)}
              <span className="note block">
                {dueAt &&
                  `${awayInWords(handedAt, dueAt)} ${handedAt <= dueAt ? 'before it was due' : 'late'}. `}
                {release === null
                  ? 'Nothing was published then.'
                  : `Release ${release} was live${keeps ? ' and is kept for its readers' : ''}.`}
              </span>
            </>
          ) : (
            <span className="font-firm text-straw-ink">Not handed in yet</span>
          )}
        </p>
        <div className="flex items-center justify-end">
          {handedAt === null ? (
            <Button small disabled={busy} onClick={() => onHand(false)}>
              Hand in<span className="sr-only"> {what}</span>
            </Button>
          ) : (
            release !== null && (
              <Button small asChild>
                <a
                  href={`/studio/release/${state.site.id}/${release}/${handIn.by.kind === 'address' ? 'stranger' : 'link'}/`}
                  target="_blank"
                  rel="noreferrer"
                >
                  See it<span className="sr-only">: what was live when {what} was handed in</span>
                </a>
              </Button>
            )
          )}
          {link !== null && (
            <IconButton
              label={`Copy the text and the link of ${what}`}
              title="Copy the text and the link"
              onClick={copy}
            >
              <Copy size={16} aria-hidden="true" />
            </IconButton>
          )}
          <Menu
            align="end"
            opener={
              <IconButton label={`More about ${what}`}>
                <MoreHorizontal size={18} aria-hidden="true" />
              </IconButton>
            }
          >
            {link !== null && <MenuLink icon={ExternalLink} name="Open the link" href={link} />}
            <MenuItem icon={Pencil} name="Change it" onSelect={onChange} />
            {handedAt !== null && (
              <MenuItem
                icon={Undo2}
                name="Not handed in after all"
                {...(keeps && { note: 'Its pass opens whatever is live again.' })}
                onSelect={onUndo}
              />
            )}
            <MenuRule />
            {handIn.ofClass ? (
              <MenuItem
                icon={Trash2}
                name="Leave the class"
                note="Its pass is taken away with it."
                onSelect={onRemove}
              />
            ) : (
              <MenuItem icon={Trash2} name="Take it off the list" onSelect={onRemove} />
            )}
          </Menu>
        </div>
      </div>
      {children}
      {warnings.map((warning) => (
        <p key={warning} className="rounded-s bg-straw-wash px-2 py-1 text-s text-straw-ink">
          {warning}
        </p>
      ))}
      {findings && (
        <div role="alert" className="grid gap-2 border-l-4 border-clay pl-3">
          <p className="field-name">Opened as an outsider, its link is not as it should be</p>
          <ul className="grid gap-0.5 text-s">
            {findings.map((finding) => (
              <FindingRow key={finding.says} finding={finding} />
            ))}
          </ul>
          <p className="flex flex-wrap gap-2">
            <Button small disabled={busy} onClick={() => onHand(false)}>
              Try again
            </Button>
            <Button small disabled={busy} onClick={() => onHand(true)}>
              Hand it in anyway
            </Button>
          </p>
        </div>
      )}
    </li>
  );
}
