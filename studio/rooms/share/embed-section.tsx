import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Embedding, getEmbedCode, getEmbedding, setFraming } from '#contract/embedding.ts';
import type { Framing } from '#core/embed/framing.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { SelectField } from '../../ui/select.tsx';
import { EmbedCodeField } from './embed-code-field.tsx';
import { FramingField } from './framing-field.tsx';

/** The public site on other sites: as a card, or the open site itself where its maker allows that. */
export function EmbedSection() {
  const { state } = useSite();
  const site = state.site.id;
  const client = useQueryClient();
  const [chosen, setChosen] = useState('index.html');
  const { address, height } = state.site;
  const key = ['embedding', site, state.live.release?.number, address, height];
  const params = { site };
  const { data, error } = useQuery({ queryKey: key, queryFn: () => call(getEmbedding, { params }) });
  const frame = useMutation({
    mutationFn: (framing: Framing) => call(setFraming, { params, body: { framing } }),
    onSuccess: (told: Embedding) => client.setQueryData(key, told),
  });
  const file = data?.pages.some((page) => page.file === chosen) ? chosen : 'index.html';
  const code = useQuery({
    queryKey: [...key, file],
    queryFn: () => call(getEmbedCode, { params: { site, file } }),
    enabled: data?.closed === null,
  });
  const problem = error ?? frame.error ?? code.error;
  return (
    <section aria-labelledby="embedding" className="grid gap-3">
      <h2 id="embedding" className="text-[1.0625rem]">
        On other sites
      </h2>
      {data?.closed != null && <p className="note">{data.closed}</p>}
      {data?.closed === null && (
        <>
          <SelectField
            name="Which page"
            value={file}
            options={data.pages.map((page) => ({ value: page.file, name: page.title }))}
            onChange={setChosen}
          />
          {code.data && <EmbedCodeField name="A card that leads to it" code={code.data.card} />}
          <FramingField framing={data.framing} onChange={(framing) => frame.mutate(framing)} />
          {code.data && data.framing.by !== 'nobody' && (
            <EmbedCodeField name="The open page in a frame" code={code.data.frame} />
          )}
          <p className="note">
            {data.framing.by === 'anybody'
              ? 'Sites that show pages by their address show this one open.'
              : 'Sites that show pages by their address show the card.'}{' '}
            A change works at once.
          </p>
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
