import { Readable } from 'node:stream';
import { mine } from '#core/credits/provenance.ts';
import { Problem } from '../http/problem.ts';
import { type ImportDeps, importMaterial, type Imported } from '../media/import-material.ts';
import { OutgoingError } from './outgoing.ts';
import type { LinkDeps } from './read-link.ts';

const limits = { accept: 'image/*', mostBytes: 25 * 1024 * 1024, mostMs: 15_000 };

const notThere = () =>
  new Problem(
    422,
    'no-picture-there',
    'This picture could not be fetched from the page it was copied from. Save it there and bring the file.',
  );

/** The last piece of an address, as a file name; addresses may hold a percent sign that codes nothing. */
function fileNameIn(url: string): string {
  const last = new URL(url).pathname.split('/').at(-1) ?? '';
  try {
    return decodeURIComponent(last) || 'picture';
  } catch {
    return last;
  }
}

/**
 * Gathers a picture from the web. It is taken for somebody else's work until its maker says otherwise, with its address as
 * the source, so that it is credited.
 *
 * @throws Problem 422 when no picture is there, or where nobody may fetch
 */
export async function addPictureFromWeb(
  deps: LinkDeps & ImportDeps,
  scope: { site: string; account: string },
  { url, alt }: { url: string; alt: string },
): Promise<Imported> {
  const answer = await deps.outgoing.fetch(url, limits).catch((error: unknown) => {
    if (error instanceof OutgoingError) throw notThere();
    throw error;
  });
  const { status, body, cut } = answer;
  if (status !== 200 || cut || body.byteLength === 0) throw notThere();
  const name = fileNameIn(answer.url);
  try {
    return await importMaterial(
      deps,
      scope,
      { name, stream: Readable.from(body), only: 'picture' },
      { alt, provenance: { ...mine, whose: 'someone-else', source: url } },
    );
  } catch (error) {
    // Whatever it is, its maker asked for a picture; but that there is no room is for them to know.
    if (error instanceof Problem && error.code !== 'full') throw notThere();
    throw error;
  }
}
