import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import {
  cardsPage,
  dropShortCode,
  getLinkCodes,
  type LinkCodes,
  makeShortCode,
  qrFile,
} from '#contract/codes.ts';
import { qrSizes } from '#core/codes/qr-plan.ts';
import { call } from '../../api/call.ts';
import { useGivenLinks } from '../../api/use-given-links.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { SelectField } from '../../ui/select.tsx';

type Size = `${(typeof qrSizes)[number]}`;
const sizes: readonly Size[] = qrSizes.map((mm): Size => `${mm}`);
/** A link on paper: its code for cameras, a short code to type, and cards with both. */
export function CodesSection() {
  const { state } = useSite();
  const site = state.site.id;
  const links = useGivenLinks();
  const client = useQueryClient();
  const [chosen, setChosen] = useState<string | null>(null);
  const [size, setSize] = useState<Size>('30');
  const link = chosen ?? links[0]?.value ?? 'site-link';
  const key = ['codes', site, link, state.site.address];
  const params = { site, link };
  const { data, error } = useQuery({ queryKey: key, queryFn: () => call(getLinkCodes, { params }) });
  const told = { onSuccess: (codes: LinkCodes) => client.setQueryData(key, codes) };
  const make = useMutation({ mutationFn: () => call(makeShortCode, { params }), ...told });
  const drop = useMutation({ mutationFn: () => call(dropShortCode, { params }), ...told });
  const plan = data?.sizes.find(({ mm }) => mm === Number(size));
  const problem = error ?? make.error ?? drop.error;
  const mm = Number(size);
  return (
    <section aria-labelledby="codes" className="grid gap-3">
      <h2 id="codes" className="text-[1.0625rem]">
        On paper
      </h2>
      <SelectField name="Which link" value={link} options={links} onChange={setChosen} />
      {data && data.url === null && (
        <p className="note">This link leads nowhere yet. Publish, or choose another one.</p>
      )}
      {data && data.url !== null && (
        <>
          <SelectField
            name="Printed width"
            hint="with its light margin"
            value={size}
            options={sizes.map((value) => ({ value, name: `${value} mm` }))}
            onChange={setSize}
          />
          <div className="flex items-center gap-4">
            <img
              src={qrFile(site, link, 'svg', mm)}
              alt="The QR code of this link"
              className="h-28 w-28 flex-none border border-line bg-white"
            />
            <div className="grid justify-items-start gap-2">
              <p className="flex flex-wrap gap-2">
                <Button small asChild>
                  <a href={qrFile(site, link, 'svg', mm)} download>
                    SVG
                  </a>
                </Button>
                <Button small asChild>
                  <a href={qrFile(site, link, 'png', mm)} download>
                    PNG
                  </a>
                </Button>
                <Button small asChild>
                  <a href={cardsPage(site, link)} target="_blank" rel="noreferrer">
                    <Printer size={14} aria-hidden="true" /> Ten cards on A4
                  </a>
                </Button>
              </p>
              {plan && (
                <p className={plan.reads ? 'note' : 'text-s font-firm text-straw-ink'}>
                  {plan.reads
                    ? plan.level === 'H'
                      ? 'Still reads with a fifth of it damaged.'
                      : 'Large enough to be read. A larger one stands more damage.'
                    : `Too small to be read well: print it at least ${plan.smallestMm} mm wide.`}
                </p>
              )}
            </div>
          </div>
          {data.short ? (
            <p>
              Typed at {data.short.at.replace(/^https?:\/\//, '')}:{' '}
              <b className="font-mono text-base">{data.short.code}</b>{' '}
              <Button look="bare" small disabled={drop.isPending} onClick={() => drop.mutate()}>
                Give it up
              </Button>
            </p>
          ) : data.noShortBecause ? (
            <p className="note">{data.noShortBecause}</p>
          ) : (
            <p>
              <Button small disabled={make.isPending} onClick={() => make.mutate()}>
                Make a short code to type
              </Button>
            </p>
          )}
        </>
      )}
      {problem && (
        <p className="field-problem" role="alert">
          {problem.message}
        </p>
      )}
    </section>
  );
}
