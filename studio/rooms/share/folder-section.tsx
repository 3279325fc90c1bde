import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { folderFile, getFolder } from '#contract/folder.ts';
import { megabytes } from '#core/words/megabytes.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useGivenLinks } from '../../api/use-given-links.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { BookPart } from './book-part.tsx';
import { SelectField } from '../../ui/select.tsx';

/** The site as a folder of files or as one PDF, as the readers of a link get it. */
export function FolderSection() {
  const { state } = useSite();
  const site = state.site.id;
  const links = useGivenLinks();
  const [chosen, setChosen] = useState<string | null>(null);
  const link = chosen ?? links[0]?.value ?? 'site-link';
  const { data, error } = useQuery({
    // Another release, and another height of the site, is another folder.
    queryKey: ['folder', site, link, state.live.release?.number, state.site.height],
    queryFn: () => call(getFolder, { params: { site, link } }),
    staleTime: 0,
  });
  return (
    <section aria-labelledby="folder" className="grid gap-3">
      <h2 id="folder" className="text-[1.0625rem]">
        As a folder or one file
      </h2>
      <SelectField name="As readers get it by" value={link} options={links} onChange={setChosen} />
      {data?.problem != null && <p className="note">{data.problem}</p>}
      {data?.problem === null && (
        <>
          <p className="flex flex-wrap items-center gap-x-3 gap-y-2">
            <Button small asChild>
              <a href={folderFile(site, link)} download>
                Save as ZIP
              </a>
            </Button>
            <span className="note">
              {plural(data.pages, 'page')}, {plural(data.files, 'file')}, {megabytes(data.bytes)}
            </span>
          </p>
          <p className="note">
            Opens from a disk by index.html and from any web server. What is closed later stays in copies.
          </p>
          <BookPart key={link} link={link} />
          <p className="note">
            Words and pictures laid out for paper, with contents and page numbers. What plays or is pressed
            stays on the site.
          </p>
        </>
      )}
      {error && (
        <p className="field-problem" role="alert">
          {error.message}
        </p>
      )}
    </section>
  );
}
