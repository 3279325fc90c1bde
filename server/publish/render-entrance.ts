import { createHash } from 'node:crypto';
import { eq, inArray } from 'drizzle-orm';
import { wordsFor } from '#core/public-words/words-for.ts';
import { contactCard } from '#core/about/contact-card.ts';
import type { SiteView } from '#core/access/seen-by.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import type { ResumeOnPage } from '#core/resume/resume-content-of.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { madeResume, pairOf } from '../resume/made-resume.ts';
import type { MediaSources } from '#site/render/medium.ts';
import { pageInputs } from '#site/render/page-inputs.ts';
import { contactCardPath, resumeFile } from '#site/render/site-paths.ts';
import { renderPage } from '#site/render/render-page.tsx';
import type { Database } from '../db/connect.ts';
import { renderedPages } from '../db/schema.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { lettersIn, type LookAssets, pageAssets, type StoredAssets, usedAssets } from './site-assets.ts';
import { storeText } from './store-text.ts';

const sha256 = (text: string, encoding: 'hex' | 'base64'): string =>
  createHash('sha256').update(text).digest(encoding);

/**
 * All that pages in a language say of themselves, as far as its letters matter; but for what pages without a name are called, which
 * stands in the input where it is said.
 */
function wordsAsText(language: string): string {
  const {
    kinds: _,
    // Never on a page of a release.
    secondLook: __,
    profiles,
    write,
    comments,
    resume,
    seasons,
    process,
    agenda,
    ...words
  } = wordsFor(language);
  const { quiet, later, moments } = process;
  return [
    ...Object.values({ ...words, quiet, later, moments }),
    Object.values(profiles),
    JSON.stringify([write, comments, resume, seasons, process, agenda]),
  ]
    .map((value: string | readonly string[] | ((...of: never[]) => string)) =>
      typeof value === 'function' ? (value as (...of: unknown[]) => string)('', '') : value.toString(),
    )
    .join(' ');
}

export interface RenderDeps {
  db: Database;
  blobs: BlobStore;
  assets: StoredAssets;
  /** Changes whenever the renderer's code does; part of every input's hash. */
  rendererVersion: string;
  /** Origin readers reach this server at. */
  publicOrigin: string;
}

/**
 * The pages of one entrance and what they link to of their look, by path. A page whose inputs were rendered before is taken from the store; only the
 * others are rendered.
 *
 * @param base where the entrance stands on the web, if everybody may know
 * @param onPage called after each page with whether it had to be rendered
 */
export async function renderEntrance(
  deps: RenderDeps,
  view: SiteView,
  assets: LookAssets,
  sources: MediaSources,
  base: string | null,
  onPage: (rendered: boolean) => void,
): Promise<FileTree> {
  const { db, blobs } = deps;
  const pages = new Set(view.pages.map(({ id }) => id));
  const wanted = pageInputs(view, sources, base).map(({ path, input }) => {
    const text = JSON.stringify(input);
    // Equal keys mean equal bytes.
    return {
      path,
      input,
      // Its own words are letters on it too.
      letters: lettersIn(text + [input.siteLanguage, input.page.language].map(wordsAsText).join('')),
      key: sha256(JSON.stringify([deps.rendererVersion, assets.names]) + text, 'hex'),
    };
  });
  const known = new Map<string, ManifestFile>();
  if (wanted.length > 0)
    for (const row of await db
      .select()
      .from(renderedPages)
      .where(
        inArray(
          renderedPages.input,
          wanted.map(({ key }) => key),
        ),
      ))
      known.set(row.input, row.file);
  const tree: FileTree = usedAssets(assets, {
    beyondAscii: new Set(wanted.flatMap(({ letters }) => [...letters.beyondAscii])),
    italic: wanted.some(({ letters }) => letters.italic),
  });
  for (const { path, input, letters, key } of wanted) {
    let file = known.get(key);
    if (!file) {
      const { html, style, frames, writes } = renderPage(input, pageAssets(assets, letters));
      file = {
        ...(await storeText(blobs, Buffer.from(html), 'text/html; charset=utf-8')),
        ...(style ? { styleHash: sha256(style, 'base64') } : {}),
        ...(frames.length > 0 ? { frames } : {}),
        ...(writes && { writes }),
      };
      await db.insert(renderedPages).values({ input: key, file }).onConflictDoNothing();
    }
    // Beside the maker's own pages there is one of the site's, with the form by which readers write.
    tree[`${path}index.html`] = pages.has(input.page.id) ? { ...file, page: input.page.id } : file;
    onPage(!known.has(key));
  }
  for (const { path, input } of wanted) {
    if (!input.resume?.version.file) continue;
    const file = await resumeOf(deps, input.resume, input);
    // It says what its page says, and is open while that is.
    tree[path + resumeFile] = { ...file, pages: [`${path}index.html`] };
  }
  const card = contactCard(view, base);
  if (card !== null)
    tree[contactCardPath] = {
      ...(await storeText(blobs, Buffer.from(card), 'text/vcard; charset=utf-8')),
      download: 'contact.vcf',
    };
  return tree;
}

/** The file of a résumé; made once for each content it has had. */
async function resumeOf(
  { db, blobs, assets, rendererVersion }: RenderDeps,
  resume: ResumeOnPage,
  { look }: Pick<PageInput, 'look'>,
): Promise<ManifestFile> {
  const { version, content } = resume;
  const key = sha256(
    JSON.stringify(['résumé', rendererVersion, pairOf(resume, look), version.pages, version.paper, content]),
    'hex',
  );
  const [known] = await db.select().from(renderedPages).where(eq(renderedPages.input, key));
  if (known) return known.file;
  const contents = await madeResume(assets, resume, look, new Date()).file();
  const file: ManifestFile = {
    hash: await blobs.put(contents),
    type: 'application/pdf',
    bytes: contents.byteLength,
    immutable: false,
  };
  await db.insert(renderedPages).values({ input: key, file }).onConflictDoNothing();
  return file;
}
