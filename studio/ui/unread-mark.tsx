import { useUnread } from '../api/use-box.ts';

/** On the rail: that something came that nobody has read yet. */
export function UnreadMark() {
  const { data } = useUnread();
  const unread = data?.unread ?? 0;
  if (unread === 0) return null;
  return (
    <span className="absolute top-0 -right-2 rounded-full bg-straw px-1 text-[11px] leading-4 font-strong text-ink">
      {unread > 99 ? '99+' : unread}
      <span className="sr-only"> not read</span>
    </span>
  );
}
