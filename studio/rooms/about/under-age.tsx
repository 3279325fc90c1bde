import { useState } from 'react';
import { setUnderAge } from '#contract/sites.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Bow } from '../../ui/bow.tsx';
import { notice } from '../../ui/notice.ts';
import { Switch } from '../../ui/switch.tsx';

const does = [
  'Your sites fly at Unlisted at most: strangers and search engines get nothing.',
  'Your full name, your street and town, and pictures that show your face are for people holding a pass.',
  'So is writing to you: contact parts and the address at the end of your pages.',
  'Check asks about more: where your age, a school or a class is named, and what is there for writing to you.',
];

/** One switch for somebody under 18, which says what it does before it is thrown. */
export function UnderAge() {
  const { state, run } = useSite();
  const { id, underAge } = state.site;
  const [busy, setBusy] = useState(false);
  const set = async (on: boolean) => {
    setBusy(true);
    const done = await run(() => call(setUnderAge, { params: { site: id }, body: { underAge: on } }));
    setBusy(false);
    if (done)
      notice(
        on
          ? 'Closed on all your sites, for readers too. Nothing you chose is lost.'
          : 'Everything is as high as you chose it. Readers get it with your next publish.',
      );
  };
  return (
    <section className="mt-5 grid gap-2 border-t border-t-line pt-4" aria-labelledby="about-under-age">
      <p className="flex items-center gap-3">
        <label id="about-under-age" htmlFor="under-age" className="mr-auto font-head text-l font-strong">
          I am under 18
        </label>
        <Switch id="under-age" checked={underAge} disabled={busy} onChange={(on) => void set(on)} />
      </p>
      <p className="note">Switched on, it does this at once, on all your sites:</p>
      <ul className="grid gap-1.5 text-s leading-s">
        {does.map((one) => (
          <li key={one} className="grid grid-cols-[16px_minmax(0,1fr)] gap-2">
            <Bow size={16} className="mt-1" />
            {one}
          </li>
        ))}
      </ul>
      <p className="note">
        Switched off, everything is as high again as you chose it, with your next publish.
      </p>
    </section>
  );
}
