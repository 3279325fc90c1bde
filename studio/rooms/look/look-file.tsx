import { Download, FileUp } from 'lucide-react';
import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { getSite, listSites } from '#contract/sites.ts';
import { asDesignTokens, fromDesignTokens } from '#core/look/design-tokens.ts';
import type { Look } from '#core/look/look.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { Button } from '../../ui/button.tsx';
import { problemNotice } from '../../ui/notice.ts';
import { fileNameOf, saveText } from '../../ui/save-text.ts';
import { Select } from '../../ui/select.tsx';

/** More than any file of tokens has; nothing else is read into memory. */
const mostBytes = 1_000_000;

/** A look goes out as a file, comes in from one, or from another site of the same maker. */
export function LookFile({ onTake }: { onTake: (look: Look, label: string) => void }) {
  const { state } = useSite();
  const undoNotice = useUndoNotice();
  const { look, title } = state.site;
  const input = useRef<HTMLInputElement>(null);
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  const others = (sites.data ?? []).filter(({ id }) => id !== state.site.id);
  const save = () => {
    const text = `${JSON.stringify(asDesignTokens(look), null, 2)}\n`;
    saveText(`${fileNameOf(title)}-look.tokens.json`, text);
  };
  const open = async (file: File) => {
    if (file.size > mostBytes)
      return problemNotice('This file is too large to be a look. Nothing was changed.');
    const read = fromDesignTokens(await file.text(), look);
    if ('problem' in read) return problemNotice(read.problem);
    onTake(read.look, `The look in ${file.name}`);
    undoNotice(
      read.from === 'a look'
        ? 'The look in this file is on your pages now.'
        : 'Two colours of this file are the seeds now; it holds no whole look.',
    );
  };
  const takeFrom = async (id: string) => {
    const other = others.find((one) => one.id === id);
    if (!other) return;
    try {
      const { site } = await call(getSite, { params: { site: id } });
      onTake(site.look, `The look of ${other.title}`);
      undoNotice(`The look of ${other.title} is on these pages now.`);
    } catch {
      problemNotice('That site could not be asked. Try again.');
    }
  };
  return (
    <div className="grid gap-2">
      <p className="field-name">This look as a file</p>
      <div className="flex flex-wrap gap-2">
        <Button small onClick={save}>
          <Download size={15} aria-hidden="true" />
          Save as a file
        </Button>
        <Button small onClick={() => input.current?.click()}>
          <FileUp size={15} aria-hidden="true" />
          From a file
        </Button>
        <input
          ref={input}
          type="file"
          accept=".json,.tokens,application/json"
          className="sr-only"
          aria-label="A look from a file"
          tabIndex={-1}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void open(file);
          }}
        />
      </div>
      {others.length > 0 && (
        <Select
          label="Take the look of another site"
          value=""
          options={[
            { value: '', name: 'Take the look of another site …' },
            ...others.map(({ id, title: name }) => ({ value: id, name })),
          ]}
          onChange={(id) => void takeFrom(id)}
        />
      )}
    </div>
  );
}
