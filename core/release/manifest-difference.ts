import { z } from 'zod';
import { idSchema } from '../id.ts';
import { type FileTree, fileTreeSchema, type Manifest, manifestSchema } from './manifest.ts';

/** How the files of one way in differ from those of another release: those it has otherwise, and those it has not. */
const treeDifferenceSchema = z.object({ otherwise: fileTreeSchema, gone: z.array(z.string()) });
type TreeDifference = z.infer<typeof treeDifferenceSchema>;

/** What has to be known beside one release's manifest to tell another's. An entrance that the other has not is missing. */
export const manifestDifferenceSchema = z.object({
  public: treeDifferenceSchema.nullable(),
  siteLink: treeDifferenceSchema.nullable(),
  pageLinks: z.record(idSchema, treeDifferenceSchema),
});
export type ManifestDifference = z.infer<typeof manifestDifferenceSchema>;

/** Both trees as the schema gives them, so that equal files are equal as text. */
function treeDifference(from: FileTree, to: FileTree): TreeDifference {
  const isOther = ([path, file]: [string, unknown]) => JSON.stringify(file) !== JSON.stringify(from[path]);
  return {
    otherwise: Object.fromEntries(Object.entries(to).filter(isOther)),
    gone: Object.keys(from).filter((path) => !Object.hasOwn(to, path)),
  };
}

function treeAfter(from: FileTree, { otherwise, gone }: TreeDifference): FileTree {
  const left = new Set(gone);
  const kept = Object.entries(from).filter(([path]) => !left.has(path));
  return { ...Object.fromEntries(kept), ...otherwise };
}

/** How `to` differs from `from`: little where two releases of a site have most files in common. */
export function manifestDifference(from: Manifest, to: Manifest): ManifestDifference {
  const [a, b] = [manifestSchema.parse(from), manifestSchema.parse(to)];
  return {
    public: b.public && treeDifference(a.public ?? {}, b.public),
    siteLink: b.siteLink && treeDifference(a.siteLink ?? {}, b.siteLink),
    pageLinks: Object.fromEntries(
      Object.entries(b.pageLinks).map(([page, tree]) => [
        page,
        treeDifference(a.pageLinks[page] ?? {}, tree),
      ]),
    ),
  };
}

/** The manifest that `manifestDifference(from, it)` was made of. */
export function manifestAfter(from: Manifest, difference: ManifestDifference): Manifest {
  return {
    public: difference.public && treeAfter(from.public ?? {}, difference.public),
    siteLink: difference.siteLink && treeAfter(from.siteLink ?? {}, difference.siteLink),
    pageLinks: Object.fromEntries(
      Object.entries(difference.pageLinks).map(([page, one]) => [
        page,
        treeAfter(from.pageLinks[page] ?? {}, one),
      ]),
    ),
  };
}
