import { useQuery } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { useEffect, useState } from 'react';
import { checkAddress } from '#contract/sites.ts';
import { suggestAddresses } from '#core/sites/suggest-addresses.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { Button } from './button.tsx';

/** The site's address, with whether it is free and what else is. */
export function SiteAddressField() {
  const { state, changeSite } = useSite();
  const { site } = state;
  const [typed, setTyped] = useState(site.address ?? suggestAddresses(site.title)[0] ?? '');
  const [asked, setAsked] = useState(typed);
  useEffect(() => {
    const timer = setTimeout(() => setAsked(typed), 300);
    return () => clearTimeout(timer);
  }, [typed]);
  const check = useQuery({
    queryKey: ['address', site.id, asked],
    queryFn: () => call(checkAddress, { params: { site: site.id, address: asked || '-' } }),
    staleTime: 10_000,
  });
  const mine = asked === site.address;
  const settled = asked === typed && check.data !== undefined;
  const use = (address: string) => {
    setTyped(address);
    setAsked(address);
    changeSite({ address }, 'Address of the site');
  };
  return (
    <div className="grid gap-2">
      <label className="block">
        <span className="field-name">
          Address
          {settled && (
            <em aria-live="polite">
              {mine ? (
                'in use by this site'
              ) : check.data.free ? (
                <span className="inline-flex items-center gap-1 font-[650] text-meadow">
                  <Check size={14} aria-hidden="true" /> free
                </span>
              ) : (
                <span className="font-[650] text-clay">not free</span>
              )}
            </em>
          )}
        </span>
        <span className="flex items-center gap-2">
          <input
            className="input min-w-0 flex-1 font-mono"
            value={typed}
            aria-invalid={settled && !check.data.free && !mine ? true : undefined}
            onChange={(event) => setTyped(event.target.value.toLowerCase().replace(/[\s_]+/g, '-'))}
            spellCheck={false}
            autoCapitalize="none"
          />
          <Button disabled={!settled || !check.data.free || mine} onClick={() => use(typed)}>
            Use it
          </Button>
        </span>
      </label>
      <p className="note break-all">
        {window.location.host}/<b>{typed || '…'}</b>/
      </p>
      {settled && !check.data.free && !mine && <p className="field-problem">{check.data.why}</p>}
      {!site.address && (
        <p className="note">
          Choose “Use it” to take this address. It can change later; the old one then leads on.
        </p>
      )}
      {settled && check.data.alsoFree.length > 0 && !mine && (
        <p className="flex flex-wrap items-center gap-2">
          <span className="note">Also free</span>
          {check.data.alsoFree.map((address) => (
            <Button key={address} small onClick={() => use(address)}>
              {address}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}
